import { beforeEach, describe, expect, it, vi } from 'vitest';
import * as v from 'valibot';
import { DayListSchema, type DayList } from '$lib/core/list/inputs';
import type { Notice, Workbench } from './workbench.svelte';

/** Writes on their way, answered when the test likes. */
interface OnItsWay {
	path: string;
	body: { benchId: string; revision: number; list: DayList };
	told: (result: unknown) => void;
}
let net: OnItsWay[] = [];
vi.mock('./write', () => ({
	write: (_: unknown, { path, body }: OnItsWay) =>
		new Promise((told) => net.push({ path, body, told }))
}));
const { ListEdits } = await import('./listEdits.svelte');

const settled = () => new Promise((resolve) => setTimeout(resolve));
async function answer(result: unknown): Promise<OnItsWay> {
	const one = net.shift()!;
	one.told(result);
	await settled();
	return one;
}
const done = (revision: number) => ({ outcome: 'done', data: { revision } });
const called = (name: string): DayList => v.parse(DayListSchema, { name, items: [] });
const rename = (name: string) => (list: DayList) => ({ ...list, name });

let bench: { benchId: string; notice?: Notice };
let written: string[];
const opened = (id = 'gates', revision = 3) => {
	const edits = new ListEdits(bench as Workbench, (id, { name }) => written.push(`${id}: ${name}`));
	edits.open({ id, revision, list: called('Gates') });
	return edits;
};
beforeEach(() => {
	net = [];
	written = [];
	bench = { benchId: 'bay-2' };
});

describe('edits of a list', () => {
	it('go out one after the other, each over the one before; of those that wait only the last', async () => {
		const edits = opened();
		for (const name of ['A', 'B', 'C']) edits.edit(rename(name));
		expect(edits.list!.name).toBe('C');
		expect(net).toHaveLength(1);
		const first = await answer(done(4));
		expect([first.body.list.name, first.body.revision]).toEqual(['A', 3]);
		const second = await answer(done(5));
		expect([second.body.list.name, second.body.revision]).toEqual(['C', 4]);
		expect(net).toEqual([]);
		expect([edits.revision, edits.saving]).toEqual([5, false]);
		expect(written).toEqual(['gates: A', 'gates: C']);
	});
	it('are taken back step by step, and that is written too', async () => {
		const edits = opened();
		expect(edits.canUndo).toBe(false);
		edits.edit(rename('A'));
		await answer(done(4));
		edits.undo();
		expect([edits.list!.name, edits.canUndo]).toEqual(['Gates', false]);
		const { body } = await answer(done(5));
		expect([body.list.name, body.revision]).toEqual(['Gates', 4]);
		edits.undo();
		expect(net).toEqual([]);
	});
	it('of another list do not take the place of one that waits', async () => {
		const edits = opened();
		edits.edit(rename('A'));
		edits.edit(rename('B'));
		edits.open({ id: 'sluice', revision: 9, list: called('Sluice') });
		edits.edit(rename('S'));
		await answer(done(4));
		const b = await answer(done(5));
		expect(edits.revision).toBe(9);
		const s = await answer(done(10));
		expect([b.path, b.body.list.name, b.body.revision]).toEqual(['/api/lists/gates', 'B', 4]);
		expect([s.path, s.body.list.name, s.body.revision]).toEqual(['/api/lists/sluice', 'S', 9]);
		expect([edits.id, edits.revision]).toEqual(['sluice', 10]);
	});
	it('kept on the device count as made; set aside they do not: what follows must not hang on them', async () => {
		const kept = opened();
		kept.edit(rename('A'));
		kept.edit(rename('B'));
		await answer({ outcome: 'waiting' });
		expect(net[0]!.body.revision).toBe(4);
		await answer({ outcome: 'waiting' });
		expect(kept.revision).toBe(5);
		const aside = opened();
		aside.edit(rename('A'));
		aside.edit(rename('B'));
		await answer({ outcome: 'aside' });
		expect(net[0]!.body.revision).toBe(3);
		await answer(done(4));
		expect(aside.revision).toBe(4);
	});
	it('that came second are shown theirs, and brought back by one press', async () => {
		const edits = opened();
		edits.edit(rename('Mine'));
		const theirs = { id: 'gates', revision: 7, list: called('Theirs') };
		await answer({ outcome: 'refused', status: 409, problem: { message: '', theirs } });
		expect([edits.list!.name, edits.revision]).toEqual(['Theirs', 7]);
		expect(bench.notice).toMatchObject({ kind: 'problem' });
		bench.notice!.undo!();
		const { body } = await answer(done(8));
		expect([body.list.name, body.revision]).toEqual(['Mine', 7]);
	});
	it('that no list may hold are refused in words, and what stood before stands', () => {
		const edits = opened();
		edits.edit((list) => ({ ...list, changeS: -1 }));
		expect(bench.notice!.text).toMatch(/^Not taken/);
		expect([edits.list!.name, edits.canUndo, net.length]).toEqual(['Gates', false, 0]);
	});
	it('begin a list that the server does not know', async () => {
		const edits = opened();
		edits.edit(rename('A'));
		await answer(done(4));
		edits.begin('new', called('New'));
		expect([edits.id, edits.revision, edits.canUndo]).toEqual(['new', 0, false]);
		expect((await answer(done(1))).body.revision).toBe(0);
		expect(edits.revision).toBe(1);
	});
	it('of a bench that is no longer shown are written for it, and not told of the one that is', async () => {
		const edits = opened();
		edits.edit(rename('A'));
		bench.benchId = 'trolley';
		const { body } = await answer(done(4));
		expect(body.benchId).toBe('bay-2');
		expect(written).toEqual([]);
	});
});

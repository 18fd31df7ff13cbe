import { beforeEach, describe, expect, it, vi } from 'vitest';
import { BAY_2, TROLLEY } from '../../../scripts/demo/benches';
import type { Bench } from '$lib/core';
import type { KeptDraft } from './keptDraft';

const device = new Map<string, KeptDraft>();
vi.mock('./keptDraft', () => ({
	keepDraft: (benchId: string, draft: KeptDraft) => void device.set(benchId, draft),
	dropDraft: (benchId: string) => void device.delete(benchId),
	keptDraft: (benchId: string) => Promise.resolve(device.get(benchId))
}));
const { BenchDraft } = await import('./benchDraft.svelte');

const tank = (tankL: number): Bench => ({ ...BAY_2, air: { ...BAY_2.air, tankL } });
const tankOf = ({ bench }: { bench: Bench }) => bench.air.tankL;
/** A draft of Bay 2, and what the server keeps of it. */
function draftOf(benchId = 'b1') {
	const stored = { benchId, revision: 3, bench: BAY_2 };
	const at = { stored };
	return { at, draft: new BenchDraft(() => at.stored) };
}
beforeEach(() => device.clear());

describe('the draft of a bench', () => {
	it('goes back step by step to what is stored, and is kept on the device until then', () => {
		const { draft } = draftOf();
		draft.change(tank(150));
		draft.change(tank(200));
		expect(device.get('b1')).toEqual({ revision: 3, base: BAY_2, bench: tank(200) });
		draft.undo();
		expect([tankOf(draft), draft.edited]).toEqual([150, true]);
		draft.undo();
		expect([draft.bench, draft.edited, draft.base]).toEqual([BAY_2, false, undefined]);
		expect(device.size).toBe(0);
		draft.undo();
		expect(draft.bench).toBe(BAY_2);
	});

	it('goes over what it started from, whatever came from the server since', () => {
		const { at, draft } = draftOf();
		draft.change(tank(150));
		at.stored = { ...at.stored, revision: 4, bench: tank(90) };
		draft.change(tank(200));
		expect(draft.base).toEqual({ revision: 3, bench: BAY_2 });
		draft.discard();
		expect([tankOf(draft), draft.base]).toEqual([90, undefined]);
	});

	it('comes back after a reload, but not over an edit, nor on another bench', async () => {
		device.set('b1', { revision: 2, base: BAY_2, bench: tank(150) });
		const { draft } = draftOf();
		await draft.restore();
		expect([tankOf(draft), draft.base?.revision]).toEqual([150, 2]);
		draft.undo();
		expect(draft.edited).toBe(false);

		device.set('b1', { revision: 2, base: BAY_2, bench: tank(150) });
		const edited = draftOf().draft;
		const asked = edited.restore();
		edited.change(tank(200));
		await asked;
		expect(tankOf(edited)).toBe(200);

		device.set('b1', { revision: 2, base: BAY_2, bench: tank(150) });
		const { at, draft: moved } = draftOf();
		const late = moved.restore();
		at.stored = { benchId: 'b2', revision: 1, bench: TROLLEY };
		moved.take();
		await late;
		expect(moved.bench).toBe(TROLLEY);
	});

	it('that met another stands over it until the person decides', () => {
		const { at, draft } = draftOf();
		const theirs = { revision: 4, bench: tank(120), fields: ['air.tankL'] };
		draft.open(theirs, tank(200), theirs);
		expect([tankOf(draft), draft.edited, draft.theirs]).toEqual([200, true, theirs]);
		expect(device.get('b1')).toMatchObject({ revision: 4, base: tank(120) });
		draft.undo();
		expect(tankOf(draft)).toBe(120);
		at.stored = { ...at.stored, ...theirs };
		draft.discard();
		expect([draft.theirs, draft.bench]).toEqual([undefined, theirs.bench]);
	});
});

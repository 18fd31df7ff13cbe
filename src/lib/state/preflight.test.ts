import { describe, expect, it, vi } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { UNTOUCHED } from '../../../tests/support/workbench';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE } from '../core';
import { listKey } from '../core/preflight/item';

vi.mock('$lib/state/history', () => ({ writeSearch: () => undefined }));
const { Workbench } = await import('./workbench.svelte');
const { Preflight } = await import('./preflight.svelte');
const { timeOfDay, today } = await import('./ticks');

const gel = {
	item: 'gel',
	word: 'gel spent',
	station: 'supply' as const,
	verdict: 'tight' as const
};
const opened = () => {
	const bench = new Workbench({
		...UNTOUCHED,
		bench: BAY_2,
		evidence: NO_EVIDENCE,
		settings: DEFAULT_SETTINGS,
		chart: null,
		cut: DEFAULT_CUT,
		work: BAY_2.usual
	});
	const view = new Preflight(bench);
	const item = (id: string) => view.items.find((one) => one.id === id)!;
	const refuse = (...checks: (typeof gel)[]) => (bench.evidence = { ...bench.evidence, checks });
	return { bench, view, item, refuse, said: (id: string) => view.of(item(id)) };
};

describe('the two lists at one device', () => {
	it('tick in the order of hands, and take back the last', async () => {
		const { view, said } = opened();
		const all = view.items.length;
		expect(view.now?.id).toBe('power');
		await view.yes();
		expect(said('power')).toBe('yes');
		expect(view.now?.id).toBe('cord');
		expect([view.ticked, view.toTick]).toEqual([1, all - 1]);
		view.undo();
		expect(said('power')).toBe('open');
		expect(view.now?.id).toBe('power');
		expect(view.canUndo).toBe(false);
	});

	it('go by the log: what another device refused is not so here too, whatever was ticked', async () => {
		const { view, item, refuse, said } = opened();
		await view.yes(item('gel'));
		expect(said('gel')).toBe('yes');
		refuse(gel);
		expect(said('gel')).toBe('no');
		expect(view.wrong.map(({ id }) => id)).toEqual(['gel']);
		refuse();
		expect(said('gel')).toBe('yes');
	});

	it('what was gone on with is looked at again once it was mended; a fault of another job is told apart', () => {
		const { view, item, refuse, said } = opened();
		refuse(gel, { ...gel, item: 'fault-oil', word: 'Oil in the air' });
		view.despite(item('gel'));
		expect(said('gel')).toBe('despite');
		expect(view.elsewhere.map((held) => held.item)).toEqual(['fault-oil']);
		refuse();
		expect(said('gel')).toBe('open');
	});

	it('a changed plan makes stale just the ticks that say something else now', async () => {
		const { bench, view, item, said } = opened();
		for (const id of ['knob', 'clamp', 'wear']) await view.yes(item(id));
		bench.setCut({ school: 'typed', typedA: 30 });
		expect([said('knob'), said('clamp'), said('wear')]).toEqual(['stale', 'yes', 'yes']);
		bench.setCut({ school: 'full' });
		expect(said('knob')).toBe('yes');
	});

	it('are ready when all is so or gone on with, and the line is told of each tick', async () => {
		const { bench, view, refuse, item } = opened();
		refuse(gel);
		view.despite(item('gel'));
		for (let i = 0; i < 40 && view.now; i++) await view.yes();
		expect(view.ready('day') && view.ready('cut')).toBe(true);
		expect(bench.ticked).toMatchObject({
			ticked: view.items.length - 1,
			of: view.items.length,
			signedAt: null
		});
		view.job = 'groove';
		expect(view.ready('groove')).toBe(false);
	});
});

describe('what another device signed off', () => {
	it('stands here too, as long as the list says the same on the same day', async () => {
		const { view, said } = opened();
		const day = today();
		const at = new Date().toISOString();
		const key = listKey(view.lists[0]!.items);
		const answers = (signed: unknown) =>
			vi.stubGlobal('fetch', () =>
				Promise.resolve(Response.json({ revision: 0, own: [], signed }))
			);
		answers([{ list: 'day', key, day, at }]);
		await view.askOwn();
		expect(view.signedAt('day')).toBe(timeOfDay(new Date(at)));
		expect(said('power')).toBe('yes');
		expect(view.signedAt('cut')).toBeNull();
		answers([
			{ list: 'day', key: 'another', day, at },
			{ list: 'day', key, day: '2020-01-01', at }
		]);
		await view.askOwn();
		expect(view.signedAt('day')).toBeNull();
		expect(said('power')).toBe('open');
		vi.unstubAllGlobals();
	});
});

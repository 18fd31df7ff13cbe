import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { CARE_KINDS } from '../core/care/care';
import type { Entry } from '../core';
import { openDatabase } from './db';
import { Store } from './store';

const NOW = Date.UTC(2026, 10, 26, 9);
const daysAgo = (n: number) => new Date(NOW - n * 24 * 3600 * 1000).toISOString();
let store: Store;
let made = 0;
beforeEach(() => {
	store = new Store(openDatabase(':memory:'));
	store.benches.add({ opId: 'bench-op-1', id: 'b1', bench: BAY_2, at: daysAgo(900) });
});
afterEach(() => {
	store.db.close();
});
const append = (entry: Entry, days: number) =>
	store.log.append({
		opId: `care-op-${made++}`,
		benchId: 'b1',
		at: daysAgo(days),
		entry,
		inputsHash: null,
		modelVersion: '1'
	}).id;
const due = (kind: string) =>
	store.care.due('b1', CARE_KINDS, NOW).find((one) => one.kind === kind)!;
const cut = (arcS: number): Entry => ({
	kind: 'cut',
	metal: 'mild-steel',
	thicknessMm: 6,
	outputA: 45,
	lengthMm: 1000,
	arcS,
	starts: 1,
	start: 'edge'
});

describe('what is to be looked after, from the log', () => {
	it('is everything, today, on a bench of which nothing is noted', () => {
		const all = store.care.due('b1', CARE_KINDS, NOW);
		expect(all.map(({ kind }) => kind).sort()).toEqual([...CARE_KINDS].sort());
		expect(all.every(({ inDays, lastMs }) => inDays === 0 && lastMs === null)).toBe(true);
	});

	it('goes by the newest of its kind, though hundreds of another were done since; what is taken back is not done', () => {
		append({ kind: 'care', did: 'leak' }, 400);
		const filter = append({ kind: 'care', did: 'filter', againDays: 365 }, 300);
		for (let day = 299; day > 0; day--) append({ kind: 'care', did: 'drain' }, day);
		expect(due('filter')).toMatchObject({ inDays: 65, everyDays: 365 });
		expect(due('drain').inDays).toBe(0);
		expect(due('leak').inDays).toBe(90 - 400);
		store.log.undo({ opId: 'care-undo-1', id: filter, at: daysAgo(0), modelVersion: '1' });
		expect(due('filter')).toMatchObject({ lastMs: null, inDays: 0 });
	});

	it('comes sooner on a bench that works: hours of arc since then, at the pace of four weeks', () => {
		append({ kind: 'care', did: 'rings' }, 10);
		expect(due('rings')).toMatchObject({ inDays: 20, byArc: false });
		// 14 h of arc in these ten days: half an hour a day over four weeks, 6 of 20 h left.
		for (let i = 0; i < 14; i++) append(cut(3600), 5);
		expect(due('rings')).toMatchObject({ inDays: 12, byArc: true });
		// Arc from before it was done does not count against it.
		for (let i = 0; i < 10; i++) append(cut(3600), 60);
		expect(due('rings')).toMatchObject({ inDays: 12 });
	});
});

describe('parts that gouging brought', () => {
	it('are put in, counted and taken out of the drawer as the others', () => {
		const stock = { ...store.stock.find('b1', 'o-ring').stock, count: 3, leadSpreadWeeks: 0.5 };
		const saved = store.stock.save({
			opId: 'care-stock-1',
			benchId: 'b1',
			kind: 'o-ring',
			revision: 0,
			stock,
			at: daysAgo(0)
		});
		expect(saved.outcome).toBe('saved');
		const fit = (kind: 'o-ring' | 'gouge-nozzle') =>
			store.parts.fit({
				opId: `care-fit-${kind}`,
				id: kind,
				benchId: 'b1',
				kind,
				at: daysAgo(0),
				why: 'worn'
			});
		expect(fit('o-ring').outcome).toBe('fitted');
		expect(fit('gouge-nozzle').outcome).toBe('fitted');
		expect(store.stock.find('b1', 'o-ring').stock).toMatchObject({
			count: 2,
			leadSpreadWeeks: 0.5
		});
		// Nobody counted gouging nozzles: none is taken from nowhere.
		expect(store.stock.find('b1', 'gouge-nozzle').stock.count).toBe(0);
		expect(store.parts.ofBench('b1').map(({ kind }) => kind)).toHaveLength(2);
	});
});

import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import type { Entry } from '../core';
import { orderOf } from '../formats/logFound';
import { logQuery } from '../formats/logQuery';
import { openDatabase } from './db';
import { GROUPS_MOST } from './logGroups';
import { placeOf } from './logSearch';
import { Store } from './store';

const START = Date.UTC(2026, 9, 1, 8);
const at = (hour: number) => new Date(START + 3_600_000 * hour).toISOString();
let store: Store;
let made = 0;
beforeEach(() => {
	store = new Store(openDatabase(':memory:'));
	store.benches.add({ opId: 'bench-op-1', id: 'b1', bench: BAY_2, at: at(-1) });
});
afterEach(() => {
	store.db.close();
});
const cut = (over: Partial<Extract<Entry, { kind: 'cut' }>> = {}): Entry => ({
	kind: 'cut',
	metal: 'mild-steel',
	thicknessMm: 6,
	outputA: 45,
	nozzleA: 45,
	lengthMm: 300,
	arcS: 14,
	starts: 1,
	start: 'edge',
	...over
});
const PIT: Entry = { kind: 'pit', pitMm: 0.4 };
const append = (entry: Entry, hour: number, whatFor?: string) =>
	store.log.append({
		opId: `search-op-${made++}`,
		benchId: 'b1',
		at: at(hour),
		entry,
		inputsHash: null,
		modelVersion: '1',
		whatFor
	}).id;
const correct = (id: number, entry: Entry, hour = 1) =>
	store.log.correct(id, {
		opId: `search-op-${made++}`,
		at: at(hour),
		entry,
		inputsHash: null,
		modelVersion: '1'
	});
const undo = (id: number) =>
	store.log.undo({ opId: `search-op-${made++}`, id, at: at(99), modelVersion: '1' });
const find = (text: string, most = 25, before?: string, sort = '-at') =>
	store.search.page(
		'b1',
		logQuery(text, '2026-11-26'),
		most,
		before ? placeOf(before) : undefined,
		orderOf(sort)
	);
const groups = () => store.db.prepare('SELECT count(*) FROM log_groups').pluck().get();
const starts = () => store.ledger.of('b1', null).electrode.total.starts;

describe('finding in the log', () => {
	it('takes a day as the clock on the wall does', () => {
		process.env.TZ = 'America/New_York';
		try {
			// The evening of the 1st there, four hours behind, when it is the 2nd in UTC already; and its small hours.
			append(cut(), 17);
			append(cut(), -5);
			expect(find('1 Oct').found.count).toBe(1);
			expect(find('2 Oct').found.count).toBe(0);
			expect(find('30 Sep').found.count).toBe(1);
		} finally {
			process.env.TZ = 'UTC';
		}
	});

	it('meets every word, sums all that it found and shows a page', () => {
		for (let i = 0; i < 30; i++)
			append(cut({ thicknessMm: i % 2 ? 8 : 6, start: i % 3 ? 'edge' : 'rolled' }), i);
		append(cut({ metal: 'stainless', thicknessMm: 8 }), 40, 'sluice hangers');
		append({ kind: 'pit', pitMm: 0.4 }, 41);
		const { found, entries, next } = find('8 mm', 10);
		expect(found).toMatchObject({ count: 16, lengthMm: 4800, starts: 16, arcMs: 224_000 });
		expect(entries).toHaveLength(10);
		expect(entries[0]!.whatFor).toBe('sluice hangers');
		const more = find('8 mm', 10, next!);
		expect(more.entries).toHaveLength(6);
		expect(more.next).toBeNull();
		const ids = [...entries, ...more.entries].map(({ id }) => id);
		expect(new Set(ids).size).toBe(16);
		expect(find('8 mm rolled').found.count).toBe(5);
		expect(find('stainless SLUICE').found.count).toBe(1);
		expect(find('pit').found.count).toBe(1);
		expect(find('5/16 in').found.count).toBe(0);
		expect(find('2 Oct').found.count).toBe(14);
		expect(find("'; DROP TABLE log; --").found.count).toBe(0);
	});

	it('puts the longest run or arc first or last, page by page, and what has none last', () => {
		const lengths = [300, 4000, 300, 1200, 90, 4000];
		lengths.forEach((lengthMm, i) => append(cut({ lengthMm, arcS: 100 - i }), i));
		append({ kind: 'pit', pitMm: 0.4 }, 41);
		const pages = (sort: string) => {
			const all: number[] = [];
			let before: string | undefined;
			do {
				const { entries, next } = find('', 2, before, sort);
				all.push(...entries.map(({ id }) => id));
				before = next ?? undefined;
			} while (before);
			return all;
		};
		expect(pages('-length')).toEqual([6, 2, 4, 3, 1, 5, 7]);
		expect(pages('length')).toEqual([5, 1, 3, 4, 2, 6, 7]);
		expect(pages('-arc')).toEqual([1, 2, 3, 4, 5, 6, 7]);
		expect(pages('arc')).toEqual([6, 5, 4, 3, 2, 1, 7]);
		expect(pages('at')).toEqual([1, 2, 3, 4, 5, 6, 7]);
		expect(orderOf('name')).toBeUndefined();
		expect(orderOf('--at')).toBeUndefined();
	});

	it('sums a question again once anything was written', () => {
		const id = append(cut(), 1);
		expect(find('').found.count).toBe(1);
		append(cut(), 2);
		expect(find('').found).toMatchObject({ count: 2, lengthMm: 600 });
		correct(id, cut({ lengthMm: 500 }));
		expect(find('').found.lengthMm).toBe(800);
		undo(id + 1);
		expect(find('').found).toMatchObject({ count: 1, lengthMm: 500 });
		expect(find('8 mm').found.count).toBe(0);
	});

	it('property: whatever is written, corrected and taken back in between, it sums what stands', () => {
		type Cut = Extract<Entry, { kind: 'cut' }>;
		const QUESTIONS: readonly [string, (one: Entry) => boolean][] = [
			['', () => true],
			['6 mm', (one) => one.kind === 'cut' && one.thicknessMm === 6],
			['6 mm 8 mm rolled', (one) => one.kind === 'cut' && one.start === 'rolled'],
			['stainless', (one) => one.kind === 'cut' && one.metal === 'stainless'],
			['40 A edge', (one) => one.kind === 'cut' && one.outputA === 40 && one.start === 'edge'],
			['pit', ({ kind }) => kind === 'pit']
		];
		const made = fc.record({
			thicknessMm: fc.constantFrom(6, 8),
			metal: fc.constantFrom('mild-steel', 'stainless'),
			outputA: fc.constantFrom(40, 45),
			start: fc.constantFrom('edge', 'rolled'),
			lengthMm: fc.integer({ min: 1, max: 900 }),
			arcS: fc.integer({ min: 1, max: 60 }),
			starts: fc.integer({ min: 1, max: 9 })
		});
		const steps = fc.array(
			fc.oneof(
				{ weight: 3, arbitrary: fc.record({ do: fc.constant('cut' as const), made }) },
				fc.record({ do: fc.constant('pit' as const) }),
				fc.record({ do: fc.constant('undo' as const), of: fc.nat() }),
				fc.record({ do: fc.constant('correct' as const), of: fc.nat(), made }),
				{ weight: 3, arbitrary: fc.record({ do: fc.constant('ask' as const), of: fc.nat() }) }
			),
			{ minLength: 5, maxLength: 30 }
		);
		let run = 0;
		fc.assert(
			fc.property(steps, (all) => {
				const benchId = `run-${run++}`;
				store.benches.add({ opId: `op-${benchId}`, id: benchId, bench: BAY_2, at: at(-1) });
				const rows: { id: number; entry: Entry; hour: number; was?: number; stands: boolean }[] =
					[];
				const write = (entry: Entry, hour: number) => ({
					...{ opId: `search-op-${rows.length}-${benchId}`, at: at(hour), entry },
					...{ inputsHash: null, modelVersion: '1' }
				});
				for (const [hour, step] of all.entries()) {
					const old = 'of' in step ? rows[step.of % (rows.length || 1)] : undefined;
					if (step.do === 'cut' || step.do === 'pit') {
						const entry = step.do === 'cut' ? cut(step.made) : { ...PIT };
						const { id } = store.log.append({ ...write(entry, hour), benchId });
						rows.push({ id, entry, hour, stands: true });
					} else if (step.do === 'correct' && old?.stands) {
						const entry = cut(step.made);
						const { id } = store.log.correct(old.id, write(entry, hour)) as { id: number };
						old.stands = false;
						rows.push({ id, entry, hour, was: old.id, stands: true });
					} else if (step.do === 'undo' && old?.stands) {
						undo(old.id);
						old.stands = false;
						const before = rows.find(({ id }) => id === old.was);
						if (before) before.stands = true;
					} else if (step.do === 'ask') {
						const [text, meets] = QUESTIONS[step.of % QUESTIONS.length]!;
						const met = rows.filter(({ entry, stands }) => stands && meets(entry));
						const sum = (of: (one: Cut) => number) =>
							met.reduce((total, { entry }) => total + (entry.kind === 'cut' ? of(entry) : 0), 0);
						expect(store.search.sums(benchId, logQuery(text, '2026-11-26'))).toEqual({
							count: met.length,
							lengthMm: sum((one) => one.lengthMm),
							starts: sum((one) => one.starts),
							arcMs: sum((one) => 1000 * one.arcS),
							since: met.length ? at(Math.min(...met.map((one) => one.hour))) : null
						});
					}
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('sums the rows themselves where hardly two of them are alike', () => {
		const many = GROUPS_MOST + 1;
		store.db.exec('BEGIN');
		for (let i = 0; i < many; i++) append(cut({ thicknessMm: 1 + i / 1000 }), i);
		store.db.exec('COMMIT');
		expect(find('').found).toMatchObject({ count: many, starts: many });
		append(cut({ thicknessMm: 1 }), 1);
		expect(find('').found).toMatchObject({ count: many + 1 });
		expect(find('1 mm').found.count).toBe(52);
		expect(groups()).toBe(0);
	});

	it('puts together what came one by one, once it has become much', () => {
		for (let i = 0; i < 1200; i++) {
			append(cut({ starts: 2 }), i);
			expect(store.search.sums('b1', logQuery('', '2026-11-26')).starts).toBe(2 * (i + 1));
		}
		expect(groups()).toBeLessThan(510);
	});

	it('is not asked by a place that no page told', () => {
		expect(placeOf('2026-10-01T08:00:00.000Z,4')).toEqual({
			value: 0,
			at: '2026-10-01T08:00:00.000Z',
			id: 4
		});
		for (const text of ['', 'x', '1,2,3', "2026' OR 1=1,4"]) expect(placeOf(text)).toBeUndefined();
	});
});

describe('a correction', () => {
	it('counts in the place of the old row, which stays in the record', () => {
		const id = append(cut({ starts: 21 }), 1);
		expect(starts()).toBe(21);
		const made = correct(id, cut({ starts: 12 }));
		expect(made.outcome).toBe('corrected');
		expect(starts()).toBe(12);
		const { entries } = find('');
		expect(entries).toHaveLength(1);
		expect(entries[0]).toMatchObject({ entry: { starts: 12 }, was: { id, entry: { starts: 21 } } });
		expect([...store.log.everything()]).toHaveLength(2);
	});

	it('can be corrected, and taken back step by step', () => {
		const first = append(cut({ starts: 21 }), 1);
		const second = (correct(first, cut({ starts: 12 })) as { id: number }).id;
		const third = (correct(second, cut({ starts: 13 })) as { id: number }).id;
		expect(starts()).toBe(13);
		// The first is no longer there to be corrected or taken back.
		expect(correct(first, cut()).outcome).toBe('gone');
		expect(undo(first)).toEqual({ outcome: 'corrected', id: first });
		expect(undo(third).outcome).toBe('undone');
		expect(starts()).toBe(12);
		expect(undo(second).outcome).toBe('undone');
		expect(starts()).toBe(21);
		expect(undo(first).outcome).toBe('undone');
		expect(starts()).toBe(0);
	});

	it('sent twice is made once, and what is kept agrees with the log', () => {
		const id = append(cut({ starts: 21 }), 1);
		const write = {
			opId: 'correct-op-1',
			at: at(2),
			entry: cut({ starts: 3 }),
			inputsHash: null,
			modelVersion: '1'
		};
		const once = store.log.correct(id, write);
		expect(store.log.correct(id, write)).toEqual({
			outcome: 'already',
			id: (once as { id: number }).id
		});
		const before = store.ledger.kept('b1');
		store.ledger.rebuild('b1');
		expect(store.ledger.kept('b1')).toEqual(before);
	});

	it('of several rows at once none goes in when one is refused', () => {
		append(cut(), 1);
		const rows = [cut(), cut()].map((entry, i) => ({
			opId: i === 0 ? 'import-op-0' : 'bench-op-1',
			benchId: 'b1',
			at: at(3),
			entry,
			inputsHash: null,
			modelVersion: '1'
		}));
		expect(() => store.log.appendAll(rows)).toThrow();
		expect(starts()).toBe(1);
	});
});

import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import {
	evidenceFromLedger,
	evidenceFromLog,
	ledgerFromLog,
	READINGS_MOST,
	type Entry,
	type LoggedEntry
} from '../core';
import type { PartKind, Why } from '../core/wear/parts';
import { openDatabase } from './db';
import { openStore, Store } from './store';

const START = Date.UTC(2026, 10, 2, 8);
const at = (minute: number) => new Date(START + 60_000 * minute).toISOString();

let store: Store;
beforeEach(() => {
	store = new Store(openDatabase(':memory:'));
	store.benches.add({ opId: 'bench-op-1', id: 'b1', bench: BAY_2, at: at(-1000) });
});
afterEach(() => {
	store.db.close();
});
let made = 0;
const append = (entry: Entry, minute: number) =>
	store.log.append({
		opId: `ledger-op-${made++}`,
		benchId: 'b1',
		at: at(minute),
		entry,
		inputsHash: null,
		modelVersion: '1'
	}).id;
const undo = (id: number) =>
	store.log.undo({ opId: `ledger-op-${made++}`, id, at: at(9999), modelVersion: '1' });
/** Sets and parts as the reference reads them. */
const torch = () => [store.sets.ofBench('b1'), store.parts.ofBench('b1')] as const;
const put = (minute: number, part: { kind: PartKind; why?: Why }) =>
	store.parts.fit({
		opId: `ledger-op-${made++}`,
		id: `part-${made}`,
		benchId: 'b1',
		at: at(minute),
		...part
	});
const takeOut = (n: number) => {
	const parts = store.parts.ofBench('b1');
	if (parts.length)
		store.parts.unfit({
			opId: `ledger-op-${made++}`,
			id: parts[n % parts.length]!.id,
			at: at(9999)
		});
};
const fit = (minute: number, how: { alone?: boolean; why?: Why } = {}) =>
	store.sets.fit({
		alone: how.alone,
		why: { electrode: how.why, nozzle: how.why },
		opId: `ledger-op-${made++}`,
		id: `set-${made}`,
		benchId: 'b1',
		name: 'Pair',
		at: at(minute)
	});
const current = () => store.sets.current('b1')?.id ?? null;
/** The whole log, as the reference reads it. */
const log = (): LoggedEntry[] => [...store.log.everything()];

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
const anEntry: fc.Arbitrary<Entry> = fc.oneof(
	{
		weight: 4,
		arbitrary: fc
			.record({
				arcS: fc.double({ min: 0, max: 600, noNaN: true }),
				starts: fc.integer({ min: 1, max: 30 }),
				start: fc.constantFrom('edge' as const, 'rolled' as const, 'pierce' as const),
				outputA: fc.integer({ min: 20, max: 45 }),
				mesh: fc.boolean()
			})
			.map(cut)
	},
	fc.double({ min: 0, max: 2, noNaN: true }).map((pitMm): Entry => ({ kind: 'pit', pitMm })),
	fc
		.double({ min: 1.05, max: 1.4, noNaN: true })
		.map((boreMm): Entry => ({ kind: 'bore', boreMm, newMm: 1.1 })),
	fc.record({
		kind: fc.constant('start' as const),
		arcS: fc.nat(30),
		start: fc.constant('edge' as const)
	}),
	fc.record({
		kind: fc.constant('test-cut' as const),
		metal: fc.constantFrom('mild-steel' as const, 'stainless' as const),
		thicknessMm: fc.integer({ min: 2, max: 12 }),
		outputA: fc.constant(45),
		nozzleA: fc.constant(45),
		speedMmS: fc.integer({ min: 5, max: 50 }),
		lagDeg: fc.constant(22),
		through: fc.constant(true),
		took: fc.constant({ lengthMm: 300, start: 'edge' as const })
	}),
	fc.record({
		kind: fc.constant('groove' as const),
		metal: fc.constant('mild-steel' as const),
		outputA: fc.constant(45),
		lengthMm: fc.integer({ min: 50, max: 3000 }),
		arcS: fc.integer({ min: 1, max: 300 }),
		starts: fc.integer({ min: 1, max: 12 }),
		nozzleA: fc.constant(45)
	}),
	fc.record({
		kind: fc.constant('test-groove' as const),
		metal: fc.constantFrom('mild-steel' as const, 'stainless' as const),
		outputA: fc.constant(45),
		angleFromPlateDeg: fc.constantFrom(35, 40, 45),
		widthMm: fc.integer({ min: 4, max: 10 }),
		depthMm: fc.integer({ min: 1, max: 5 }),
		lengthMm: fc.constant(150),
		seconds: fc.integer({ min: 8, max: 40 }),
		nozzleA: fc.constant(45),
		modelMm3S: fc.constant(110)
	}),
	fc.constant<Entry>({ kind: 'care', did: 'drain' }),
	fc.record({
		kind: fc.constant('check' as const),
		item: fc.constantFrom('gel', 'clamp', 'fault-oil'),
		word: fc.constant('not right'),
		station: fc.constantFrom('supply' as const, 'cut' as const),
		verdict: fc.constantFrom('tight' as const, 'stops' as const),
		so: fc.boolean()
	}),
	fc.record({
		kind: fc.constant('drain' as const),
		fromBar: fc.constant(8),
		toBar: fc.constant(6),
		seconds: fc.integer({ min: 20, max: 90 })
	})
);
/** What can happen to a log, at any time of the day and late. */
const aStep = fc.oneof(
	{ weight: 8, arbitrary: fc.record({ entry: anEntry, minute: fc.integer({ min: 0, max: 600 }) }) },
	{ weight: 3, arbitrary: fc.record({ undo: fc.nat() }) },
	{
		weight: 2,
		arbitrary: fc.record({
			fit: fc.integer({ min: 0, max: 600 }),
			alone: fc.boolean(),
			why: fc.constantFrom('worn' as const, 'lost' as const, undefined)
		})
	},
	{
		weight: 2,
		arbitrary: fc.record({
			put: fc.integer({ min: 0, max: 600 }),
			kind: fc.constantFrom(...(['nozzle', 'shield', 'ring', 'o-ring', 'gouge-nozzle'] as const)),
			why: fc.constantFrom('worn' as const, 'blown' as const)
		})
	},
	{ weight: 1, arbitrary: fc.record({ out: fc.nat() }) }
);

describe('what is kept beside the log', () => {
	it('property: entries, withdrawals and pairs in any order come to what reading the whole log gives', () => {
		// As at the start of the server: the sums of a bench are there before its first entry.
		store.ledger.rebuild('b1');
		fc.assert(
			fc.property(fc.array(aStep, { minLength: 1, maxLength: 40 }), (steps) => {
				store.db.exec('BEGIN');
				try {
					const ids: number[] = [];
					for (const step of steps) {
						if ('entry' in step) ids.push(append(step.entry, step.minute));
						else if ('fit' in step) fit(step.fit, step);
						else if ('put' in step) put(step.put, step);
						else if ('out' in step) takeOut(step.out);
						else if ('undo' in step && ids.length) undo(ids[step.undo % ids.length]!);
						// Asked for after every step, so that nothing kept from before passes for now.
						store.ledger.of('b1', current());
					}
					const { revision: _, ...kept } = store.ledger.of('b1', current());
					const { revision: _of, ...read } = ledgerFromLog(log(), current(), ...torch());
					expect(kept).toEqual(read);
					const evidence = evidenceFromLog(BAY_2, log(), current(), ...torch());
					expect({
						...evidenceFromLedger(BAY_2, store.ledger.of('b1', current())),
						revision: 0
					}).toEqual({ ...evidence, revision: 0 });
					// Made anew it is the same, column by column.
					const before = store.ledger.kept('b1');
					store.ledger.rebuild('b1');
					expect(store.ledger.kept('b1')).toEqual(before);
				} finally {
					store.db.exec('ROLLBACK');
					store.ledger.rebuild('b1');
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('counts the newest hundred of a kind: a shop that changed its compressor is not held to the old one', () => {
		for (let i = 0; i < READINGS_MOST + 40; i++) {
			append({ kind: 'drain', fromBar: 8, toBar: 6, seconds: i < 40 ? 30 : 60 }, i);
		}
		const evidence = evidenceFromLedger(BAY_2, store.ledger.of('b1', null));
		expect(evidence.flowLpm?.n).toBe(READINGS_MOST);
		expect(evidence.flowLpm?.mean).toBeCloseTo((90 * 2) / 1.01325, 6);
		// One taken back, and the next older one counts again.
		undo(store.log.newestOf('b1', 'drain', 1)[0]!.id);
		expect(evidenceFromLedger(BAY_2, store.ledger.of('b1', null)).flowLpm!.mean).toBeGreaterThan(
			evidence.flowLpm!.mean
		);
	});

	it('wears a gouging nozzle by grooves alone, an o-ring by every start, each since it was put in', () => {
		const groove = (starts: number): Entry => ({
			kind: 'groove',
			metal: 'mild-steel',
			outputA: 45,
			lengthMm: 300,
			arcS: 40,
			starts,
			nozzleA: 45
		});
		const starts = () => store.ledger.of('b1', null).starts;
		append(groove(5), 1);
		// Inputs of a shop that noted neither are what they were before these were counted.
		expect(starts()).toEqual({ ring: null, cap: null, shield: null });
		put(10, { kind: 'o-ring' });
		put(10, { kind: 'gouge-nozzle' });
		append(cut({ starts: 4 }), 11);
		const three = append(groove(3), 12);
		expect(starts()).toMatchObject({ 'o-ring': 7, 'gouge-nozzle': 3 });
		undo(three);
		append(groove(2), 13);
		expect(starts()).toMatchObject({ 'o-ring': 6, 'gouge-nozzle': 2 });
		// One that nobody changed for years is not counted further, from the rows or from the whole log.
		for (let i = 0; i < 12; i++) append(groove(100), 20 + i);
		expect(starts()['gouge-nozzle']).toBe(1000);
		expect(ledgerFromLog(log(), null, ...torch()).starts['gouge-nozzle']).toBe(1000);
		put(100, { kind: 'gouge-nozzle', why: 'worn' });
		expect(starts()).toMatchObject({ 'gouge-nozzle': 0, 'o-ring': 1206 });
	});

	it('goes back to the pit before when the last one is taken back', () => {
		fit(0);
		append(cut({ starts: 100 }), 1);
		append({ kind: 'pit', pitMm: 0.4 }, 2);
		append(cut({ starts: 50 }), 3);
		const second = append({ kind: 'pit', pitMm: 0.9 }, 4);
		append(cut({ starts: 7 }), 5);
		const wear = () => evidenceFromLedger(BAY_2, store.ledger.of('b1', current())).wear;
		expect(wear()).toMatchObject({
			electrode: {
				measured: [{ grownUm: 900, use: { starts: 150 } }],
				last: { grownUm: 900, useSince: { starts: 7 } }
			}
		});
		undo(second);
		expect(wear()).toMatchObject({
			electrode: {
				measured: [{ grownUm: 400, use: { starts: 100 } }],
				last: { grownUm: 400, useSince: { starts: 57 } }
			}
		});
		// One more cut before that pit, told late: it was measured on more starts.
		append(cut({ starts: 20 }), 1.5);
		expect(wear()).toMatchObject({
			electrode: { total: { starts: 177 }, last: { useSince: { starts: 57 } } }
		});
	});

	it('tells what was read on the parts in the torch, each with the starts it had made by then', () => {
		fit(0);
		append(cut({ starts: 99 }), 1);
		append({ kind: 'pit', pitMm: 0.9 }, 2);
		fit(10);
		append(cut({ starts: 40 }), 11);
		append({ kind: 'pit', pitMm: 0.2 }, 12);
		append({ kind: 'bore', boreMm: 1.13, newMm: 1.1 }, 12);
		append(cut({ starts: 30 }), 13);
		const gone = append({ kind: 'pit', pitMm: 0.5 }, 14);
		const history = () => store.ledger.historyOf('b1', store.sets.current('b1'));
		expect(history().electrode).toMatchObject([
			{ starts: 40, grownUm: 200 },
			{ starts: 70, grownUm: 500 }
		]);
		expect(history().nozzle).toMatchObject([{ starts: 40, grownUm: 30 }]);
		undo(gone);
		append(cut({ starts: 5 }), 11.5);
		expect(history().electrode).toMatchObject([{ starts: 45, grownUm: 200 }]);
		expect(history().nozzle).toMatchObject([{ starts: 45 }]);
		expect(store.ledger.historyOf('b1', undefined).electrode).toEqual([]);
	});

	it('sees what another process wrote', () => {
		const folder = mkdtempSync(join(tmpdir(), 'steady-arc-ledger-'));
		const [mine, other] = [openStore(folder), openStore(folder)];
		const write = (to: Store, minute: number, entry: Entry = cut()) =>
			to.log.append({
				opId: `ledger-op-${made++}`,
				benchId: 'b1',
				at: at(minute),
				entry,
				inputsHash: null,
				modelVersion: '1'
			});
		mine.benches.add({ opId: 'bench-op-1', id: 'b1', bench: BAY_2, at: at(-1000) });
		write(mine, 1);
		expect(mine.ledger.of('b1', null).cuts).toHaveLength(1);
		write(other, 2);
		expect(mine.ledger.of('b1', null).cuts.map((c) => c.at)).toEqual([at(2), at(1)]);
		// A pit and a test cut from there, then a cut from here that comes late: both are older by it.
		write(mine, 3);
		const use = (to: Store) => to.ledger.of('b1', null).electrode.last?.use.starts;
		write(other, 20, { kind: 'pit', pitMm: 0.4 });
		expect(use(other)).toBe(3);
		write(mine, 10);
		expect(use(mine)).toBe(4);
		mine.db.close();
		other.db.close();
		rmSync(folder, { recursive: true });
	});

	it('is there from the first entry on, also from one that took nothing of the parts', () => {
		append({ kind: 'pit', pitMm: 0.4 }, 1);
		expect(store.ledger.outdated()).toEqual([]);
	});

	it('is made anew at the start when an earlier program counted otherwise', () => {
		append(cut({ starts: 3 }), 1);
		store.db.exec('UPDATE lives SET version = 0, starts = 99');
		expect(store.ledger.outdated()).toEqual(['b1']);
		const again = new Store(store.db);
		expect(again.ledger.outdated()).toEqual([]);
		expect(again.ledger.of('b1', null).electrode.total.starts).toBe(3);
	});

	it('reads no more rows for a long log than for a short one', () => {
		const reads = () => {
			let rows = 0;
			const counted = new Store(store.db);
			for (const kind of ['cut', 'drain'] as const) {
				rows += counted.log.newestOf('b1', kind, 12).length;
			}
			const ledger = counted.ledger.of('b1', null);
			return rows + ledger.cuts.length + ledger.testCuts.length + ledger.readings.drain.length;
		};
		store.db.exec('BEGIN');
		for (let i = 0; i < 300; i++)
			append(i % 3 ? cut() : { kind: 'drain', fromBar: 8, toBar: 6, seconds: 60 }, i);
		const short = reads();
		for (let i = 300; i < 3000; i++) append(cut(), i);
		store.db.exec('COMMIT');
		expect(reads()).toBe(short);
	});
});

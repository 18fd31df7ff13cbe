import Database from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { DEFAULT_SETTINGS, evidenceFromLedger, type Entry } from '../core';
import { DATABASE_FILE, openDatabase, SCHEMA_VERSION } from './db';
import { workbenchData } from './pageData';
import { Store } from './store';
import { ReusedError } from './writes';

const AT = '2026-11-25T08:00:00.000Z';
const START: Entry = { kind: 'start', arcS: 1, start: 'edge' };

let store: Store;
beforeEach(() => {
	store = new Store(openDatabase(':memory:'));
	store.benches.add({ opId: 'bench-op-1', id: 'b1', bench: BAY_2, at: AT });
});
afterEach(() => {
	store.db.close();
});

const append = (opId: string, entry: Entry = START, at = AT) =>
	store.log.append({
		opId,
		benchId: 'b1',
		at,
		entry,
		inputsHash: 'abc',
		modelVersion: '1'
	});

describe('the log', () => {
	it('stores the same op_id once and names the row it made', () => {
		const first = append('same-op-1');
		const second = append('same-op-1');
		expect(first.outcome).toBe('logged');
		expect(second).toEqual({ outcome: 'already', id: first.id });
		expect(store.log.newest('b1', 100)).toHaveLength(1);
	});

	it('takes an entry back by a row that points at it, once, and keeps it in the record', () => {
		const { id } = append('entry-1-a');
		const undo = (opId: string) => store.log.undo({ opId, id, at: AT, modelVersion: '1' });
		expect(undo('undo-1-aa').outcome).toBe('undone');
		expect(undo('undo-2-bb').outcome).toBe('already');
		const [row] = store.log.newest('b1', 100);
		expect(row).toMatchObject({ id, undone: true, entry: START, inputsHash: 'abc' });
		expect(store.log.undo({ opId: 'undo-3-cc', id: 999, at: AT, modelVersion: '1' }).outcome).toBe(
			'unknown'
		);
	});

	it('refuses an entry for a bench that does not exist', () => {
		const entry = { opId: 'orphan-op', benchId: 'none', at: AT, entry: START };
		expect(() => store.log.append({ ...entry, inputsHash: null, modelVersion: '1' })).toThrow(
			/FOREIGN KEY/
		);
		expect([...store.log.everything()]).toHaveLength(0);
	});

	it('refuses an op_id that belongs to another write, of whatever kind', () => {
		const { id } = append('first-op-1');
		const other = append('other-op-1');
		expect(() => append('first-op-1', { kind: 'pit', pitMm: 0.4 })).toThrow(ReusedError);
		expect(() => append('bench-op-1')).toThrow(/add bench/);
		const undo = (opId: string, of: number) =>
			store.log.undo({ opId, id: of, at: AT, modelVersion: '1' });
		expect(() => undo('first-op-1', other.id)).toThrow(/start/);
		expect(undo('undo-op-1', id).outcome).toBe('undone');
		expect(undo('undo-op-1', id).outcome).toBe('already');
		expect(() => undo('undo-op-1', other.id)).toThrow(ReusedError);
		expect(() =>
			store.settings.save({ opId: 'first-op-1', revision: 0, settings: DEFAULT_SETTINGS, at: AT })
		).toThrow(ReusedError);
		expect(store.log.newest('b1', 100).map((row) => row.undone)).toEqual([false, true]);
	});

	it('makes evidence in which an undone entry counts for nothing', () => {
		const before = evidenceFromLedger(BAY_2, store.ledger.of('b1', null));
		const { id } = append('count-op-1', { ...START, arcS: 30 });
		const with1 = evidenceFromLedger(BAY_2, store.ledger.of('b1', null));
		store.log.undo({ opId: 'count-op-2', id, at: AT, modelVersion: '1' });
		const after = evidenceFromLedger(BAY_2, store.ledger.of('b1', null));
		expect(with1.wear.electrode.total).toMatchObject({ starts: 1, pilotS: 30 });
		expect({ ...after, revision: 0 }).toEqual({ ...before, revision: 0 });
	});
});

describe('benches and settings', () => {
	it('save over the revision they started from, and never over another', () => {
		const save = (opId: string, revision: number, name: string) =>
			store.benches.save({ opId, id: 'b1', revision, bench: { ...BAY_2, name }, at: AT });
		expect(save('save-op-1', 1, 'mine').outcome).toBe('saved');
		const stale = save('save-op-2', 1, 'late');
		expect(stale).toMatchObject({
			outcome: 'stale',
			stored: { revision: 2, bench: { name: 'mine' } },
			yours: { name: 'late' }
		});
		expect(store.benches.find('b1')?.bench.name).toBe('mine');
		expect(
			store.benches.save({ opId: 'save-op-3', id: 'none', revision: 1, bench: BAY_2, at: AT })
				.outcome
		).toBe('unknown');
	});

	it('answer a repeat of the same op_id with the first result and store nothing again', () => {
		const save = () =>
			store.benches.save({
				opId: 'repeat-op',
				id: 'b1',
				revision: 1,
				bench: { ...BAY_2, name: 'x' },
				at: AT
			});
		expect(save()).toEqual(save());
		expect(store.benches.find('b1')?.revision).toBe(2);
		const add = () => store.benches.add({ opId: 'add-op-22', id: 'b2', bench: BAY_2, at: AT });
		add();
		add();
		expect(store.benches.all()).toHaveLength(2);
	});

	it('are read once for what stands in the store, and can be changed by nobody who was given one', () => {
		const { bench } = store.benches.find('b1')!;
		expect(store.benches.find('b1')!.bench).toBe(bench);
		expect(() => Object.assign(bench.cutter, { cleanMm: 1 })).toThrow(TypeError);
		// Behind the program's back, its revision as before.
		store.db.exec("UPDATE benches SET data = json_set(data, '$.name', 'Bay 9') WHERE id = 'b1'");
		expect(store.benches.find('b1')!.bench.name).toBe('Bay 9');
	});

	it('show the end of their log as it is, also when something was taken back or corrected', () => {
		const shown = () =>
			workbenchData(store, store.benches.find('b1')!, 'metric').log.map(({ id, undone }) => [
				id,
				undone
			]);
		const { id } = append('entry-of-page-1');
		expect(shown()).toEqual([[id, false]]);
		store.log.undo({ opId: 'undo-of-page', id, at: AT, modelVersion: '1' });
		expect(shown()).toEqual([[id, true]]);
		const second = append('entry-of-page-2');
		const write = { opId: 'corrected-page', at: AT, inputsHash: null, modelVersion: '1' };
		const corrected = store.log.correct(second.id, { ...write, entry: { ...START, arcS: 2 } });
		expect(shown()).toEqual([
			[(corrected as { id: number }).id, false],
			[second.id, true],
			[id, true]
		]);
	});

	it('keep settings with a revision of their own', () => {
		expect(store.settings.get()).toEqual({ revision: 0, settings: DEFAULT_SETTINGS });
		const settings = { ...DEFAULT_SETTINGS, pitLimitMm: 1 };
		expect(store.settings.save({ opId: 'set-op-01', revision: 0, settings, at: AT }).outcome).toBe(
			'saved'
		);
		expect(store.settings.save({ opId: 'set-op-02', revision: 0, settings, at: AT }).outcome).toBe(
			'stale'
		);
		expect(store.settings.get()).toEqual({ revision: 1, settings });
	});
});

describe('consumable sets', () => {
	const fit = (id: string, at = AT, revision?: number) =>
		store.sets.fit({ opId: `fit-op-${id}`, id, benchId: 'b1', name: `Pair ${id}`, at, revision });
	const unfit = (opId: string, id: string, previousId: string | null) =>
		store.sets.unfit({ opId, id, previousId, at: AT });
	const later = (minutes: number) => new Date(Date.parse(AT) + 60_000 * minutes).toISOString();

	it('leave one pair in the torch, and an empty one can be taken out again', () => {
		fit('A');
		expect(fit('B', later(1))).toMatchObject({ outcome: 'fitted', previousId: 'A', revision: 2 });
		expect(store.sets.current('b1')?.id).toBe('B');
		expect(unfit('unfit-op-1', 'B', 'A')).toEqual({ outcome: 'unfitted', revision: 3 });
		expect(store.sets.current('b1')?.id).toBe('A');
		expect(unfit('unfit-op-1', 'B', 'A')).toEqual({ outcome: 'unfitted', revision: 3 });
	});

	it('stay once something was logged on them', () => {
		fit('A');
		append('on-set-op');
		expect(unfit('unfit-op-2', 'A', null).outcome).toBe('refused');
		expect(store.sets.current('b1')?.id).toBe('A');
	});

	it('are put in by one of two people: the other one is shown what is in the torch', () => {
		fit('A', AT, 0);
		expect(fit('B', later(1), 0)).toMatchObject({
			outcome: 'stale',
			theirs: { revision: 1, set: { id: 'A' } }
		});
		expect(store.sets.ofBench('b1')).toHaveLength(1);
		expect(fit('B', later(1), 1).outcome).toBe('fitted');
		expect(unfit('unfit-op-3', 'A', null)).toMatchObject({
			outcome: 'refused',
			why: 'Pair A is not in the torch any more.',
			theirs: { set: { id: 'B' } }
		});
		expect(unfit('unfit-op-4', 'B', 'of another bench')).toMatchObject({ outcome: 'refused' });
		expect(store.sets.current('b1')?.id).toBe('B');
	});

	it('own the entries of their own time, whenever they come', () => {
		fit('A', later(0));
		fit('B', later(10));
		const setOf = (id: number) => store.log.find(id)!.setId;
		const early = append('early-op-1', START, later(5));
		const before = append('before-op-1', START, later(-5));
		const now = append('now-op-1', START, later(12));
		expect([early, before, now].map(({ id }) => setOf(id))).toEqual(['A', null, 'B']);
		// A pair that was put in at 11, told by a phone that was offline until now.
		fit('C', later(11));
		expect(setOf(now.id)).toBe('C');
		expect(setOf(early.id)).toBe('A');
		// And one that was in between: the newest stays in the torch.
		const at3 = append('at-3-op-1', START, later(3));
		expect(fit('D', later(4))).toMatchObject({ set: { removedAt: later(10) }, previousId: 'A' });
		expect([early, at3].map(({ id }) => setOf(id))).toEqual(['D', 'A']);
		expect(store.sets.current('b1')?.id).toBe('C');
		const total = (setId: string) => store.ledger.of('b1', setId).electrode.total.starts;
		expect(['A', 'B', 'C', 'D'].map(total)).toEqual([1, 0, 1, 1]);
	});
});

describe('charts, cards and outlines', () => {
	it('are changed over the revision that was seen, and never over another', () => {
		const row = {
			metal: 'mild-steel' as const,
			outputA: 45,
			nozzleA: null,
			thicknessMm: 6,
			speedMmS: 20,
			pressureBar: null,
			standoffMm: null,
			kerfMm: null,
			pierceMm: null,
			pierceS: null
		};
		const put = (opId: string, revision: number | undefined, rows = [row]) =>
			store.charts.put({ opId, benchId: 'b1', revision, name: 'Mine', rows, at: AT });
		expect(put('chart-op-1', undefined)).toEqual({ outcome: 'saved', revision: 1 });
		expect(put('chart-op-2', undefined)).toMatchObject({
			outcome: 'stale',
			theirs: { revision: 1, rows: [row] }
		});
		expect(put('chart-op-1', undefined)).toEqual({ outcome: 'saved', revision: 1 });
		// Taken away and put anew it is not the chart that was seen before.
		expect(put('chart-op-3', 1, [])).toEqual({ outcome: 'saved', revision: 2 });
		expect(store.charts.find('b1')).toBeUndefined();
		expect(put('chart-op-4', 1).outcome).toBe('stale');
		expect(put('chart-op-5', 2)).toEqual({ outcome: 'saved', revision: 3 });

		const contours = '[[{"x":0,"y":0,"bulge":1},{"x":9,"y":0,"bulge":1}]]';
		store.outlines.add({ opId: 'line-op-1', id: 'o1', name: 'Disc', savedAt: AT, contours });
		const keep = (opId: string, revision: number) =>
			store.outlines.keep({ opId, id: 'o1', kept: false, revision, at: AT });
		expect(keep('line-op-2', 1)).toEqual({ outcome: 'kept', revision: 2 });
		expect(keep('line-op-3', 1)).toMatchObject({ outcome: 'stale', theirs: { kept: false } });
	});
});

describe('the file', () => {
	it('reopens with everything in it, and refuses a shape from the future', () => {
		const folder = mkdtempSync(join(tmpdir(), 'steady-arc-db-'));
		const first = new Store(openDatabase(folder));
		first.benches.add({ opId: 'file-op-1', id: 'f1', bench: BAY_2, at: AT });
		first.db.close();
		const second = new Store(openDatabase(folder));
		expect(second.benches.find('f1')?.bench).toEqual(BAY_2);
		expect(second.db.pragma('synchronous', { simple: true })).toBe(2);
		second.db.pragma(`user_version = ${SCHEMA_VERSION + 1}`);
		second.db.close();
		expect(() => openDatabase(folder)).toThrow(/newer Steady Arc/);
		rmSync(folder, { recursive: true });
	});

	it('is backed up while open, and the copy restores', async () => {
		const folder = mkdtempSync(join(tmpdir(), 'steady-arc-db-'));
		const live = new Store(openDatabase(folder));
		live.benches.add({ opId: 'back-op-1', id: 'f1', bench: BAY_2, at: AT });
		const restored = mkdtempSync(join(tmpdir(), 'steady-arc-db-'));
		await live.db.backup(join(restored, DATABASE_FILE));
		const copy = new Store(openDatabase(restored));
		expect(copy.benches.find('f1')?.bench.name).toBe('Bay 2');
		expect(
			new Database(join(restored, DATABASE_FILE)).pragma('integrity_check', { simple: true })
		).toBe('ok');
		copy.db.close();
		live.db.close();
		for (const path of [folder, restored]) rmSync(path, { recursive: true });
	});
});

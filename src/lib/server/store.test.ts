import Database from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { DEFAULT_SETTINGS, evidenceFromLog, type Entry } from '../core';
import { DATABASE_FILE, openDatabase, SCHEMA_VERSION } from './db';
import { Store } from './store';

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

const append = (opId: string, entry: Entry = START, setId: string | null = null) =>
	store.log.append({
		opId,
		benchId: 'b1',
		setId,
		at: AT,
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
		expect(store.log.ofBench('b1')).toHaveLength(1);
	});

	it('takes an entry back by a row that points at it, once, and keeps it in the record', () => {
		const { id } = append('entry-1-a');
		const undo = (opId: string) => store.log.undo({ opId, id, at: AT, modelVersion: '1' });
		expect(undo('undo-1-aa').outcome).toBe('undone');
		expect(undo('undo-2-bb').outcome).toBe('already');
		const [row] = store.log.ofBench('b1');
		expect(row).toMatchObject({ id, undone: true, entry: START, inputsHash: 'abc' });
		expect(store.log.undo({ opId: 'undo-3-cc', id: 999, at: AT, modelVersion: '1' }).outcome).toBe(
			'unknown'
		);
	});

	it('refuses an entry for a bench or a set that does not exist', () => {
		expect(() => append('orphan-op', START, 'no-such-set')).toThrow(/FOREIGN KEY/);
		expect(store.log.ofBench('b1')).toHaveLength(0);
	});

	it('makes evidence in which an undone entry counts for nothing', () => {
		const before = evidenceFromLog(BAY_2, store.log.ofBench('b1'), null);
		const { id } = append('count-op-1', { ...START, arcS: 30 });
		const with1 = evidenceFromLog(BAY_2, store.log.ofBench('b1'), null);
		store.log.undo({ opId: 'count-op-2', id, at: AT, modelVersion: '1' });
		const after = evidenceFromLog(BAY_2, store.log.ofBench('b1'), null);
		expect(with1.wear.total).toMatchObject({ starts: 1, pilotS: 30 });
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
	const fit = (id: string) =>
		store.sets.fit({ opId: `fit-op-${id}`, id, benchId: 'b1', name: `Pair ${id}`, at: AT });

	it('leave one pair in the torch, and an empty one can be taken out again', () => {
		fit('A');
		fit('B');
		expect(store.sets.current('b1')?.id).toBe('B');
		expect(store.sets.unfit({ opId: 'unfit-op-1', id: 'B', previousId: 'A', at: AT })).toBe(true);
		expect(store.sets.current('b1')?.id).toBe('A');
	});

	it('stay once something was logged on them', () => {
		fit('A');
		append('on-set-op', START, 'A');
		expect(store.sets.unfit({ opId: 'unfit-op-2', id: 'A', previousId: null, at: AT })).toBe(false);
		expect(store.sets.current('b1')?.id).toBe('A');
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

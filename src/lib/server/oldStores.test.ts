import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { BenchSchema, DEFAULT_CUT, MODEL_VERSION, plan, SettingsSchema, type Cut } from '../core';
import { BENCH, ENTRY, KINDS } from '../core/stored/kinds';
import { jsonSchema } from '../formats/openapi';
import * as v from 'valibot';
import { savedCardData } from './cardData';
import { DATABASE_FILE } from './db';
import { workbenchData } from './pageData';
import { openStore, type Store } from './store';
import { UnreadableError } from './stored';

const FOLDER = 'tests/stores';
const OLD = readdirSync(FOLDER).filter((name) => name.endsWith('.db'));

let opened: { store: Store; folder: string } | undefined;
/** A copy of an old store, changed as its own program might have, opened by today's. */
function open(name: string, change: (db: Database.Database) => void = () => {}): Store {
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-old-'));
	const file = join(folder, DATABASE_FILE);
	copyFileSync(join(FOLDER, name), file);
	const db = new Database(file);
	change(db);
	db.close();
	opened = { store: openStore(folder), folder };
	return opened.store;
}
afterEach(() => {
	opened?.store.db.close();
	if (opened) rmSync(opened.folder, { recursive: true });
	opened = undefined;
});

describe('a store of an earlier state', () => {
	it('stands here for every state that was landed', () => {
		expect(OLD).toEqual([
			'after-answers.db',
			'after-checks.db',
			'after-cut.db',
			'after-first-slice.db',
			'after-gouge.db',
			'after-groups.db',
			'after-kerf.db',
			'after-lists.db',
			'after-photos.db',
			'after-sensor.db',
			'after-setup.db',
			'after-supply.db',
			'after-wear.db',
			'after-words.db'
		]);
	});

	it.each(OLD)('%s opens: benches, settings, log, charts, and a plan on every bench', (name) => {
		const store = open(name);
		const benches = store.benches.all();
		expect(benches).toHaveLength(2);
		for (const { id, bench } of benches) {
			expect(v.parse(BenchSchema, bench)).toEqual(bench);
			const data = workbenchData(store, store.benches.find(id)!, 'metric');
			const { figures } = plan({
				...data,
				cut: DEFAULT_CUT,
				work: bench.usual,
				chart: store.charts.forPlan(id)
			});
			expect(figures['setup.speedMmS'].value).toBeGreaterThan(5);
			expect(figures['wear.cutsLeft'].value).toBeGreaterThan(0);
		}
		const { settings } = store.settings.get();
		expect(v.parse(SettingsSchema, settings)).toEqual(settings);
		const rows = Number(
			store.db.prepare("SELECT count(*) FROM log WHERE kind <> 'undo'").pluck().get()
		);
		expect([...store.log.everything()]).toHaveLength(rows);
		expect(rows).toBeGreaterThan(10);
	});

	it.each(OLD.filter((name) => /setup|cut/.test(name)))(
		'%s opens its cards, told as what they are',
		(name) => {
			const store = open(name);
			const cards = store.cards.everything();
			expect(cards.length).toBeGreaterThan(2);
			for (const { id } of cards) {
				const found = store.cards.find(id)!;
				expect(found.plan).toBeNull();
				const { saved, workbench } = savedCardData(store, found, 'metric');
				expect(saved).toMatchObject({ kept: false, modelToday: MODEL_VERSION });
				expect(saved!.modelVersion).not.toBe(MODEL_VERSION);
				expect(
					plan({ ...workbench, chart: found.inputs.chart }).figures['setup.currentA'].value
				).toBeGreaterThan(0);
			}
		}
	);

	it('keeps its sums where they were counted as today, and they are what its log comes to', () => {
		const store = open('after-kerf.db', (db) => {
			const [sums] = db
				.prepare('SELECT sum(worn_nm) AS worn, sum(starts) AS starts FROM ledgers')
				.all();
			expect(sums).toEqual({ worn: 1_839_695, starts: 339 });
			// What a program that makes all sums anew would put right.
			db.exec('UPDATE log SET data = replace(data, \'"starts":\', \'"starts":1\')');
		});
		const sums =
			'SELECT sum(worn_nm) AS worn, sum(starts) AS starts, max(version) AS version FROM lives';
		expect(store.db.prepare(sums).get()).toEqual({ worn: 1_839_695, starts: 339, version: 3 });
	});

	it.each(OLD)('%s comes to the same sums when they are made anew', (name) => {
		const store = open(name);
		for (const { id } of store.benches.all()) {
			const before = store.ledger.kept(id);
			store.ledger.rebuild(id);
			expect(store.ledger.kept(id)).toEqual(before);
		}
	});

	it('reads a test cut from before "through" was told as one that went through', () => {
		const store = open('after-supply.db', (db) => {
			const row = db.prepare('SELECT bench_id AS b FROM log LIMIT 1').get() as { b: string };
			db.prepare(
				"INSERT INTO log (op_id, bench_id, set_id, kind, at, data, model_version) VALUES ('old-test-cut', ?, NULL, 'test-cut', '2026-11-20T08:00:00Z', ?, '1')"
			).run(
				row.b,
				'{"kind":"test-cut","metal":"mild-steel","thicknessMm":6,"outputA":45,"speedMmS":20,"lagDeg":22}'
			);
		});
		const cut = [...store.log.everything()].find(({ entry }) => entry.kind === 'test-cut')!;
		expect(cut.entry).toMatchObject({ through: true });
	});
});

describe('a saved card', () => {
	it('of before grooves had cards is for its cut', () => {
		const store = open('after-photos.db');
		const { id: benchId } = store.benches.all()[0]!;
		const cards = store.cards.ofBench(benchId);
		expect(cards.length).toBeGreaterThan(2);
		expect(new Set(cards.map(({ what }) => what))).toEqual(new Set(['cut']));
		// Its groove had equal legs.
		const { inputs } = store.cards.find(cards.find(({ name }) => name.startsWith('Pintle'))!.id)!;
		expect(inputs.cut.gouge).toMatchObject({ target: 'fillet', legMm: 6, upLegMm: null });
	});

	it('keeps the numbers it was saved with, whatever the model says later', () => {
		const store = open('after-cut.db');
		const { id: benchId, bench } = store.benches.all()[0]!;
		const chart = store.charts.forPlan(benchId);
		const data = workbenchData(store, store.benches.find(benchId)!, 'metric');
		const inputs = { ...data, cut: DEFAULT_CUT as Cut, work: bench.usual, bench, chart };
		const now = plan(inputs);
		const kept = {
			modelVersion: '5',
			inputsHash: now.inputsHash,
			verdict: now.verdict,
			findings: [],
			figures: {
				...now.figures,
				'setup.speedMmS': { value: 7.5, basis: 'M' as const, way: 'model' }
			}
		};
		const { evidence, cut, work, settings } = inputs;
		store.cards.add({
			opId: 'card-kept-1',
			id: 'kept',
			benchId,
			name: 'Kept',
			what: 'cut',
			search: '',
			inputs: { bench, evidence, cut, work, settings, chart },
			plan: kept,
			inputsHash: now.inputsHash,
			modelVersion: '5',
			savedAt: '2026-11-26T08:00:00.000Z'
		});
		const found = store.cards.find('kept')!;
		expect(found.plan!.figures['setup.speedMmS']!.value).toBe(7.5);
		const { saved, workbench } = savedCardData(store, found, 'metric');
		expect(workbench.kept).toEqual(found.plan);
		expect(saved!.moved.join()).toContain('7.5 mm/s then');
		// Of a groove it is the groove that is compared.
		const before = { value: 7, basis: 'M' as const, way: 'lines' };
		const groove: typeof found = {
			...found,
			card: { ...found.card, what: 'groove' },
			plan: { ...kept, figures: { ...now.figures, 'gouge.pieceS': before } }
		};
		const { moved } = savedCardData(store, groove, 'metric').saved!;
		expect(moved.join()).toContain('Arc for one piece: 7 s then');
		expect(moved.join()).not.toContain('7.5 mm/s');
	});
});

describe('the plan of a card from before prices had a quantity', () => {
	it('opens with the numbers it was saved with', () => {
		const store = open('after-groups.db');
		const rows = store.db.prepare('SELECT id, plan, plan_version AS version FROM cards').all() as {
			id: string;
			plan: string;
			version: number;
		}[];
		expect(rows).toHaveLength(3);
		for (const { id, plan: written, version } of rows) {
			expect(version).toBe(3);
			const kept = store.cards.find(id)!.plan!;
			expect(kept).toEqual(JSON.parse(written));
			expect(kept.figures['setup.currentA']!.value).toBeGreaterThan(0);
		}
	});
});

describe('a list of the first shape', () => {
	it('opens with its items and ticks; nobody had said breaks, or measured a first piece', () => {
		const store = open('after-lists.db');
		const lists = store.benches.all().flatMap(({ id }) => store.dayLists.ofBench(id));
		expect(lists).toHaveLength(1);
		const [{ list }] = lists as [(typeof lists)[number]];
		expect(list.items.length).toBeGreaterThan(3);
		expect(list).toMatchObject({ breaks: [], endsAt: null });
		for (const item of list.items) expect(item).toMatchObject({ paths: [], offsetMm: null });
	});
});

describe('a damaged row', () => {
	it('is told by its name, and takes neither the other benches nor the log with it', () => {
		const store = open('after-cut.db', (db) => {
			db.exec(
				'UPDATE benches SET data = \'{"name":"half"}\' WHERE id = (SELECT min(id) FROM benches)'
			);
			db.exec('UPDATE log SET data = \'{"kind":"cut","arcS":-4}\' WHERE id = 1');
		});
		expect(store.benches.all()).toHaveLength(1);
		const id = store.db.prepare('SELECT min(id) FROM benches').pluck().get() as string;
		expect(() => store.benches.find(id)).toThrow(UnreadableError);
		const log = [...store.log.everything()];
		expect(log.map((row) => row.id)).not.toContain(1);
		expect(log.length).toBeGreaterThan(10);
	});
});

describe('every kind that is kept', () => {
	it('raises its version when its shape changes: the shape of each version is on record', () => {
		const shape = (schema: v.GenericSchema) =>
			createHash('sha256')
				.update(JSON.stringify(jsonSchema(schema)))
				.digest('hex')
				.slice(0, 16);
		const now = Object.fromEntries(
			KINDS.map(({ name, version, schema }) => [`${name} ${version}`, shape(schema)])
		);
		const record = JSON.parse(readFileSync(`${FOLDER}/shapes.json`, 'utf8')) as object;
		// A new shape wants a new version, an upgrade from the one before, and a store of it in this folder.
		expect(record).toMatchObject(now);
	});

	it('brings every earlier version up step by step, and never past its own', () => {
		for (const kind of KINDS) {
			for (let version = 1; version <= kind.version; version++) {
				expect(kind.read(undefined, version).ok, `${kind.name} ${version}`).toBe(false);
			}
			expect(kind.read(null, kind.version + 1)).toMatchObject({ ok: false });
		}
		expect(BENCH.version).toBe(6);
		expect(ENTRY.version).toBe(8);
	});
});

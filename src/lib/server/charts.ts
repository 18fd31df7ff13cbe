import type Database from 'better-sqlite3';
import { LRUCache } from 'lru-cache';
import { CHART } from '$lib/core/stored/kinds';
import { readStored } from './stored';
import { chartHash, type Chart, type ChartRow } from '$lib/core';
import { OnceOnly } from './writes';

export interface StoredChart {
	name: string;
	/** Also moved on when a chart is taken away. */
	revision: number;
	chart: Chart;
}
export type PutResult =
	| { outcome: 'saved'; revision: number }
	| { outcome: 'stale'; theirs: { revision: number; name: string; rows: ChartRow[] } };
interface Row {
	name: string;
	rows: string;
	version: number;
	revision: number;
}

/** Charts read and checked, by bench and revision: ten thousand rows are not read for every page. */
const READ_MOST = 16;

export class ChartRepository {
	readonly #once: OnceOnly;
	readonly #one: Database.Statement<[string], Row>;
	readonly #revision: Database.Statement<[string], { revision: number }>;
	readonly #put: Database.Statement<[string, string, string, string]>;
	readonly #read = new LRUCache<string, StoredChart>({ max: READ_MOST });

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#one = db.prepare('SELECT name, rows, version, revision FROM charts WHERE bench_id = ?');
		this.#revision = db.prepare('SELECT revision FROM charts WHERE bench_id = ?');
		this.#put = db.prepare(
			`INSERT INTO charts (bench_id, name, rows, changed_at, version) VALUES (?, ?, ?, ?, ${CHART.version})
			ON CONFLICT (bench_id) DO UPDATE SET name = excluded.name, rows = excluded.rows,
				changed_at = excluded.changed_at, version = excluded.version, revision = revision + 1`
		);
	}

	/** 0: there never was one. */
	revisionOf(benchId: string): number {
		return this.#revision.get(benchId)?.revision ?? 0;
	}

	find(benchId: string): StoredChart | undefined {
		const revision = this.revisionOf(benchId);
		if (revision === 0) return undefined;
		const key = `${benchId}/${revision}`;
		let stored = this.#read.get(key);
		if (!stored) {
			const row = this.#one.get(benchId)!;
			const rows = readStored(CHART, `Cut chart of bench ${benchId}`, row.rows, row.version);
			stored = { name: row.name, revision, chart: { hash: chartHash(rows), rows } };
			this.#read.set(key, stored);
		}
		// One that was taken away stands as an empty one, so that its revision goes on.
		return stored.chart.rows.length ? stored : undefined;
	}

	/** As the plan takes it. */
	forPlan(benchId: string): Chart | null {
		return this.find(benchId)?.chart ?? null;
	}

	/** Puts the whole chart in place of the one before, over `revision` only; no rows take it away. */
	put(write: {
		opId: string;
		benchId: string;
		revision: number | undefined;
		name: string;
		rows: ChartRow[];
		at: string;
	}): PutResult {
		const { benchId } = write;
		const op = { opId: write.opId, at: write.at, kind: 'save chart', target: benchId };
		const made = this.#once.run<PutResult>(op, () => {
			const revision = this.revisionOf(benchId);
			if ((write.revision ?? 0) !== revision) {
				const now = this.find(benchId);
				const theirs = { revision, name: now?.name ?? 'Cut chart', rows: now?.chart.rows ?? [] };
				return { refused: { outcome: 'stale', theirs } };
			}
			this.#put.run(benchId, write.name, JSON.stringify(write.rows), write.at);
			return { id: benchId, revision: revision + 1 };
		});
		return 'refused' in made ? made.refused : { outcome: 'saved', revision: made.revision };
	}
}

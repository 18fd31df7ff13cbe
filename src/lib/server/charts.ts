import type Database from 'better-sqlite3';
import { CHART } from '$lib/core/stored/kinds';
import { readStored } from './stored';
import { chartHash, type Chart, type ChartRow } from '$lib/core';
import { OnceOnly } from './writes';

export interface StoredChart {
	name: string;
	rows: ChartRow[];
}
interface Row {
	name: string;
	rows: string;
	version: number;
}

export class ChartRepository {
	readonly #once: OnceOnly;
	readonly #one: Database.Statement<[string], Row>;
	readonly #put: Database.Statement<[string, string, string, string]>;
	readonly #drop: Database.Statement<[string]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#one = db.prepare('SELECT name, rows, version FROM charts WHERE bench_id = ?');
		this.#put = db.prepare(
			`INSERT INTO charts (bench_id, name, rows, changed_at, version) VALUES (?, ?, ?, ?, ${CHART.version})
			ON CONFLICT (bench_id) DO UPDATE SET name = excluded.name, rows = excluded.rows,
				changed_at = excluded.changed_at, version = excluded.version`
		);
		this.#drop = db.prepare('DELETE FROM charts WHERE bench_id = ?');
	}

	find(benchId: string): StoredChart | undefined {
		const row = this.#one.get(benchId);
		if (!row) return undefined;
		const rows = readStored(CHART, `Cut chart of bench ${benchId}`, row.rows, row.version);
		return { name: row.name, rows };
	}

	/** As the plan takes it. */
	forPlan(benchId: string): Chart | null {
		const stored = this.find(benchId);
		return stored ? { hash: chartHash(stored.rows), rows: stored.rows } : null;
	}

	/** Puts the whole chart in place of the one before; no rows take it away. */
	put(write: { opId: string; benchId: string; name: string; rows: ChartRow[]; at: string }): {
		rows: number;
	} {
		return this.#once.run(write.opId, write.at, () => {
			if (write.rows.length === 0) this.#drop.run(write.benchId);
			else this.#put.run(write.benchId, write.name, JSON.stringify(write.rows), write.at);
			return { rows: write.rows.length };
		});
	}
}

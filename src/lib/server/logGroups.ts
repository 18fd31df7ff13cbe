import type Database from 'better-sqlite3';

/** What counts in the log: nothing that was taken back, nor the rows that take back. */
export const STANDS = "undone = 0 AND kind <> 'undo'";

/** Of a log with more groups the sums are made of its rows. */
export const GROUPS_MOST = 5000;
/** So many rows that came one by one since are put together with the rest. */
const LATER_MOST = 500;

const BY = 'bench_id, kind, metal, start, thickness_um, output_da';
const SUMS = 'count(*), sum(starts), sum(arc_ms), sum(length_mm), min(at)';

/**
 * The log of a bench, summed by everything that can be asked of it but time and words: some hundred rows in place
 * of a hundred thousand. They are kept for this connection only, and caught up with the log when they are asked.
 */
export class LogGroups {
	readonly #newest: Database.Statement<[string], { id: number | null }>;
	readonly #takenBack: Database.Statement<[string, number], { id: number }>;
	readonly #clear: Database.Statement<[string]>;
	readonly #whole: Database.Statement<[string]>;
	readonly #later: Database.Statement<[string, number]>;
	/** By bench: the last row that is in, and how many groups came later than the whole. */
	readonly #kept = new Map<string, { upTo: number; later: number } | 'too many'>();

	constructor(db: Database.Database) {
		db.exec(`CREATE TEMP TABLE IF NOT EXISTS log_groups (bench_id TEXT, kind TEXT, metal TEXT, start TEXT,
			thickness_um INTEGER, output_da INTEGER, count INTEGER, starts INTEGER, arc_ms INTEGER,
			length_mm INTEGER, at TEXT)`);
		this.#newest = db.prepare('SELECT max(id) AS id FROM log WHERE bench_id = ?');
		this.#takenBack = db.prepare(
			`SELECT id FROM log WHERE bench_id = ? AND id > ? AND (kind = 'undo' OR corrects IS NOT NULL) LIMIT 1`
		);
		this.#clear = db.prepare('DELETE FROM log_groups WHERE bench_id = ?');
		this.#whole =
			db.prepare(`INSERT INTO log_groups SELECT ${BY}, ${SUMS} FROM log INDEXED BY log_by_time
			WHERE bench_id = ? AND ${STANDS} GROUP BY ${BY}`);
		this.#later =
			db.prepare(`INSERT INTO log_groups SELECT ${BY}, ${SUMS} FROM log INDEXED BY log_by_bench
			WHERE bench_id = ? AND id > ? AND ${STANDS} GROUP BY ${BY}`);
	}

	/** Whether the groups of a bench stand for its log as it is now; not where there are too many of them. */
	standFor(benchId: string): boolean {
		const kept = this.#kept.get(benchId);
		if (kept === 'too many') return false;
		const upTo = this.#newest.get(benchId)!.id ?? 0;
		if (kept?.upTo === upTo) return true;
		if (kept && kept.later <= LATER_MOST && !this.#takenBack.get(benchId, kept.upTo)) {
			const { changes } = this.#later.run(benchId, kept.upTo);
			this.#kept.set(benchId, { upTo, later: kept.later + changes });
			return true;
		}
		this.#clear.run(benchId);
		const few = this.#whole.run(benchId).changes <= GROUPS_MOST;
		if (!few) this.#clear.run(benchId);
		this.#kept.set(benchId, few ? { upTo, later: 0 } : 'too many');
		return few;
	}
}

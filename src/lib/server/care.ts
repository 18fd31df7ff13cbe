import type Database from 'better-sqlite3';
import { careDue, type CareDone, type CareDue, type CareKind } from '$lib/core/care/care';
import { dayMs } from '$lib/formats/days';

/** The arc of so many days tells the pace of a bench. */
const PACE_DAYS = 28;
const DAY_MS = 24 * 3600 * 1000;
const MS_PER_H = 3_600_000;

interface DoneRow {
	did: CareKind;
	at: string;
	againDays: number | null;
}

/** What was looked after, as the log tells it. */
export class CareRepository {
	readonly #newest: Database.Statement<[string, string], DoneRow>;
	readonly #arcSince: Database.Statement<[string, string], { arcMs: number }>;

	constructor(db: Database.Database) {
		// One kind at a time from the newest on: a yearly one stands far below the daily ones.
		this.#newest = db.prepare(
			`SELECT json_extract(data, '$.did') AS did, at, json_extract(data, '$.againDays') AS againDays
			FROM log INDEXED BY log_by_kind
			WHERE bench_id = ? AND kind = 'care' AND undone = 0 AND json_extract(data, '$.did') = ?
			ORDER BY at DESC, id DESC LIMIT 1`
		);
		this.#arcSince = db.prepare(
			`SELECT coalesce(sum(arc_ms), 0) AS arcMs FROM log
			WHERE bench_id = ? AND undone = 0 AND at >= ?`
		);
	}

	/** What is next of these on a bench, the soonest first. */
	due(benchId: string, kinds: readonly CareKind[], nowMs: number): CareDue[] {
		const arcH = (since: string) => this.#arcSince.get(benchId, since)!.arcMs / MS_PER_H;
		const arcHPerDay = arcH(new Date(nowMs - PACE_DAYS * DAY_MS).toISOString()) / PACE_DAYS;
		return kinds
			.map((kind) => {
				const row = this.#newest.get(benchId, kind);
				const done: CareDone | null = row
					? { atMs: Date.parse(row.at), everyDays: row.againDays, arcSinceH: arcH(row.at) }
					: null;
				return careDue(kind, done, { nowMs, arcHPerDay, dayOf: dayMs });
			})
			.sort((x, y) => x.dueMs - y.dueMs);
	}
}

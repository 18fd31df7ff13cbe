import type Database from 'better-sqlite3';
import type { Found, FoundPage } from '$lib/formats/logFound';
import { startOfDay } from '$lib/formats/days';
import type { LogQuery } from '$lib/formats/logQuery';
import type { LogRepository, LogRow } from './log';

/** Place in the order of the log: its time and number. */
export interface Place {
	at: string;
	id: number;
}

/** A place as `next` wrote it; undefined: it is none. */
export function placeOf(text: string): Place | undefined {
	const [, at, id] = /^([0-9T:.Z-]{10,30}),(\d{1,15})$/.exec(text) ?? [];
	return at === undefined ? undefined : { at, id: Number(id) };
}

/** A thickness that was typed is met within a twentieth of a millimetre; amps within a tenth. */
const THICKNESS_UM = 50;
const OUTPUT_DA = 1;

/** The conditions of a query with their values: texts of ours, values of theirs. */
function conditions(benchId: string, q: LogQuery): { sql: string; values: unknown[] } {
	const parts = ["bench_id = ? AND undone = 0 AND kind <> 'undo'"];
	const values: unknown[] = [benchId];
	const either = (sql: string, each: readonly unknown[][]) => {
		if (each.length === 0) return;
		parts.push(`(${each.map(() => sql).join(' OR ')})`);
		values.push(...each.flat());
	};
	either(
		'thickness_um BETWEEN ? AND ?',
		q.thicknessMm.map((mm) => [
			Math.round(1000 * mm) - THICKNESS_UM,
			Math.round(1000 * mm) + THICKNESS_UM
		])
	);
	either(
		'output_da BETWEEN ? AND ?',
		q.outputA.map((a) => [Math.round(10 * a) - OUTPUT_DA, Math.round(10 * a) + OUTPUT_DA])
	);
	either(
		'kind = ?',
		q.kinds.map((kind) => [kind])
	);
	either(
		'metal = ?',
		q.metals.map((metal) => [metal])
	);
	either(
		'start = ?',
		q.starts.map((start) => [start])
	);
	if (q.from !== undefined) {
		parts.push('at >= ?');
		values.push(startOfDay(q.from));
	}
	if (q.before !== undefined) {
		parts.push('at < ?');
		values.push(startOfDay(q.before));
	}
	// In these words the index of what was said is told apart from the rest of the log.
	if (q.words.length > 0) parts.push('(what_for IS NOT NULL OR who IS NOT NULL)');
	for (const word of q.words) {
		parts.push('(instr(lower(what_for), lower(?)) > 0 OR instr(lower(who), lower(?)) > 0)');
		values.push(word, word);
	}
	return { sql: parts.join(' AND '), values };
}

/** Finds in the log of a bench, newest first. */
export class LogSearch {
	constructor(
		readonly db: Database.Database,
		readonly log: LogRepository
	) {}

	/** All that was found in short. */
	sums(benchId: string, query: LogQuery): Found {
		const { sql, values } = conditions(benchId, query);
		return this.db
			.prepare<unknown[], Found>(
				`SELECT count(*) AS count, coalesce(sum(length_mm), 0) AS lengthMm,
					coalesce(sum(starts), 0) AS starts, coalesce(sum(arc_ms), 0) AS arcMs, min(at) AS since
				FROM log WHERE ${sql}`
			)
			.get(...values)!;
	}

	/** All of it, newest first, a page of rows at a time. */
	*each(benchId: string, query: LogQuery): Generator<LogRow> {
		let before: Place | undefined;
		for (;;) {
			const places = this.#places(benchId, query, 200, before);
			for (const { id } of places) {
				const row = this.log.find(id);
				if (row) yield row;
			}
			before = places.at(-1);
			if (places.length < 200) return;
		}
	}

	#places(benchId: string, query: LogQuery, most: number, before?: Place): Place[] {
		const { sql, values } = conditions(benchId, query);
		return this.db
			.prepare<unknown[], Place>(
				`SELECT at, id FROM log WHERE ${sql} ${before ? 'AND (at, id) < (?, ?)' : ''}
				ORDER BY at DESC, id DESC LIMIT ?`
			)
			.all(...values, ...(before ? [before.at, before.id] : []), most);
	}

	/** A page of it, and of what each row stands in for. */
	page(benchId: string, query: LogQuery, most: number, before?: Place): FoundPage {
		const ids = this.#places(benchId, query, most, before);
		const last = ids.at(-1);
		return {
			found: this.sums(benchId, query),
			entries: ids.flatMap(({ id }) => {
				const row = this.log.find(id);
				if (!row) return [];
				return [
					{ ...row, was: row.corrects === null ? null : (this.log.find(row.corrects) ?? null) }
				];
			}),
			next: ids.length === most && last ? `${last.at},${last.id}` : null
		};
	}
}

import type Database from 'better-sqlite3';
import { NEWEST_FIRST, type Found, type FoundPage, type LogOrder } from '$lib/formats/logFound';
import { startOfDay } from '$lib/formats/days';
import type { LogQuery } from '$lib/formats/logQuery';
import type { LogRepository, LogRow } from './log';
import { LogGroups, STANDS } from './logGroups';

/** Place in an order of the log: what it is ordered by (0 by time alone), its time and number. */
export interface Place {
	value: number;
	at: string;
	id: number;
}

/** A place as `next` wrote it, earlier ones without a value; undefined: it is none. */
export function placeOf(text: string): Place | undefined {
	const [, value = '0', at, id] =
		/^(?:(\d{1,16}),)?([0-9T:.Z-]{10,30}),(\d{1,15})$/.exec(text) ?? [];
	return at === undefined ? undefined : { value: Number(value), at, id: Number(id) };
}

/** More than any run or arc. What has none comes last, whichever end is asked for first. */
const NONE = 1e15;
const VALUES = {
	at: { down: '0', up: '0' },
	length: { down: 'length_mm', up: `coalesce(nullif(length_mm, 0), ${NONE})` },
	arc: { down: 'arc_ms', up: `coalesce(nullif(arc_ms, 0), ${NONE})` }
} as const satisfies Record<LogOrder['by'], { down: string; up: string }>;

/** A thickness that was typed is met within a twentieth of a millimetre; amps within a tenth. */
const THICKNESS_UM = 50;
const OUTPUT_DA = 1;

/** The conditions of a query with their values: texts of ours, values of theirs. */
function conditions(benchId: string, q: LogQuery): { sql: string; values: unknown[] } {
	const parts = ['bench_id = ?'];
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

/** Finds in the log of a bench. */
export class LogSearch {
	/** Sums of the question asked last: its other pages and orders have the same. */
	#last: { question: string; revision: number; found: Found } | undefined;
	readonly #groups: LogGroups;

	constructor(
		readonly db: Database.Database,
		readonly log: LogRepository
	) {
		this.#groups = new LogGroups(db);
	}

	/** All that was found in short. */
	sums(benchId: string, query: LogQuery): Found {
		const { sql, values } = conditions(benchId, query);
		const question = JSON.stringify([sql, values]);
		const revision = this.log.ledger.revisionOf(benchId);
		if (this.#last?.question === question && this.#last.revision === revision)
			return this.#last.found;
		const anyTime = query.from === undefined && query.before === undefined;
		const grouped = anyTime && query.words.length === 0 && this.#groups.standFor(benchId);
		const found = this.db
			.prepare<unknown[], Found>(
				`SELECT ${grouped ? 'coalesce(sum(count), 0)' : 'count(*)'} AS count,
					coalesce(sum(length_mm), 0) AS lengthMm, coalesce(sum(starts), 0) AS starts,
					coalesce(sum(arc_ms), 0) AS arcMs, min(at) AS since
				FROM ${grouped ? 'log_groups WHERE' : `log WHERE ${STANDS} AND`} ${sql}`
			)
			.get(...values)!;
		this.#last = { question, revision, found };
		return found;
	}

	/** All of it, newest first, a page of rows at a time. */
	*each(benchId: string, query: LogQuery): Generator<LogRow> {
		let before: Place | undefined;
		for (;;) {
			const places = this.#places(benchId, query, 200, NEWEST_FIRST, before);
			for (const { id } of places) {
				const row = this.log.find(id);
				if (row) yield row;
			}
			before = places.at(-1);
			if (places.length < 200) return;
		}
	}

	#places(
		benchId: string,
		query: LogQuery,
		most: number,
		{ by, down }: LogOrder,
		before?: Place
	): Place[] {
		const { sql, values } = conditions(benchId, query);
		const value = VALUES[by][down ? 'down' : 'up'];
		const [beyond, direction] = down ? ['<', 'DESC'] : ['>', 'ASC'];
		// By time alone the index has the order; with a number before it, it would be sorted.
		const keys = by === 'at' ? ['at', 'id'] : [value, 'at', 'id'];
		const from =
			before && (by === 'at' ? [before.at, before.id] : [before.value, before.at, before.id]);
		return this.db
			.prepare<unknown[], Place>(
				`SELECT ${value} AS value, at, id FROM log
				WHERE ${STANDS} AND ${sql} ${from ? `AND (${keys.join(', ')}) ${beyond} (${from.map(() => '?').join(', ')})` : ''}
				ORDER BY ${keys.map((key) => `${key} ${direction}`).join(', ')} LIMIT ?`
			)
			.all(...values, ...(from ?? []), most);
	}

	/** A page of it, and of what each row stands in for. */
	page(
		benchId: string,
		query: LogQuery,
		most: number,
		before?: Place,
		order: LogOrder = NEWEST_FIRST
	): FoundPage {
		const ids = this.#places(benchId, query, most, order, before);
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
			next: ids.length === most && last ? `${last.value},${last.at},${last.id}` : null
		};
	}
}

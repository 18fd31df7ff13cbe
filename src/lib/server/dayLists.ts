import type Database from 'better-sqlite3';
import type { DayList } from '$lib/core/list/inputs';
import { DAY_LIST } from '$lib/core/stored/kinds';
import type { Tick, Ticked } from '$lib/formats/ticked';
import type { LogRepository, NewEntry } from './log';
import { readStored, UnreadableError } from './stored';
import { OnceOnly, ReusedError } from './writes';

/** A list of a bench as it stands. */
export interface StoredDayList {
	id: string;
	benchId: string;
	revision: number;
	changedAt: string;
	archivedAt: string | null;
	list: DayList;
}
export type SaveResult =
	| { outcome: 'saved'; stored: StoredDayList }
	| { outcome: 'stale'; stored: StoredDayList }
	| { outcome: 'unknown' };

type Row = Omit<StoredDayList, 'list'> & { data: string; version: number };

const COLUMNS = `id, bench_id AS benchId, revision, changed_at AS changedAt, archived_at AS archivedAt, data, version`;
/** A list may be ticked so often: two thousand pieces, failed and paused between. */
const TICKS_MOST = 6000;
/** A tick whose undo came first: it is stored nowhere when it comes. */
const HELD_BACK = 'tick held back';

/** The day's lists and their ticks. */
export class DayListRepository {
	readonly #once: OnceOnly;
	readonly #of: Database.Statement<[string], Row>;
	readonly #one: Database.Statement<[string], Row>;
	readonly #all: Database.Statement<[], Row>;
	readonly #add: Database.Statement<string[]>;
	readonly #put: Database.Statement<(string | null)[]>;
	readonly #ticks: Database.Statement<[string, number], Tick>;
	readonly #presses: Database.Statement<[string], { presses: number }>;
	readonly #tickBy: Database.Statement<
		[string],
		{ id: number; listId: string; kind: string; item: string; logId: number | null; undone: number }
	>;
	readonly #otherWrite: Database.Statement<[string, string], { kind: string; target: string }>;
	readonly #tick: Database.Statement<(string | number | null)[]>;
	readonly #takeBack: Database.Statement<[number]>;

	constructor(
		readonly db: Database.Database,
		readonly log: LogRepository
	) {
		this.#once = new OnceOnly(db);
		this.#of = db.prepare(
			`SELECT ${COLUMNS} FROM day_lists WHERE bench_id = ? ORDER BY archived_at IS NOT NULL, changed_at DESC, id LIMIT 200`
		);
		this.#one = db.prepare(`SELECT ${COLUMNS} FROM day_lists WHERE id = ?`);
		this.#all = db.prepare(`SELECT ${COLUMNS} FROM day_lists ORDER BY changed_at, id`);
		this.#add = db.prepare(
			`INSERT INTO day_lists (id, bench_id, data, version, revision, changed_at)
			VALUES (?, ?, ?, ${DAY_LIST.version}, 1, ?)`
		);
		this.#put = db.prepare(
			`UPDATE day_lists SET data = ?, version = ${DAY_LIST.version}, revision = revision + 1, changed_at = ?,
				archived_at = ? WHERE id = ?`
		);
		this.#ticks = db.prepare(
			`SELECT op_id AS opId, item, kind, at FROM list_ticks
			WHERE list_id = ? AND undone = 0 ORDER BY at, id LIMIT ?`
		);
		this.#presses = db.prepare(
			'SELECT COUNT(*) + TOTAL(undone) AS presses FROM list_ticks WHERE list_id = ?'
		);
		this.#tickBy = db.prepare(
			`SELECT id, list_id AS listId, kind, item, log_id AS logId, undone FROM list_ticks WHERE op_id = ?`
		);
		this.#otherWrite = db.prepare(
			`SELECT kind, target FROM writes WHERE op_id = ? UNION ALL SELECT kind, '' FROM log WHERE op_id = ?`
		);
		this.#tick = db.prepare(
			'INSERT INTO list_ticks (op_id, list_id, item, kind, at, log_id) VALUES (?, ?, ?, ?, ?, ?)'
		);
		this.#takeBack = db.prepare('UPDATE list_ticks SET undone = 1 WHERE id = ?');
	}

	/** Of a bench: those in use first, the newest first. One that cannot be read is told and left out. */
	ofBench(benchId: string): StoredDayList[] {
		return this.#of.all(benchId).flatMap(readable);
	}
	find(id: string): StoredDayList | undefined {
		const row = this.#one.get(id);
		return row && storedOf(row);
	}
	*everything(): Generator<StoredDayList & { ticks: Tick[] }> {
		for (const stored of this.#all.all().flatMap(readable))
			yield { ...stored, ticks: this.ticks(stored.id) };
	}

	/** A new list (revision 0), or another version over a known one. */
	save(write: {
		opId: string;
		id: string;
		benchId: string;
		revision: number;
		list: DayList;
		at: string;
	}): SaveResult {
		return this.#change(write, 'save day’s list', (before) => {
			if (!before) {
				if (write.revision !== 0) return { outcome: 'unknown' };
				this.#add.run(write.id, write.benchId, JSON.stringify(write.list), write.at);
				return 1;
			}
			if (before.revision !== write.revision) return { outcome: 'stale', stored: before };
			this.#put.run(JSON.stringify(write.list), write.at, before.archivedAt, write.id);
			return before.revision + 1;
		});
	}
	/** Put away, or taken out again. */
	archive(write: {
		opId: string;
		id: string;
		revision: number;
		archived: boolean;
		at: string;
	}): SaveResult {
		return this.#change(write, 'archive day’s list', (before) => {
			if (!before) return { outcome: 'unknown' };
			if (before.revision !== write.revision) return { outcome: 'stale', stored: before };
			const at = write.archived ? write.at : null;
			this.#put.run(JSON.stringify(before.list), before.changedAt, at, write.id);
			return before.revision + 1;
		});
	}
	#change(
		{ opId, id, at }: { opId: string; id: string; at: string },
		kind: string,
		change: (before: StoredDayList | undefined) => number | SaveResult
	): SaveResult {
		const made = this.#once.run<SaveResult>({ opId, at, kind, target: id }, () => {
			const revision = change(this.find(id));
			return typeof revision === 'number' ? { id, revision } : { refused: revision };
		});
		if ('refused' in made) return made.refused;
		const stored = this.find(id)!;
		return { outcome: 'saved', stored: { ...stored, revision: made.revision } };
	}

	/** What was ticked and stands, oldest first. */
	ticks(listId: string): Tick[] {
		return this.#ticks.all(listId, TICKS_MOST);
	}

	ticked(listId: string): Ticked {
		return { ticks: this.ticks(listId), presses: this.#presses.get(listId)!.presses };
	}

	/** Appends one, with its entry of the log, all or nothing; again stores nothing. */
	tick(write: Tick & { listId: string; entry?: NewEntry | undefined }): 'ticked' | 'already' {
		const { opId, listId, item, kind, at, entry } = write;
		return this.db
			.transaction(() => {
				const before = this.#tickBy.get(opId);
				if (before) {
					if (before.listId === listId && before.kind === kind && before.item === item)
						return 'already';
					throw new ReusedError(before.kind);
				}
				const other = this.#otherWrite.get(opId, opId);
				if (other?.kind === HELD_BACK && other.target === listId) return 'already';
				if (other) throw new ReusedError(other.kind);
				const logId = entry ? this.log.append(entry).id : null;
				this.#tick.run(opId, listId, item, kind, at, logId);
				return 'ticked';
			})
			.immediate();
	}
	/** Takes one back, and its entry with it; `early`: also before it has come. */
	untick(write: {
		opId: string;
		listId: string;
		undoes: string;
		at: string;
		modelVersion: string;
		early?: boolean | undefined;
	}): 'undone' | 'already' | 'unknown' {
		return this.db
			.transaction(() => {
				const tick = this.#tickBy.get(write.undoes);
				if (!tick && write.early) {
					const { undoes, at, listId } = write;
					const held = { opId: undoes, at, kind: HELD_BACK, target: listId };
					this.#once.run(held, () => ({ id: undoes, revision: 1 }));
					return 'undone';
				}
				if (tick?.listId !== write.listId) return 'unknown';
				if (tick.undone) return 'already';
				this.#takeBack.run(tick.id);
				const { opId, at, modelVersion } = write;
				if (tick.logId !== null) this.log.undo({ opId, id: tick.logId, at, modelVersion });
				return 'undone';
			})
			.immediate();
	}
}

function storedOf({ data, version, ...row }: Row): StoredDayList {
	return { ...row, list: readStored(DAY_LIST, `The day’s list ${row.id}`, data, version) };
}
function readable(row: Row): StoredDayList[] {
	try {
		return [storedOf(row)];
	} catch (error) {
		if (!(error instanceof UnreadableError)) throw error;
		console.error(error.message);
		return [];
	}
}

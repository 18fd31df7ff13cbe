import type Database from 'better-sqlite3';
import type { Entry, LoggedEntry } from '$lib/core';
import { entryOf, type EntryRow } from './entryRow';
import type { LedgerRepository } from './ledger';
import { DERIVED, DERIVED_MARKS, derivedOf } from './ledgerColumns';
import type { SetRepository } from './sets';
import { ENTRY } from '$lib/core/stored/kinds';
import { ReusedError } from './writes';

/** One row as screens and exports see it. */
export interface LogRow extends LoggedEntry {
	opId: string;
	benchId: string;
	inputsHash: string | null;
	modelVersion: string;
	/** Who did it and what for, where somebody said. */
	who: string | null;
	whatFor: string | null;
	/** The row that this one stands in for. */
	corrects: number | null;
}

export interface NewEntry {
	opId: string;
	benchId: string;
	/** When it was done: it belongs to the pair that was in the torch then. */
	at: string;
	entry: Entry;
	inputsHash: string | null;
	modelVersion: string;
	who?: string | null;
	whatFor?: string | null;
}

interface Row extends EntryRow {
	opId: string;
	kind: string;
	undone: number;
	inputsHash: string | null;
	modelVersion: string;
	who: string | null;
	whatFor: string | null;
	corrects: number | null;
}

export type AppendResult = { outcome: 'logged' | 'already'; id: number };
export type UndoResult =
	/** `corrected`: another row stands in for it since; that one is to be taken back first. */
	{ outcome: 'undone' | 'already' | 'corrected'; id: number } | { outcome: 'unknown' };
export type CorrectResult =
	| { outcome: 'corrected' | 'already'; id: number }
	| { outcome: 'unknown' }
	/** Taken back, or corrected by somebody else. */
	| { outcome: 'gone' };

const COLUMNS = `id, op_id AS opId, bench_id AS benchId, set_id AS setId, kind, at, data, version, undone,
	inputs_hash AS inputsHash, model_version AS modelVersion, who, what_for AS whatFor, corrects`;

function readable(rows: readonly Row[]): LogRow[] {
	return rows.flatMap(({ data, version, kind: _kind, undone, ...row }) => {
		const entry = entryOf({ id: row.id, data, version });
		return entry ? [{ ...row, entry, undone: undone === 1 }] : [];
	});
}

/** Of a row that only takes another one back. */
const NOTHING_DERIVED = derivedOf({ kind: 'look', seen: 'clean' });

export class LogRepository {
	/** Made once: making a transaction costs as much as three of its statements. */
	readonly #inOne: Database.Transaction<(e: NewEntry) => AppendResult>;
	readonly #append: Database.Statement<unknown[]>;
	readonly #byOp: Database.Statement<
		[string],
		{ id: number; benchId: string; kind: string; undoes: number | null }
	>;
	readonly #otherWrite: Database.Statement<[string], { kind: string }>;
	readonly #markUndone: Database.Statement<[number, number]>;
	readonly #correctedBy: Database.Statement<[number], { id: number }>;
	readonly #newest: Database.Statement<[string, number, number], Row>;
	readonly #measured: Database.Statement<[string, string, number], Row>;
	readonly #after: Database.Statement<[number, number, number], Row>;
	readonly #last: Database.Statement<[], { id: number | null }>;
	readonly #one: Database.Statement<[number], Row>;

	constructor(
		readonly db: Database.Database,
		readonly ledger: LedgerRepository,
		readonly sets: SetRepository
	) {
		this.#inOne = db.transaction((e) => this.#appended(e));
		this.#append = db.prepare(
			`INSERT INTO log (op_id, bench_id, set_id, kind, at, data, undoes, inputs_hash,
				model_version, who, what_for, corrects, version, ${DERIVED})
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ${ENTRY.version}, ${DERIVED_MARKS})`
		);
		this.#byOp = db.prepare(
			'SELECT id, bench_id AS benchId, kind, undoes FROM log WHERE op_id = ?'
		);
		this.#otherWrite = db.prepare('SELECT kind FROM writes WHERE op_id = ?');
		this.#markUndone = db.prepare('UPDATE log SET undone = ? WHERE id = ?');
		this.#correctedBy = db.prepare(`SELECT id FROM log AS c WHERE corrects = ?
				AND NOT EXISTS (SELECT 1 FROM log WHERE undoes = c.id)`);
		this.#newest = db.prepare(
			`SELECT ${COLUMNS} FROM log
			WHERE bench_id = ? AND kind <> 'undo' AND id < ? ORDER BY id DESC LIMIT ?`
		);
		this.#measured = db.prepare(
			`SELECT ${COLUMNS} FROM log
			WHERE bench_id = ? AND kind = ? AND undone = 0 ORDER BY at DESC, id DESC LIMIT ?`
		);
		this.#after = db.prepare(
			`SELECT ${COLUMNS} FROM log WHERE kind <> 'undo' AND id > ? AND id <= ? ORDER BY id LIMIT ?`
		);
		this.#last = db.prepare('SELECT max(id) AS id FROM log');
		this.#one = db.prepare(`SELECT ${COLUMNS} FROM log WHERE id = ? AND kind <> 'undo'`);
	}

	/** The row an `opId` made before; throws when it belongs to another write. */
	#before(
		opId: string,
		is: (row: { benchId: string; kind: string; undoes: number | null }) => boolean
	) {
		const row = this.#byOp.get(opId);
		if (row && !is(row)) throw new ReusedError(row.kind);
		if (!row) this.#noOtherWrite(opId);
		return row;
	}

	#noOtherWrite(opId: string): void {
		const other = this.#otherWrite.get(opId);
		if (other) throw new ReusedError(other.kind);
	}

	/** Appends one entry; the same `opId` again stores nothing and names the row it made. */
	append(e: NewEntry): AppendResult {
		return this.#inOne.immediate(e);
	}

	#appended(e: NewEntry): AppendResult {
		const { benchId, at, entry } = e;
		this.#noOtherWrite(e.opId);
		const setId = this.sets.at(benchId, at)?.id ?? null;
		let id: number;
		try {
			const { lastInsertRowid } = this.#append.run(
				e.opId,
				benchId,
				setId,
				entry.kind,
				at,
				JSON.stringify(entry),
				null,
				e.inputsHash,
				e.modelVersion,
				e.who ?? null,
				e.whatFor ?? null,
				null,
				...derivedOf(entry)
			);
			id = Number(lastInsertRowid);
		} catch (error) {
			// Asked only now: nearly every entry is a new one, and the insert finds out by itself.
			const before = this.#before(
				e.opId,
				(row) => row.benchId === benchId && row.kind === entry.kind
			);
			if (!before) throw error;
			return { outcome: 'already', id: before.id };
		}
		this.ledger.count({ id, benchId, setId, at, entry });
		return { outcome: 'logged', id };
	}

	/** Takes an entry back by a row that points at it. */
	undo(write: { opId: string; id: number; at: string; modelVersion: string }): UndoResult {
		return this.db
			.transaction((): UndoResult => {
				const row = this.#one.get(write.id);
				if (!row) return { outcome: 'unknown' };
				this.#before(write.opId, ({ undoes }) => undoes === write.id);
				if (row.undone) {
					const outcome = this.#correctedBy.get(write.id) ? 'corrected' : 'already';
					return { outcome, id: write.id };
				}
				this.#append.run(
					write.opId,
					row.benchId,
					row.setId,
					'undo',
					write.at,
					'{}',
					write.id,
					null,
					write.modelVersion,
					null,
					null,
					null,
					...NOTHING_DERIVED
				);
				this.#markUndone.run(1, write.id);
				const entry = entryOf(row);
				if (entry) this.ledger.discount({ ...row, entry });
				if (row.corrects !== null) this.#putBack(row.corrects);
				return { outcome: 'undone', id: write.id };
			})
			.immediate();
	}

	/** Several together, in the order they are named: all of them or none. */
	undoAll({
		opId,
		ids,
		...write
	}: {
		opId: string;
		ids: readonly number[];
		at: string;
		modelVersion: string;
	}): UndoResult[] {
		return this.db
			.transaction(() => ids.map((id, i) => this.undo({ ...write, opId: `${opId}-${i}`, id })))
			.immediate();
	}

	/** A row that was corrected counts again. */
	#putBack(id: number): void {
		const row = this.#one.get(id);
		if (!row) return;
		this.#markUndone.run(0, id);
		const entry = entryOf(row);
		if (entry) this.ledger.count({ ...row, entry });
	}

	/** Another row stands in for one that was wrong: the old one stays in the record and counts no more. */
	correct(id: number, e: Omit<NewEntry, 'benchId'>): CorrectResult {
		return this.db
			.transaction((): CorrectResult => {
				const old = this.#one.get(id);
				if (!old) return { outcome: 'unknown' };
				const before = this.#before(
					e.opId,
					(row) => row.benchId === old.benchId && row.kind === e.entry.kind
				);
				if (before) return { outcome: 'already', id: before.id };
				if (old.undone) return { outcome: 'gone' };
				const was = entryOf(old);
				this.#markUndone.run(1, id);
				if (was) this.ledger.discount({ ...old, entry: was });
				const { benchId } = old;
				const setId = this.sets.at(benchId, e.at)?.id ?? null;
				const { lastInsertRowid } = this.#append.run(
					e.opId,
					benchId,
					setId,
					e.entry.kind,
					e.at,
					JSON.stringify(e.entry),
					null,
					e.inputsHash,
					e.modelVersion,
					e.who ?? null,
					e.whatFor ?? null,
					id,
					...derivedOf(e.entry)
				);
				const made = Number(lastInsertRowid);
				this.ledger.count({ id: made, benchId, setId, at: e.at, entry: e.entry });
				return { outcome: 'corrected', id: made };
			})
			.immediate();
	}

	/** Several at once: all of them or none. */
	appendAll(entries: readonly NewEntry[]): AppendResult[] {
		return this.db.transaction(() => entries.map((e) => this.append(e))).immediate();
	}

	find(id: number): LogRow | undefined {
		const row = this.#one.get(id);
		return row && readable([row])[0];
	}

	/** A page of what was written on a bench, newest first, undone ones marked; before the row `beforeId`. */
	newest(benchId: string, most: number, beforeId = Number.MAX_SAFE_INTEGER): LogRow[] {
		return readable(this.#newest.all(benchId, beforeId, most));
	}

	/** The newest of a kind that count. */
	newestOf(benchId: string, kind: Entry['kind'], most: number): LogRow[] {
		return readable(this.#measured.all(benchId, kind, most));
	}

	/** The whole log as it stands now, in the order it was written, read as it is taken. */
	*everything(): Generator<LogRow> {
		const last = this.#last.get()!.id ?? 0;
		for (let after = 0; after < last;) {
			const rows = this.#after.all(after, last, 500);
			if (rows.length === 0) return;
			yield* readable(rows);
			after = rows.at(-1)!.id;
		}
	}
}

import type Database from 'better-sqlite3';
import type { Entry, LoggedEntry } from '$lib/core';
import { ENTRY } from '$lib/core/stored/kinds';
import { readStored, UnreadableError } from './stored';

/** One row as screens and exports see it. */
export interface LogRow extends LoggedEntry {
	opId: string;
	benchId: string;
	at: string;
	inputsHash: string | null;
	modelVersion: string;
}

export interface NewEntry {
	opId: string;
	benchId: string;
	setId: string | null;
	at: string;
	entry: Entry;
	inputsHash: string | null;
	modelVersion: string;
}

interface Row {
	id: number;
	opId: string;
	benchId: string;
	setId: string | null;
	at: string;
	data: string;
	version: number;
	undone: number;
	inputsHash: string | null;
	modelVersion: string;
}

export type AppendResult = { outcome: 'logged' | 'already'; id: number };
export type UndoResult = { outcome: 'undone' | 'already'; id: number } | { outcome: 'unknown' };

const SELECT = `SELECT e.id, e.op_id AS opId, e.bench_id AS benchId, e.set_id AS setId, e.at, e.data, e.version,
	EXISTS (SELECT 1 FROM log u WHERE u.undoes = e.id) AS undone,
	e.inputs_hash AS inputsHash, e.model_version AS modelVersion
	FROM log e WHERE e.kind <> 'undo'`;

const logRow = ({ data, version, undone, ...row }: Row): LogRow => ({
	...row,
	entry: readStored(ENTRY, `Log entry ${row.id}`, data, version),
	undone: undone === 1
});

/** All that can be read: one damaged entry does not take the log with it. */
const readable = (rows: readonly Row[]): LogRow[] =>
	rows.flatMap((row) => {
		try {
			return [logRow(row)];
		} catch (error) {
			if (!(error instanceof UnreadableError)) throw error;
			console.error(error.message);
			return [];
		}
	});

export class LogRepository {
	readonly #append: Database.Statement<unknown[]>;
	readonly #byOp: Database.Statement<[string], { id: number }>;
	readonly #ofBench: Database.Statement<[string], Row>;
	readonly #everything: Database.Statement<[], Row>;
	readonly #one: Database.Statement<[number], Row>;

	constructor(readonly db: Database.Database) {
		this.#append = db.prepare(
			`INSERT INTO log (op_id, bench_id, set_id, kind, at, data, undoes, inputs_hash, model_version, version)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ${ENTRY.version}) ON CONFLICT (op_id) DO NOTHING`
		);
		this.#byOp = db.prepare('SELECT id FROM log WHERE op_id = ?');
		this.#ofBench = db.prepare(`${SELECT} AND e.bench_id = ? ORDER BY e.id`);
		this.#everything = db.prepare(`${SELECT} ORDER BY e.id`);
		this.#one = db.prepare(`${SELECT} AND e.id = ?`);
	}

	/** Appends one entry; the same `opId` again stores nothing and names the row it made. */
	append(e: NewEntry): AppendResult {
		const { changes, lastInsertRowid } = this.#append.run(
			e.opId,
			e.benchId,
			e.setId,
			e.entry.kind,
			e.at,
			JSON.stringify(e.entry),
			null,
			e.inputsHash,
			e.modelVersion
		);
		if (changes === 1) return { outcome: 'logged', id: Number(lastInsertRowid) };
		return { outcome: 'already', id: this.#byOp.get(e.opId)!.id };
	}

	/** Takes an entry back by a row that points at it. */
	undo(write: { opId: string; id: number; at: string; modelVersion: string }): UndoResult {
		return this.db
			.transaction((): UndoResult => {
				const row = this.#one.get(write.id);
				if (!row) return { outcome: 'unknown' };
				if (row.undone) return { outcome: 'already', id: write.id };
				this.#append.run(
					write.opId,
					row.benchId,
					row.setId,
					'undo',
					write.at,
					'{}',
					write.id,
					null,
					write.modelVersion
				);
				return { outcome: 'undone', id: write.id };
			})
			.immediate();
	}

	find(id: number): LogRow | undefined {
		const row = this.#one.get(id);
		return row && logRow(row);
	}

	/** In the order they were written, undone ones marked. */
	ofBench(benchId: string): LogRow[] {
		return readable(this.#ofBench.all(benchId));
	}

	everything(): LogRow[] {
		return readable(this.#everything.all());
	}
}

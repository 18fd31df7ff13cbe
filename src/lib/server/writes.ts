import type Database from 'better-sqlite3';
import * as v from 'valibot';
import { isObject, kindOf } from '$lib/core/stored/kind';
import { readStored } from './stored';

/** What a write changed, and the revision it made. */
export interface Ref {
	id: string;
	revision: number;
}

/** A write as it was meant: which gesture, of which kind, on what. */
export interface Op {
	opId: string;
	at: string;
	/** "save bench". */
	kind: string;
	/** What it is done to: a repeat of its `opId` on anything else is another write. */
	target: string;
}

/** Answers of earlier programs held the whole thing; what is needed of it stands in it. */
const fromWhole = (answer: unknown): unknown => {
	const told = isObject(answer) && isObject(answer.stored) ? answer.stored : answer;
	const { id, revision } = isObject(told) ? told : {};
	return {
		id: typeof id === 'string' ? id : '',
		revision: typeof revision === 'number' ? revision : 1
	};
};
const REF = kindOf('answer', v.object({ id: v.string(), revision: v.number() }), [], () => 1);

/** The `opId` of this write already belongs to another one; nothing was stored. */
export class ReusedError extends Error {
	constructor(readonly was: string) {
		super(
			`This op_id already belongs to another write (${was}). Make a new one for every gesture.`
		);
	}
}

/** Runs a write at most once per `opId`; a repeat is told what the first one made and stores nothing. */
export class OnceOnly {
	readonly #find: Database.Statement<[string], { kind: string; target: string; result: string }>;
	readonly #keep: Database.Statement<[string, string, string, string, string]>;
	readonly #inLog: Database.Statement<[string], { kind: string }>;

	constructor(readonly db: Database.Database) {
		this.#find = db.prepare('SELECT kind, target, result FROM writes WHERE op_id = ?');
		this.#keep = db.prepare(
			'INSERT INTO writes (op_id, at, kind, target, result) VALUES (?, ?, ?, ?, ?)'
		);
		this.#inLog = db.prepare('SELECT kind FROM log WHERE op_id = ?');
	}

	/** Gives what `write` made, or made the first time; a refusal of it is given back and not kept. */
	run<R>(op: Op, write: () => Ref | { refused: R }): Ref | { refused: R } {
		return this.db
			.transaction(() => {
				const before = this.#find.get(op.opId);
				if (before) {
					const old = before.kind === '';
					if (!old && (before.kind !== op.kind || before.target !== op.target)) {
						throw new ReusedError(before.kind);
					}
					const text = old ? JSON.stringify(fromWhole(JSON.parse(before.result))) : before.result;
					return readStored(REF, `Answer to ${op.opId}`, text, 1);
				}
				const logged = this.#inLog.get(op.opId);
				if (logged) throw new ReusedError(logged.kind);
				const made = write();
				if (!('refused' in made))
					this.#keep.run(op.opId, op.at, op.kind, op.target, JSON.stringify(made));
				return made;
			})
			.immediate();
	}
}

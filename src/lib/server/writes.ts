import type Database from 'better-sqlite3';

/** Runs a write at most once per `opId`; a repeat gets the first result back and stores nothing. */
export class OnceOnly {
	readonly #find: Database.Statement<[string], { result: string }>;
	readonly #keep: Database.Statement<[string, string, string]>;

	constructor(readonly db: Database.Database) {
		this.#find = db.prepare('SELECT result FROM writes WHERE op_id = ?');
		this.#keep = db.prepare('INSERT INTO writes (op_id, at, result) VALUES (?, ?, ?)');
	}

	run<T>(opId: string, at: string, write: () => T): T {
		return this.db
			.transaction(() => {
				const before = this.#find.get(opId);
				if (before) return JSON.parse(before.result) as T;
				const result = write();
				this.#keep.run(opId, at, JSON.stringify(result));
				return result;
			})
			.immediate();
	}
}

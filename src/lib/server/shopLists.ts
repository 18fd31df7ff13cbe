import type Database from 'better-sqlite3';
import type { Kind } from '$lib/core/stored/kind';
import { FAULT_FILE, OWN_CHECKS } from '$lib/core/stored/kinds';
import type { FaultFile } from '$lib/core/faults/file';
import type { OwnCheck } from '$lib/core/preflight/own';
import { readStored, UnreadableError } from './stored';
import { OnceOnly } from './writes';

export interface StoredList<T> {
	/** 0: nobody has written one. */
	revision: number;
	value: T;
}
export type ListResult<T> =
	{ outcome: 'saved'; stored: StoredList<T> } | { outcome: 'stale'; stored: StoredList<T> };

/** One list of the shop, over a known revision; before anybody wrote it, it is what comes with the program. */
export class ShopList<T> {
	readonly #once: OnceOnly;
	readonly #get: Database.Statement<[string], { data: string; version: number; revision: number }>;
	readonly #put: Database.Statement<[string, string, number]>;

	constructor(
		db: Database.Database,
		readonly name: 'checks' | 'faults',
		readonly kind: Kind<T>,
		readonly shipped: T
	) {
		this.#once = new OnceOnly(db);
		this.#get = db.prepare('SELECT data, version, revision FROM shop_lists WHERE name = ?');
		this.#put = db.prepare(
			`INSERT INTO shop_lists (name, data, revision, version) VALUES (?, ?, ?, ${kind.version})
			ON CONFLICT (name) DO UPDATE SET data = excluded.data, revision = excluded.revision, version = excluded.version`
		);
	}

	/** One that is damaged is told, and what comes with the program stands in for it. */
	get(): StoredList<T> {
		const row = this.#get.get(this.name);
		if (!row) return { revision: 0, value: this.shipped };
		try {
			const value = readStored(this.kind, `The list of ${this.name}`, row.data, row.version);
			return { revision: row.revision, value };
		} catch (error) {
			if (!(error instanceof UnreadableError)) throw error;
			console.error(error.message);
			return { revision: row.revision, value: this.shipped };
		}
	}

	save(write: { opId: string; revision: number; value: T; at: string }): ListResult<T> {
		const { value } = write;
		const op = { opId: write.opId, at: write.at, kind: `save ${this.name}`, target: '' };
		const made = this.#once.run<ListResult<T>>(op, () => {
			const stored = this.get();
			if (stored.revision !== write.revision) return { refused: { outcome: 'stale', stored } };
			this.#put.run(this.name, JSON.stringify(value), write.revision + 1);
			return { id: '', revision: write.revision + 1 };
		});
		if ('refused' in made) return made.refused;
		return { outcome: 'saved', stored: { revision: made.revision, value } };
	}
}

/** null in place of a file: the shipped one counts, as it is in whichever program reads it. */
export const shopLists = (db: Database.Database) => ({
	checks: new ShopList<OwnCheck[]>(db, 'checks', OWN_CHECKS, []),
	faults: new ShopList<FaultFile | null>(db, 'faults', FAULT_FILE, null)
});

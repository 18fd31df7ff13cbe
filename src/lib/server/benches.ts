import type Database from 'better-sqlite3';
import { LRUCache } from 'lru-cache';
import type { Bench } from '$lib/core';
import { BENCH } from '$lib/core/stored/kinds';
import { readStored, UnreadableError } from './stored';
import { OnceOnly, type Ref } from './writes';

export interface StoredBench {
	id: string;
	revision: number;
	bench: Bench;
}
/** `stale`: somebody saved in between; both versions come back and nothing is overwritten. */
export type SaveResult =
	| { outcome: 'saved'; stored: StoredBench }
	| { outcome: 'stale'; stored: StoredBench; yours: Bench }
	| { outcome: 'unknown' };

/** `only`: the last bench of a shop is not taken away. */
export type KeepBenchResult =
	| { outcome: 'kept'; revision: number }
	| { outcome: 'stale'; stored: StoredBench }
	| { outcome: 'unknown' }
	| { outcome: 'only' };

interface Row {
	gone: 0 | 1;
	id: string;
	data: string;
	version: number;
	revision: number;
}

/** Benches read and checked, with the text that each was read from: every page needs one. */
const READ_MOST = 200;

/** What is kept is given to many: nobody may change it. */
function frozen<T>(value: T): T {
	if (typeof value === 'object' && value !== null)
		Object.values(Object.freeze(value)).forEach(frozen);
	return value;
}

export class BenchRepository {
	readonly #once: OnceOnly;
	readonly #all: Database.Statement<[], Row>;
	readonly #one: Database.Statement<[string], Row>;
	readonly #names: Database.Statement<[], { id: string; name: string }>;
	readonly #count: Database.Statement<[], { n: number }>;
	readonly #insert: Database.Statement<[string, string, string, string]>;
	readonly #update: Database.Statement<[string, string, string, number]>;
	readonly #keep: Database.Statement<[string | null, string, string]>;
	readonly #read = new LRUCache<string, { text: string; version: number; bench: Bench }>({
		max: READ_MOST
	});

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#all = db.prepare(
			'SELECT id, data, version, revision, 0 AS gone FROM benches WHERE gone_at IS NULL ORDER BY created_at, id'
		);
		this.#one = db.prepare(
			'SELECT id, data, version, revision, gone_at IS NOT NULL AS gone FROM benches WHERE id = ?'
		);
		// The name has stood at this place in every version.
		this.#names = db.prepare(
			`SELECT id, coalesce(json_extract(data, '$.name'), id) AS name FROM benches WHERE gone_at IS NULL ORDER BY created_at, id`
		);
		this.#count = db.prepare('SELECT count(*) AS n FROM benches WHERE gone_at IS NULL');
		this.#insert = db.prepare(
			`INSERT INTO benches (id, data, created_at, changed_at, version) VALUES (?, ?, ?, ?, ${BENCH.version})`
		);
		this.#update = db.prepare(
			`UPDATE benches SET data = ?, version = ${BENCH.version}, revision = revision + 1, changed_at = ? WHERE id = ? AND revision = ? AND gone_at IS NULL`
		);
		this.#keep = db.prepare(
			'UPDATE benches SET gone_at = ?, revision = revision + 1, changed_at = ? WHERE id = ?'
		);
	}

	#stored({ id, revision, data: text, version }: Row): StoredBench {
		let read = this.#read.get(id);
		if (read?.text !== text || read.version !== version) {
			const bench = frozen(readStored(BENCH, `Bench ${id}`, text, version));
			read = { text, version, bench };
			this.#read.set(id, read);
		}
		return { id, revision, bench: read.bench };
	}

	/** All that can be read: one damaged bench does not take the others with it. */
	all(): StoredBench[] {
		return this.#all.all().flatMap((row) => {
			try {
				return [this.#stored(row)];
			} catch (error) {
				if (!(error instanceof UnreadableError)) throw error;
				console.error(error.message);
				return [];
			}
		});
	}

	names(): { id: string; name: string }[] {
		return this.#names.all();
	}

	/** 0: there is no such bench, or it was taken away. */
	revisionOf(id: string): number {
		const row = this.#one.get(id);
		return row && !row.gone ? row.revision : 0;
	}

	count(): number {
		return this.#count.get()!.n;
	}

	find(id: string): StoredBench | undefined {
		const row = this.#one.get(id);
		return row && !row.gone ? this.#stored(row) : undefined;
	}

	add(write: { opId: string; id: string; bench: Bench; at: string }): StoredBench {
		const op = { opId: write.opId, at: write.at, kind: 'add bench', target: '' };
		const made = this.#once.run<never>(op, () => {
			this.#insert.run(write.id, JSON.stringify(write.bench), write.at, write.at);
			return { id: write.id, revision: 1 };
		});
		return { ...(made as Ref), bench: write.bench };
	}

	/** Takes a bench away with its log, or puts it back, over `revision` only. */
	keep(write: {
		opId: string;
		id: string;
		kept: boolean;
		revision: number;
		at: string;
	}): KeepBenchResult {
		const op = { opId: write.opId, at: write.at, kind: 'keep bench', target: write.id };
		const made = this.#once.run<KeepBenchResult>(op, () => {
			const row = this.#one.get(write.id);
			if (!row) return { refused: { outcome: 'unknown' } };
			if (row.revision !== write.revision)
				return { refused: { outcome: 'stale', stored: this.#stored(row) } };
			if (!write.kept && !row.gone && this.count() === 1) return { refused: { outcome: 'only' } };
			this.#keep.run(write.kept ? null : write.at, write.at, write.id);
			return { id: write.id, revision: row.revision + 1 };
		});
		return 'refused' in made ? made.refused : { outcome: 'kept', revision: made.revision };
	}

	/** Saves over `revision` only. A repeat of the same `opId` gets the first answer again. */
	save(write: {
		opId: string;
		id: string;
		revision: number;
		bench: Bench;
		at: string;
	}): SaveResult {
		const op = { opId: write.opId, at: write.at, kind: 'save bench', target: write.id };
		const made = this.#once.run<SaveResult>(op, () => {
			const stored = this.find(write.id);
			if (!stored) return { refused: { outcome: 'unknown' } };
			const { changes } = this.#update.run(
				JSON.stringify(write.bench),
				write.at,
				write.id,
				write.revision
			);
			if (changes === 0) return { refused: { outcome: 'stale', stored, yours: write.bench } };
			return { id: write.id, revision: write.revision + 1 };
		});
		if ('refused' in made) return made.refused;
		return {
			outcome: 'saved',
			stored: { id: write.id, revision: made.revision, bench: write.bench }
		};
	}
}

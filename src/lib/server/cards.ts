import type Database from 'better-sqlite3';
import type { PlanInputs } from '$lib/core';
import { OnceOnly } from './writes';

/** A setting card as it was saved. */
export interface SavedCard {
	id: string;
	benchId: string;
	name: string;
	/** The query that reopens it. */
	search: string;
	inputsHash: string;
	modelVersion: string;
	savedAt: string;
	removedAt: string | null;
}

const COLUMNS = `id, bench_id AS benchId, name, search, inputs_hash AS inputsHash,
	model_version AS modelVersion, saved_at AS savedAt, removed_at AS removedAt`;

export class CardRepository {
	readonly #once: OnceOnly;
	readonly #ofBench: Database.Statement<[string], SavedCard>;
	readonly #everything: Database.Statement<[], SavedCard>;
	readonly #one: Database.Statement<[string], SavedCard & { inputs: string }>;
	readonly #add: Database.Statement<string[]>;
	readonly #shelve: Database.Statement<[string | null, string]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#ofBench = db.prepare(
			`SELECT ${COLUMNS} FROM cards WHERE bench_id = ? AND removed_at IS NULL ORDER BY saved_at, id`
		);
		this.#everything = db.prepare(`SELECT ${COLUMNS} FROM cards ORDER BY saved_at, id`);
		this.#one = db.prepare(`SELECT ${COLUMNS}, inputs FROM cards WHERE id = ?`);
		this.#add = db.prepare(
			`INSERT INTO cards (id, bench_id, name, search, inputs, inputs_hash, model_version, saved_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`
		);
		this.#shelve = db.prepare('UPDATE cards SET removed_at = ? WHERE id = ?');
	}

	/** On the shelf of a bench, oldest first. */
	ofBench(benchId: string): SavedCard[] {
		return this.#ofBench.all(benchId);
	}

	everything(): SavedCard[] {
		return this.#everything.all();
	}

	/** A card with everything it was planned from. */
	find(id: string): { card: SavedCard; inputs: PlanInputs } | undefined {
		const row = this.#one.get(id);
		if (!row) return undefined;
		const { inputs, ...card } = row;
		return { card, inputs: JSON.parse(inputs) as PlanInputs };
	}

	add(write: Omit<SavedCard, 'removedAt'> & { opId: string; inputs: PlanInputs }): SavedCard {
		const { opId, inputs, ...card } = write;
		return this.#once.run(opId, write.savedAt, () => {
			this.#add.run(
				card.id,
				card.benchId,
				card.name,
				card.search,
				JSON.stringify(inputs),
				card.inputsHash,
				card.modelVersion,
				card.savedAt
			);
			return { ...card, removedAt: null };
		});
	}

	/** Takes a card off the shelf, or puts it back; false: there is no such card. */
	shelve(write: { opId: string; id: string; onShelf: boolean; at: string }): boolean {
		return this.#once.run(
			write.opId,
			write.at,
			() => this.#shelve.run(write.onShelf ? null : write.at, write.id).changes > 0
		);
	}
}

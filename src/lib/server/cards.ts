import type Database from 'better-sqlite3';
import type { KeptPlan, PlanInputs } from '$lib/core';
import { CARD_INPUTS, CARD_PLAN } from '$lib/core/stored/kinds';
import { readStored } from './stored';
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

/** A card with everything it was planned from, and the numbers it was saved with. */
export interface FoundCard {
	card: SavedCard;
	inputs: PlanInputs;
	/** null: the program of that time did not keep them. */
	plan: KeptPlan | null;
}

interface CardRow extends SavedCard {
	inputs: string;
	version: number;
	plan: string | null;
	planVersion: number;
}

const COLUMNS = `id, bench_id AS benchId, name, search, inputs_hash AS inputsHash,
	model_version AS modelVersion, saved_at AS savedAt, removed_at AS removedAt`;

export class CardRepository {
	readonly #once: OnceOnly;
	readonly #ofBench: Database.Statement<[string], SavedCard>;
	readonly #everything: Database.Statement<[], SavedCard>;
	readonly #one: Database.Statement<[string], CardRow>;
	readonly #add: Database.Statement<string[]>;
	readonly #shelve: Database.Statement<[string | null, string]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#ofBench = db.prepare(
			`SELECT ${COLUMNS} FROM cards WHERE bench_id = ? AND removed_at IS NULL ORDER BY saved_at, id`
		);
		this.#everything = db.prepare(`SELECT ${COLUMNS} FROM cards ORDER BY saved_at, id`);
		this.#one = db.prepare(
			`SELECT ${COLUMNS}, inputs, version, plan, plan_version AS planVersion FROM cards WHERE id = ?`
		);
		this.#add = db.prepare(
			`INSERT INTO cards (id, bench_id, name, search, inputs, inputs_hash, model_version, saved_at, plan,
				version, plan_version)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ${CARD_INPUTS.version}, ${CARD_PLAN.version})`
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

	find(id: string): FoundCard | undefined {
		const row = this.#one.get(id);
		if (!row) return undefined;
		const { inputs, version, plan, planVersion, ...card } = row;
		const what = `Card ${id}`;
		return {
			card,
			inputs: readStored(CARD_INPUTS, what, inputs, version),
			plan: plan === null ? null : readStored(CARD_PLAN, what, plan, planVersion)
		};
	}

	add(
		write: Omit<SavedCard, 'removedAt'> & { opId: string; inputs: PlanInputs; plan: KeptPlan }
	): SavedCard {
		const { opId, inputs, plan, ...card } = write;
		return this.#once.run(opId, write.savedAt, () => {
			this.#add.run(
				card.id,
				card.benchId,
				card.name,
				card.search,
				JSON.stringify(inputs),
				card.inputsHash,
				card.modelVersion,
				card.savedAt,
				JSON.stringify(plan)
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

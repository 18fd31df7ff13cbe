import type Database from 'better-sqlite3';
import type { KeptPlan, PlanInputs } from '$lib/core';
import { CARD_INPUTS, CARD_PLAN } from '$lib/core/stored/kinds';
import { readStored } from './stored';
import { OnceOnly, type Ref } from './writes';

export type CardWhat = 'cut' | 'groove';
/** A setting card as it was saved. */
export interface SavedCard {
	id: string;
	benchId: string;
	name: string;
	/** What it is for. */
	what: CardWhat;
	/** The query that reopens it. */
	search: string;
	inputsHash: string;
	modelVersion: string;
	savedAt: string;
	removedAt: string | null;
	revision: number;
}
export type ShelveResult =
	| { outcome: 'moved'; revision: number }
	| { outcome: 'stale'; theirs: SavedCard }
	| { outcome: 'unknown' };

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

const COLUMNS = `id, bench_id AS benchId, name, what, search, inputs_hash AS inputsHash,
	model_version AS modelVersion, saved_at AS savedAt, removed_at AS removedAt, revision`;

export class CardRepository {
	readonly #once: OnceOnly;
	readonly #ofBench: Database.Statement<[string], SavedCard>;
	readonly #everything: Database.Statement<[], SavedCard>;
	readonly #moves: Database.Statement<[string], { n: number }>;
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
		this.#moves = db.prepare(
			'SELECT coalesce(sum(revision), 0) AS n FROM cards WHERE bench_id = ?'
		);
		this.#add = db.prepare(
			`INSERT INTO cards (id, bench_id, name, what, search, inputs, inputs_hash, model_version, saved_at, plan,
				version, plan_version)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ${CARD_INPUTS.version}, ${CARD_PLAN.version})`
		);
		this.#shelve = db.prepare(
			'UPDATE cards SET removed_at = ?, revision = revision + 1 WHERE id = ?'
		);
	}

	/** On the shelf of a bench, oldest first. */
	ofBench(benchId: string): SavedCard[] {
		return this.#ofBench.all(benchId);
	}

	/** Changes with every card that comes, goes or returns. */
	revisionOf(benchId: string): number {
		return this.#moves.get(benchId)!.n;
	}

	everything(): SavedCard[] {
		return this.#everything.all();
	}

	find(id: string): FoundCard | undefined {
		const row = this.#one.get(id);
		if (!row) return undefined;
		const { inputs, version, plan, planVersion } = row;
		const card = cardOf(row);
		const what = `Card ${id}`;
		return {
			card,
			inputs: readStored(CARD_INPUTS, what, inputs, version),
			plan: plan === null ? null : readStored(CARD_PLAN, what, plan, planVersion)
		};
	}

	add(
		write: Omit<SavedCard, 'removedAt' | 'revision'> & {
			opId: string;
			inputs: PlanInputs;
			plan: KeptPlan;
		}
	): SavedCard {
		const { opId, inputs, plan, ...card } = write;
		const op = { opId, at: write.savedAt, kind: 'save card', target: card.benchId };
		const made = this.#once.run<never>(op, () => {
			this.#add.run(
				card.id,
				card.benchId,
				card.name,
				card.what,
				card.search,
				JSON.stringify(inputs),
				card.inputsHash,
				card.modelVersion,
				card.savedAt,
				JSON.stringify(plan)
			);
			return { id: card.id, revision: 1 };
		});
		return { ...card, removedAt: null, ...(made as Ref) };
	}

	/** Takes a card off the shelf, or puts it back, over `revision` only. */
	shelve(write: {
		opId: string;
		id: string;
		onShelf: boolean;
		revision: number | undefined;
		at: string;
	}): ShelveResult {
		const op = { opId: write.opId, at: write.at, kind: 'shelve card', target: write.id };
		const made = this.#once.run<ShelveResult>(op, () => {
			const row = this.#one.get(write.id);
			if (!row) return { refused: { outcome: 'unknown' } };
			if (row.revision !== write.revision) {
				return { refused: { outcome: 'stale', theirs: cardOf(row) } };
			}
			this.#shelve.run(write.onShelf ? null : write.at, write.id);
			return { id: write.id, revision: row.revision + 1 };
		});
		return 'refused' in made ? made.refused : { outcome: 'moved', revision: made.revision };
	}
}

function cardOf({
	inputs: _inputs,
	version: _v,
	plan: _plan,
	planVersion: _p,
	...card
}: CardRow): SavedCard {
	return card;
}

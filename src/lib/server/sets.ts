import type Database from 'better-sqlite3';
import type { LedgerRepository } from './ledger';
import { entryOf, type EntryRow } from './entryRow';
import type { Why } from '$lib/core/wear/parts';
import type { PartRepository } from './parts';
import { OnceOnly } from './writes';

/** Electrode and nozzle that were fitted together. */
export interface PartSet {
	id: string;
	benchId: string;
	name: string;
	fittedAt: string;
	/** null: in the torch. */
	removedAt: string | null;
	/** Why the electrode came out; null: still in, or nobody said. */
	why: Why | null;
}
/** Of each of the pair that came out. */
export interface WhyOut {
	electrode?: Why;
	nozzle?: Why;
}
/** What is in the torch of a bench now, with the revision that it makes. */
export interface Fitted {
	revision: number;
	set: PartSet | null;
}
export type FitResult =
	| { outcome: 'fitted'; set: PartSet; previousId: string | null; revision: number }
	/** Somebody changed parts in between. */
	| { outcome: 'stale'; theirs: Fitted };
export type UnfitResult =
	{ outcome: 'unfitted'; revision: number } | { outcome: 'refused'; why: string; theirs: Fitted };

const COLUMNS =
	'id, bench_id AS benchId, name, fitted_at AS fittedAt, removed_at AS removedAt, why';

/** The nozzle that came with an electrode. */
const nozzleOf = (setId: string) => `nozzle-${setId}`;

export class SetRepository {
	readonly #once: OnceOnly;
	readonly #ofBench: Database.Statement<[string], PartSet>;
	readonly #one: Database.Statement<[string], PartSet>;
	readonly #current: Database.Statement<[string], PartSet>;
	readonly #at: Database.Statement<[string, string, string], PartSet>;
	readonly #after: Database.Statement<[string, string], PartSet>;
	readonly #before: Database.Statement<[string, string, string], PartSet>;
	readonly #revision: Database.Statement<[string], { revision: number }>;
	readonly #moveOn: Database.Statement<[string]>;
	readonly #remove: Database.Statement<[string | null, string | null, string]>;
	readonly #fit: Database.Statement<[string, string, string, string, string | null, number]>;
	readonly #fromStock: Database.Statement<[string], { fromStock: number }>;
	readonly #drop: Database.Statement<[string]>;
	readonly #used: Database.Statement<[string], { id: number }>;
	readonly #since: Database.Statement<[string, string, string, string], EntryRow>;

	constructor(
		db: Database.Database,
		readonly ledger: LedgerRepository,
		readonly parts: PartRepository
	) {
		this.#once = new OnceOnly(db);
		this.#ofBench = db.prepare(
			`SELECT ${COLUMNS} FROM sets WHERE bench_id = ? ORDER BY fitted_at DESC, rowid DESC`
		);
		this.#one = db.prepare(`SELECT ${COLUMNS} FROM sets WHERE id = ?`);
		this.#current = db.prepare(
			`SELECT ${COLUMNS} FROM sets WHERE bench_id = ? AND removed_at IS NULL`
		);
		this.#at = db.prepare(
			`SELECT ${COLUMNS} FROM sets
			WHERE bench_id = ? AND fitted_at <= ? AND (removed_at IS NULL OR removed_at > ?)
			ORDER BY fitted_at DESC, rowid DESC LIMIT 1`
		);
		this.#after = db.prepare(
			`SELECT ${COLUMNS} FROM sets WHERE bench_id = ? AND fitted_at > ? ORDER BY fitted_at LIMIT 1`
		);
		this.#before = db.prepare(
			`SELECT ${COLUMNS} FROM sets WHERE bench_id = ? AND removed_at = ? AND id <> ?
			ORDER BY fitted_at DESC, rowid DESC LIMIT 1`
		);
		this.#revision = db.prepare('SELECT parts_revision AS revision FROM benches WHERE id = ?');
		this.#moveOn = db.prepare(
			'UPDATE benches SET parts_revision = parts_revision + 1 WHERE id = ?'
		);
		this.#remove = db.prepare('UPDATE sets SET removed_at = ?, why = ? WHERE id = ?');
		this.#fit = db.prepare(
			`INSERT INTO sets (id, bench_id, name, fitted_at, removed_at, from_stock)
			VALUES (?, ?, ?, ?, ?, ?)`
		);
		this.#fromStock = db.prepare('SELECT from_stock AS fromStock FROM sets WHERE id = ?');
		this.#drop = db.prepare('DELETE FROM sets WHERE id = ?');
		this.#used = db.prepare('SELECT id FROM log WHERE set_id = ? LIMIT 1');
		this.#since = db.prepare(
			`SELECT id, bench_id AS benchId, set_id AS setId, at, data, version FROM log
			WHERE bench_id = ? AND undone = 0 AND kind <> 'undo' AND at > ? AND at < ? AND set_id IS NOT ?`
		);
	}

	/** Newest first. */
	ofBench(benchId: string): PartSet[] {
		return this.#ofBench.all(benchId);
	}

	current(benchId: string): PartSet | undefined {
		return this.#current.get(benchId);
	}

	/** The pair that was in the torch at that time. */
	at(benchId: string, at: string): PartSet | undefined {
		return this.#at.get(benchId, at, at);
	}

	fitted(benchId: string): Fitted {
		return {
			revision: this.#revision.get(benchId)?.revision ?? 0,
			set: this.current(benchId) ?? null
		};
	}

	/**
	 * Puts a new pair in, at its own time: entries that were made since then and came first move to it.
	 * `revision` is what the torch was known to hold; left out, nobody asked.
	 */
	fit(write: {
		opId: string;
		id: string;
		benchId: string;
		name: string;
		at: string;
		revision?: number;
		why?: WhyOut;
		/** The nozzle stays in: only the electrode is changed. */
		alone?: boolean;
	}): FitResult {
		const { benchId, at } = write;
		const op = { opId: write.opId, at, kind: 'fit parts', target: benchId };
		const made = this.#once.run<FitResult>(op, () => {
			const now = this.fitted(benchId);
			if (write.revision !== undefined && write.revision !== now.revision) {
				return { refused: { outcome: 'stale', theirs: now } };
			}
			const previous = this.at(benchId, at);
			const next = this.#after.get(benchId, at);
			if (previous) this.#remove.run(at, write.why?.electrode ?? null, previous.id);
			const taken = this.parts.stock.take(benchId, 'electrode') ? 1 : 0;
			this.#fit.run(write.id, benchId, write.name, at, next?.fittedAt ?? null, taken);
			if (!write.alone)
				this.parts.put({
					id: nozzleOf(write.id),
					benchId,
					kind: 'nozzle',
					at,
					why: write.why?.nozzle
				});
			const since = this.#since.all(benchId, at, next?.fittedAt ?? '~', write.id);
			this.ledger.partsMoved(benchId);
			for (const row of since) {
				const entry = entryOf(row);
				if (entry) this.ledger.moveTo({ ...row, entry }, write.id);
			}
			this.#moveOn.run(benchId);
			return { id: write.id, revision: now.revision + 1 };
		});
		if ('refused' in made) return made.refused;
		const set = this.#one.get(made.id) ?? {
			id: made.id,
			benchId,
			name: write.name,
			fittedAt: at,
			removedAt: at,
			why: null
		};
		const previousId = this.#before.get(benchId, set.fittedAt, set.id)?.id ?? null;
		return { outcome: 'fitted', set, previousId, revision: made.revision };
	}

	/** Takes the pair that is in the torch out again and puts the one before back, while nothing was logged on it. */
	unfit(write: {
		opId: string;
		id: string;
		previousId: string | null;
		at: string;
	}): UnfitResult | { outcome: 'unknown' } {
		const op = { opId: write.opId, at: write.at, kind: 'take parts out', target: write.id };
		const made = this.#once.run<UnfitResult | { outcome: 'unknown' }>(op, () => {
			const set = this.#one.get(write.id);
			if (!set) return { refused: { outcome: 'unknown' } };
			const now = this.fitted(set.benchId);
			const refused = (why: string) => ({
				refused: { outcome: 'refused' as const, why, theirs: now }
			});
			if (now.set?.id !== set.id) {
				return refused(`${set.name} is not in the torch any more.`);
			}
			if (this.#used.get(set.id)) {
				return refused(
					`${set.name} stays in: something is already logged on it. Fit the other pair anew.`
				);
			}
			const previous = this.#before.get(set.benchId, set.fittedAt, set.id);
			if ((previous?.id ?? null) !== write.previousId) {
				return refused('Another pair was in the torch before this one.');
			}
			if (this.#fromStock.get(set.id)?.fromStock === 1)
				this.parts.stock.giveBack(set.benchId, 'electrode');
			this.#drop.run(set.id);
			if (previous) this.#remove.run(null, null, previous.id);
			this.parts.takeOut(nozzleOf(set.id));
			this.ledger.partsMoved(set.benchId);
			this.#moveOn.run(set.benchId);
			return { id: set.benchId, revision: now.revision + 1 };
		});
		if ('refused' in made) return made.refused;
		return { outcome: 'unfitted', revision: made.revision };
	}
}

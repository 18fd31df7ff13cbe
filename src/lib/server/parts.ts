import type Database from 'better-sqlite3';
import type { PartKind, Why } from '$lib/core/wear/parts';
import type { LedgerRepository } from './ledger';
import type { StockRepository } from './stock';
import { OnceOnly } from './writes';

/** A part that was put in; it is in until the next of its kind. */
export interface Part {
	id: string;
	benchId: string;
	kind: PartKind;
	fittedAt: string;
	/** Why it came out; null: still in, or nobody said. */
	why: Why | null;
}
export type PartResult =
	| { outcome: 'fitted'; part: Part; revision: number }
	/** Somebody changed parts in between. */
	| { outcome: 'stale'; revision: number };

const COLUMNS = 'id, bench_id AS benchId, kind, fitted_at AS fittedAt, why';

/** Nozzle, ring, cap and shield of each torch, each with a life of its own. */
export class PartRepository {
	readonly #once: OnceOnly;
	readonly #ofBench: Database.Statement<[string], Part>;
	readonly #one: Database.Statement<[string], Part>;
	readonly #before: Database.Statement<[string, string, string], { id: string }>;
	readonly #put: Database.Statement<[string, string, string, string, number]>;
	readonly #fromStock: Database.Statement<[string], { fromStock: number }>;
	readonly #setWhy: Database.Statement<[string | null, string]>;
	readonly #drop: Database.Statement<[string]>;
	readonly #revision: Database.Statement<[string], { revision: number }>;
	readonly #moveOn: Database.Statement<[string]>;

	constructor(
		db: Database.Database,
		readonly ledger: LedgerRepository,
		readonly stock: StockRepository
	) {
		this.#once = new OnceOnly(db);
		this.#ofBench = db.prepare(
			`SELECT ${COLUMNS} FROM parts WHERE bench_id = ? ORDER BY fitted_at DESC, rowid DESC`
		);
		this.#one = db.prepare(`SELECT ${COLUMNS} FROM parts WHERE id = ?`);
		this.#before = db.prepare(
			`SELECT id FROM parts WHERE bench_id = ? AND kind = ? AND fitted_at <= ?
			ORDER BY fitted_at DESC, rowid DESC LIMIT 1`
		);
		this.#put = db.prepare(
			'INSERT INTO parts (id, bench_id, kind, fitted_at, from_stock) VALUES (?, ?, ?, ?, ?)'
		);
		this.#fromStock = db.prepare('SELECT from_stock AS fromStock FROM parts WHERE id = ?');
		this.#setWhy = db.prepare('UPDATE parts SET why = ? WHERE id = ?');
		this.#drop = db.prepare('DELETE FROM parts WHERE id = ?');
		this.#revision = db.prepare('SELECT parts_revision AS revision FROM benches WHERE id = ?');
		this.#moveOn = db.prepare(
			'UPDATE benches SET parts_revision = parts_revision + 1 WHERE id = ?'
		);
	}

	/** Newest first. */
	ofBench(benchId: string): Part[] {
		return this.#ofBench.all(benchId);
	}

	/** Inside the transaction of whoever calls: the one before is out then, and why. */
	put(part: { id: string; benchId: string; kind: PartKind; at: string; why?: Why }): void {
		const before = this.#before.get(part.benchId, part.kind, part.at);
		if (before) this.#setWhy.run(part.why ?? null, before.id);
		const taken = this.stock.take(part.benchId, part.kind);
		this.#put.run(part.id, part.benchId, part.kind, part.at, taken ? 1 : 0);
		this.ledger.partFitted(part.benchId, part.id, part.at);
	}

	/** Takes a part out as if it had never been in; the one before is in again. */
	takeOut(id: string): void {
		const part = this.#one.get(id);
		if (!part) return;
		if (this.#fromStock.get(id)?.fromStock === 1) this.stock.giveBack(part.benchId, part.kind);
		this.#drop.run(id);
		const before = this.#before.get(part.benchId, part.kind, part.fittedAt);
		if (before) this.#setWhy.run(null, before.id);
		this.ledger.partsMoved(part.benchId);
	}

	/** Puts one part in. `revision` is what the torch was known to hold; left out, nobody asked. */
	fit(write: {
		opId: string;
		id: string;
		benchId: string;
		kind: PartKind;
		at: string;
		why?: Why;
		revision?: number;
	}): PartResult {
		const { benchId, kind, at } = write;
		const made = this.#once.run<PartResult>(
			{ opId: write.opId, at, kind: `fit ${kind}`, target: benchId },
			() => {
				const now = this.#revision.get(benchId)?.revision ?? 0;
				if (write.revision !== undefined && write.revision !== now)
					return { refused: { outcome: 'stale', revision: now } };
				this.put(write);
				this.#moveOn.run(benchId);
				return { id: write.id, revision: now + 1 };
			}
		);
		if ('refused' in made) return made.refused;
		const part = this.#one.get(made.id) ?? { id: made.id, benchId, kind, fittedAt: at, why: null };
		return { outcome: 'fitted', part, revision: made.revision };
	}

	/** Takes a part out again that was put in by mistake. */
	unfit(write: {
		opId: string;
		id: string;
		at: string;
	}): { outcome: 'unfitted'; benchId: string; revision: number } | { outcome: 'unknown' } {
		const made = this.#once.run<{ outcome: 'unknown' }>(
			{ opId: write.opId, at: write.at, kind: 'take a part out', target: write.id },
			() => {
				const part = this.#one.get(write.id);
				if (!part) return { refused: { outcome: 'unknown' as const } };
				this.takeOut(write.id);
				this.#moveOn.run(part.benchId);
				return {
					id: part.benchId,
					revision: this.#revision.get(part.benchId)!.revision
				};
			}
		);
		if ('refused' in made) return made.refused;
		return { outcome: 'unfitted', benchId: made.id, revision: made.revision };
	}
}

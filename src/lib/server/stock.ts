import type Database from 'better-sqlite3';
import { NO_STOCK, STOCK_KINDS, type Stock, type StockKind } from '$lib/core/stock/drawer';
import { OnceOnly } from './writes';

/** What lies in the drawer of one kind, with its revision; 0: nobody has counted yet. */
export interface StoredStock {
	kind: StockKind;
	stock: Stock;
	revision: number;
	/** When such parts were put in, newest first. */
	fittedAt: string[];
}
export type SaveStockResult =
	| { outcome: 'saved'; revision: number }
	/** Somebody counted, or took one, in between. */
	| { outcome: 'stale'; theirs: StoredStock };

interface Row extends Stock {
	kind: StockKind;
	revision: number;
}
/** Put in so many times at most are looked at: half a year of a busy torch. */
const FITTED_MOST = 500;

/** Counts of parts by torch. A part that is put in is taken out of the drawer in the same transaction. */
export class StockRepository {
	readonly #once: OnceOnly;
	readonly #one: Database.Statement<[string, string], Row>;
	readonly #set: Database.Statement<unknown[]>;
	readonly #take: Database.Statement<[string, string]>;
	readonly #giveBack: Database.Statement<[string, string]>;
	readonly #sets: Database.Statement<[string], { at: string }>;
	readonly #parts: Database.Statement<[string, string], { at: string }>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#one = db.prepare(
			`SELECT kind, count, pack, lead_weeks AS leadWeeks,
				lead_spread_weeks AS leadSpreadWeeks, minimum, price, supplier, revision
			FROM stock WHERE bench_id = ? AND kind = ?`
		);
		this.#set = db.prepare(
			`INSERT INTO stock (bench_id, kind, count, pack, lead_weeks, lead_spread_weeks, minimum, price, supplier,
				revision)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, 1)
			ON CONFLICT (bench_id, kind) DO UPDATE SET count = excluded.count, pack = excluded.pack,
				lead_weeks = excluded.lead_weeks,
				lead_spread_weeks = excluded.lead_spread_weeks, minimum = excluded.minimum, price = excluded.price,
				supplier = excluded.supplier, revision = revision + 1`
		);
		this.#take = db.prepare(
			`UPDATE stock SET count = count - 1, revision = revision + 1
			WHERE bench_id = ? AND kind = ? AND count > 0`
		);
		this.#giveBack = db.prepare(
			'UPDATE stock SET count = count + 1, revision = revision + 1 WHERE bench_id = ? AND kind = ?'
		);
		this.#sets = db.prepare(
			`SELECT fitted_at AS at FROM sets WHERE bench_id = ? ORDER BY fitted_at DESC LIMIT ${FITTED_MOST}`
		);
		this.#parts = db.prepare(
			`SELECT fitted_at AS at FROM parts WHERE bench_id = ? AND kind = ?
			ORDER BY fitted_at DESC LIMIT ${FITTED_MOST}`
		);
	}

	find(benchId: string, kind: StockKind): StoredStock {
		const fitted = kind === 'electrode' ? this.#sets.all(benchId) : this.#parts.all(benchId, kind);
		const row = this.#one.get(benchId, kind);
		const { revision, kind: _, ...stock } = row ?? { ...NO_STOCK, kind, revision: 0 };
		return { kind, stock, revision, fittedAt: fitted.map(({ at }) => at) };
	}
	ofBench(benchId: string): StoredStock[] {
		return STOCK_KINDS.map((kind) => this.find(benchId, kind));
	}

	/** Inside the transaction of whoever calls: true, one was there and is taken. */
	take(benchId: string, kind: StockKind): boolean {
		return this.#take.run(benchId, kind).changes === 1;
	}
	giveBack(benchId: string, kind: StockKind): void {
		this.#giveBack.run(benchId, kind);
	}

	save(write: {
		opId: string;
		benchId: string;
		kind: StockKind;
		revision: number;
		stock: Stock;
		at: string;
	}): SaveStockResult {
		const { benchId, kind, stock } = write;
		const op = {
			opId: write.opId,
			at: write.at,
			kind: 'count stock',
			target: `${benchId} ${kind}`
		};
		const made = this.#once.run<SaveStockResult>(op, () => {
			const now = this.find(benchId, kind);
			if (now.revision !== write.revision) return { refused: { outcome: 'stale', theirs: now } };
			const { count, pack, leadWeeks, leadSpreadWeeks, minimum, price, supplier } = stock;
			this.#set.run(
				benchId,
				kind,
				count,
				pack,
				leadWeeks,
				leadSpreadWeeks,
				minimum,
				price,
				supplier
			);
			return { id: kind, revision: now.revision + 1 };
		});
		return 'refused' in made ? made.refused : { outcome: 'saved', revision: made.revision };
	}
}

import type Database from 'better-sqlite3';
import {
	addTally,
	growthNm,
	isReading,
	NO_TALLY,
	PATTERN_CUTS_MOST,
	pitNm,
	READINGS,
	READINGS_MOST,
	TALLY_VERSION,
	tallyOf,
	type Entry,
	type Ledger,
	type Life,
	type LoggedCut,
	type MeasuredPit,
	type Tally
} from '$lib/core';
import { entryOf, type EntryRow } from './entryRow';

/** Fields of a tally with their columns. */
const FIELDS = [
	['starts', 'starts'],
	['arcMs', 'arc_ms'],
	['loadMs', 'load_ms'],
	['pilotMs', 'pilot_ms'],
	['piercesRolled', 'pierces_rolled'],
	['piercesStraight', 'pierces_straight']
] as const satisfies readonly (readonly [keyof Tally, string])[];
const each = (sql: (column: string, field: string) => string) =>
	FIELDS.map(([field, column]) => sql(column, field)).join(', ');
const columns = each((c) => c);
const pitColumns = each((c) => `pit_${c}`);
const marks = each(() => '?');
const zeros = each(() => '0');
const pitTally = each((c, field) => `pit_${c} AS ${field}`);
const valuesOf = (t: Tally) => FIELDS.map(([field]) => t[field]);

/** A row of the log as the ledger counts it. */
export interface Counted {
	id: number;
	benchId: string;
	setId: string | null;
	at: string;
	entry: Entry;
}
type AgedRow = Omit<EntryRow, 'benchId'> & { wornNm: number };
interface Kept {
	readings: Partial<Ledger['readings']>;
	testCuts?: { entry: Extract<Entry, { kind: 'test-cut' }>; wornNm: number }[];
	cuts?: LoggedCut[];
}

/**
 * What the log of each bench comes to: sums by pair and by bench, in whole numbers, moved with every entry
 * in the transaction that writes it. An entry that comes late or is taken back moves the sums of its own
 * pair, and the age of test cuts after it; nothing else is read again.
 */
export class LedgerRepository {
	readonly #setUse: Database.Statement<unknown[]>;
	readonly #addTotal: Database.Statement<unknown[]>;
	readonly #life: Database.Statement<[string, string], Tally & { pitId: number | null }>;
	readonly #lifePit: Database.Statement<
		[string, string],
		Tally & { id: number; at: string; pitNm: number }
	>;
	readonly #setLifePit: Database.Statement<unknown[]>;
	readonly #newestPit: Database.Statement<
		[string, string | null],
		{ id: number; at: string; pitNm: number }
	>;
	readonly #usedSince: Database.Statement<[string, string | null, string, number], Tally>;
	readonly #addPits: Database.Statement<unknown[]>;
	readonly #addWorn: Database.Statement<[number, string]>;
	readonly #ageLater: Database.Statement<[number, string, string, number]>;
	readonly #setWorn: Database.Statement<unknown[]>;
	readonly #sums: Database.Statement<[string], Tally & { wornNm: number; pitNm: number }>;
	readonly #newest: Database.Statement<[string, string, number], AgedRow>;
	readonly #cuts: Database.Statement<[string, number], LoggedCut>;
	readonly #revision: Database.Statement<[string], { id: number | null }>;
	readonly #outdated: Database.Statement<[], { id: string }>;
	readonly #open: Database.Statement<[string]>;
	readonly #page: Database.Statement<[string, string, number], AgedRow>;
	readonly #clear: Database.Statement<[string]>[];
	readonly #everything: Database.Statement<[string], unknown>[];
	readonly #setSet: Database.Statement<[string | null, number]>;
	/** Readings as they stand, by bench: dropped when an entry of their kind comes or goes. */
	readonly #kept = new Map<string, Kept>();
	#seenVersion: unknown;

	constructor(readonly db: Database.Database) {
		this.#setUse = db.prepare(
			`UPDATE log SET (${columns}, growth_nm, pit_nm) = (${marks}, ?, ?) WHERE id = ?`
		);
		this.#addTotal = db.prepare(
			`INSERT INTO lives (bench_id, set_id, ${columns}, pit_nm, ${pitColumns})
			VALUES (?, ?, ${marks}, 0, ${zeros})
			ON CONFLICT (bench_id, set_id) DO UPDATE SET ${each((c) => `${c} = ${c} + excluded.${c}`)}`
		);
		this.#life = db.prepare(
			`SELECT ${each((c, field) => `${c} AS ${field}`)}, pit_id AS pitId
			FROM lives WHERE bench_id = ? AND set_id = ?`
		);
		this.#lifePit = db.prepare(
			`SELECT log.id, log.at, lives.pit_nm AS pitNm, ${each((c, field) => `lives.pit_${c} AS ${field}`)}
			FROM lives JOIN log ON log.id = lives.pit_id WHERE lives.bench_id = ? AND lives.set_id = ?`
		);
		this.#setLifePit = db.prepare(
			`UPDATE lives SET (pit_id, pit_nm, ${pitColumns}) = (?, ?, ${marks})
			WHERE bench_id = ? AND set_id = ?`
		);
		this.#newestPit = db.prepare(
			`SELECT id, at, pit_nm AS pitNm FROM log
			WHERE bench_id = ? AND set_id IS ? AND undone = 0 AND kind = 'pit'
			ORDER BY at DESC, id DESC LIMIT 1`
		);
		this.#usedSince = db.prepare(
			`SELECT ${each((c, field) => `coalesce(sum(${c}), 0) AS ${field}`)} FROM log
			WHERE bench_id = ? AND set_id IS ? AND undone = 0 AND (at, id) > (?, ?)`
		);
		this.#addPits = db.prepare(
			`UPDATE ledgers SET pit_nm = pit_nm + ?, ${each((c) => `pit_${c} = pit_${c} + ?`)}
			WHERE bench_id = ?`
		);
		this.#addWorn = db.prepare('UPDATE ledgers SET worn_nm = worn_nm + ? WHERE bench_id = ?');
		this.#ageLater = db.prepare(
			`UPDATE log SET worn_nm = worn_nm + ?
			WHERE bench_id = ? AND undone = 0 AND kind = 'test-cut' AND (at, id) > (?, ?)`
		);
		this.#setWorn = db.prepare(
			`UPDATE log SET worn_nm = (SELECT worn_nm FROM ledgers WHERE bench_id = @benchId) - (
				SELECT coalesce(sum(growth_nm), 0) FROM log
				WHERE bench_id = @benchId AND undone = 0 AND (at, id) >= (@at, @id))
			WHERE id = @id`
		);
		this.#sums = db.prepare(
			`SELECT worn_nm AS wornNm, pit_nm AS pitNm, ${pitTally} FROM ledgers WHERE bench_id = ?`
		);
		const row = 'id, at, set_id AS setId, data, version, worn_nm AS wornNm';
		this.#newest = db.prepare(
			`SELECT ${row} FROM log
			WHERE bench_id = ? AND kind = ? AND undone = 0 ORDER BY at DESC, id DESC LIMIT ?`
		);
		this.#cuts = db.prepare(
			`SELECT at, arc_ms AS arcMs, starts FROM log
			WHERE bench_id = ? AND kind = 'cut' AND undone = 0 ORDER BY at DESC, id DESC LIMIT ?`
		);
		this.#revision = db.prepare('SELECT max(id) AS id FROM log WHERE bench_id = ?');
		this.#outdated = db.prepare(
			`SELECT b.id FROM benches b LEFT JOIN ledgers l ON l.bench_id = b.id
			WHERE l.version IS NOT ${TALLY_VERSION}`
		);
		this.#open = db.prepare(
			`INSERT INTO ledgers (bench_id, version, worn_nm, pit_nm, ${pitColumns})
			VALUES (?, ${TALLY_VERSION}, 0, 0, ${zeros}) ON CONFLICT (bench_id) DO NOTHING`
		);
		this.#page = db.prepare(
			`SELECT ${row} FROM log
			WHERE bench_id = ? AND undone = 0 AND kind <> 'undo' AND (at, id) > (?, ?)
			ORDER BY at, id LIMIT 500`
		);
		this.#clear = [
			'DELETE FROM lives WHERE bench_id = ?',
			'DELETE FROM ledgers WHERE bench_id = ?',
			`UPDATE log SET ${each((c) => `${c} = 0`)}, growth_nm = 0, worn_nm = 0, pit_nm = 0 WHERE bench_id = ?`
		].map((sql) => db.prepare(sql));
		this.#everything = [
			// A pair from which everything was taken back is as one that was never used.
			`SELECT * FROM lives WHERE bench_id = ? AND (${columns}, pit_nm) <> (${zeros}, 0) ORDER BY set_id`,
			'SELECT * FROM ledgers WHERE bench_id = ?',
			`SELECT id, ${columns}, growth_nm, worn_nm, pit_nm FROM log WHERE bench_id = ? AND undone = 0 ORDER BY id`
		].map((sql) => db.prepare(sql));
		this.#setSet = db.prepare('UPDATE log SET set_id = ? WHERE id = ?');
	}

	/** An entry that was just written, wherever in time it falls. */
	count(e: Counted): void {
		const tally = tallyOf(e.entry);
		const growth = growthNm(tally);
		this.#open.run(e.benchId);
		this.#setUse.run(...valuesOf(tally), growth, e.entry.kind === 'pit' ? pitNm(e.entry) : 0, e.id);
		this.#wear(e, growth);
		if (e.entry.kind === 'test-cut') this.#setWorn.run({ benchId: e.benchId, at: e.at, id: e.id });
		this.#live(e, tally, 1);
		this.#forget(e);
	}

	/** An entry that was just marked as undone. */
	discount(e: Counted): void {
		const tally = tallyOf(e.entry);
		this.#wear(e, -growthNm(tally));
		this.#live(e, tally, -1);
		this.#forget(e);
	}

	/** The pair of an entry turns out to be another one. */
	moveTo(e: Counted, setId: string | null): void {
		const tally = tallyOf(e.entry);
		this.#setSet.run(setId, e.id);
		this.#live(e, tally, -1);
		this.#live({ ...e, setId }, tally, 1);
	}

	/** Growth on the bench, and what test cuts after it are older by. */
	#wear(e: Counted, growth: number): void {
		if (growth === 0) return;
		this.#addWorn.run(growth, e.benchId);
		const { changes } = this.#ageLater.run(growth, e.benchId, e.at, e.id);
		if (changes > 0) delete this.#kept.get(e.benchId)?.testCuts;
	}

	#live(e: Counted, tally: Tally, times: 1 | -1): void {
		const set = e.setId ?? '';
		const moved = addTally(NO_TALLY, tally, times);
		this.#addTotal.run(e.benchId, set, ...valuesOf(moved));
		const before = this.#lifePit.get(e.benchId, set);
		const isPit = e.entry.kind === 'pit';
		if (isPit || (before && (e.at < before.at || (e.at === before.at && e.id < before.id)))) {
			this.#measure(e.benchId, e.setId, before);
		}
	}

	/** The last pit of a pair, and what it had done by then. */
	#measure(
		benchId: string,
		setId: string | null,
		before: (Tally & { pitNm: number }) | undefined
	): void {
		const set = setId ?? '';
		const pit = this.#newestPit.get(benchId, setId);
		const atPit = pit
			? addTally(
					this.#life.get(benchId, set)!,
					this.#usedSince.get(benchId, setId, pit.at, pit.id)!,
					-1
				)
			: NO_TALLY;
		this.#setLifePit.run(pit?.id ?? null, pit?.pitNm ?? 0, ...valuesOf(atPit), benchId, set);
		this.#addPits.run(
			(pit?.pitNm ?? 0) - (before?.pitNm ?? 0),
			...valuesOf(addTally(atPit, before ?? NO_TALLY, -1)),
			benchId
		);
	}

	#forget({ benchId, entry: { kind } }: Counted): void {
		const kept = this.#kept.get(benchId);
		if (!kept) return;
		if (isReading(kind)) delete kept.readings[kind];
		if (kind === 'test-cut') delete kept.testCuts;
		if (kind === 'cut') delete kept.cuts;
	}

	/** What stands of a kind, newest first; a damaged entry is told and left out. */
	#entries<K extends Entry['kind']>(benchId: string, kind: K) {
		return this.#newest.all(benchId, kind, READINGS_MOST).flatMap((row) => {
			const entry = entryOf(row);
			return entry?.kind === kind
				? [{ entry: entry as Extract<Entry, { kind: K }>, wornNm: row.wornNm }]
				: [];
		});
	}

	/** Changes with every row written for a bench. */
	revisionOf(benchId: string): number {
		return this.#revision.get(benchId)!.id ?? 0;
	}

	of(benchId: string, currentSetId: string | null): Ledger {
		const seen = this.db.pragma('data_version', { simple: true });
		// Another process wrote: what is kept here may be of before.
		if (seen !== this.#seenVersion) this.#kept.clear();
		this.#seenVersion = seen;
		let kept = this.#kept.get(benchId);
		if (!kept) this.#kept.set(benchId, (kept = { readings: {} }));
		const readings: Partial<Record<string, unknown>> = kept.readings;
		for (const kind of READINGS) {
			readings[kind] ??= this.#entries(benchId, kind)
				.map(({ entry }) => entry)
				.reverse();
		}
		kept.testCuts ??= this.#entries(benchId, 'test-cut');
		kept.cuts ??= this.#cuts.all(benchId, PATTERN_CUTS_MOST);
		const sums = this.#sums.get(benchId);
		const pits: MeasuredPit = sums
			? { pitNm: sums.pitNm, atPit: addTally(NO_TALLY, sums) }
			: { pitNm: 0, atPit: NO_TALLY };
		return {
			revision: this.revisionOf(benchId),
			readings: kept.readings as Ledger['readings'],
			testCuts: kept.testCuts.map(({ entry, wornNm }) => ({
				entry,
				sinceNm: (sums?.wornNm ?? 0) - wornNm
			})),
			cuts: kept.cuts,
			life: this.#lifeOf(benchId, currentSetId ?? ''),
			pits
		};
	}

	#lifeOf(benchId: string, set: string): Life {
		const total = this.#life.get(benchId, set);
		if (!total) return { total: NO_TALLY, pit: null };
		const pit = this.#lifePit.get(benchId, set);
		return {
			total: addTally(NO_TALLY, total),
			pit: pit ? { pitNm: pit.pitNm, atPit: addTally(NO_TALLY, pit) } : null
		};
	}

	/** Benches whose sums were kept by another way of counting, or not at all. */
	outdated(): string[] {
		return this.#outdated.all().map(({ id }) => id);
	}

	/** Makes the sums of a bench anew from its log. */
	rebuild(benchId: string): void {
		this.db
			.transaction(() => {
				for (const clear of this.#clear) clear.run(benchId);
				this.#open.run(benchId);
				this.#kept.delete(benchId);
				let [at, id] = ['', 0];
				for (;;) {
					const rows = this.#page.all(benchId, at, id);
					if (rows.length === 0) break;
					for (const row of rows) {
						const entry = entryOf(row);
						if (entry) this.count({ id: row.id, benchId, setId: row.setId, at: row.at, entry });
					}
					({ at, id } = rows.at(-1)!);
				}
			})
			.immediate();
	}

	/** Everything kept of a bench, to be compared before and after a rebuild. */
	kept(benchId: string): unknown[][] {
		return this.#everything.map((statement) => statement.all(benchId));
	}
}

import type Database from 'better-sqlite3';
import {
	addTally,
	boreGrowthNm,
	GROOVES_MOST,
	growthNm,
	isGouging,
	isReading,
	NM_PER_UM,
	NO_TALLY,
	PATTERN_CUTS_MOST,
	pitNm,
	READINGS,
	READINGS_MOST,
	TALLY_VERSION,
	tallyOf,
	type Entry,
	type Ledger,
	type LoggedCut,
	type PartLedger,
	type Tally
} from '$lib/core';
import { PARTS_MOST } from '$lib/core/wear/inputs';
import { startsByEye } from '$lib/core/wear/workings';
import type { WearHistory } from '$lib/formats/wearHistory';
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
/** Columns of the log that follow from its entry: its tally, growth and pit, and what it is searched by. */
export const DERIVED = `${columns}, growth_nm, pit_nm, thickness_um, output_da, length_mm, metal, start`;
export const DERIVED_MARKS = `${marks}, ?, ?, ?, ?, ?, ?, ?`;
/** In the order of {@link DERIVED}: thickness in µm, amps in tenths, length in mm. */
export function derivedOf(entry: Entry): (number | string | null)[] {
	const tally = tallyOf(entry);
	return [
		...valuesOf(tally),
		growthNm(tally),
		entry.kind === 'pit' ? pitNm(entry) : 0,
		'thicknessMm' in entry ? Math.round(1000 * entry.thicknessMm) : null,
		'outputA' in entry ? Math.round(10 * entry.outputA) : null,
		entry.kind === 'cut' || entry.kind === 'groove' ? Math.round(entry.lengthMm) : 0,
		'metal' in entry ? entry.metal : null,
		'start' in entry ? entry.start : entry.kind === 'test-cut' ? (entry.took?.start ?? null) : null
	];
}

/** What stands after an entry, 0 or 1: a part put in, a test cut, the pit that its pair was measured by. */
interface Later {
	parts: number;
	testCuts: number;
	pit: number;
}
const NOTHING_LATER: Later = { parts: 0, testCuts: 0, pit: 0 };
interface Reading {
	id: number;
	at: string;
	grownNm: number;
}
/** Readings of one part that a screen shows. */
const HISTORY_MOST = 50;

type PartRow = Tally & { id: string; kind: string; fittedAt: string; why: string | null };
interface Kept {
	readings: Partial<Ledger['readings']>;
	testCuts?: { entry: Extract<Entry, { kind: 'test-cut' }>; wornNm: number }[];
	cuts?: LoggedCut[];
	checks?: Ledger['checks'];
	grooves?: number | null;
	/** Last readings of the nozzles that came out. */
	pastBores?: Map<string, PartLedger['last']>;
	/** Of the electrodes: what each had grown, and how far those that came out had come; with which one in. */
	pairs?: Pick<PartLedger, 'measured' | 'lives'> & { current: string };
}

/**
 * What the log of each bench comes to: sums by pair and by bench, in whole numbers, moved with every entry
 * in the transaction that writes it. An entry that comes late or is taken back moves the sums of its own
 * pair, and the age of test cuts after it; nothing else is read again.
 */
export class LedgerRepository {
	readonly #setUse: Database.Statement<unknown[]>;
	readonly #addLife: Database.Statement<[string, string]>;
	readonly #moveLife: Database.Statement<unknown[]>;
	readonly #life: Database.Statement<[string, string], Tally>;
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
	readonly #measured: Database.Statement<[string, number], Tally & { pitNm: number }>;
	readonly #electrodes: Database.Statement<[string, number], Tally & { worn: number }>;
	readonly #parts: Database.Statement<[string, string, number], PartRow>;
	readonly #partsAfter: Database.Statement<unknown[]>;
	readonly #setPart: Database.Statement<unknown[]>;
	readonly #eachPart: Database.Statement<[string], PartRow>;
	readonly #bore: Database.Statement<[string, string, string], Omit<EntryRow, 'benchId'>>;
	readonly #between: Database.Statement<unknown[], Tally>;
	readonly #pitsOf: Database.Statement<[string, string | null], Reading>;
	readonly #boresOf: Database.Statement<[string, string], Omit<EntryRow, 'benchId'>>;
	readonly #startsBefore: Database.Statement<[string, string, string, number], { starts: number }>;
	readonly #groovesSince: Database.Statement<[string, string], { starts: number }>;
	/** Bench and time; bench, time, id; bench, pair, time, id. */
	readonly #later: Database.Statement<(string | number)[], Later>;
	readonly #last: Database.Statement<[string, string, string], { at: string | null }>;
	readonly #version: Database.Statement<[], number>;
	readonly #ageLater: Database.Statement<[number, string, string, number]>;
	readonly #setWorn: Database.Statement<unknown[]>;
	readonly #sums: Database.Statement<[string], Tally & { wornNm: number }>;
	readonly #newest: Database.Statement<[string, string, number], AgedRow>;
	readonly #cuts: Database.Statement<[string, number], LoggedCut>;
	readonly #revision: Database.Statement<[string], { id: number | null }>;
	readonly #outdated: Database.Statement<[], { id: string }>;
	readonly #page: Database.Statement<[string, string, number], AgedRow>;
	readonly #clear: Database.Statement<[string]>[];
	readonly #everything: Database.Statement<[string], unknown>[];
	readonly #setSet: Database.Statement<[string | null, number]>;
	/** Readings as they stand, by bench: dropped when an entry of their kind comes or goes. */
	readonly #kept = new Map<string, Kept>();
	/** By bench: when the last part was put in, test cut or pit was made. */
	readonly #lasts = new Map<string, string>();
	#seenVersion: number | undefined;

	constructor(readonly db: Database.Database) {
		this.#setUse = db.prepare(`UPDATE log SET (${DERIVED}) = (${DERIVED_MARKS}) WHERE id = ?`);
		this.#addLife = db.prepare(
			`INSERT INTO lives (bench_id, set_id, version, worn_nm, ${columns}, pit_nm, ${pitColumns})
			VALUES (?, ?, ${TALLY_VERSION}, 0, ${zeros}, 0, ${zeros})`
		);
		this.#moveLife = db.prepare(
			`UPDATE lives SET worn_nm = worn_nm + ?, ${each((c) => `${c} = ${c} + ?`)}
			WHERE bench_id = ? AND set_id = ?`
		);
		this.#life = db.prepare(
			`SELECT ${each((c, field) => `${c} AS ${field}`)} FROM lives WHERE bench_id = ? AND set_id = ?`
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
		this.#measured = db.prepare(
			`SELECT lives.pit_nm AS pitNm, ${each((c, field) => `lives.pit_${c} AS ${field}`)}
			FROM lives JOIN log ON log.id = lives.pit_id WHERE lives.bench_id = ?
			ORDER BY log.at DESC, log.id DESC LIMIT ?`
		);
		this.#electrodes = db.prepare(
			`SELECT s.why IS 'worn' AS worn, ${each((c, field) => `coalesce(l.${c}, 0) AS ${field}`)}
			FROM sets s LEFT JOIN lives l ON l.bench_id = s.bench_id AND l.set_id = s.id
			WHERE s.bench_id = ? AND s.removed_at IS NOT NULL
			ORDER BY s.fitted_at DESC, s.rowid DESC LIMIT ?`
		);
		const part = `id, kind, fitted_at AS fittedAt, why, ${each((c, field) => `${c} AS ${field}`)}`;
		this.#parts = db.prepare(
			`SELECT ${part} FROM parts WHERE bench_id = ? AND kind = ?
			ORDER BY fitted_at DESC, rowid DESC LIMIT ?`
		);
		this.#eachPart = db.prepare(
			`SELECT ${part} FROM parts WHERE bench_id = ? ORDER BY fitted_at, rowid`
		);
		this.#partsAfter = db.prepare(
			`UPDATE parts SET ${each((c) => `${c} = ${c} + ?`)} WHERE bench_id = ? AND fitted_at > ?`
		);
		this.#setPart = db.prepare(`UPDATE parts SET (${columns}) = (${marks}) WHERE id = ?`);
		this.#bore = db.prepare(
			// Named, because without statistics the planner takes the index by time and reads the whole life.
			`SELECT id, at, set_id AS setId, data, version FROM log INDEXED BY log_by_kind
			WHERE bench_id = ? AND kind = 'bore' AND undone = 0 AND at >= ? AND at < ?
			ORDER BY at DESC, id DESC LIMIT 1`
		);
		this.#pitsOf = db.prepare(
			`SELECT id, at, pit_nm AS grownNm FROM log
			WHERE bench_id = ? AND set_id IS ? AND undone = 0 AND kind = 'pit'
			ORDER BY at DESC, id DESC LIMIT ${HISTORY_MOST}`
		);
		this.#boresOf = db.prepare(
			`SELECT id, at, set_id AS setId, data, version FROM log INDEXED BY log_by_kind
			WHERE bench_id = ? AND kind = 'bore' AND undone = 0 AND at >= ?
			ORDER BY at DESC, id DESC LIMIT ${HISTORY_MOST}`
		);
		this.#startsBefore = db.prepare(
			`SELECT coalesce(sum(starts), 0) AS starts FROM log
			WHERE bench_id = ? AND undone = 0 AND at >= ? AND (at, id) < (?, ?)`
		);
		this.#groovesSince = db.prepare(
			`SELECT coalesce(sum(starts), 0) AS starts FROM (
				SELECT starts FROM log INDEXED BY log_by_kind
				WHERE bench_id = ? AND kind IN ('groove', 'test-groove') AND undone = 0 AND at >= ?
				LIMIT ${GROOVES_MOST})`
		);
		this.#between = db.prepare(
			`SELECT ${each((c, field) => `coalesce(sum(${c}), 0) AS ${field}`)} FROM log
			WHERE bench_id = ? AND undone = 0 AND (at, id) >= (?, ?) AND at < ?`
		);
		this.#later = db.prepare(
			`SELECT EXISTS (SELECT 1 FROM parts WHERE bench_id = ? AND fitted_at > ?) AS parts, EXISTS (
				SELECT 1 FROM log INDEXED BY log_by_kind
				WHERE bench_id = ? AND undone = 0 AND kind = 'test-cut' AND (at, id) > (?, ?)
			) AS testCuts, EXISTS (
				SELECT 1 FROM lives JOIN log ON log.id = lives.pit_id
				WHERE lives.bench_id = ? AND lives.set_id = ? AND (log.at, log.id) > (?, ?)) AS pit`
		);
		const lastOf = (kind: Entry['kind']) => `SELECT max(at) AS at FROM log INDEXED BY log_by_kind
			WHERE bench_id = ? AND undone = 0 AND kind = '${kind}'`;
		this.#last = db.prepare(
			`SELECT max(at) AS at FROM (SELECT max(fitted_at) AS at FROM parts WHERE bench_id = ?
				UNION ALL ${lastOf('test-cut')} UNION ALL ${lastOf('pit')})`
		);
		this.#version = db.prepare<[], number>('PRAGMA data_version').pluck();
		this.#ageLater = db.prepare(
			`UPDATE log SET worn_nm = worn_nm + ?
			WHERE bench_id = ? AND undone = 0 AND kind = 'test-cut' AND (at, id) > (?, ?)`
		);
		this.#setWorn = db.prepare(
			`UPDATE log SET worn_nm = (SELECT sum(worn_nm) FROM lives WHERE bench_id = @benchId) - (
				SELECT coalesce(sum(growth_nm), 0) FROM log
				WHERE bench_id = @benchId AND undone = 0 AND (at, id) >= (@at, @id))
			WHERE id = @id`
		);
		this.#sums = db.prepare(
			`SELECT coalesce(sum(worn_nm), 0) AS wornNm,
				${each((c, field) => `coalesce(sum(${c}), 0) AS ${field}`)}
			FROM lives WHERE bench_id = ?`
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
			`SELECT id FROM benches b WHERE EXISTS (
				SELECT 1 FROM lives WHERE bench_id = b.id AND version <> ${TALLY_VERSION}
			) OR (
				NOT EXISTS (SELECT 1 FROM lives WHERE bench_id = b.id)
				AND EXISTS (SELECT 1 FROM log WHERE bench_id = b.id)
			)`
		);
		this.#page = db.prepare(
			`SELECT ${row} FROM log
			WHERE bench_id = ? AND undone = 0 AND kind <> 'undo' AND (at, id) > (?, ?)
			ORDER BY at, id LIMIT 500`
		);
		this.#clear = [
			'DELETE FROM lives WHERE bench_id = ?',
			`UPDATE parts SET ${each((c) => `${c} = 0`)} WHERE bench_id = ?`,
			`UPDATE log SET ${each((c) => `${c} = 0`)}, growth_nm = 0, worn_nm = 0, pit_nm = 0 WHERE bench_id = ?`
		].map((sql) => db.prepare(sql));
		this.#everything = [
			// A pair from which everything was taken back is as one that was never used.
			`SELECT * FROM lives WHERE bench_id = ? AND (worn_nm, ${columns}, pit_nm) <> (0, ${zeros}, 0) ORDER BY set_id`,
			'SELECT * FROM parts WHERE bench_id = ? ORDER BY id',
			`SELECT id, ${columns}, growth_nm, worn_nm, pit_nm FROM log WHERE bench_id = ? AND undone = 0 ORDER BY id`
		].map((sql) => db.prepare(sql));
		this.#setSet = db.prepare('UPDATE log SET set_id = ? WHERE id = ?');
	}

	/** An entry that was just written, wherever in time it falls; parts put in later move unless told not to. */
	count(e: Counted, late = true): void {
		const later = this.#live(e, 1);
		this.#age(e, 1, later, late);
		if (e.entry.kind === 'test-cut') this.#setWorn.run({ benchId: e.benchId, at: e.at, id: e.id });
		this.#forget(e);
	}

	/** An entry that was just marked as undone. */
	discount(e: Counted): void {
		this.#age(e, -1, this.#live(e, -1));
		this.#forget(e);
	}

	/** The pair of an entry turns out to be another one. */
	moveTo(e: Counted, setId: string | null): void {
		this.#setSet.run(setId, e.id);
		this.#live(e, -1);
		this.#live({ ...e, setId }, 1);
	}

	/** What test cuts after an entry are older by, and what the bench had done when parts were put in after it. */
	#age(e: Counted, times: 1 | -1, { parts, testCuts }: Later, late = true): void {
		const tally = tallyOf(e.entry);
		const growth = times * growthNm(tally);
		if (growth === 0) return;
		if (late && parts) {
			this.#partsAfter.run(...valuesOf(addTally(NO_TALLY, tally, times)), e.benchId, e.at);
			delete this.#kept.get(e.benchId)?.pastBores;
		}
		if (testCuts) {
			this.#ageLater.run(growth, e.benchId, e.at, e.id);
			delete this.#kept.get(e.benchId)?.testCuts;
		}
	}

	/** What the pair of an entry did; gives what stands after the entry. */
	#live(e: Counted, times: 1 | -1): Later {
		const { benchId } = e;
		const set = e.setId ?? '';
		const kept = this.#kept.get(benchId);
		if (kept?.pairs && kept.pairs.current !== set) delete kept.pairs;
		const tally = tallyOf(e.entry);
		const moved = valuesOf(times === 1 ? tally : addTally(NO_TALLY, tally, times));
		const move = [times * growthNm(tally), ...moved, benchId, set];
		if (this.#moveLife.run(...move).changes === 0) {
			this.#addLife.run(benchId, set);
			this.#moveLife.run(...move);
		}
		const later = this.#after(e, set);
		if (e.entry.kind === 'pit' || later.pit) this.#measure(benchId, e.setId);
		return later;
	}

	/**
	 * What stands after an entry. Nearly every entry is the newest: when the last of what could stand there was is
	 * kept, and only then it is asked. A time kept too late asks once more than it has to.
	 */
	#after({ benchId, at, id, entry: { kind } }: Counted, set: string): Later {
		this.#lookRound();
		const kept = this.#lasts.get(benchId);
		const last = kept ?? this.#last.get(benchId, benchId, benchId)?.at ?? '';
		const own = kind === 'test-cut' || kind === 'pit';
		if (own || kept === undefined) this.#lasts.set(benchId, own && at > last ? at : last);
		if (at > last) return NOTHING_LATER;
		return this.#later.get(...[benchId, at], ...[benchId, at, id], ...[benchId, set, at, id])!;
	}

	/** Another process may have written: what is kept here can be of before. */
	#lookRound(): void {
		const seen = this.#version.get();
		if (seen === this.#seenVersion) return;
		this.#seenVersion = seen;
		this.#kept.clear();
		this.#lasts.clear();
	}

	/** The last pit of a pair, and what it had done by then. */
	#measure(benchId: string, setId: string | null): void {
		delete this.#kept.get(benchId)?.pairs;
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
	}

	#forget({ benchId, entry: { kind } }: Counted): void {
		const kept = this.#kept.get(benchId);
		if (!kept) return;
		if (isReading(kind)) delete kept.readings[kind];
		if (kind === 'test-cut') delete kept.testCuts;
		if (kind === 'cut') delete kept.cuts;
		if (kind === 'check') delete kept.checks;
		if (kind === 'bore') delete kept.pastBores;
		if (isGouging({ kind })) delete kept.grooves;
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
		this.#lookRound();
		let kept = this.#kept.get(benchId);
		if (!kept) this.#kept.set(benchId, (kept = { readings: {} }));
		const readings: Partial<Record<string, unknown>> = kept.readings;
		for (const kind of READINGS) {
			readings[kind] ??= this.#entries(benchId, kind)
				.map(({ entry }) => entry)
				.reverse();
		}
		kept.checks ??= this.#entries(benchId, 'check')
			.map(({ entry }) => entry)
			.reverse();
		kept.testCuts ??= this.#entries(benchId, 'test-cut');
		kept.cuts ??= this.#cuts.all(benchId, PATTERN_CUTS_MOST);
		const sums = this.#sums.get(benchId)!;
		return {
			revision: this.revisionOf(benchId),
			readings: kept.readings as Ledger['readings'],
			checks: kept.checks,
			testCuts: kept.testCuts.map(({ entry, wornNm }) => ({
				entry,
				sinceNm: sums.wornNm - wornNm
			})),
			cuts: kept.cuts,
			...this.#partsOf(benchId, currentSetId ?? '', sums)
		};
	}

	#partsOf(
		benchId: string,
		set: string,
		now: Tally
	): Pick<Ledger, 'electrode' | 'nozzle' | 'starts'> {
		const total = addTally(NO_TALLY, this.#life.get(benchId, set) ?? NO_TALLY);
		const pit = this.#lifePit.get(benchId, set);
		const nozzle = this.#nozzleOf(benchId, now);
		const pairs = this.#pairsOf(benchId, set);
		const startsOf = (kind: string) => {
			const [part] = this.#parts.all(benchId, kind, 1);
			return part ? now.starts - part.starts : null;
		};
		return {
			electrode: {
				total,
				last: pit ? { grownNm: pit.pitNm, use: addTally(NO_TALLY, pit) } : null,
				measured: pairs.measured,
				lives: pairs.lives
			},
			nozzle: nozzle ?? { total, last: null, measured: [], lives: [] },
			starts: startsByEye((kind) =>
				kind === 'gouge-nozzle' ? this.#groovesOf(benchId) : startsOf(kind)
			)
		};
	}

	/** Starts of the gouging nozzle that is in use; null: nobody noted one. */
	#groovesOf(benchId: string): number | null {
		const kept = this.#kept.get(benchId);
		if (kept?.grooves !== undefined) return kept.grooves;
		const [nozzle] = this.#parts.all(benchId, 'gouge-nozzle', 1);
		const grooves = nozzle
			? Math.min(GROOVES_MOST, this.#groovesSince.get(benchId, nozzle.fittedAt)!.starts)
			: null;
		if (kept) kept.grooves = grooves;
		return grooves;
	}

	/** What is kept of all electrodes, worked out again when one of them moved. */
	#pairsOf(benchId: string, current: string): Pick<PartLedger, 'measured' | 'lives'> {
		const kept = this.#kept.get(benchId);
		if (kept?.pairs?.current === current) return kept.pairs;
		const pairs = {
			current,
			measured: this.#measured
				.all(benchId, PARTS_MOST)
				.map((one) => ({ grownNm: one.pitNm, use: addTally(NO_TALLY, one) })),
			lives: this.#electrodes
				.all(benchId, PARTS_MOST)
				.map((one) => ({ use: addTally(NO_TALLY, one), worn: one.worn === 1 }))
		};
		if (kept) kept.pairs = pairs;
		return pairs;
	}

	/** Nozzles as the log saw them; undefined: none was ever noted. Its use is what the bench did since. */
	#nozzleOf(benchId: string, now: Tally): PartLedger | undefined {
		const nozzles = this.#parts.all(benchId, 'nozzle', PARTS_MOST + 1);
		const [current] = nozzles;
		if (!current) return undefined;
		const until = (i: number) => nozzles[i - 1]?.fittedAt ?? '~';
		const useOf = (i: number) => addTally(nozzles[i - 1] ?? now, nozzles[i]!, -1);
		const readingOf = (i: number): PartLedger['last'] => {
			const row = this.#bore.get(benchId, nozzles[i]!.fittedAt, until(i));
			const entry = row && entryOf(row);
			if (entry?.kind !== 'bore') return null;
			const since = this.#between.get(benchId, row!.at, row!.id, until(i))!;
			return { grownNm: boreGrowthNm(entry), use: addTally(useOf(i), since, -1) };
		};
		const kept = this.#kept.get(benchId);
		const past = kept?.pastBores ?? new Map<string, PartLedger['last']>();
		if (kept) kept.pastBores = past;
		const readings = nozzles.map(({ id }, i) => {
			if (i === 0) return readingOf(0);
			if (!past.has(id)) past.set(id, readingOf(i));
			return past.get(id)!;
		});
		return {
			total: useOf(0),
			last: readings[0]!,
			measured: readings.flatMap((reading) => reading ?? []).slice(0, PARTS_MOST),
			lives: nozzles
				.slice(1)
				.map(({ why }, i) => ({ use: useOf(i + 1), worn: why === 'worn' }))
				.slice(0, PARTS_MOST)
		};
	}

	/** Parts came or went otherwise than by the log. */
	partsMoved(benchId: string): void {
		this.#lasts.delete(benchId);
		const kept = this.#kept.get(benchId);
		delete kept?.pastBores;
		delete kept?.pairs;
		delete kept?.grooves;
	}

	/** What was read on the parts in the torch, oldest first, with the starts that each had made by then. */
	historyOf(benchId: string, set: { id: string; fittedAt: string } | undefined): WearHistory {
		const since = (fittedAt: string) => (row: Reading) => ({
			at: row.at,
			starts: this.#startsBefore.get(benchId, fittedAt, row.at, row.id)!.starts,
			grownUm: row.grownNm / NM_PER_UM
		});
		const [nozzle] = this.#parts.all(benchId, 'nozzle', 1);
		const bores = nozzle ? this.#boresOf.all(benchId, nozzle.fittedAt) : [];
		return {
			electrode: this.#pitsOf
				.all(benchId, set?.id ?? null)
				.reverse()
				.map(since(set?.fittedAt ?? '')),
			nozzle: bores
				.reverse()
				.flatMap(({ id, at, ...row }) => {
					const entry = entryOf({ id, ...row });
					return entry?.kind === 'bore' ? [{ id, at, grownNm: boreGrowthNm(entry) }] : [];
				})
				.map(since(nozzle?.fittedAt ?? ''))
		};
	}

	/** A part that was just put in: what the bench had done by then. */
	partFitted(benchId: string, partId: string, at: string): void {
		this.partsMoved(benchId);
		const now = this.#sums.get(benchId)!;
		const since = this.#between.get(benchId, at, 0, '~')!;
		this.#setPart.run(...valuesOf(addTally(addTally(NO_TALLY, now), since, -1)), partId);
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
				this.#kept.delete(benchId);
				let [at, id] = ['', 0];
				// What the bench had done when each part was put in is written as the log passes it.
				const parts = this.#eachPart.all(benchId);
				let done = NO_TALLY;
				const pass = (until: string) => {
					while (parts[0] && parts[0].fittedAt <= until)
						this.#setPart.run(...valuesOf(done), parts.shift()!.id);
				};
				for (;;) {
					const rows = this.#page.all(benchId, at, id);
					if (rows.length === 0) break;
					for (const row of rows) {
						const entry = entryOf(row);
						if (!entry) continue;
						pass(row.at);
						this.#setUse.run(...derivedOf(entry), row.id);
						const counted = { id: row.id, benchId, setId: row.setId, at: row.at, entry };
						this.count(counted, false);
						done = addTally(done, tallyOf(entry));
					}
					({ at, id } = rows.at(-1)!);
				}
				pass('~');
			})
			.immediate();
	}

	/** Everything kept of a bench, to be compared before and after a rebuild. */
	kept(benchId: string): unknown[][] {
		return this.#everything.map((statement) => statement.all(benchId));
	}
}

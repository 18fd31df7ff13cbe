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
	READINGS,
	READINGS_MOST,
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
import { entryOf } from './entryRow';
import { derivedOf, valuesOf } from './ledgerColumns';
import { ledgerStatements, type Later, type Reading } from './ledgerStatements';

/** A row of the log as the ledger counts it. */
export interface Counted {
	id: number;
	benchId: string;
	setId: string | null;
	at: string;
	entry: Entry;
}

const NOTHING_LATER: Later = { parts: 0, testCuts: 0, pit: 0 };
/** What the ledger holds of a bench between two entries. */
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
	readonly #sql: ReturnType<typeof ledgerStatements>;
	/** Readings as they stand, by bench: dropped when an entry of their kind comes or goes. */
	readonly #kept = new Map<string, Kept>();
	/** By bench: when the last part was put in, test cut or pit was made. */
	readonly #lasts = new Map<string, string>();
	#seenVersion: number | undefined;

	constructor(readonly db: Database.Database) {
		this.#sql = ledgerStatements(db);
	}

	/** An entry that was just written, wherever in time it falls; parts put in later move unless told not to. */
	count(e: Counted, late = true): void {
		const later = this.#live(e, 1);
		this.#age(e, 1, later, late);
		if (e.entry.kind === 'test-cut')
			this.#sql.setWorn.run({ benchId: e.benchId, at: e.at, id: e.id });
		this.#forget(e);
	}

	/** An entry that was just marked as undone. */
	discount(e: Counted): void {
		this.#age(e, -1, this.#live(e, -1));
		this.#forget(e);
	}

	/** The pair of an entry turns out to be another one. */
	moveTo(e: Counted, setId: string | null): void {
		this.#sql.setSet.run(setId, e.id);
		this.#live(e, -1);
		this.#live({ ...e, setId }, 1);
	}

	/** What test cuts after an entry are older by, and what the bench had done when parts were put in after it. */
	#age(e: Counted, times: 1 | -1, { parts, testCuts }: Later, late = true): void {
		const tally = tallyOf(e.entry);
		const growth = times * growthNm(tally);
		if (growth === 0) return;
		if (late && parts) {
			this.#sql.partsAfter.run(...valuesOf(addTally(NO_TALLY, tally, times)), e.benchId, e.at);
			delete this.#kept.get(e.benchId)?.pastBores;
		}
		if (testCuts) {
			this.#sql.ageLater.run(growth, e.benchId, e.at, e.id);
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
		if (this.#sql.moveLife.run(...move).changes === 0) {
			this.#sql.addLife.run(benchId, set);
			this.#sql.moveLife.run(...move);
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
		const last = kept ?? this.#sql.last.get(benchId, benchId, benchId)?.at ?? '';
		const own = kind === 'test-cut' || kind === 'pit';
		if (own || kept === undefined) this.#lasts.set(benchId, own && at > last ? at : last);
		if (at > last) return NOTHING_LATER;
		return this.#sql.later.get(...[benchId, at], ...[benchId, at, id], ...[benchId, set, at, id])!;
	}

	/** Another process may have written: what is kept here can be of before. */
	#lookRound(): void {
		const seen = this.#sql.version.get();
		if (seen === this.#seenVersion) return;
		this.#seenVersion = seen;
		this.#kept.clear();
		this.#lasts.clear();
	}

	/** The last pit of a pair, and what it had done by then. */
	#measure(benchId: string, setId: string | null): void {
		delete this.#kept.get(benchId)?.pairs;
		const set = setId ?? '';
		const pit = this.#sql.newestPit.get(benchId, setId);
		const atPit = pit
			? addTally(
					this.#sql.life.get(benchId, set)!,
					this.#sql.usedSince.get(benchId, setId, pit.at, pit.id)!,
					-1
				)
			: NO_TALLY;
		this.#sql.setLifePit.run(pit?.id ?? null, pit?.pitNm ?? 0, ...valuesOf(atPit), benchId, set);
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
		return this.#sql.newest.all(benchId, kind, READINGS_MOST).flatMap((row) => {
			const entry = entryOf(row);
			return entry?.kind === kind
				? [{ entry: entry as Extract<Entry, { kind: K }>, wornNm: row.wornNm }]
				: [];
		});
	}

	/** Changes with every row written for a bench. */
	revisionOf(benchId: string): number {
		return this.#sql.revision.get(benchId)!.id ?? 0;
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
		kept.cuts ??= this.#sql.cuts.all(benchId, PATTERN_CUTS_MOST);
		const sums = this.#sql.sums.get(benchId)!;
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
		const total = addTally(NO_TALLY, this.#sql.life.get(benchId, set) ?? NO_TALLY);
		const pit = this.#sql.lifePit.get(benchId, set);
		const nozzle = this.#nozzleOf(benchId, now);
		const pairs = this.#pairsOf(benchId, set);
		const startsOf = (kind: string) => {
			const [part] = this.#sql.parts.all(benchId, kind, 1);
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
		const [nozzle] = this.#sql.parts.all(benchId, 'gouge-nozzle', 1);
		const grooves = nozzle
			? Math.min(GROOVES_MOST, this.#sql.groovesSince.get(benchId, nozzle.fittedAt)!.starts)
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
			measured: this.#sql.measured
				.all(benchId, PARTS_MOST)
				.map((one) => ({ grownNm: one.pitNm, use: addTally(NO_TALLY, one) })),
			lives: this.#sql.electrodes
				.all(benchId, PARTS_MOST)
				.map((one) => ({ use: addTally(NO_TALLY, one), worn: one.worn === 1 }))
		};
		if (kept) kept.pairs = pairs;
		return pairs;
	}

	/** Nozzles as the log saw them; undefined: none was ever noted. Its use is what the bench did since. */
	#nozzleOf(benchId: string, now: Tally): PartLedger | undefined {
		const nozzles = this.#sql.parts.all(benchId, 'nozzle', PARTS_MOST + 1);
		const [current] = nozzles;
		if (!current) return undefined;
		const until = (i: number) => nozzles[i - 1]?.fittedAt ?? '~';
		const useOf = (i: number) => addTally(nozzles[i - 1] ?? now, nozzles[i]!, -1);
		const readingOf = (i: number): PartLedger['last'] => {
			const row = this.#sql.bore.get(benchId, nozzles[i]!.fittedAt, until(i));
			const entry = row && entryOf(row);
			if (entry?.kind !== 'bore') return null;
			const since = this.#sql.between.get(benchId, row!.at, row!.id, until(i))!;
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
			starts: this.#sql.startsBefore.get(benchId, fittedAt, row.at, row.id)!.starts,
			grownUm: row.grownNm / NM_PER_UM
		});
		const [nozzle] = this.#sql.parts.all(benchId, 'nozzle', 1);
		const bores = nozzle ? this.#sql.boresOf.all(benchId, nozzle.fittedAt) : [];
		return {
			electrode: this.#sql.pitsOf
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
		const now = this.#sql.sums.get(benchId)!;
		const since = this.#sql.between.get(benchId, at, 0, '~')!;
		this.#sql.setPart.run(...valuesOf(addTally(addTally(NO_TALLY, now), since, -1)), partId);
	}

	/** Benches whose sums were kept by another way of counting, or not at all. */
	outdated(): string[] {
		return this.#sql.outdated.all().map(({ id }) => id);
	}

	/** Makes the sums of a bench anew from its log. */
	rebuild(benchId: string): void {
		this.db
			.transaction(() => {
				for (const clear of this.#sql.clear) clear.run(benchId);
				this.#kept.delete(benchId);
				let [at, id] = ['', 0];
				// What the bench had done when each part was put in is written as the log passes it.
				const parts = this.#sql.eachPart.all(benchId);
				let done = NO_TALLY;
				const pass = (until: string) => {
					while (parts[0] && parts[0].fittedAt <= until)
						this.#sql.setPart.run(...valuesOf(done), parts.shift()!.id);
				};
				for (;;) {
					const rows = this.#sql.page.all(benchId, at, id);
					if (rows.length === 0) break;
					for (const row of rows) {
						const entry = entryOf(row);
						if (!entry) continue;
						pass(row.at);
						this.#sql.setUse.run(...derivedOf(entry), row.id);
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
		return this.#sql.everything.map((statement) => statement.all(benchId));
	}
}

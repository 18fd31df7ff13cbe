/** Evidence from what a log comes to. */
import type { Reading } from './measured';
import { NO_EVIDENCE } from '../inputs/defaults';
import { type Evidence } from '../inputs/evidence';
import { type Bench } from '../inputs/bench';
import { growthUm, RATES_UM, type Rates } from '../wear/electrode';
import { PARTS_MOST } from '../wear/inputs';
import { BORE_RATES_UM } from '../wear/nozzle';
import type { PartKind } from '../wear/parts';
import { openOf } from './checks';
import { startsByEye, type LookedAt } from '../wear/workings';
import type { Entry, LoggedEntry } from './entries';
import { FADE_UM, merged, readingsOf } from './speedReadings';
import { grooveEvidence } from './grooves';
import { scrapEvidence } from './scrap';
import { supplyEvidence, type Of } from './supply';
import {
	addTally,
	boreGrowthNm,
	growthNm,
	isGouging,
	NM_PER_UM,
	NO_TALLY,
	pitNm,
	tallyOf,
	useFromTally,
	type Tally
} from './tally';

/** Entries of one kind that count: the newest. A shop that has changed is not held to its old readings [own]. */
export const READINGS_MOST = 100;
/** Gouging starts: a gouging nozzle is long worn by then, and nobody noted the next one [own]. */
export const GROOVES_MOST = 1000;
/** Cuts that tell how the bench works now: the newest [own]. */
export const PATTERN_CUTS_MOST = 200;

/** A part that was measured: how far it had grown, after which use of it. */
export interface Measured {
	grownNm: number;
	use: Tally;
}
/** A part in the torch, and those of its kind before it, newest first. */
export interface PartLedger {
	/** Use of the one in the torch. */
	total: Tally;
	/** Its last measurement. */
	last: Measured | null;
	/** The last measurement of each. */
	measured: Measured[];
	/** Of those that came out: their whole use, and whether they were worn out. */
	lives: { use: Tally; worn: boolean }[];
}
/** A test cut with the growth since, its own included, nm. */
export interface AgedTestCut {
	entry: Of<'test-cut'>;
	sinceNm: number;
}
export interface LoggedCut {
	at: string;
	arcMs: number;
	starts: number;
}

/**
 * The log of a bench as far as it counts: sums that can be subtracted again, and the newest readings.
 * Its size does not grow with the log.
 */
export interface Ledger {
	/** Number of the newest row of the log. */
	revision: number;
	/** The newest of each kind that counts, oldest first. */
	readings: { [K in Reading]: Of<K>[] };
	/** What was found wrong or mended, the newest, oldest first. */
	checks: Of<'check'>[];
	/** Newest first. */
	testCuts: AgedTestCut[];
	/** Newest first. */
	cuts: LoggedCut[];
	electrode: PartLedger;
	nozzle: PartLedger;
	/** Starts of the parts that are judged by eye; null: nobody noted when they were put in. */
	starts: Evidence['wear']['starts'];
}
/** What test cuts tell of the speed; each counts for less the more the parts have worn since. */
function speedEvidence(bench: Bench, testCuts: readonly AgedTestCut[]): Evidence['speed'] {
	return merged(
		testCuts.flatMap(({ entry, sinceNm }) =>
			readingsOf(
				entry,
				entry.nozzleA ?? bench.torch.fittedA,
				Math.exp(-sinceNm / NM_PER_UM / FADE_UM)
			)
		)
	);
}

/** A pause longer than this is something else, s [own]. */
const PAUSE_MOST_S = 15 * 60;

/**
 * How this bench works: arc of one start over the newest cuts; the pause as the median gap between cuts
 * logged one after the other within a quarter of an hour, and only then.
 */
function patternEvidence(cuts: readonly LoggedCut[]): Evidence['pattern'] {
	const starts = cuts.reduce((sum, c) => sum + c.starts, 0);
	if (starts === 0) return null;
	const arcS = cuts.reduce((sum, c) => sum + c.arcMs, 0) / 1000 / starts;
	const gaps: number[] = [];
	for (let i = 0; i + 1 < cuts.length; i++) {
		const cut = cuts[i]!;
		if (cut.starts !== 1) continue;
		const gapS = (Date.parse(cut.at) - Date.parse(cuts[i + 1]!.at) - cut.arcMs) / 1000;
		if (gapS >= 0 && gapS <= PAUSE_MOST_S) gaps.push(gapS);
	}
	gaps.sort((x, y) => x - y);
	const restS = gaps.length ? gaps[Math.floor(gaps.length / 2)]! : null;
	return { starts, arcS: Math.max(0.1, arcS), restS };
}

function partEvidence({ total, last, measured, lives }: PartLedger, rates: Rates) {
	const ageUm = (use: Tally) => growthUm(useFromTally(use), rates);
	return {
		total: useFromTally(total),
		last: last && {
			grownUm: last.grownNm / NM_PER_UM,
			useSince: useFromTally(addTally(total, last.use, -1))
		},
		measured: measured.map(({ grownNm, use }) => ({
			grownUm: grownNm / NM_PER_UM,
			use: useFromTally(use)
		})),
		lives: [
			// The one in service has come so far at least.
			...(ageUm(total) > 0 ? [{ um: ageUm(total), worn: false }] : []),
			...lives.map(({ use, worn }) => ({ um: ageUm(use), worn }))
		].slice(0, PARTS_MOST)
	};
}

function wearEvidence({ electrode, nozzle, starts }: Ledger): Evidence['wear'] {
	return {
		electrode: partEvidence(electrode, RATES_UM),
		nozzle: partEvidence(nozzle, BORE_RATES_UM),
		starts
	};
}

/** Compact evidence of one bench: the same ledger and bench always give the same evidence. */
export function evidenceFromLedger(bench: Bench, ledger: Ledger): Evidence {
	// In the order of NO_EVIDENCE, so that equal evidence hashes alike.
	return {
		...NO_EVIDENCE,
		revision: ledger.revision,
		...supplyEvidence(bench, ledger.readings),
		pattern: patternEvidence(ledger.cuts),
		speed: speedEvidence(bench, ledger.testCuts),
		scrap: scrapEvidence(bench, ledger.readings.scrap, ledger.readings.kerf),
		wear: wearEvidence(ledger),
		gouge: grooveEvidence(bench, ledger.readings['test-groove']),
		checks: openOf(ledger.checks)
	};
}

/** Earlier first: by the time it was done, then as it was written. */
export const inTime = (
	x: Pick<LoggedEntry, 'at' | 'id'>,
	y: Pick<LoggedEntry, 'at' | 'id'>
): number => (x.at < y.at ? -1 : x.at > y.at ? 1 : x.id - y.id);

/** A part as the store keeps it: in from then on, until the next of its kind. */
export interface FittedPart {
	kind: PartKind;
	fittedAt: string;
	why: string | null;
}
/** An electrode as the store keeps it. */
export interface FittedSet {
	id: string;
	fittedAt: string;
	removedAt: string | null;
	why: string | null;
}
const WORN = 'worn';
const newestFirst = (x: { fittedAt: string }, y: { fittedAt: string }) =>
	x.fittedAt < y.fittedAt ? 1 : x.fittedAt > y.fittedAt ? -1 : 0;
const totalOf = (entries: readonly LoggedEntry[]) =>
	entries.reduce((sum, { entry }) => addTally(sum, tallyOf(entry)), NO_TALLY);

/** Use, and last reading of its kind, of what was done with one part, in time. */
function measuredOf(entries: readonly LoggedEntry[], grownNm: (entry: Entry) => number | null) {
	const at = entries.findLastIndex(({ entry }) => grownNm(entry) !== null);
	const total = totalOf(entries);
	return {
		total,
		last:
			at < 0 ? null : { grownNm: grownNm(entries[at]!.entry)!, use: totalOf(entries.slice(0, at)) }
	};
}

/** The newest reading of each part, newest first. */
function lastReadings(
	active: readonly LoggedEntry[],
	grownNm: (entry: Entry) => number | null,
	partOf: (entry: LoggedEntry) => string
): Measured[] {
	const newest = new Map<string, { at: LoggedEntry; reading: Measured }>();
	const used = new Map<string, Tally>();
	for (const one of active) {
		const part = partOf(one);
		const use = used.get(part) ?? NO_TALLY;
		const grown = grownNm(one.entry);
		if (grown !== null) newest.set(part, { at: one, reading: { grownNm: grown, use } });
		used.set(part, addTally(use, tallyOf(one.entry)));
	}
	return [...newest.values()]
		.sort((x, y) => inTime(y.at, x.at))
		.map(({ reading }) => reading)
		.slice(0, PARTS_MOST);
}

/** Cuts and test cuts, the newest first, test cuts with what was worn since. */
function cutsOf(active: readonly LoggedEntry[]): Pick<Ledger, 'testCuts' | 'cuts'> {
	const testCuts: AgedTestCut[] = [];
	const cuts: LoggedCut[] = [];
	let sinceNm = 0;
	for (const { entry, at } of [...active].reverse()) {
		sinceNm += growthNm(tallyOf(entry));
		if (entry.kind === 'test-cut' && testCuts.length < READINGS_MOST)
			testCuts.push({ entry, sinceNm });
		if (entry.kind === 'cut' && cuts.length < PATTERN_CUTS_MOST)
			cuts.push({ at, arcMs: tallyOf(entry).arcMs, starts: entry.starts });
	}
	return { testCuts, cuts };
}

/** Electrode, nozzle and what is judged by eye, each by what was logged while it was in the torch. */
function partsOf(
	active: readonly LoggedEntry[],
	currentSetId: string | null,
	sets: readonly FittedSet[],
	parts: readonly FittedPart[]
): Pick<Ledger, 'electrode' | 'nozzle' | 'starts'> {
	const pit = (entry: Entry) => (entry.kind === 'pit' ? pitNm(entry) : null);
	const bore = (entry: Entry) => (entry.kind === 'bore' ? boreGrowthNm(entry) : null);
	const ofSet = new Map<string | null, LoggedEntry[]>();
	for (const e of active) {
		const list = ofSet.get(e.setId);
		if (list) list.push(e);
		else ofSet.set(e.setId, [e]);
	}
	const inTorch = measuredOf(ofSet.get(currentSetId) ?? [], pit);
	const electrode: PartLedger = {
		...inTorch,
		measured: lastReadings(active, pit, ({ setId }) => setId ?? ''),
		lives: [...sets]
			.filter(({ removedAt }) => removedAt !== null)
			.sort(newestFirst)
			.map(({ id, why }) => ({ use: totalOf(ofSet.get(id) ?? []), worn: why === WORN }))
			.slice(0, PARTS_MOST)
	};
	const between = (kind: FittedPart['kind']) => {
		const all = parts.filter((part) => part.kind === kind).sort(newestFirst);
		return all.map((part, i) => ({
			...part,
			entries: active.filter(
				({ at }) => at >= part.fittedAt && (i === 0 || at < all[i - 1]!.fittedAt)
			)
		}));
	};
	const nozzles = between('nozzle').map(({ why, entries: of }) => ({
		why,
		...measuredOf(of, bore)
	}));
	const { total, last } = nozzles[0] ?? { ...inTorch, last: null };
	const nozzle: PartLedger = {
		total,
		last,
		measured: nozzles.flatMap(({ last }) => last ?? []).slice(0, PARTS_MOST),
		lives: nozzles
			.slice(1)
			.map(({ total, why }) => ({ use: total, worn: why === WORN }))
			.slice(0, PARTS_MOST)
	};
	const startsOf = (kind: LookedAt) => {
		const [newest] = between(kind);
		if (!newest) return null;
		if (kind !== 'gouge-nozzle') return totalOf(newest.entries).starts;
		const grooves = newest.entries.filter(({ entry }) => isGouging(entry));
		return Math.min(GROOVES_MOST, totalOf(grooves).starts);
	};
	return { electrode, nozzle, starts: startsByEye(startsOf) };
}

/** The ledger by reading a whole log: what is kept beside it must come to the same. */
export function ledgerFromLog(
	entries: readonly LoggedEntry[],
	currentSetId: string | null,
	sets: readonly FittedSet[] = [],
	parts: readonly FittedPart[] = []
): Ledger {
	const active = entries.filter((e) => !e.undone).sort(inTime);
	const newest = <K extends Entry['kind']>(kind: K): Of<K>[] =>
		active
			.map((e) => e.entry)
			.filter((e): e is Of<K> => e.kind === kind)
			.slice(-READINGS_MOST);
	return {
		revision: entries.reduce((most, e) => Math.max(most, e.id), 0),
		readings: {
			volts: newest('volts'),
			drain: newest('drain'),
			fill: newest('fill'),
			leak: newest('leak'),
			gauge: newest('gauge'),
			lamp: newest('lamp'),
			trip: newest('trip'),
			scrap: newest('scrap'),
			kerf: newest('kerf'),
			'test-groove': newest('test-groove')
		},
		checks: newest('check'),
		...cutsOf(active),
		...partsOf(active, currentSetId, sets, parts)
	};
}

/** Evidence from a whole log. */
export function evidenceFromLog(
	bench: Bench,
	entries: readonly LoggedEntry[],
	currentSetId: string | null,
	sets: readonly FittedSet[] = [],
	parts: readonly FittedPart[] = []
): Evidence {
	return evidenceFromLedger(bench, ledgerFromLog(entries, currentSetId, sets, parts));
}

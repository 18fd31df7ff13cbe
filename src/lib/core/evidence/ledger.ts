/** Evidence from what a log comes to. */
import type { Reading } from './measured';
import { NO_EVIDENCE } from '../inputs/defaults';
import { type Evidence } from '../inputs/evidence';
import { type Bench } from '../inputs/bench';
import { growthUm } from '../wear/electrode';
import type { Entry, LoggedEntry } from './entries';
import { FADE_UM, merged, readingsOf } from './speedReadings';
import { scrapEvidence } from './scrap';
import { supplyEvidence, type Of } from './supply';
import {
	addTally,
	growthNm,
	NM_PER_UM,
	NO_TALLY,
	pitNm,
	tallyOf,
	useFromTally,
	type Tally
} from './tally';

/** Entries of one kind that count: the newest. A shop that has changed is not held to its old readings [own]. */
export const READINGS_MOST = 100;
/** Cuts that tell how the bench works now: the newest [own]. */
export const PATTERN_CUTS_MOST = 200;

/** What a pit was measured on: how deep, after which use of that pair. */
export interface MeasuredPit {
	pitNm: number;
	atPit: Tally;
}
/** One pair, or the parts before any pair was named. */
export interface Life {
	total: Tally;
	pit: MeasuredPit | null;
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
	/** Newest first. */
	testCuts: AgedTestCut[];
	/** Newest first. */
	cuts: LoggedCut[];
	/** The parts in the torch. */
	life: Life;
	/** Last pits of all pairs, summed. */
	pits: MeasuredPit;
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

function wearEvidence({ life, pits }: Ledger): Evidence['wear'] {
	return {
		total: useFromTally(life.total),
		lastPit: life.pit && {
			pitUm: life.pit.pitNm / NM_PER_UM,
			useSince: useFromTally(addTally(life.total, life.pit.atPit, -1))
		},
		measuredUm: pits.pitNm / NM_PER_UM,
		expectedUm: growthUm(useFromTally(pits.atPit))
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
		scrap: scrapEvidence(bench, ledger.readings.scrap),
		wear: wearEvidence(ledger)
	};
}

/** Earlier first: by the time it was done, then as it was written. */
export const inTime = (
	x: Pick<LoggedEntry, 'at' | 'id'>,
	y: Pick<LoggedEntry, 'at' | 'id'>
): number => (x.at < y.at ? -1 : x.at > y.at ? 1 : x.id - y.id);

function lifeOf(entries: readonly LoggedEntry[]): Life {
	let total = NO_TALLY;
	let pit: MeasuredPit | null = null;
	for (const { entry } of entries) {
		if (entry.kind === 'pit') pit = { pitNm: pitNm(entry), atPit: total };
		total = addTally(total, tallyOf(entry));
	}
	return { total, pit };
}

/** The ledger by reading a whole log: what is kept beside it must come to the same. */
export function ledgerFromLog(
	entries: readonly LoggedEntry[],
	currentSetId: string | null
): Ledger {
	const active = entries.filter((e) => !e.undone).sort(inTime);
	const newest = <K extends Entry['kind']>(kind: K): Of<K>[] =>
		active
			.map((e) => e.entry)
			.filter((e): e is Of<K> => e.kind === kind)
			.slice(-READINGS_MOST);
	const sets = new Map<string | null, LoggedEntry[]>();
	for (const e of active) {
		const list = sets.get(e.setId);
		if (list) list.push(e);
		else sets.set(e.setId, [e]);
	}
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
	let pits: MeasuredPit = { pitNm: 0, atPit: NO_TALLY };
	for (const { pit } of [...sets.values()].map(lifeOf)) {
		if (pit) pits = { pitNm: pits.pitNm + pit.pitNm, atPit: addTally(pits.atPit, pit.atPit) };
	}
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
			scrap: newest('scrap')
		},
		testCuts,
		cuts,
		life: lifeOf(sets.get(currentSetId) ?? []),
		pits
	};
}

/** Evidence from a whole log. */
export function evidenceFromLog(
	bench: Bench,
	entries: readonly LoggedEntry[],
	currentSetId: string | null
): Evidence {
	return evidenceFromLedger(bench, ledgerFromLog(entries, currentSetId));
}

/** Evidence from what a log comes to. */
import type { Reading } from './measured';
import { NO_EVIDENCE } from '../inputs/defaults';
import type { Evidence } from '../inputs/evidence';
import type { Bench } from '../inputs/bench';
import { growthUm, RATES_UM, type Rates } from '../wear/electrode';
import { PARTS_MOST } from '../wear/inputs';
import { BORE_RATES_UM } from '../wear/nozzle';
import { openOf } from './checks';
import { FADE_UM, merged, readingsOf } from './speedReadings';
import { grooveEvidence } from './grooves';
import { scrapEvidence } from './scrap';
import { supplyEvidence, type Of } from './supply';
import { addTally, NM_PER_UM, useFromTally, type Tally } from './tally';

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

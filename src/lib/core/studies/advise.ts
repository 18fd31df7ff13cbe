import { CLEAN_AIMS, HAND_BAND_MM_S } from '../speed/speed';
import { AIMS } from '../speed/speed';
import { plateInput } from '../cutter/plate';
import { type Cut } from '../inputs/defaults';
import { type PlanInputs } from '../inputs/planInputs';
import type { Verdict } from '../figure/types';
import { checksOf } from '../plan/rooms';
import { judge } from '../figure/verdict';
import { workings, type Workings } from '../plan/workings';
import { wholeAmps } from '../cutter/power';

/**
 * Why these amps are the best for an aim. `supply`: more would be better, and circuit, air or cutter do not
 * bear them. `hand-limit`: a hand follows no more. `thin`: even the fewest run ahead of the hand.
 * `too-thick`: no amps part it; `none`: some would, and the supply runs through none of them.
 */
export type AdviceReason =
	| 'least-heat'
	| 'hand-limit'
	| 'thin'
	| 'supply'
	| 'full'
	| 'least-wear'
	| 'steady-hand'
	| 'not-clean'
	| 'too-thick'
	| 'none';

export interface Advice {
	aim: Cut['aim'];
	/** null: no setting does it; then there is no speed either. */
	outputA: number | null;
	/** As a hand can: no faster than it goes. */
	speedMmS: number | null;
	nozzleA: number | null;
	supply: Verdict;
	reason: AdviceReason;
}

/** The middle of what a hand holds, in the logarithm, mm/s. */
const STEADIEST_MM_S = Math.sqrt(HAND_BAND_MM_S[0] * HAND_BAND_MM_S[1]);

interface Tried {
	outputA: number;
	w: Workings;
	supply: Verdict;
	/** Of the whole of Supply and the thickness. */
	runs: boolean;
	clean: boolean;
	/** The start that was asked for goes through. */
	starts: boolean;
	/** Asked for, and as a hand goes. */
	askedMmS: number;
	speedMmS: number;
}

const outruns = (t: Tried): boolean => t.askedMmS > t.speedMmS;
/** Behind all that a hand keeps up with, in parts of a pair: what is worn at a pace that nobody holds is no price. */
const OUTRUN_SHARE = 1e6;

/** What an aim wants least of. Ties go to the lower amps, which wear the parts less. */
const WANTS: Record<Cut['aim'], (t: Tried) => number> = {
	clean: (t) => t.w.cutting.handHeatKJM ?? Infinity,
	sever: (t) => 1 / t.speedMmS,
	fastest: (t) => 1 / t.speedMmS,
	cheapest: (t) =>
		outruns(t)
			? OUTRUN_SHARE + t.outputA
			: 1000 * (t.w.wearing.perCutShare ?? Infinity) + t.outputA * 1e-3,
	easiest: (t) => Math.abs(Math.log(t.askedMmS / STEADIEST_MM_S))
};

function tryAll(inputs: PlanInputs, aim: Cut['aim']): Tried[] {
	return wholeAmps(inputs.bench, plateInput(inputs.bench)!).flatMap((outputA) => {
		const cut: Cut = { ...inputs.cut, aim, school: 'typed', typedA: outputA };
		const w = workings({ ...inputs, cut }, { solveAmps: false });
		const { speedMmS, handMmS, cleanMm, arcMm } = w.cutting;
		if (speedMmS === null || handMmS === null) return [];
		const checks = checksOf(w).filter((c) => c.station === 'supply' || c.part === 'Thickness');
		const { stations, verdict } = judge(checks);
		return [
			{
				outputA,
				w,
				supply: stations.supply.verdict,
				runs: verdict !== 'stops',
				clean: arcMm <= cleanMm,
				starts: w.cutting.startMethod !== 'none',
				askedMmS: speedMmS,
				speedMmS: handMmS
			}
		];
	});
}

const some = (all: Tried[], keep: (t: Tried) => boolean) => {
	const kept = all.filter(keep);
	return kept.length ? kept : all;
};

function reasonOf(aim: Cut['aim'], best: Tried, all: Tried[]): AdviceReason {
	if (outruns(best) && all.every(outruns)) return 'thin';
	if (CLEAN_AIMS.includes(aim) && !best.clean) return 'not-clean';
	if (aim === 'easiest') return 'steady-hand';
	if (aim === 'cheapest') return 'least-wear';
	if (aim === 'clean') return 'least-heat';
	const more = all.filter((t) => t.outputA > best.outputA);
	if (more.length === 0) return 'full';
	return more.some((t) => t.speedMmS > best.speedMmS) ? 'supply' : 'hand-limit';
}

/**
 * The best amps for each aim: every whole setting planned, those that supply and plate do not bear left
 * out, and those that do not start it as asked, the rest compared by what the aim wants. A supply that holds goes before a tight one, and for a
 * clean edge what cuts clean before what only severs. Sheet on which a hand keeps up with no amps goes at
 * the fewest, as fast as a hand goes along a guide.
 */
export function advise(inputs: PlanInputs): Advice[] {
	let cleanest: Advice | undefined;
	return AIMS.map((aim) => {
		const all = tryAll(inputs, aim);
		const starting = some(
			all.filter((t) => t.runs),
			(t) => t.starts
		);
		const running = some(starting, (t) => !CLEAN_AIMS.includes(aim) || t.clean);
		const among = some(running, (t) => t.supply === 'holds');
		const wanted = among.reduce<Tried | undefined>(
			(b, t) => (!b || WANTS[aim](t) < WANTS[aim](b) - 1e-12 ? t : b),
			undefined
		);
		// Where a clean edge is had only on a tight supply, speed is not asked to do with less.
		const asClean = running.find((t) => t.outputA === cleanest?.outputA);
		const quick = aim === 'sever' || aim === 'fastest';
		const slower = wanted && asClean && quick && wanted.speedMmS < (cleanest?.speedMmS ?? 0);
		const best = slower ? asClean : wanted;
		if (!best) {
			const reason = all.length === 0 ? 'too-thick' : 'none';
			return { aim, outputA: null, speedMmS: null, nozzleA: null, supply: 'stops', reason };
		}
		const advice: Advice = {
			aim,
			outputA: best.outputA,
			speedMmS: best.speedMmS,
			nozzleA: best.w.cutting.nozzle.ratingA,
			supply: best.supply,
			reason: reasonOf(aim, best, all)
		};
		if (aim === 'clean') cleanest = advice;
		return advice;
	});
}

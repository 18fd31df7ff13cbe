import { HAND_BAND_MM_S } from '../cutter/speed';
import { handMostMmS } from './heat';
import { AIMS, plateInput, type Cut, type PlanInputs } from '../plan/inputs';
import type { Verdict } from '../plan/types';
import { checksOf } from '../plan/checks';
import { judge } from '../plan/verdict';
import { workings, type Workings } from '../plan/workings';

/** Why these amps are the best for an aim. */
export type AdviceReason =
	'least-heat' | 'severs' | 'hand-limit' | 'full' | 'least-wear' | 'steady-hand' | 'none';

export interface Advice {
	aim: Cut['aim'];
	/** null: no setting does it. */
	outputA: number | null;
	speedMmS: number;
	nozzleA: number;
	supply: Verdict;
	reason: AdviceReason;
}

/** The middle of what a hand holds, in the logarithm, mm/s. */
const STEADIEST_MM_S = Math.sqrt(HAND_BAND_MM_S[0] * HAND_BAND_MM_S[1]);

interface Tried {
	outputA: number;
	w: Workings;
	supply: Verdict;
	speedMmS: number;
}

/** What an aim wants least of. Ties go to the lower amps, which wear the parts less. */
const WANTS: Record<Cut['aim'], (t: Tried) => number> = {
	clean: (t) => t.w.cutting.heatKJM ?? Infinity,
	sever: (t) => 1 / t.speedMmS,
	fastest: (t) => 1 / t.speedMmS,
	cheapest: (t) => t.w.wearing.perCutUm + t.outputA * 1e-3,
	easiest: (t) => Math.abs(Math.log(t.speedMmS / STEADIEST_MM_S))
};

function tryAll(inputs: PlanInputs, aim: Cut['aim']): Tried[] {
	const plate = plateInput(inputs.bench)!;
	const tried: Tried[] = [];
	const most = handMostMmS(inputs.cut.guide);
	for (let amps = Math.ceil(inputs.bench.cutter.outputMinA); amps <= plate.outputMaxA; amps++) {
		const cut: Cut = { ...inputs.cut, aim, school: 'typed', typedA: amps };
		const w = workings({ ...inputs, cut }, { solveAmps: false });
		const { stations, verdict } = judge(
			checksOf(w).filter((check) => check.station === 'supply' || check.part === 'Thickness')
		);
		const { speedMmS } = w.cutting;
		if (verdict === 'stops' || !(speedMmS > 0) || speedMmS > most) continue;
		tried.push({ outputA: amps, w, supply: stations.supply.verdict, speedMmS });
	}
	return tried;
}

function reasonOf(aim: Cut['aim'], best: Tried, fullA: number, limited: boolean): AdviceReason {
	if (aim === 'clean') return 'least-heat';
	if (aim === 'easiest') return 'steady-hand';
	if (aim === 'cheapest') return 'least-wear';
	if (best.outputA >= fullA) return 'full';
	return limited ? 'hand-limit' : 'severs';
}

/**
 * The best amps for each aim: every whole setting planned, those that supply, plate and hand do not
 * bear left out, the rest compared by what the aim wants. A supply that holds goes before a tight one.
 */
export function advise(inputs: PlanInputs): Advice[] {
	const plate = plateInput(inputs.bench)!;
	return AIMS.map((aim) => {
		const tried = tryAll(inputs, aim);
		const holding = tried.filter((t) => t.supply === 'holds');
		const among = holding.length ? holding : tried;
		const best = among.reduce<Tried | undefined>(
			(b, t) => (!b || WANTS[aim](t) < WANTS[aim](b) - 1e-12 ? t : b),
			undefined
		);
		if (!best) {
			return { aim, outputA: null, speedMmS: 0, nozzleA: 0, supply: 'stops', reason: 'none' };
		}
		const fullA = Math.floor(plate.outputMaxA);
		const limited = !among.some((t) => t.outputA >= fullA);
		return {
			aim,
			outputA: best.outputA,
			speedMmS: best.speedMmS,
			nozzleA: best.w.cutting.nozzle.ratingA,
			supply: best.supply,
			reason: reasonOf(aim, best, fullA, limited)
		};
	});
}

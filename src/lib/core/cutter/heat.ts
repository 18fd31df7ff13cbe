import {
	coolingS,
	dutyShareAt,
	governingPair,
	HOT_SPOT_C,
	HOT_TAU_S,
	RESET_C,
	riseAtK,
	type DutyPair
} from './duty';
import { firstCrossing, type Crossing, type Warmth } from '../session/node';
import type { CutterBench, CutterEvidence, PlateInput } from './inputs';
import type { Work } from '../session/inputs';

export interface HeatWorkings {
	pair: DutyPair;
	/** By the plate, at 40 °C. */
	dutyShare: number;
	tauS: number;
	/** What the timed lamp found over the plate's model; 1 without one. */
	riseFactor: number;
	riseK: number;
	/** One arc without a pause, from cold. */
	lampContinuous: Crossing | undefined;
	recoveryS: number;
}

export function heatWorkings(
	plate: PlateInput,
	evidence: CutterEvidence,
	work: Work,
	outputA: number
): HeatWorkings {
	const pair = governingPair(plate.duty, outputA);
	const tauS = evidence.heat?.tauS ?? HOT_TAU_S;
	const riseFactor = evidence.heat?.riseFactor ?? 1;
	const riseK = riseFactor * riseAtK(pair, outputA, tauS);
	return {
		pair,
		dutyShare: dutyShareAt(pair, outputA),
		tauS,
		riseFactor,
		riseK,
		lampContinuous: firstCrossing(
			{
				tauS,
				onTarget: work.shopC + riseK,
				offTarget: work.shopC,
				onS: work.arcS,
				offS: 0,
				start: work.shopC
			},
			HOT_SPOT_C
		),
		recoveryS: coolingS({
			tauS,
			fromC: HOT_SPOT_C,
			toC: RESET_C,
			ambientC: work.shopC
		})
	};
}

/** What the cutter's room reads of the Plan's workings. */
export interface CutterView {
	inputs: { bench: CutterBench; evidence: CutterEvidence; work: Work };
	heat: HeatWorkings;
	/** How warm it gets over the work. */
	session: { cutter: Warmth };
	draw: { onShare: number };
}

import {
	coolingS,
	dutyShareAt,
	governingPair,
	HOT_SPOT_C,
	HOT_TAU_S,
	RESET_C,
	riseAtK,
	type DutyPair
} from '../../cutter/duty';
import { firstCrossing, settledPeak, type Crossing, type NodePattern } from '../../session/node';
import type { PlateInput, Work } from '../inputs';

export interface HeatWorkings {
	pair: DutyPair;
	/** By the plate, at 40 °C. */
	dutyShare: number;
	riseK: number;
	pattern: NodePattern;
	peakC: number;
	lamp: Crossing | undefined;
	/** One arc without a pause, from cold. */
	lampContinuous: Crossing | undefined;
	recoveryS: number;
}

export function heatWorkings(plate: PlateInput, work: Work, outputA: number): HeatWorkings {
	const pair = governingPair(plate.duty, outputA);
	const riseK = riseAtK(pair, outputA);
	const pattern: NodePattern = {
		tauS: HOT_TAU_S,
		onTarget: work.shopC + riseK,
		offTarget: work.shopC,
		onS: work.arcS,
		offS: work.restS,
		start: work.shopC
	};
	return {
		pair,
		dutyShare: dutyShareAt(pair, outputA),
		riseK,
		pattern,
		peakC: settledPeak(pattern),
		lamp: firstCrossing(pattern, HOT_SPOT_C),
		lampContinuous: firstCrossing({ ...pattern, offS: 0 }, HOT_SPOT_C),
		recoveryS: coolingS({
			tauS: HOT_TAU_S,
			fromC: HOT_SPOT_C,
			toC: RESET_C,
			ambientC: work.shopC
		})
	};
}

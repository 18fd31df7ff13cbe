import { GUIDED_MOST_MM_S, HAND_BAND_MM_S } from '../cutter/speed';
import type { Guide } from './guide';

/** Sheet up to here warps when it is heated more than the cut needs, mm (common practice: thin sheet). */
export const WARPS_TO_MM = 3;
/** A hand this much slower than asked heats thin sheet badly [own]. */
const BADLY = 1.5;

export type WarpRisk = 'none' | 'some' | 'high';

/** Most a hand does, mm/s: along a guide, or freehand. */
export function handMostMmS(guide: Guide): number {
	return guide === 'freehand' ? HAND_BAND_MM_S[1] : GUIDED_MOST_MM_S;
}

/** Travel as it will come out: as asked, or as fast as a hand goes. */
export function handSpeedMmS(speedMmS: number, guide: Guide): number {
	return Math.min(speedMmS, handMostMmS(guide));
}

/**
 * Whether thin sheet warps. The cut itself needs much the same heat a metre at any amps; what warps is
 * the heat on top of it when a hand cannot keep up with the speed the amps ask for [own].
 */
export function warpRisk(thicknessMm: number, speedMmS: number, handMmS: number): WarpRisk {
	if (thicknessMm > WARPS_TO_MM || !(speedMmS > handMmS)) return 'none';
	return speedMmS > BADLY * handMmS ? 'high' : 'some';
}

import { GUIDED_MOST_MM_S, HAND_BAND_MM_S } from '../speed/speed';
import type { Guide } from './guide';

/** Sheet of this thickness warps when it is heated more than the cut needs, mm (common practice). */
const WARPS_MM = 3;
/** Heat beyond what the cut needs, as a share of it, on such sheet: from here some, from there badly [own]. */
const SOME = 0.15;
const BADLY = 0.8;

export type WarpRisk = 'none' | 'some' | 'high';

/** Most a hand does, mm/s: along a guide, or freehand. */
export function handMostMmS(guide: Guide): number {
	return guide === 'freehand' ? HAND_BAND_MM_S[1] : GUIDED_MOST_MM_S;
}

/** Whether a hand holds this: slower than it goes steadily, or faster than it goes at all, is tight. */
export function handPace(speedMmS: number, guide: Guide): 'slow' | 'fast' | 'held' {
	if (speedMmS < HAND_BAND_MM_S[0]) return 'slow';
	return speedMmS > handMostMmS(guide) ? 'fast' : 'held';
}

/** Travel as it will come out: as asked, or as fast as a hand goes. */
export function handSpeedMmS(speedMmS: number, guide: Guide): number {
	return Math.min(speedMmS, handMostMmS(guide));
}

/**
 * Whether thin sheet warps. The cut itself needs much the same heat a metre at any amps; what warps is
 * the heat on top of it when a hand cannot keep up with the speed the amps ask for. A plate bends with the
 * cube of its thickness less easily, so the index falls smoothly as it gets thicker [own].
 */
export function warpRisk(thicknessMm: number, speedMmS: number, handMmS: number): WarpRisk {
	const excess = (speedMmS / handMmS - 1) * (WARPS_MM / thicknessMm) ** 3;
	return excess > BADLY ? 'high' : excess > SOME ? 'some' : 'none';
}

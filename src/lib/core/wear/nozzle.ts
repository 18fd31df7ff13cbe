/** The bore of the nozzle, which has a life of its own. */
import type { Rates } from './electrode';

/**
 * Growth of the bore's diameter, µm [own starting rates]: a tenth of the electrode's pit, so that about 200
 * starts of 20 s bring 0.1 mm; a pierce throws metal at it and costs it three times as much.
 */
export const BORE_RATES_UM: Rates = {
	start: 0.3,
	arcMinute: 0.6,
	rolled: 0.6,
	straight: 1.8,
	pilotS: 0.05
};
/** Of a drill shank or pin gauge in a bore, µm [own]. */
export const BORE_GAUGE_UM = 20;

/** Change at a tenth over the bore or at 0.1 mm, whichever comes first [own]. */
export const boreLimitUm = (boreMm: number): number => Math.min(100, 100 * boreMm);
/** Two diameters further apart than this: out of round, and the arc wanders, mm [own]. */
export const OUT_OF_ROUND_MM = 0.05;

/**
 * A bore that was read give or take `spreadMm` (one standard deviation), against its limit: surely over, as far
 * as two of them, at it, or within.
 */
export function boreAgainstLimit(
	boreMm: number,
	spreadMm: number,
	newMm: number
): { limitMm: number; stands: 'over' | 'at' | 'within' } {
	const limitMm = newMm + boreLimitUm(newMm) / 1000;
	const off = 2 * spreadMm;
	return {
		limitMm,
		stands: boreMm - off > limitMm ? 'over' : boreMm + off > limitMm ? 'at' : 'within'
	};
}

/** What counts as an arc, air that flows, a pilot, a gap [own]; and what a rate can tell. */

/** Work lead: an arc burns from here, and no more below that, A. */
export const ON_A = 8;
export const OFF_A = 4;
/** Shorter is a spike of the clamp, s. */
export const SPIKE_S = 0.15;
/** An arc that comes back sooner was never out: mesh, a gap, a jump of the hand, s. */
export const REJOIN_S = 0.25;
/** Inlet this far below its rest: air flows; and no more from here, bar. */
export const FLOW_BAR = 0.15;
export const STILL_BAR = 0.08;
/** A step of the cutter's own mains current: its pilot burns, A. */
export const PILOT_A = 2;
export const PILOT_OFF_A = 1;
/** Air, or pilot, without an arc: shorter is a knock at the hose, longer is somebody who sets the pressure, s. */
export const FAILED_S = [0.3, 12] as const;
/** Rest levels are followed so slowly towards a draw, and so fast away from it, s. */
export const REST_TAU_S = 20;
export const BACK_TAU_S = 1;
/** Without a reading for so long nobody knows what was, ms; or so many times the usual distance. */
export const GAP_MS = 1500;
export const GAP_TIMES = 8;

/**
 * What a rate can tell: the error of an arc's length (two edges, each anywhere between two readings:
 * Δ/√6), and the shortest arc that is never missed.
 */
export const rateTells = (intervalS: number): { arcErrorS: number; shortestS: number } => ({
	arcErrorS: intervalS / Math.sqrt(6),
	shortestS: Math.max(intervalS, SPIKE_S)
});
/** Starts want so many readings a second (a touch lasts some tenths). */
export const RATE_WANTED_HZ = 10;

import { loadVoltageV } from '../circuit/draw';

/**
 * Plate model of travel speed [own]: v = A·P(I)/P(I_max)/t − B, v in mm/min, t in mm.
 * The first term is the energy that melts the kerf, the second what the plate conducts away.
 * A and B follow from the two ratings: clean at 500 mm/min, sever at 125 mm/min (common practice).
 */
export const CLEAN_MM_MIN = 500;
export const SEVER_MM_MIN = 125;
/** Fastest speed that still parts, over the recommended one, to start with [own]. */
export const FASTEST_FACTOR = 1.4;
/** Where "sever" sits in the window between recommended and fastest [own]. */
export const SEVER_SPEED_FACTOR = 1.3;

/** Where each aim sits between the recommended speed (1) and the fastest that parts (1.4) [own]. */
export const AIM_FACTORS = {
	clean: 1,
	easiest: 1,
	cheapest: 1.15,
	sever: SEVER_SPEED_FACTOR,
	fastest: 1.36
} as const;
/** Aims that want a clean edge, and so stay inside the clean rating. */
export const CLEAN_AIMS: readonly string[] = ['clean', 'easiest'];

export interface SpeedLaw {
	/** mm²/min at full amps. */
	A: number;
	/** mm/min. */
	B: number;
}

/** Output power in W at these amps. */
export function outputPowerW(outputA: number): number {
	return outputA * loadVoltageV(outputA);
}

/** A and B of mild steel from the two ratings in mm. */
export function steelLaw(cleanMm: number, severMm: number): SpeedLaw {
	const A = (CLEAN_MM_MIN - SEVER_MM_MIN) / (1 / cleanMm - 1 / severMm);
	return { A, B: A / cleanMm - CLEAN_MM_MIN };
}

/**
 * Another metal: `thinSpeed` scales the speed in thin sheet, where A/t rules, and `capacity` says at
 * which share of the clean rating it still reaches 500 mm/min. Two factors, because aluminium cuts
 * thin sheet as fast as steel though its capacity is far less.
 */
export function metalLaw(
	steel: SpeedLaw,
	cleanMm: number,
	capacity: number,
	thinSpeed: number
): SpeedLaw {
	const A = steel.A * thinSpeed;
	return { A, B: A / (capacity * cleanMm) - CLEAN_MM_MIN };
}

/** Speed in mm/min; may be negative, which means the plate is too thick. */
export function speedMmMin(law: SpeedLaw, powerShare: number, thicknessMm: number): number {
	return (law.A * powerShare) / thicknessMm - law.B;
}

/** Thickness in mm that is cut at a speed: t = A·share/(v + B). */
export function thicknessMmAtSpeed(
	law: SpeedLaw,
	powerShare: number,
	speedMmMinute: number
): number {
	return (law.A * powerShare) / (speedMmMinute + law.B);
}

/** Lag of sparks and lag lines at the recommended speed: the middle of 15–30° (common practice). */
export const LAG_AT_REFERENCE_DEG = 22.5;
export const LAG_WINDOW_DEG = [15, 30] as const;
const TAN_REFERENCE = Math.tan((LAG_AT_REFERENCE_DEG * Math.PI) / 180);

/** Speed over the recommended speed at a lag angle: tan θ / tan 22.5° [own]. */
export function speedRatioFromLag(lagDeg: number): number {
	return Math.tan((lagDeg * Math.PI) / 180) / TAN_REFERENCE;
}

/** Lag angle in degrees at a speed over the recommended speed [own]. */
export function lagDegFromRatio(ratio: number): number {
	return (Math.atan(TAN_REFERENCE * ratio) * 180) / Math.PI;
}

/** What a hand holds steadily without and with a guide, mm/s [own]. */
export const HAND_BAND_MM_S = [5, 30] as const;
export const GUIDED_MOST_MM_S = 50;

/**
 * Duty cycle. Two laws, told apart on purpose:
 * the plate's pairs with I²·X constant between them give the rated share of ten minutes at 40 °C
 * (IEC 60974-1); a one-node model gives times to the lamp at the shop's own temperature [own].
 */
export interface DutyPair {
	outputA: number;
	/** Share of ten minutes, 0 to 1. */
	dutyShare: number;
}

export const HOT_SPOT_C = 130;
export const HOT_TAU_S = 300;
/** The lamp goes out 20 K below the limit [own]. */
export const RESET_C = HOT_SPOT_C - 20;
export const RATED_AMBIENT_C = 40;
const PERIOD_S = 600;

/** The plate's pair that speaks for these amps: the lowest at or above them, else the highest. */
export function governingPair(pairs: readonly DutyPair[], outputA: number): DutyPair {
	const rising = [...pairs].sort((x, y) => x.outputA - y.outputA);
	return rising.find((pair) => pair.outputA >= outputA - 1e-9) ?? rising[rising.length - 1]!;
}

/** Rated share at these amps: X·(I_r/I)², at most 1. */
export function dutyShareAt(pair: DutyPair, outputA: number): number {
	return Math.min(1, pair.dutyShare * (pair.outputA / outputA) ** 2);
}

/**
 * Steady rise over the surroundings that makes the rated cycle just reach the limit at 40 °C:
 * ΔT = (T_lim − 40)·(1 − e^(−600/τ))/(1 − e^(−600·X/τ)), K.
 */
export function ratedRiseK(
	dutyShare: number,
	tauS = HOT_TAU_S,
	limitC = HOT_SPOT_C,
	ratedC = RATED_AMBIENT_C
): number {
	return (
		((limitC - ratedC) * (1 - Math.exp(-PERIOD_S / tauS))) /
		(1 - Math.exp((-PERIOD_S * dutyShare) / tauS))
	);
}

/** Rise at other amps: heat goes with the square of the current. */
export function riseAtK(pair: DutyPair, outputA: number, tauS = HOT_TAU_S): number {
	return ratedRiseK(pair.dutyShare, tauS) * (outputA / pair.outputA) ** 2;
}

/** Time in s to cool from one temperature to another towards the surroundings: τ·ln((T1 − T_a)/(T2 − T_a)). */
export function coolingS(c: {
	tauS: number;
	fromC: number;
	toC: number;
	ambientC: number;
}): number {
	return c.tauS * Math.log((c.fromC - c.ambientC) / (c.toC - c.ambientC));
}

/**
 * Time constant that a timed recovery tells, s: t/ln((T_lim − T_a)/(T_reset − T_a)), and the factor on
 * the rated rise that a lamp timed from cold, without a pause, tells: (T_lim − T_a)/(ΔT·(1 − e^(−t/τ))).
 */
export function tauFromRecoveryS(recoveryS: number, ambientC: number): number {
	return recoveryS / Math.log((HOT_SPOT_C - ambientC) / (RESET_C - ambientC));
}
export function riseFactorFromLamp(i: {
	lampS: number;
	ambientC: number;
	tauS: number;
	modelRiseK: number;
}): number {
	return (HOT_SPOT_C - i.ambientC) / (i.modelRiseK * (1 - Math.exp(-i.lampS / i.tauS)));
}

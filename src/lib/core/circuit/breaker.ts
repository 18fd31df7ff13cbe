/**
 * Thermal trip of a circuit breaker as one node: τ·dθ/dt = (I/In)² − θ, trips at θ_trip [own model].
 *
 * The latest curve touches the published must-trip points, the earliest passes through the published
 * hold point and an early trip at high current, so the real device lies between them:
 * UL 489 at 40 °C: holds 100 %; 135 % trips within 1 h; 200 % within 2 min to 30 A, 4 min to 50 A,
 * 6 min to 100 A. IEC 60898-1 at 30 °C: holds 113 %; 145 % trips within the conventional time;
 * 255 % within 60 s to 32 A, 120 s above. Both from memory.
 */
export const BREAKER_STANDARDS = ['ul489', 'iec60898'] as const;
export type BreakerStandard = (typeof BREAKER_STANDARDS)[number];
export const BREAKER_CURVES = ['B', 'C', 'D'] as const;
export type BreakerCurve = (typeof BREAKER_CURVES)[number];

export interface TripCurve {
	/** Heat at which it trips, in (I/In)². */
	tripHeat: number;
	tauS: number;
}

const UL_HOLD = 1;
const UL_TRIP = 1.35;
const IEC_HOLD = 1.13;
const IEC_TRIP = 1.45;

/** τ that trips at a multiple of In after a time, from a cold start: t = τ·ln(m²/(m² − θ)). */
function tauThrough(multiple: number, timeS: number, tripHeat: number): number {
	return timeS / Math.log(multiple ** 2 / (multiple ** 2 - tripHeat));
}

const ulLatestS = (ratingA: number) => (ratingA <= 30 ? 120 : ratingA <= 50 ? 240 : 360);
const iecLatestS = (ratingA: number) => (ratingA <= 32 ? 60 : 120);

/** The two curves that bound the device. */
export function tripCurves(
	standard: BreakerStandard,
	ratingA: number
): { earliest: TripCurve; latest: TripCurve } {
	const [hold, trip] = standard === 'ul489' ? [UL_HOLD, UL_TRIP] : [IEC_HOLD, IEC_TRIP];
	const [multiple, latestS, earliestS] =
		standard === 'ul489' ? [2, ulLatestS(ratingA), 20] : [2.55, iecLatestS(ratingA), 10];
	const curve = (tripHeat: number, timeS: number) => ({
		tripHeat,
		tauS: tauThrough(multiple, timeS, tripHeat)
	});
	return { earliest: curve(hold ** 2, earliestS), latest: curve(trip ** 2, latestS) };
}

/**
 * A breaker between the two: 0 the earliest, 1 the latest. Trip heat goes evenly, the time constant by
 * its logarithm. What was seen to trip or to hold narrows the share [own].
 */
export function curveBetween(
	{ earliest, latest }: { earliest: TripCurve; latest: TripCurve },
	share: number
): TripCurve {
	return {
		tripHeat: earliest.tripHeat + share * (latest.tripHeat - earliest.tripHeat),
		tauS: earliest.tauS * (latest.tauS / earliest.tauS) ** share
	};
}

const REFERENCE_C: Record<BreakerStandard, number> = { ul489: 40, iec60898: 30 };
/** A bimetal some 100 K above its surroundings at the trip: about 0.5 % of rating per kelvin [own]. */
const BIMETAL_RISE_K = 100;

/** Rating at the temperature around the breaker: In·√(1 − (T − T_ref)/100 K) [own]. */
export function ratingAtAmbientA(
	standard: BreakerStandard,
	ratingA: number,
	ambientC: number
): number {
	return ratingA * Math.sqrt(1 - (ambientC - REFERENCE_C[standard]) / BIMETAL_RISE_K);
}

/** Multiples of In between which a curve trips at once (IEC 60898-1, Table 7, from memory). */
export const MAGNETIC_BAND: Record<BreakerCurve, readonly [number, number]> = {
	B: [3, 5],
	C: [5, 10],
	D: [10, 20]
};

/** UL 489 gives no band for fixed breakers; small ones trip at once from about 5 to 12 times [common practice]. */
const UL_MAGNETIC: readonly [number, number] = [5, 12];

/** Multiples of its rating between which a breaker trips at once. */
export function magneticBand(
	standard: BreakerStandard,
	curve: BreakerCurve
): readonly [number, number] {
	return standard === 'ul489' ? UL_MAGNETIC : MAGNETIC_BAND[curve];
}

/** Standard overcurrent ratings to 100 A (NEC 240.6(A), from memory). */
export const NEC_STANDARD_A = [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100];

/** Largest breaker the NEC lets feed the machine: 200 % of I1max, next standard size up (630.12(A)). */
export function necLargestBreakerA(inputMaxA: number): number | undefined {
	return NEC_STANDARD_A.find((rating) => rating >= 2 * inputMaxA - 1e-9);
}

/** Usual ratings of miniature breakers, A (IEC 60898-1, preferred values, from memory). */
export const IEC_STANDARD_A = [6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125];

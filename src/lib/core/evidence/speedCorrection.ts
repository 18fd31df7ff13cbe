/**
 * Test cuts correct the speed of chart or model by a factor. ln(factor) has a normal prior around 0;
 * each test cut that went through observes it with a normal error, so the posterior has a closed form:
 * mean = ΣL/(n + (σ_cut/σ_prior)²), variance = 1/(1/σ_prior² + n/σ_cut²), L = ln(seen/base).
 *
 * "Not through" at a speed m is censored: it says that the fastest speed, `FASTEST_FACTOR` times the
 * recommended one, lies below it, Φ((m − c − ln 1.4)/σ_cut); a fast cut that parted says that it lies
 * above, one minus that. The posterior is then the product, integrated on a grid.
 */
import { FASTEST_FACTOR } from '../cutter/speed';

/** Spread of ln(factor) before any test: of the plate model, and of a chart of this machine [own]. */
export const PRIOR_SIGMA = 0.25;
export const CHART_SIGMA = 0.12;
/** How fast the one becomes the other outside of the chart, per unit of logarithm [own]. */
const FAR_SIGMA = 0.55;

/** Spread before any test, `far` outside of the chart in the logarithms of amps and thickness. */
export function chartSigma(far: number): number {
	return Math.min(PRIOR_SIGMA, Math.hypot(CHART_SIGMA, FAR_SIGMA * far));
}
/** Spread of one test cut [own]. */
export const CUT_SIGMA = 0.12;
/** A test counts for less as the electrode wears on: e-fold at this much growth since, µm [own]. */
export const FADE_UM = 1000;

export interface SpeedTests {
	/** Sum of the weights: a fresh test counts 1. */
	n: number;
	sumLog: number;
	/** ln(speed/base) of cuts that did not go through. */
	missed: readonly number[];
	/** ln(speed/base) of fast cuts that parted. */
	parted?: readonly number[];
}

export interface SpeedCorrection {
	factor: number;
	/** One standard deviation of ln(factor). */
	sigma: number;
	n: number;
	/** How many cuts spoke about the fastest speed. */
	censored: number;
}

/** Φ by Abramowitz & Stegun 7.1.26, within 1.5e-7. */
export function normalCdf(z: number): number {
	const x = Math.abs(z) / Math.SQRT2;
	const t = 1 / (1 + 0.3275911 * x);
	const erf =
		1 -
		((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
			t *
			Math.exp(-x * x);
	return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

const GRID = 401;
const REACH_SIGMA = 6;

export function speedCorrection(
	tests: SpeedTests | undefined,
	priorSigma = PRIOR_SIGMA
): SpeedCorrection {
	const n = tests?.n ?? 0;
	const sumLog = tests?.sumLog ?? 0;
	const missed = tests?.missed ?? [];
	const parted = tests?.parted ?? [];
	const mean = sumLog / (n + (CUT_SIGMA / priorSigma) ** 2);
	const sigma = Math.sqrt(1 / (1 / priorSigma ** 2 + n / CUT_SIGMA ** 2));
	const censored = missed.length + parted.length;
	if (censored === 0) return { factor: Math.exp(mean), sigma, n, censored };

	let [mass, first, second] = [0, 0, 0];
	const beyond = (m: number, c: number) =>
		normalCdf((m - c - Math.log(FASTEST_FACTOR)) / CUT_SIGMA);
	// Censored cuts pull the whole to their side, so the grid reaches further that way.
	const low = mean - (missed.length ? 2 : 1) * REACH_SIGMA * sigma;
	const high = mean + (parted.length ? 2 : 1) * REACH_SIGMA * sigma;
	for (let i = 0; i < GRID; i++) {
		const c = low + ((high - low) * i) / (GRID - 1);
		let weight = Math.exp(-0.5 * ((c - mean) / sigma) ** 2);
		for (const m of missed) weight *= beyond(m, c);
		for (const m of parted) weight *= 1 - beyond(m, c);
		mass += weight;
		first += weight * c;
		second += weight * c * c;
	}
	const posterior = first / mass;
	return {
		factor: Math.exp(posterior),
		sigma: Math.sqrt(Math.max(1e-9, second / mass - posterior ** 2)),
		n,
		censored
	};
}

/** Test cuts are kept by metal and by the nozzle that was in the torch. */
export function speedKey(metal: string, nozzleA: number): string {
	return `${metal}@${nozzleA}`;
}

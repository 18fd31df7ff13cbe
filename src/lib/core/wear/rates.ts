/**
 * What this shop's own pits say of the rates: non-negative least squares on the depths that were measured,
 * drawn towards the starting rates. Worked in multiples of the starting rates, so that every coefficient
 * begins at 1.
 */
import { backward, cholesky, forward, type Matrix } from '../solve/cholesky';
import { nnls } from '../solve/nnls';
import { growthByKindUm, growthUm, RATES_UM, type Rates, type Use } from './electrode';

/** A part measured once: how far it had grown, after which use. */
export interface MeasuredGrowth {
	grownUm: number;
	use: Use;
}
export interface FittedRates {
	rates: Rates;
	/** Those that they began from. */
	starting: Rates;
	/** Covariance of the multiples, in the order of {@link KINDS}. */
	covariance: Matrix;
	/** Measurements that they rest on. */
	from: number;
}

export const KINDS = ['start', 'arcMinute', 'rolled', 'straight', 'pilotS'] as const;
/** Spread of all starting rates together, and of each on its own, relative, one standard deviation [own]. */
export const SHOP_SPREAD = 0.3;
export const KIND_SPREAD = 0.2;
/** Of a depth gauge in a pit, µm, and of one electrode against the next, relative [own]. */
export const GAUGE_UM = 50;
export const PART_SPREAD = 0.1;

/** Inverse of SHOP² in every place with KIND² more on the diagonal. */
function priorPrecision(): Matrix {
	const n = KINDS.length;
	const [s, k] = [SHOP_SPREAD ** 2, KIND_SPREAD ** 2];
	const off = -s / (k * (k + n * s));
	return KINDS.map((_, i) => KINDS.map((_, j) => off + (i === j ? 1 / k : 0)));
}

function inverse(a: Matrix): Matrix {
	const l = cholesky(a)!;
	return a.map((_, i) =>
		backward(
			l,
			forward(
				l,
				a.map((_, j) => (i === j ? 1 : 0))
			)
		)
	);
}

/** Rates from what was measured; without any the starting rates, with their spread. */
export function fitRates(
	measured: readonly MeasuredGrowth[],
	starting: Rates = RATES_UM,
	gaugeUm = GAUGE_UM
): FittedRates {
	const gram = priorPrecision();
	const c = gram.map((row) => row.reduce((sum, g) => sum + g, 0));
	for (const { grownUm, use } of measured) {
		const by = growthByKindUm(use, starting);
		const expected = KINDS.reduce((sum, kind) => sum + by[kind], 0);
		const weight = 1 / (gaugeUm ** 2 + (PART_SPREAD * expected) ** 2);
		KINDS.forEach((a, i) => {
			c[i]! += weight * by[a] * grownUm;
			KINDS.forEach((b, j) => (gram[i]![j]! += weight * by[a] * by[b]));
		});
	}
	// The belief makes the system definite, so that there is always exactly one answer.
	const multiples = nnls(gram, c)!;
	const rates = Object.fromEntries(
		KINDS.map((kind, i) => [kind, starting[kind] * multiples[i]!])
	) as Rates;
	return { rates, starting, covariance: inverse(gram), from: measured.length };
}

/** One standard deviation of the growth under such a use, relative: of the rates, and of one part against the next. */
export function growthSpread({ covariance, rates, starting }: FittedRates, use: Use): number {
	const by = growthByKindUm(use, starting);
	const parts = KINDS.map((kind) => by[kind]);
	const growth = growthUm(use, rates);
	if (growth <= 0) return 0;
	const variance = covariance.reduce(
		(sum, row, i) => sum + row.reduce((s, v, j) => s + v * parts[i]! * parts[j]!, 0),
		0
	);
	return Math.hypot(Math.sqrt(variance) / growth, PART_SPREAD);
}

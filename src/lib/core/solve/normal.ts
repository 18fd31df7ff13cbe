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

export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);

/** φ(z)/Φ(z); far below by its asymptote, where the approximation of Φ runs out; within 0.3 %. */
export function inverseMills(z: number): number {
	if (z >= -3.7) return normalDensity(z) / normalCdf(z);
	const x = -z;
	return x + 1 / x - 2 / x ** 3 + 10 / x ** 5;
}

/** Eight times in ten lie within this many standard deviations. */
export const EIGHT_IN_TEN = 1.2816;

/**
 * A normal belief after "it lies above `bound`" (side 1) or below (side −1), read with a normal error:
 * the first two moments of the product, exact.
 */
export function censored(
	belief: { mean: number; variance: number },
	bound: number,
	side: 1 | -1,
	errorVariance: number
): { mean: number; variance: number } {
	const q = Math.sqrt(belief.variance + errorVariance);
	const z = (side * (belief.mean - bound)) / q;
	const r = inverseMills(z);
	return {
		mean: belief.mean + (side * belief.variance * r) / q,
		variance: belief.variance - (belief.variance ** 2 * r * (z + r)) / q ** 2
	};
}

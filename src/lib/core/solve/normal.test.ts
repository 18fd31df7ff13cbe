import { describe, expect, it } from 'vitest';
import { censored, EIGHT_IN_TEN, inverseMills, normalCdf } from './normal';

describe('the normal distribution', () => {
	it('is that of the table (Abramowitz and Stegun, table 26.1)', () => {
		for (const [z, cdf] of [
			[0, 0.5],
			[0.5, 0.69146246],
			[1, 0.84134475],
			[1.96, 0.9750021],
			[3, 0.9986501]
		] as const) {
			expect(normalCdf(z)).toBeCloseTo(cdf, 6);
			expect(normalCdf(-z)).toBeCloseTo(1 - cdf, 6);
		}
		expect(normalCdf(EIGHT_IN_TEN) - normalCdf(-EIGHT_IN_TEN)).toBeCloseTo(0.8, 4);
	});
	it('has its inverse Mills ratio to 0.3 %, far below too', () => {
		// φ(0)/Φ(0) = √(2/π); the others by the continued fraction z + 1/(z + 2/(z + 3/(z + …))).
		expect(inverseMills(0)).toBeCloseTo(Math.sqrt(2 / Math.PI), 6);
		for (const z of [1, 2, 3, 3.6, 3.8, 5, 12]) {
			let tail = z;
			for (let k = 400; k > 0; k--) tail = z + k / tail;
			expect(inverseMills(-z) / tail).toBeGreaterThan(0.997);
			expect(inverseMills(-z) / tail).toBeLessThan(1.003);
		}
	});
});

describe('a belief after a bound that was read with an error', () => {
	/** The product of both summed in small steps, from ten deviations below to ten above. */
	function summed(mean: number, variance: number, bound: number, side: 1 | -1, error: number) {
		const s = Math.sqrt(variance);
		let [all, first, second] = [0, 0, 0];
		for (let k = -5000; k <= 5000; k++) {
			const x = mean + (k / 500) * s;
			const w =
				Math.exp(-((x - mean) ** 2) / (2 * variance)) *
				normalCdf((side * (x - bound)) / Math.sqrt(error));
			all += w;
			first += w * x;
			second += w * x * x;
		}
		return { mean: first / all, variance: second / all - (first / all) ** 2 };
	}
	it('has the mean and the variance of the product', () => {
		for (const [mean, variance, bound, side, error] of [
			[0, 1, 0.5, 1, 0.25],
			[0, 1, -1, 1, 0.04],
			[3, 0.16, 3.4, -1, 0.09],
			[3, 4, 1, -1, 0.5],
			[-2, 0.01, -1.9, 1, 0.0025]
		] as const) {
			const found = censored({ mean, variance }, bound, side, error);
			const product = summed(mean, variance, bound, side, error);
			expect((found.mean - product.mean) / Math.sqrt(variance)).toBeCloseTo(0, 4);
			expect(found.variance / product.variance).toBeCloseTo(1, 3);
		}
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bisect, firstTrue } from './bisect';

describe('bisect', () => {
	it('finds where it stops to hold, from either side', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.01, max: 99.99, noNaN: true }),
				fc.boolean(),
				(edge, rising) => {
					const holds = (x: number) => (rising ? x <= edge : x >= edge);
					const [yes, no] = rising ? [0, 100] : [100, 0];
					const found = bisect(yes, no, holds, (a, b) => Math.abs(a - b) < 1e-6);
					expect(holds(found)).toBe(true);
					expect(Math.abs(found - edge)).toBeLessThan(1e-6);
				}
			)
		);
	});

	it('asks nothing when the two are close already', () => {
		const asked = () => expect.unreachable('asked');
		expect(bisect(1, 1.0001, asked as never, (a, b) => Math.abs(a - b) < 0.001)).toBe(1);
	});
});

describe('firstTrue', () => {
	it('is what a look at every place finds', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (n, from) => {
				const holds = (i: number) => i >= from;
				const places = Array.from({ length: n }, (_, i) => i);
				const plain = places.findIndex(holds);
				expect(firstTrue(n, holds)).toBe(plain < 0 ? n : plain);
			})
		);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BEATS_MOST_PER_S, MARKS_MM, paceOf, travelMmS, travelS } from './pace';

describe('a pace', () => {
	it('is the way over its time, and gives the time back', () => {
		expect(travelMmS({ lengthMm: 300, timeS: 15 })).toBe(20);
		expect(travelS({ lengthMm: 300, speedMmS: 20 })).toBe(15);
	});
});

describe('the beat', () => {
	it('comes at most three times a second and covers the line in its time', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.5, max: 400, noNaN: true }),
				fc.double({ min: 10, max: 20000, noNaN: true }),
				fc.constantFrom(MARKS_MM.metric, MARKS_MM.imperial),
				(speedMmS, lengthMm, marks) => {
					const { beatMm, beatS, beats, totalS } = paceOf({ speedMmS, lengthMm }, marks);
					expect(1 / beatS).toBeLessThanOrEqual(BEATS_MOST_PER_S + 1e-9);
					expect(beatMm / beatS).toBeCloseTo(speedMmS, 6);
					expect(totalS * speedMmS).toBeCloseTo(lengthMm, 6);
					expect(beats * beatMm).toBeGreaterThanOrEqual(lengthMm - 1e-6);
					expect((beats - 1) * beatMm).toBeLessThan(lengthMm);
				}
			)
		);
	});

	it('takes the nearest marks that allow it: 22 mm/s every 10 mm, 5 mm/s every 5', () => {
		const marks = (speedMmS: number) => paceOf({ speedMmS, lengthMm: 300 }, MARKS_MM.metric).beatMm;
		expect([5, 22, 40, 100, 200].map(marks)).toEqual([5, 10, 25, 50, 100]);
	});
});

it('three beats a second are not yet too many', () => {
	expect(paceOf({ speedMmS: 30, lengthMm: 100 }, [5, 10, 20]).beatMm).toBe(10);
	expect(paceOf({ speedMmS: 30.1, lengthMm: 100 }, [5, 10, 20]).beatMm).toBe(20);
});

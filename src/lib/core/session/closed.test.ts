import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedBefore, closedFrom, DAY_S, overAt, type Closed } from './closed';

const H = 3600;
/** Ten to a quarter past, and from four in the afternoon to eight the next day, of a day begun at eight. */
const SHOP = closedFrom(8 * H, [
	{ fromS: 10 * H, toS: 10.25 * H },
	{ fromS: 16 * H, toS: 32 * H }
]);

/** Windows that lie apart within a day, in minutes; at least an hour is open. */
const closedArb: fc.Arbitrary<Closed> = fc
	.uniqueArray(fc.integer({ min: 0, max: 1380 }), { minLength: 2, maxLength: 8 })
	.map((edges) => {
		const sorted = edges.toSorted((a, b) => a - b);
		return Array.from({ length: Math.floor(sorted.length / 2) }, (_, k) => ({
			fromS: 60 * sorted[2 * k]!,
			toS: 60 * sorted[2 * k + 1]!
		}));
	});
const isClosed = (closed: Closed, s: number) =>
	closed.some(({ fromS, toS }) =>
		[-DAY_S, 0].some((day) => s % DAY_S >= fromS + day && s % DAY_S < toS + day)
	);

describe('breaks and nights', () => {
	it('are told from the start of the list, whatever the hour', () => {
		expect(SHOP).toEqual([
			{ fromS: 2 * H, toS: 2.25 * H },
			{ fromS: 8 * H, toS: 24 * H }
		]);
		// Begun at one in the afternoon: the afternoon first, then the night, the morning’s break after it.
		expect(closedFrom(13 * H, [{ fromS: 10 * H, toS: 10.25 * H }])).toEqual([
			{ fromS: 21 * H, toS: 21.25 * H }
		]);
	});

	it('lets work end before a break, go on after it, and the next morning', () => {
		expect(overAt(SHOP, 0, 2 * H)).toBe(2 * H);
		expect(overAt(SHOP, 0, 3 * H)).toBe(3.25 * H);
		expect(overAt(SHOP, 0, 7.75 * H)).toBe(8 * H);
		expect(overAt(SHOP, 0, 8 * H)).toBe(24.25 * H);
		expect(overAt([], 5, 7)).toBe(12);
		// Begun in the night that began before it.
		const late = closedFrom(20 * H, [{ fromS: 16 * H, toS: 32 * H }]);
		expect(overAt(late, 0, H)).toBe(13 * H);
		expect(closedBefore(late, { freeS: 0, startS: 30, arcS: 20 })).toBe(12 * H);
	});

	it('works as a clock that is looked at minute by minute', () => {
		fc.assert(
			fc.property(
				closedArb,
				fc.integer({ min: 0, max: 2 * 1440 }),
				fc.integer({ min: 1, max: 3 * 1440 }),
				(closed, from, minutes) => {
					let [at, left] = [from * 60, minutes];
					while (left > 0) {
						if (!isClosed(closed, at)) left--;
						at += 60;
					}
					expect(overAt(closed, from * 60, minutes * 60)).toBe(at);
				}
			)
		);
	});

	it('lights no arc that would not be over, and never sooner than it is ready', () => {
		fc.assert(
			fc.property(
				closedArb,
				fc.integer({ min: 0, max: 2 * 1440 }),
				fc.integer({ min: 0, max: 30 }),
				fc.integer({ min: 1, max: 40 }),
				(closed, free, handling, arc) => {
					const [freeS, arcS] = [free * 60, arc * 60];
					const startS = freeS + handling * 60;
					const laterS = closedBefore(closed, { freeS, startS, arcS });
					expect(laterS).toBeGreaterThanOrEqual(0);
					const minutes = Array.from({ length: arc }, (_, k) => startS + laterS + 60 * k);
					const fits = Array.from({ length: 2 * 1440 }, (_, k) => startS + 60 * k).some((at) =>
						Array.from({ length: arc }, (_, k) => at + 60 * k).every((s) => !isClosed(closed, s))
					);
					if (fits) expect(minutes.some((s) => isClosed(closed, s))).toBe(false);
					else expect(laterS).toBe(0);
				}
			),
			{ numRuns: 60 }
		);
	});

	it('breaks laying off and goes on with it; an arc that is ready waits for the end', () => {
		const at = (freeS: number, startS: number, arcS: number) =>
			closedBefore(SHOP, { freeS, startS, arcS });
		// Five minutes of laying before the break, five after it.
		expect(at(2 * H - 300, 2 * H + 300, 20)).toBe(0.25 * H);
		// Laid in time, but the arc would run into it.
		expect(at(2 * H - 60, 2 * H - 10, 20)).toBe(0.25 * H + 10);
		expect(at(2 * H - 60, 2 * H - 20, 20)).toBe(0);
		// Free in the middle of the break: all of the laying comes after it.
		expect(at(2 * H + 60, 2 * H + 90, 20)).toBe(0.25 * H - 60);
		// An arc of nine hours fits into no day: it goes where it falls.
		expect(at(0, 60, 9 * H)).toBe(0);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CARE_KINDS, careDue, USUAL_CARE, type CareDone } from './care';

const NOW = Date.UTC(2026, 10, 26, 14, 30);
const DAY = 24 * 3600 * 1000;
const daysAgo = (n: number, more: Partial<CareDone> = {}): CareDone => ({
	atMs: NOW - n * DAY,
	everyDays: null,
	arcSinceH: 0,
	...more
});
const due = (kind: (typeof CARE_KINDS)[number], done: CareDone | null, arcHPerDay = 0) =>
	careDue(kind, done, { nowMs: NOW, arcHPerDay, dayOf: (ms) => Math.floor(ms / DAY) * DAY });

describe('looking after the shop', () => {
	it('is due today where nobody noted that it was done', () => {
		for (const kind of CARE_KINDS)
			expect(due(kind, null)).toMatchObject({ inDays: 0, lastMs: null, byArc: false });
	});

	it('drains every day: done this morning it is due tomorrow, done three days ago it is two days late', () => {
		expect(due('drain', daysAgo(0)).inDays).toBe(1);
		expect(due('drain', daysAgo(3)).inDays).toBe(-2);
	});

	it('goes by the days that the shop said', () => {
		expect(due('filter', daysAgo(10, { everyDays: 14, arcSinceH: 500 }))).toMatchObject({
			inDays: 4,
			everyDays: 14,
			byArc: false
		});
	});

	it('comes sooner where the arc burns long: 100 h for a filter, 60 of them gone, 4 a day', () => {
		const filter = due('filter', daysAgo(20, { arcSinceH: 60 }), 4);
		expect(filter).toMatchObject({ inDays: 10, byArc: true });
		expect(due('filter', daysAgo(20, { arcSinceH: 100 }), 4).inDays).toBe(0);
		// A torch that rests goes by the calendar.
		expect(due('filter', daysAgo(20, { arcSinceH: 60 }), 0)).toMatchObject({
			inDays: USUAL_CARE.filter.days - 20,
			byArc: false
		});
	});

	it('property: more arc or a longer wait never puts it off', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...CARE_KINDS),
				fc.integer({ min: 0, max: 400 }),
				fc.double({ min: 0, max: 200, noNaN: true }),
				fc.double({ min: 0, max: 8, noNaN: true }),
				(kind, days, arcSinceH, perDay) => {
					const now = due(kind, daysAgo(days, { arcSinceH }), perDay).inDays;
					expect(due(kind, daysAgo(days + 1, { arcSinceH }), perDay).inDays).toBeLessThanOrEqual(
						now
					);
					expect(
						due(kind, daysAgo(days, { arcSinceH: arcSinceH + 5 }), perDay).inDays
					).toBeLessThanOrEqual(now);
					expect(due(kind, daysAgo(days, { arcSinceH }), perDay + 1).inDays).toBeLessThanOrEqual(
						now
					);
				}
			)
		);
	});
});

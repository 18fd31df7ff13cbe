import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawerOf, NO_STOCK, type Stock } from './drawer';
import { inPacks, reorderAt } from './reorder';

const NOW = Date.UTC(2026, 10, 26, 12);
const weeksAgo = (n: number) => NOW - n * 7 * 24 * 3600 * 1000;
const drawer = (stock: Partial<Stock>, fittedWeeksAgo: number[], since = 20) =>
	drawerOf(
		{ ...NO_STOCK, ...stock },
		{
			fittedMs: fittedWeeksAgo.map(weeksAgo),
			sinceMs: weeksAgo(since),
			nowMs: NOW,
			today: '2026-11-26'
		}
	);
const EVERY_TWO_WEEKS = [1, 3, 5, 7, 9, 11, 13, 15, 17, 19];

describe('the drawer', () => {
	it('that is empty asks for nothing where nothing is used and nobody set a minimum', () => {
		expect(drawer({ count: 0 }, [])).toMatchObject({ orderNow: false, order: 0, orderAt: 0 });
		expect(drawer({ count: 0, minimum: 1 }, []).orderNow).toBe(true);
	});
	it('of a torch that uses nothing asks for nothing and never runs out', () => {
		expect(drawer({ count: 3 }, [])).toMatchObject({
			orderNow: false,
			order: 0,
			orderAt: 0,
			runsOutOn: null
		});
	});

	it('knows the use from when parts were put in, and the day on which the last one goes', () => {
		const of = drawer({ count: 4, leadWeeks: 2 }, EVERY_TWO_WEEKS);
		expect(of.usePerWeek).toBe(0.5);
		// One expected in the lead: 3 by the table of Poisson, four is still above it.
		expect(of.orderAt).toBe(3);
		expect(of.orderNow).toBe(false);
		expect(of.runsOutOn).toBe('2027-01-21');
		expect(drawer({ count: 3, leadWeeks: 2, pack: 5 }, EVERY_TWO_WEEKS)).toMatchObject({
			orderNow: true,
			order: 5
		});
	});

	it('is asked for at the shop’s own minimum at the latest', () => {
		expect(drawer({ count: 2, minimum: 2 }, [])).toMatchObject({ orderNow: true, orderAt: 2 });
		expect(drawer({ count: 3, minimum: 2 }, [])).toMatchObject({ orderNow: false, order: 0 });
	});

	it('property: more use or a longer lead never means a later order, and packs are whole', () => {
		const weeks = fc.array(fc.double({ min: 0.1, max: 19.9, noNaN: true }), { maxLength: 40 });
		fc.assert(
			fc.property(
				weeks,
				fc.integer({ min: 1, max: 10 }),
				fc.integer({ min: 0, max: 8 }),
				(used, pack, lead) => {
					const of = (leadWeeks: number) => drawer({ count: 1, pack, leadWeeks }, used);
					expect(of(lead + 1).orderAt).toBeGreaterThanOrEqual(of(lead).orderAt);
					expect(of(lead).order % pack).toBe(0);
				}
			)
		);
	});

	it('orders sooner where the lead itself varies', () => {
		const weekly = [0.5, 0.6, 1.5, 1.6, 2.5, 2.6, 3.5, 3.6, 4.5, 4.6, 5.5, 5.6, 6.5, 6.6];
		const sure = drawer({ count: 4, leadWeeks: 2 }, weekly, 7);
		const varies = drawer({ count: 4, leadWeeks: 2, leadSpreadWeeks: 1 }, weekly, 7);
		// 2 a week, 1.65·√(2·0 + 4·1) = 3.3 above the four of the lead.
		expect(sure.orderAt).toBe(4);
		expect(varies.orderAt).toBe(8);
	});

	it('counts by Poisson under one a week and by the normal spread from there on', () => {
		const at = (perWeek: number, spreadPerWeek: number, weeks: number) =>
			reorderAt({ perWeek, spreadPerWeek }, { weeks, spreadWeeks: 0 });
		expect(at(0.5, 0.7, 2)).toBe(3);
		// Nine in ten weeks: three by Poisson, where the normal spread would say two.
		expect(at(0.9, 0.3, 1)).toBe(3);
		expect(at(2, 1, 2)).toBe(7);
		expect(at(2, 1, 0)).toBe(0);
		expect(inPacks(6, 5)).toBe(10);
		expect(inPacks(-1, 5)).toBe(0);
	});
});

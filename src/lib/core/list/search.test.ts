import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tidyBefore, type BeforeOf } from './before';
import { layoutOf } from './layout';
import { leastChanges, leastTotalS } from './leastChanges';
import { orderOf, type OrderResult } from './order';
import { fewer, sooner, type OrderAsk } from './ordered';
import { scheduled } from './schedule';

/** Items of given sets, one after another on one bench. */
const askOf = (
	sets: readonly string[],
	changeS: OrderAsk['changeS'],
	over: Partial<OrderAsk> = {}
): OrderAsk => ({
	items: sets.map((set, k) => ({
		id: `i${k}`,
		set,
		piece: `p${k}`,
		handlingS: 10,
		arcS: { a: 20 + k },
		coolS: 0
	})),
	benches: [{ id: 'a', setInTorch: sets[0]! }],
	before: [],
	changeS,
	...over
});
const beforeOf = (ask: OrderAsk) => (tidyBefore(ask) as { of: BeforeOf }).of;

describe('the cheapest way through the sets of parts', () => {
	/** Every order of the items that keeps the rules: what its changes cost, at the least. */
	function byTrying({ items, before, benches, changeS }: OrderAsk): number {
		const walk = (done: readonly string[], set: string): number => {
			if (done.length === items.length) return 0;
			const open = items.filter(
				({ id }) =>
					!done.includes(id) && before.every(([a, b]) => b !== id || done.includes(a) || a === b)
			);
			return Math.min(
				...open.map(
					(item) =>
						(item.set === set ? 0 : changeS(set, item.set)) + walk([...done, item.id], item.set)
				)
			);
		};
		return walk([], benches[0]!.setInTorch);
	}

	it('property: costs what the best of all orders costs, and leads along the sets it names', () => {
		fc.assert(
			fc.property(
				fc.array(fc.constantFrom('a', 'bb', 'cccc', 'dddddddd'), { minLength: 1, maxLength: 6 }),
				fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 4 }),
				fc.constantFrom('a', 'cccc', ''),
				(sets, pairs, setInTorch) => {
					// No detour is cheaper than the straight way.
					const changeS = (x: string, y: string) => 60 + 10 * Math.abs(x.length - y.length);
					const before = pairs
						.filter(([x, y]) => x < y && y < sets.length)
						.map(([x, y]) => [`i${x}`, `i${y}`] as const);
					const ask = askOf(sets, changeS, { before, benches: [{ id: 'a', setInTorch }] });
					const way = leastChanges(ask, beforeOf(ask), setInTorch)!;
					expect(way.costs).toBeCloseTo(byTrying(ask), 9);
					const along = way.sets.slice(1).map((set, k) => changeS(way.sets[k]!, set));
					expect(along.reduce((sum, s) => sum + s, 0)).toBeCloseTo(way.costs, 9);
					const blocksS = ask.items.reduce((sum, { arcS }) => sum + 10 + arcS.a!, 0);
					expect(leastTotalS(ask, beforeOf(ask))).toBeCloseTo(blocksS + way.costs, 9);
				}
			),
			{ numRuns: 80 }
		);
	});

	it('is given up where there are too many ways, and the bound then counts the blocks alone', () => {
		const sets = Array.from({ length: 14 }, (_, k) => `set ${k}`);
		const few = askOf(sets.slice(0, 8), () => 60);
		expect(leastChanges(few, beforeOf(few), 'set 0')?.costs).toBe(7 * 60);
		const many = askOf(sets, () => 60);
		expect(leastChanges(many, beforeOf(many), 'set 0')).toBeUndefined();
		const blocksS = many.items.reduce((sum, { arcS }) => sum + 10 + arcS.a!, 0);
		expect(leastTotalS(many, beforeOf(many))).toBe(blocksS);
		// The list is ordered all the same: one change for each set but the first.
		const { soonest, boundS } = orderOf(many) as OrderResult;
		expect(soonest.changes).toBe(13);
		expect(soonest.endS).toBe(blocksS + 13 * 60);
		expect(boundS).toBe(blocksS);
	});
});

describe('a long list', () => {
	const item = fc.record({
		set: fc.constantFrom('a', 'b', 'c'),
		piece: fc.constantFrom('p', 'q', 'r'),
		arcS: fc.integer({ min: 5, max: 300 }).map((a) => ({ a })),
		handlingS: fc.integer({ min: 5, max: 200 }),
		coolS: fc.constantFrom(0, 120, 400)
	});
	/** Here the order with the fewest changes also ended first, until an item of it was moved. */
	const foundOnTheOtherWay = (
		[
			['b', 'p', 5, 5, 120],
			['a', 'p', 5, 5, 0],
			['b', 'r', 10, 31, 0],
			['a', 'p', 5, 5, 0],
			['a', 'r', 5, 5, 400],
			['a', 'p', 5, 5, 0],
			['a', 'r', 5, 95, 0],
			['a', 'q', 12, 7, 0],
			['b', 'p', 154, 6, 400],
			['c', 'q', 5, 57, 0]
		] as const
	).map(([set, piece, a, handlingS, coolS]) => ({ set, piece, arcS: { a }, handlingS, coolS }));

	it('property: no item moved by itself lets it end sooner, or lets it do with fewer changes', () => {
		fc.assert(
			fc.property(fc.array(item, { minLength: 10, maxLength: 13 }), (items) => {
				const ask = {
					...askOf(['a'], () => 60),
					items: items.map((one, k) => ({ ...one, id: `i${k}` }))
				};
				const { soonest, fewest, exact } = orderOf(ask) as OrderResult;
				expect(exact).toBe(false);
				for (const [order, better] of [
					[soonest, sooner],
					[fewest, fewer]
				] as const) {
					const sequence = order.placed.map(({ id }) => ({ i: Number(id.slice(1)), bench: 0 }));
					for (let at = 0; at < sequence.length; at++)
						for (let to = 0; to < sequence.length; to++) {
							const moved = sequence.toSpliced(at, 1).toSpliced(to, 0, sequence[at]!);
							const tried = scheduled(ask, beforeOf(ask), moved)!.result();
							expect(better(tried, order)).toBe(false);
						}
				}
			}),
			{ numRuns: 25, examples: [[foundOnTheOtherWay]] }
		);
	});
});

describe('a sequence', () => {
	it('that makes an item before what it waits for, or makes it twice, is none', () => {
		const ask = askOf(['s', 's'], () => 60, { before: [['i0', 'i1']] });
		const on = (...places: number[]) =>
			scheduled(
				ask,
				beforeOf(ask),
				places.map((i) => ({ i, bench: 0 }))
			);
		expect(on(0, 1)!.result().endS).toBe(30 + 31);
		expect(on(1, 0)).toBeUndefined();
		expect(on(0, 0)).toBeUndefined();
	});
});

describe('plates without end', () => {
	it('are no day’s work: two hundred are laid, what is left is told', () => {
		const plate = { name: 'Plate', widthMm: 500, heightMm: 500, count: null };
		const parts = [{ id: 'whole', widthMm: 490, heightMm: 490, count: 203, turns: false }];
		const laid = layoutOf({ parts, plates: [plate], kerfMm: 2, trimMm: 0 });
		expect(laid.plates).toHaveLength(200);
		expect(laid.left).toEqual([{ id: 'whole', count: 3, tooLarge: false }]);
	});
});

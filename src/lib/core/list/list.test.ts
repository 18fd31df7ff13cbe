import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { longestChain, tidyBefore } from './before';
import { partsOfList } from './eats';
import { DayListSchema, QuoteAskSchema } from './inputs';
import { layoutOf, type Laid } from './layout';
import { orderOf, type OrderResult } from './order';
import type { OrderAsk, OrderItem } from './ordered';
import { cents, QUOTE_LINES, quoteBand, quoteOf } from './quote';

const SETS = ['cut 45', 'cut 30', 'gouge 45'];
const itemArb = (n: number): fc.Arbitrary<OrderItem> =>
	fc.record({
		id: fc.constant(`i${n}`),
		set: fc.constantFrom(...SETS),
		piece: fc.constantFrom('p', 'q', `only ${n}`),
		handlingS: fc.integer({ min: 5, max: 200 }),
		arcS: fc.record({ a: fc.integer({ min: 5, max: 300 }) }),
		coolS: fc.constantFrom(0, 0, 120)
	});
const askArb = (most: number): fc.Arbitrary<OrderAsk> =>
	fc.integer({ min: 1, max: most }).chain((n) =>
		fc
			.tuple(
				fc.tuple(...Array.from({ length: n }, (_, k) => itemArb(k))),
				fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { maxLength: 3 }),
				fc.constantFrom(...SETS, '')
			)
			.map(([items, pairs, setInTorch]) => ({
				items,
				benches: [{ id: 'a', setInTorch }],
				// Always from an earlier to a later one: no ring.
				before: pairs.filter(([a, b]) => a < b).map(([a, b]) => [`i${a}`, `i${b}`] as const),
				changeS: () => 240
			}))
	);
/** Every order, one after the other, by rules written apart from the search. */
function bruteForce({ items, before, benches }: OrderAsk): { endS: number; changes: number } {
	let best = { endS: Infinity, changes: Infinity };
	const walk = (
		done: string[],
		freeS: number,
		set: string,
		ends: Map<string, number>,
		cool: Map<string, number>,
		changes: number
	) => {
		if (done.length === items.length) {
			if (
				freeS < best.endS - 1e-9 ||
				(Math.abs(freeS - best.endS) < 1e-9 && changes < best.changes)
			)
				best = { endS: freeS, changes };
			return;
		}
		for (const item of items) {
			const firsts = before.filter(([, b]) => b === item.id).map(([a]) => a);
			if (done.includes(item.id) || !firsts.every((a) => done.includes(a))) continue;
			const change = item.set !== set;
			const startS = Math.max(
				freeS + (change ? 240 : 0),
				cool.get(item.piece) ?? 0,
				...firsts.map((a) => ends.get(a)!),
				0
			);
			const endS = startS + item.handlingS + item.arcS.a!;
			walk(
				[...done, item.id],
				endS,
				item.set,
				new Map(ends).set(item.id, endS),
				new Map(cool).set(item.piece, endS + item.coolS),
				changes + (change ? 1 : 0)
			);
		}
	};
	walk([], 0, benches[0]!.setInTorch, new Map(), new Map(), 0);
	return best;
}
const found = (ask: OrderAsk) => orderOf(ask) as OrderResult;

describe('the order of a list', () => {
	it('property: up to six items it is what trying every order gives', () => {
		fc.assert(
			fc.property(askArb(6), (ask) => {
				const { soonest, exact, boundS } = found(ask);
				const best = bruteForce(ask);
				expect(exact).toBe(true);
				expect(soonest.endS).toBeCloseTo(best.endS, 6);
				expect(soonest.changes).toBe(best.changes);
				expect(boundS).toBeCloseTo(best.endS, 6);
			}),
			{ numRuns: 60 }
		);
	});

	it('property: of many items each is made once, in turn, after what it waits for, and never before the bound', () => {
		fc.assert(
			fc.property(askArb(24), (ask) => {
				for (const ordered of [found(ask).soonest, found(ask).fewest]) {
					const { placed } = ordered;
					expect(placed.map(({ id }) => id).sort()).toEqual(ask.items.map(({ id }) => id).sort());
					const end = new Map(placed.map(({ id, endS }) => [id, endS]));
					for (const [k, one] of placed.entries()) {
						if (k > 0) expect(one.startS).toBeGreaterThanOrEqual(placed[k - 1]!.endS - 1e-9);
						for (const [a, b] of ask.before)
							if (b === one.id) expect(one.startS).toBeGreaterThanOrEqual(end.get(a)! - 1e-9);
					}
					expect(ordered.endS).toBeGreaterThanOrEqual(found(ask).boundS - 1e-6);
				}
				const { soonest, fewest } = found(ask);
				expect(fewest.changes).toBeLessThanOrEqual(soonest.changes);
				expect(fewest.endS).toBeGreaterThanOrEqual(soonest.endS - 1e-6);
			}),
			{ numRuns: 12 }
		);
	});

	it('names those that wait for each other, and those that no bench makes', () => {
		const [a, b, c] = ['i0', 'i1', 'i2'].map((id) => ({
			id,
			set: 's',
			piece: id,
			handlingS: 1,
			arcS: { a: 1 },
			coolS: 0
		}));
		const ask = { items: [a!, b!, c!], benches: [{ id: 'a', setInTorch: 's' }], changeS: () => 1 };
		expect(
			orderOf({
				...ask,
				before: [
					['i0', 'i1'],
					['i1', 'i0'],
					['i1', 'i2']
				]
			})
		).toEqual({ trouble: 'ring', items: ['i0', 'i1'] });
		expect(orderOf({ ...ask, before: [['i0', 'i0']] })).toEqual({ trouble: 'ring', items: ['i0'] });
		expect(orderOf({ ...ask, items: [{ ...a!, arcS: {} }, b!], before: [] })).toEqual({
			trouble: 'no-bench',
			items: ['i0']
		});
		// A rule about something that has left the list asks nothing.
		expect('soonest' in orderOf({ ...ask, before: [['gone', 'i1']] })).toBe(true);
	});
});

describe('a quote', () => {
	const ask = v.parse(QuoteAskSchema, {});
	const item = {
		pieces: 10,
		arcS: 380,
		handlingS: 600,
		parts: 0.63,
		power: 0.2,
		air: 0.07,
		plateKg: 0,
		arcFactor: 1.2
	};

	it('adds up as printed, whatever the figures', () => {
		const money = fc.double({ min: 0, max: 1e4, noNaN: true });
		fc.assert(
			fc.property(
				money,
				money,
				money,
				fc.constantFrom('cost' as const, 'price' as const),
				(parts, power, air, marginOn) => {
					const { printed } = quoteOf(
						[{ ...item, parts, power, air }],
						{ ...ask, marginOn, taxShare: 0.2 },
						{ labourPerH: 45, besidesS: 240 }
					);
					const { lines, cost, margin, price, tax, total } = printed!;
					const sum = QUOTE_LINES.reduce((all, line) => all + Math.round(lines[line]! * 100), 0);
					expect(Math.round(cost * 100)).toBe(sum);
					expect(Math.round(price * 100)).toBe(Math.round(cost * 100) + Math.round(margin * 100));
					expect(Math.round(total * 100)).toBe(Math.round(price * 100) + Math.round(tax * 100));
				}
			)
		);
	});

	it('tells no price where one is missing, and the rest all the same', () => {
		const q = quoteOf([{ ...item, parts: null }], ask, { labourPerH: 45, besidesS: 0 });
		expect(q).toMatchObject({ cost: null, price: null, printed: null });
		expect(q.lines.labour).toBeCloseTo(((980 + 600) / 3600) * 45, 9);
		// Plate of the customer costs nothing; of the shop without a price it is not known.
		expect(q.lines.plate).toBe(0);
		expect(
			quoteOf([{ ...item, plateKg: 3 }], ask, { labourPerH: 45, besidesS: 0 }).lines.plate
		).toBeNull();
	});

	it('makes five where one in five is scrapped and four are wanted, all of them paid for but the set-up', () => {
		const rates = { labourPerH: 45, besidesS: 240 };
		const items = [{ ...item, plateKg: 3 }];
		const of = (rejectShare: number) =>
			quoteOf(items, { ...ask, platePricePerKg: 2, rejectShare }, rates);
		const [none, fifth] = [of(0), of(0.2)];
		expect(fifth.piecesMade).toBeCloseTo(1.25 * item.pieces, 9);
		for (const line of QUOTE_LINES)
			expect(fifth.lines[line], line).toBeCloseTo(
				none.lines[line]! * (line === 'setUp' ? 1 : 1.25),
				9
			);
	});

	it('asks no less than the least charge, and tells a mark-up from a margin', () => {
		const rates = { labourPerH: 45, besidesS: 0 };
		const least = quoteOf([item], { ...ask, leastCharge: 500 }, rates).printed!;
		expect(least).toMatchObject({ price: 500, least: true });
		const on = (marginOn: 'cost' | 'price') =>
			quoteOf([item], { ...ask, marginOn, margin: 0.2 }, rates);
		expect(on('cost').price! / on('cost').cost!).toBeCloseTo(1.2, 9);
		expect(on('price').price! / on('price').cost!).toBeCloseTo(1.25, 9);
		expect(cents(1.005)).toBe(1.01);
		expect(cents(2.675)).toBe(2.68);
	});
});

describe('what a list takes of the parts', () => {
	it('a set exactly at its limit is still in use; a piece that alone is too much is made with a new one', () => {
		expect(partsOfList([100, 100], { nowUm: 800, limitUm: 1000, drawer: 0 })).toMatchObject({
			sets: 0,
			pitAtEndUm: 1000
		});
		expect(partsOfList([100, 101], { nowUm: 800, limitUm: 1000, drawer: 0 })).toEqual({
			sets: 1,
			changesBefore: [1],
			short: 1,
			possible: 1,
			pitAtEndUm: 101
		});
		expect(partsOfList([1500], { nowUm: 0, limitUm: 1000, drawer: 0 })).toMatchObject({
			sets: 0,
			possible: 1
		});
	});
});

describe('a list', () => {
	const item = { id: 'a', name: 'Bar', what: 'cut', search: 't=8', pieces: 3 };
	it('is read with what was left out, and refused by the place', () => {
		expect(v.parse(DayListSchema, { name: 'x', items: [item] })).toMatchObject({
			order: 'soonest',
			startsAt: '08:00',
			items: [{ linesEach: 1, handlingS: null, after: [] }]
		});
		for (const bad of [
			{ pieces: 0 },
			{ pieces: 1.5 },
			{ pieces: 1e9 },
			{ linesEach: 0 },
			{ handlingS: -1 },
			{ name: '' },
			{ id: 'a b' }
		])
			expect(
				v.safeParse(DayListSchema, { name: 'x', items: [{ ...item, ...bad }] }).success,
				JSON.stringify(bad)
			).toBe(false);
		expect(v.safeParse(DayListSchema, { name: 'x', items: [item, item] }).success).toBe(false);
		expect(v.safeParse(DayListSchema, { name: 'x', items: [], startsAt: '25:00' }).success).toBe(
			false
		);
	});
});

describe('plates', () => {
	const size = fc.integer({ min: 20, max: 700 });
	const partArb = fc.record({
		id: fc.constantFrom('a', 'b', 'c', 'd'),
		widthMm: size,
		heightMm: size,
		count: fc.integer({ min: 1, max: 6 }),
		turns: fc.boolean()
	});
	/** Cut from edge to edge until each rectangle stands alone: by rules written apart from the layout. */
	function cutsApart(rects: readonly Laid[], kerf: number): boolean {
		if (rects.length <= 1) return true;
		for (const [from, side] of [
			['xMm', 'widthMm'],
			['yMm', 'heightMm']
		] as const)
			for (const at of rects.map((r) => r[from] + r[side])) {
				const first = rects.filter((r) => r[from] + r[side] <= at + 1e-6);
				const rest = rects.filter((r) => r[from] >= at + kerf - 1e-6);
				if (first.length && rest.length && first.length + rest.length === rects.length)
					return cutsApart(first, kerf) && cutsApart(rest, kerf);
			}
		return false;
	}

	it('property: every part lies once, inside the trimmed edge, a kerf from its neighbours, and comes apart from edge to edge', () => {
		fc.assert(
			fc.property(
				fc.uniqueArray(partArb, { minLength: 1, maxLength: 4, selector: ({ id }) => id }),
				fc.constantFrom(0, 1.8, 3),
				fc.constantFrom(0, 5),
				(parts, kerfMm, trimMm) => {
					const plate = { name: 'p', widthMm: 1000, heightMm: 600, count: null };
					const laid = layoutOf({ parts, plates: [plate], kerfMm, trimMm });
					for (const part of parts) {
						const lying = laid.plates.flatMap((one) => one.laid).filter(({ id }) => id === part.id);
						const left = laid.left.find(({ id }) => id === part.id)?.count ?? 0;
						expect(lying.length + left).toBe(part.count);
						for (const { widthMm, heightMm } of lying) {
							const as = widthMm.toFixed(3) === part.widthMm.toFixed(3);
							if (!part.turns) expect(as).toBe(true);
							expect((widthMm * heightMm).toFixed(1)).toBe(
								(part.widthMm * part.heightMm).toFixed(1)
							);
						}
					}
					for (const { laid: rects, yieldShare } of laid.plates) {
						expect(yieldShare).toBeLessThanOrEqual(1);
						for (const r of rects) {
							expect(Math.min(r.xMm, r.yMm)).toBeGreaterThanOrEqual(trimMm - 1e-6);
							expect(r.xMm + r.widthMm).toBeLessThanOrEqual(1000 - trimMm + 1e-6);
							expect(r.yMm + r.heightMm).toBeLessThanOrEqual(600 - trimMm + 1e-6);
						}
						expect(cutsApart(rects, kerfMm)).toBe(true);
					}
				}
			),
			{ numRuns: 25 }
		);
	});

	it('uses what lies about first, names what is too large or has no plate left, and keeps what is left over', () => {
		const part = (id: string, widthMm: number, count = 1) => ({
			id,
			widthMm,
			heightMm: 200,
			count,
			turns: false
		});
		const ask = { kerfMm: 2, trimMm: 0 };
		const offcut = { name: 'Offcut', widthMm: 450, heightMm: 250, count: 1 };
		const whole = { name: 'Plate', widthMm: 1000, heightMm: 500, count: 1 };
		const laid = layoutOf({
			...ask,
			parts: [part('a', 400, 2), part('long', 1200)],
			plates: [offcut, whole]
		});
		expect(laid.plates.map(({ plate }) => plate.name)).toEqual(['Offcut', 'Plate']);
		expect(laid.left).toEqual([{ id: 'long', count: 1, tooLarge: true }]);
		expect(laid.plates[1]!.offcuts[0]!.widthMm).toBeGreaterThan(500);
		expect(layoutOf({ ...ask, parts: [part('a', 900, 5)], plates: [whole] }).left).toEqual([
			{ id: 'a', count: 3, tooLarge: false }
		]);
		// To the hair: as wide as the plate inside its trimmed edges, or turned as high.
		const tight = { kerfMm: 1.7, trimMm: 5, plates: [{ ...whole, widthMm: 500.3, heightMm: 210 }] };
		const flat = part('b', 490.3);
		expect(layoutOf({ ...tight, parts: [flat] }).left).toEqual([]);
		const upright = { ...flat, widthMm: 200, heightMm: 490.3 };
		expect(layoutOf({ ...tight, parts: [upright] }).left).toMatchObject([{ tooLarge: true }]);
		expect(layoutOf({ ...tight, parts: [{ ...upright, turns: true }] }).left).toEqual([]);
		// Turned, both its sides must go in.
		for (const [widthMm, heightMm] of [
			[300, 480],
			[150, 600]
		] as const) {
			const none = { ...upright, widthMm, heightMm, turns: true };
			expect(layoutOf({ ...tight, parts: [none] }).left).toMatchObject([{ tooLarge: true }]);
		}
		expect(layoutOf({ ...ask, parts: [], plates: [whole] })).toEqual({
			plates: [],
			left: [],
			yieldShare: 0
		});
	});
});

describe('the band of a quote', () => {
	const item = {
		pieces: 10,
		arcS: 600,
		handlingS: 900,
		arcFactor: 1.25,
		parts: 12,
		power: 1,
		air: 1,
		plateKg: 0
	};
	const plain = v.parse(QuoteAskSchema, { setUpMin: 0, finishingS: 0, margin: 0 });
	const rates = { labourPerH: 36, besidesS: 0 };

	it('adds the squares of what speed, handling and the parts’ life change, by hand', () => {
		const middle = quoteOf([item], plain, rates).printed!.total;
		expect(middle).toBeCloseTo(6 + 9 + 12 + 2, 9);
		const [low, high] = quoteBand([item], plain, rates)!;
		// Speed: (6 + 12 + 2) × 0.25; handling 9 × 0.35; life 12 × 0.5.
		expect(high - middle).toBeCloseTo(Math.hypot(5, 3.15, 6), 1);
		expect(middle - low).toBeCloseTo(Math.hypot(20 * 0.2, 9 * (1 - 1 / 1.35), 12 / 3), 1);
	});
	it('has none without a price, and none below the least charge', () => {
		expect(quoteBand([{ ...item, parts: null }], plain, rates)).toBeNull();
		const least = { ...plain, leastCharge: 500 };
		expect(quoteBand([item], least, rates)).toEqual([500, 500]);
	});
});

describe('what must come first', () => {
	const item = (id: string, handlingS: number, arcS: number, more: Partial<OrderItem> = {}) => ({
		id,
		set: SETS[0]!,
		piece: `only ${id}`,
		handlingS,
		arcS: { a: arcS, b: arcS + 5 },
		coolS: 0,
		...more
	});
	const ask = (items: OrderItem[], before: [string, string][]): OrderAsk => ({
		items,
		before,
		benches: [{ id: 'a', setInTorch: SETS[0]! }],
		changeS: () => 0
	});
	const chain = (of: OrderAsk) => {
		const tidy = tidyBefore(of);
		if ('ring' in tidy) throw new Error('a ring');
		return longestChain(of, tidy.of);
	};
	it('makes the longest chain: all that follow each other, on the quicker bench each', () => {
		const items = [item('x', 10, 100), item('y', 20, 50), item('z', 30, 10), item('w', 5, 5)];
		expect(chain(ask(items, []))).toBe(110);
		expect(chain(ask(items, [['x', 'y']]))).toBe(180);
		expect(
			chain(
				ask(items, [
					['x', 'z'],
					['y', 'z']
				])
			)
		).toBe(150);
	});
	it('waits for one piece to cool between its own items, the longest cooling last', () => {
		const gate = (id: string, coolS: number) => item(id, 10, 40, { piece: 'gate', coolS });
		// Three blocks of 50 s, with 30 s and 60 s of cooling between them and the 300 s after them.
		expect(chain(ask([gate('x', 300), gate('y', 30), gate('z', 60), item('w', 5, 5)], []))).toBe(
			240
		);
	});
	it('names the ring alone, not what leads into it or waits for it', () => {
		const items = ['p', 'q', 'r', 's', 't'].map((id) => item(id, 1, 1));
		const before: [string, string][] = [
			['p', 'q'],
			['q', 'r'],
			['r', 'q'],
			['r', 's'],
			['s', 't']
		];
		const tidy = tidyBefore(ask(items, before));
		expect('ring' in tidy && [...tidy.ring].sort()).toEqual(['q', 'r']);
	});
});

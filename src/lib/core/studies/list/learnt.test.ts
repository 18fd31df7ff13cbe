import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { DayListSchema } from '../../list/inputs';
import type { ItemPlan } from './items';
import {
	handlingOf,
	learntFrom,
	shareBand,
	timedPieces,
	withLearnt,
	type Learnt,
	type TimedTick
} from './learnt';

const plan = (id: string, more: Partial<ItemPlan> = {}) =>
	({ id, guide: 'kept', start: 'edge', pieceArcS: 20, arcs: [{}, {}], ...more }) as ItemPlan;
const ticks = (...all: [TimedTick['kind'], number, string?][]): TimedTick[] =>
	all.map(([kind, s, item = 'a']) => ({ kind, item, atMs: 1000 * s }));

describe('what the lists really took', () => {
	it('times each piece from the one before, without the pause between them', () => {
		expect(
			timedPieces(
				ticks(
					['on', 0],
					['done', 100],
					['pause', 130],
					['on', 900],
					['failed', 940],
					['done', 1000]
				)
			)
		).toEqual([
			{ id: 'a', kind: 'done', tookS: 100 },
			{ id: 'a', kind: 'failed', tookS: 70 },
			{ id: 'a', kind: 'done', tookS: 60 }
		]);
		// Nobody pressed "start": the first tells no time.
		expect(timedPieces(ticks(['done', 50]))[0]!.tookS).toBeNull();
	});

	it('takes handling from made pieces alone, that nobody ticked afterwards or forgot over lunch', () => {
		const of = (kind: 'done' | 'failed', tookS: number | null) =>
			handlingOf(plan('a'), { id: 'a', kind, tookS });
		expect(of('done', 100)).toBe(40);
		expect(of('done', 15)).toBe(0);
		expect(of('done', 13)).toBeUndefined();
		expect(of('failed', 100)).toBeUndefined();
		expect(of('done', null)).toBeUndefined();
		expect(of('done', 20 + 2 * 1801)).toBeUndefined();
	});

	it('puts together what is handled alike, over lists', () => {
		const done = (id: string, tookS: number) => ({ id, kind: 'done' as const, tookS });
		const lists = [
			{
				plans: [plan('a'), plan('b', { guide: 'freehand' })],
				pieces: [done('a', 100), done('a', 120), done('b', 60), done('gone', 5)]
			},
			{
				plans: [plan('c')],
				pieces: [
					done('c', 80),
					done('c', 110),
					done('c', 90),
					{ id: 'c', kind: 'failed' as const, tookS: 30 }
				]
			}
		];
		const [kept, hand] = learntFrom(lists);
		expect(kept).toMatchObject({
			kind: 'kept, edge',
			lists: 2,
			made: 5,
			failed: 1,
			handlingS: { middle: 40, band: [30, 50], from: 5 }
		});
		expect(kept!.failedShare.middle).toBeCloseTo(1 / 6, 12);
		expect(hand).toMatchObject({ kind: 'freehand, edge', made: 1, handlingS: null });
	});

	it('puts first what was made most often, failed ones too', () => {
		const of = (id: string, guide: ItemPlan['guide'], made: number, failed: number) => ({
			plans: [plan(id, { guide })],
			pieces: [
				...Array.from({ length: made }, () => ({ id, kind: 'done' as const, tookS: 100 })),
				...Array.from({ length: failed }, () => ({ id, kind: 'failed' as const, tookS: 30 }))
			]
		});
		const learnt = learntFrom([
			of('a', 'kept', 2, 0),
			of('b', 'freehand', 3, 2),
			of('c', 'circle', 4, 0)
		]);
		expect(learnt.map(({ made, failed }) => made + failed)).toEqual([5, 4, 2]);
	});

	it('tells a share by the score interval: its ends solve |k/n − p| = z·√(p(1 − p)/n)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 500 }),
				fc.integer({ min: 0, max: 500 }),
				fc.double({ min: 0.5, max: 3, noNaN: true }),
				(n, some, z) => {
					const k = Math.min(n, some);
					for (const p of shareBand(k, n, z))
						if (p > 1e-12 && p < 1 - 1e-12)
							expect(Math.abs(k / n - p)).toBeCloseTo(z * Math.sqrt((p * (1 - p)) / n), 9);
				}
			)
		);
		// Newcombe 1998, "Two-sided confidence intervals for the single proportion", table I: 15 of 148, 95 %.
		const [low, high] = shareBand(15, 148, 1.959964);
		expect(low).toBeCloseTo(0.0624, 4);
		expect(high).toBeCloseTo(0.1605, 4);
	});

	it('goes into the next list: handling where nobody told another, rejects of all', () => {
		const item = (id: string, handlingS: number | null = null) => ({
			...{ id, name: id, what: 'cut', search: 'metal=mild-steel', pieces: 1 },
			handlingS
		});
		const list = v.parse(DayListSchema, {
			name: 'Next',
			items: [item('a'), item('own', 90), item('other')],
			quote: { rejectShare: 0.3, finishingS: 20 }
		});
		const took: Learnt = {
			...{ kind: 'kept, edge', lists: 2, made: 28, failed: 2 },
			handlingS: { middle: 41.6, band: [30, 60], from: 12 },
			failedShare: { middle: 0.07, band: [0.02, 0.15] }
		};
		const untimed = { ...took, kind: 'freehand, edge', made: 6, failed: 0, handlingS: null };
		const plans = [plan('a'), plan('own'), plan('other', { guide: 'freehand' })];
		const next = withLearnt(list, plans, [took, untimed]);
		expect(next.items.map(({ handlingS }) => handlingS)).toEqual([42, 90, null]);
		expect(next.quote).toEqual({ ...list.quote, rejectShare: 0.056 });
		expect(withLearnt(list, plans, []).quote.rejectShare).toBe(0);
		// Not planned yet: there is nothing to tell its kind by.
		expect(withLearnt(list, [], [took]).items).toEqual(list.items);
	});
});

import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../../../tests/support/eight';
import { BAY_2, changed, inputsOf } from '../../../../../tests/support/inputs';
import type { Bench, Cut } from '../../index';
import { closedOf, DayListSchema, type DayList, type ListItem } from '../../list/inputs';
import { NODES } from '../../session/node';
import { layoutOf } from '../../list/layout';
import { workings } from '../../plan/workings';
import { behind } from './behind';
import { wholeStudy, type WholeStudy } from './book';
import { entryOf, realOf, standingAfter } from './worked';
import { quoteOfList } from './quoted';
import { whatChanges } from './changes';
import { eatsOf } from './eats';
import type { ItemPlan } from './items';
import { studyList } from './run';
import type { ListRun, Ways } from './runTypes';
import { BOTTLE_CHANGE_S } from './sequence';

const WAYS: Ways = { order: 'soonest', handlingShare: 1, changeS: 240 };
type Row = { cut?: Partial<Cut> } & Partial<Omit<ListItem, 'id'>>;
function studied(
	rows: Row[],
	ways: Partial<Ways> = {},
	bench: Bench = BAY_2,
	more: Partial<DayList> = {}
) {
	const base = inputsOf({ bench });
	const list = v.parse(DayListSchema, {
		name: 'x',
		...more,
		items: rows.map(({ cut: _cut, ...item }, k) => ({
			id: `i${k}`,
			name: `Item ${k}`,
			what: 'cut',
			search: `n=${k}`,
			pieces: 2,
			...item
		}))
	});
	const asked = list.items.map((item, k) => ({ item, cut: { ...base.cut, ...rows[k]!.cut } }));
	const study = studyList(base, list, asked, { ...WAYS, ...ways });
	return { base, list, asked, ...study, run: study.run as ListRun };
}
const weld: Row = {
	what: 'groove',
	cut: {
		gouge: {
			...inputsOf().cut.gouge,
			asked: true,
			target: 'fillet',
			legMm: 6,
			lengthMm: 150,
			plateMm: 12
		}
	}
};
const bar: Row = { cut: { thicknessMm: 8, lengthMm: 60 } };

describe('the run of a list', () => {
	it('draws tank, breaker and cutter at the end of every arc', () => {
		const { run, base } = studied([bar, weld]);
		const { trace } = run;
		expect(trace.timeS).toEqual(run.items.flatMap(({ arcs }) => arcs.map(({ endS }) => endS)));
		// Nothing stops, so nothing is over its limit; both are warm from the work.
		expect(run.firstLimit).toBeNull();
		for (const share of trace.breaker) expect(share).toBeGreaterThan(0.01);
		for (const share of trace.breaker) expect(share).toBeLessThanOrEqual(1);
		for (const c of trace.cutterC) expect(c).toBeGreaterThan(base.work.shopC);
		expect(trace.tankBar!.every((bar) => bar >= trace.neededBar)).toBe(true);
		expect(trace.tankBar).toHaveLength(trace.timeS.length);
		expect(trace.cutterC).toHaveLength(trace.timeS.length);
	});

	it('prices bottled air by the litre, and not at all where nobody said what a bottle costs', () => {
		const { base, list, plans } = studied([bar]);
		const air = (bottlePrice: number | null, bottleL = 10_000) =>
			quoteOfList(
				{
					settings: { ...base.settings, bottlePrice },
					bench: changed((b) => (b.air.source = 'bottle'))
				},
				list,
				plans,
				{ besidesS: 0, bottleL, pitLimitUm: 1500 }
			).lines.air;
		// Two pieces, at 40 for 10 000 litres.
		expect(air(40)).toBeCloseTo((2 * plans[0]!.pieceAirL * 40) / 10_000, 9);
		expect(air(null)).toBeNull();
		expect(air(40, 0)).toBeNull();
	});

	it('takes the change of parts in, once, and tells where', () => {
		const at = (changeS: number) => studied([bar, weld], { changeS }).run;
		const [quick, slow] = [at(60), at(600)];
		expect(slow.changes).toBe(1);
		expect(slow.endS - quick.endS).toBeCloseTo(540, 6);
		expect(slow.items.find(({ change }) => change)!.id).toBe('i1');
		expect(studied([bar, weld], { order: 'own' }).run.items.map(({ id }) => id)).toEqual([
			'i0',
			'i1'
		]);
	});

	describe('with one thing changed', () => {
		const changes = (rows: Row[], ways: Partial<Ways> = {}, bench?: Bench) => {
			const { base, list, asked, run } = studied(rows, ways, bench);
			const all = whatChanges(base, list, asked, { ...WAYS, ...ways }, run);
			return { run, all, of: (id: (typeof all)[number]['id']) => all.find((c) => c.id === id) };
		};
		it('a torch for each set saves the changes, a helper his share of the handling', () => {
			const { run, of } = changes([bar, weld]);
			expect(of('torch')!.endS).toBeCloseTo(run.endS - WAYS.changeS, 6);
			expect(of('torch')!.changes).toBe(1);
			const saved = run.endS - of('helper')!.endS!;
			expect(saved).toBeGreaterThan(0.3 * 4 * inputsOf().settings.handlingS);
			expect(saved).toBeLessThan(4 * inputsOf().settings.handlingS);
			expect(of('fewest')!.changes).toBe(1);
			expect(of('entered')).toMatchObject({ changes: 1, restS: 0 });
		});
		it('is not told what the list has already: no change of parts, an order of its own', () => {
			const one = changes([bar]);
			expect(one.of('torch')).toBeUndefined();
			expect(one.of('fewest')).toBeUndefined();
			expect(changes([bar, bar], { order: 'own' }).of('entered')).toBeUndefined();
		});
		it('tells the other school of amps where it is another, for cuts alone', () => {
			const thin: Row = { cut: { thicknessMm: 2, lengthMm: 60, school: 'full' } };
			const { all, of } = changes([thin]);
			expect(of('full')).toBeUndefined();
			expect(of('matched')!.endS).not.toBeNull();
			expect(all.map(({ id }) => id)).toEqual(['helper', 'entered', 'matched']);
			expect(changes([weld]).of('matched')).toBeUndefined();
			expect(changes([weld]).of('full')).toBeUndefined();
			const matched: Row = { cut: { ...thin.cut, school: 'matched' } };
			expect(changes([matched]).of('matched')).toBeUndefined();
			expect(changes([thin, matched]).of('matched')).toBeDefined();
		});
		it('has no end where the list cannot be made like that', () => {
			const rows = [{ ...bar, after: ['i1'] }, bar];
			expect(changes(rows).of('entered')).toEqual({
				id: 'entered',
				endS: null,
				changes: 0,
				restS: 0
			});
		});
	});

	it('lets a workpiece cool before the next item on it', () => {
		const rows = (coolS: number) => [
			{ ...bar, on: 'gate', coolS },
			{ ...bar, on: 'gate' }
		];
		const [cold, hot] = [0, 900].map((coolS) => studied(rows(coolS), { order: 'own' }).run);
		const [first, then] = hot!.items;
		expect(then!.arcs[0]!.startS).toBeGreaterThanOrEqual(first!.endS + 900);
		expect(then!.arcs[0]!.startS).toBeLessThan(first!.endS + 900 + 62);
		expect(hot!.endS).toBeGreaterThan(cold!.endS + 800);
	});

	it('cools beside other work: what was done meanwhile counts, and the wait is told as one', () => {
		const gate = { ...bar, on: 'gate', coolS: 900 };
		const [first, other, then] = studied([gate, { ...bar, pieces: 20 }, { ...bar, on: 'gate' }], {
			order: 'own'
		}).run.items;
		expect(other!.endS - first!.endS).toBeGreaterThan(900);
		expect(then!.restS).toBe(0);
		const waits = studied([gate, { ...bar, on: 'gate' }], { order: 'own' }).run;
		expect(waits.rests).toMatchObject([{ id: 'i1', piece: 1, because: 'cooling' }]);
		expect(waits.firstLimit).toBeNull();
	});

	it('tells where one cut alone may trip the breaker, and what no hand follows', () => {
		const one = (name: string, thicknessMm: number, lengthMm: number) => {
			const bench = EIGHT.find((b) => b.name === name)!;
			const { plans, run } = studied([{ cut: { thicknessMm, lengthMm } }], {}, bench);
			return { ...plans[0]!, run };
		};
		const small = '27 A personal, 15 A breaker';
		// 27 A of arc draw 30 A of a 15 A breaker: by its earliest curve it goes within half a minute.
		expect(one(small, 6, 300)).toMatchObject({
			mayTrip: true,
			pace: 'held',
			run: { mayTrip: true }
		});
		expect(one(small, 6, 60)).toMatchObject({ mayTrip: false, run: { mayTrip: false } });
		const large = one('125 A three-phase, sets its own pressure', 6, 300);
		expect(large).toMatchObject({ mayTrip: false, pace: 'fast' });
		expect(one('30 A with built-in compressor', 8, 60).pace).toBe('slow');
	});

	it('holds the rest of the list back from a breaker that one long arc may trip', () => {
		const small = EIGHT.find((b) => b.name === '27 A personal, 15 A breaker')!;
		const rows: Row[] = [
			{ pieces: 1, handlingS: 5, cut: { thicknessMm: 6, lengthMm: 300 } },
			{ pieces: 6, handlingS: 5, cut: { thicknessMm: 6, lengthMm: 60 } }
		];
		const { plans, run } = studied(rows, { order: 'own' }, small);
		expect(plans.map(({ mayTrip }) => mayTrip)).toEqual([true, false]);
		expect(run.mayTrip).toBe(true);
		const [long, ...short] = run.trace.breaker;
		expect(long).toBeGreaterThan(1.2);
		for (const share of short) expect(share).toBeLessThanOrEqual(1 + 1e-6);
		expect(run.rests[0]).toMatchObject({ id: 'i1', piece: 1, because: 'breaker' });
		// The same cuts without the long one rest less; after it the next waits until it has cooled.
		const without = studied([rows[1]!], { order: 'own' }, small).run;
		expect(run.restS).toBeGreaterThan(without.restS + 10);
		expect(without.mayTrip).toBe(false);
	});

	it('names the heat of the cutter where that is what stops it', () => {
		const bench = EIGHT.find((b) => b.name === '27 A older, gas test position')!;
		const long = { pieces: 20, handlingS: 5, cut: { thicknessMm: 6, lengthMm: 400 } };
		const { run } = studied([long], { order: 'own' }, bench);
		expect(run.firstLimit).toMatchObject({ because: 'heat', piece: 12 });
		expect(run.rests.every(({ because }) => because === 'heat')).toBe(true);
	});

	it('counts what no hand follows at the pace of a hand, and varies it as a hand does', () => {
		const sheet = (thicknessMm: number, over: Partial<Cut> = {}) =>
			studied([{ cut: { school: 'full', guide: 'kept', lengthMm: 300, thicknessMm, ...over } }])
				.plans[0]!;
		const [thin, thick] = [sheet(1), sheet(6)];
		expect(thin).toMatchObject({ pace: 'fast', speedMmS: 50, arcFactor: 1.15 });
		expect(thin.pieceArcS).toBeGreaterThan(300 / 50);
		expect(thin.pieceArcS).toBeLessThan(300 / 50 + 0.5);
		expect(thick.pace).toBe('held');
		// Near to what a hand follows the plate still has a say: no cliff on the way.
		expect(thick.arcFactor).toBeGreaterThan(1.2);
		let beforeFactor = thin.arcFactor;
		for (let mm = 1; mm <= 6; mm += 0.05) {
			const { arcFactor } = sheet(mm);
			expect(Math.abs(arcFactor / beforeFactor - 1), `${mm} mm`).toBeLessThan(0.05);
			beforeFactor = arcFactor;
		}
		// An outline too: each of its contours.
		const outline = studied([
			{
				cut: { school: 'full', guide: 'kept', thicknessMm: 1 },
				paths: [{ edge: 'outside', lengthMm: 500 }]
			}
		]).plans[0]!;
		expect(outline.pieceArcS).toBeGreaterThan(500 / 50);
		expect(outline.pieceArcS).toBeLessThan(500 / 50 + 0.5);
	});

	it('names what stands too early in an order of one’s own', () => {
		const { run } = studied([{ ...bar, after: ['i1'] }, bar], { order: 'own' });
		expect(run).toEqual({ trouble: 'order', item: 'i0', first: 'i1' });
		expect(studied([{ ...bar, after: ['i1'] }, bar]).run.items.map(({ id }) => id)).toEqual([
			'i1',
			'i0'
		]);
	});

	it('halves the handling with a helper, and nothing else', () => {
		const [alone, helped] = [1, 0.5].map(
			(handlingShare) => studied([bar], { handlingShare, order: 'own' }).run
		);
		const saved = alone!.endS - helped!.endS;
		expect(saved).toBeCloseTo(0.5 * 2 * inputsOf().settings.handlingS, 6);
	});

	it('names an item whose single arc the tank never carries, with how long it would last', () => {
		const small = changed((b) => {
			b.air.tankL = 30;
			b.air.compressor.points = [
				{ flowLpm: 40, atBar: 4 },
				{ flowLpm: 35, atBar: 8 }
			];
		});
		const { plans, cannot, run } = studied(
			[{ cut: { thicknessMm: 12, lengthMm: 900 } }, { cut: { thicknessMm: 3, lengthMm: 20 } }],
			{},
			small
		);
		expect(cannot).toMatchObject([
			{ id: 'i0', why: { text: expect.stringContaining('the tank falls short') as string } }
		]);
		expect(plans.map(({ id }) => id)).toEqual(['i1']);
		expect(run.items).toHaveLength(1);
	});

	it('counts the air of arc and post-flow, and the compressor’s power by its litres', () => {
		const [plan] = studied([bar]).plans as [ItemPlan];
		const [{ useLpm, arcS, postS }] = plan.arcs as [ItemPlan['arcs'][number]];
		expect(plan.pieceAirL).toBeCloseTo((useLpm * (arcS + postS)) / 60, 9);
		// 10 W for each litre a minute: so many litres take so many hours at that [rule of thumb].
		expect(plan.pieceAirKwh).toBeCloseTo((plan.pieceAirL / 60) * 0.01, 9);
		const bottled = changed((b) => (b.air.source = 'built-in'));
		expect(studied([bar], {}, bottled).plans[0]?.pieceAirKwh ?? 0).toBe(0);
	});

	it('weighs the plate of its rectangle where no area is said, and lays it on plates of its own thickness', () => {
		const rows: Row[] = [{ cut: { thicknessMm: 8, lengthMm: 60 }, widthMm: 200, heightMm: 100 }];
		const plates = [
			{ name: 'Thin', widthMm: 500, heightMm: 500, metal: null, thicknessMm: 3, count: 1 },
			{ name: 'Bright', widthMm: 500, heightMm: 500, metal: 'stainless', thicknessMm: 8, count: 1 },
			{ name: 'Right', widthMm: 500, heightMm: 500, metal: 'mild-steel', thicknessMm: 8, count: 1 }
		] satisfies DayList['plates'];
		const { base, list, asked, plans } = studied(rows, {}, BAY_2, { plates });
		expect(plans[0]!.pieceKg).toBeCloseTo(200 * 100 * 8 * 7850e-9, 9);
		const study = wholeStudy({
			base,
			list,
			asked,
			drawer: { electrode: 0, nozzle: 0 },
			laysPlates: true
		});
		const [group] = study.plates!;
		expect(group!.layout.plates.map(({ plate }) => plate.name)).toEqual(['Right']);
		expect(group!.kerfMm).toBe(plans[0]!.kerfMm);
		// Two of 200 × 100 on one of 500 × 500.
		expect(group!.layout.yieldShare).toBeCloseTo((2 * 200 * 100) / 500 ** 2, 9);
		expect(layoutOf({ parts: [], plates, kerfMm: 1, trimMm: 0 }).yieldShare).toBe(0);
	});
});

describe('what stands behind a quote', () => {
	it('is what a pencil adds: each of its pieces, and those thrown away with them', () => {
		const rows: Row[] = [bar, weld];
		const { base, list, asked, plans } = studied(rows);
		const quoted = {
			...list,
			quote: { ...list.quote, rejectShare: 0.2, setUpMin: 12, finishingS: 40 }
		};
		const drawer = { electrode: 0, nozzle: 0 };
		const study = wholeStudy({ base, list: quoted, asked, drawer, laysPlates: false });
		const told = behind(quoted, study);
		// One in five is thrown away, so that five are made where four are paid.
		const made = list.items.map(({ pieces }) => (5 / 4) * pieces);
		const sum = (of: (plan: ItemPlan) => number) =>
			plans.reduce((total, plan, k) => total + made[k]! * of(plan), 0);
		const all = made.reduce((a, b) => a + b, 0);
		expect(told.pieces).toBeCloseTo(all, 9);
		expect(told.finishingS).toBeCloseTo(40 * all, 9);
		expect(told.setUpS).toBe(720);
		expect(told.arcS).toBeCloseTo(
			sum(({ pieceArcS }) => pieceArcS),
			9
		);
		expect(told.starts).toBeCloseTo(
			sum(({ arcs }) => arcs.length),
			9
		);
		expect(told.handlingS).toBeCloseTo(
			sum(({ arcs }) => arcs.map(({ handlingS }) => handlingS).reduce((a, b) => a + b)),
			9
		);
		expect(told.handlingS).toBeGreaterThan(0);
		expect(told.pitMm).toBeCloseTo(sum(({ pieceUm }) => pieceUm) / 1000, 9);
		const { run } = study;
		if (!run || 'trouble' in run) throw new Error('does not run');
		expect(told.besidesS).toBeCloseTo(run.restS + run.changes * list.changeS, 9);
	});
});

describe('what really happened', () => {
	const plans = () => studied([bar, weld]).plans;

	it('stands as it does after the pieces that were made, by the clock they were made at', () => {
		const { base, plans } = studied([{ pieces: 5, cut: { thicknessMm: 6, lengthMm: 300 } }]);
		const { postS } = plans[0]!.arcs[0]!;
		const at = (...endsS: number[]) =>
			standingAfter(
				base,
				plans,
				endsS.map((endS) => ({ id: 'i0', endS })),
				0
			);
		expect(at(900).timeS).toBeCloseTo(900 + postS, 6);
		// One after the other the cutter is warmer than with a quarter of an hour between.
		const [close, apart] = [at(900, 960), at(900, 1860)];
		expect(apart.timeS).toBeCloseTo(1860 + postS, 6);
		expect(close.levels[NODES.cutter]).toBeGreaterThan(apart.levels[NODES.cutter]! + 1);
		expect(standingAfter(base, plans, [{ id: 'i0', endS: 900 }], 5000).timeS).toBe(5000);
	});

	it('is the middle of the handling that was needed, failed pieces and unknown times left out', () => {
		const [plan] = plans() as [ItemPlan];
		const took = (handling: number | null) => ({
			id: 'i0',
			kind: 'done' as const,
			tookS: handling === null ? null : plan.pieceArcS + handling
		});
		const [real] = realOf(plans(), [
			took(null),
			took(30),
			took(90),
			took(40),
			{ ...took(500), kind: 'failed' },
			{ ...took(1), id: 'gone' },
			// Two ticked at once, afterwards.
			{ ...took(0), tookS: 1 }
		]);
		expect(real).toMatchObject({ id: 'i0', made: 5, failed: 1 });
		expect(real!.handlingS).toBeCloseTo(40, 6);
		expect(real!.realS).toBeCloseTo(3 * plan.pieceArcS + 160, 6);
		expect(real!.plannedS).toBeCloseTo(3 * (plan.pieceArcS + plan.arcs[0]!.handlingS), 6);
		expect(realOf(plans(), [])).toEqual([]);
	});

	it('goes into the log as it was planned; a failed piece as one start', () => {
		const { asked } = studied([bar, weld]);
		const [cut, groove] = plans() as [ItemPlan, ItemPlan];
		expect(entryOf(cut, asked[0]!, 'done')).toMatchObject({
			kind: 'cut',
			thicknessMm: 8,
			lengthMm: cut.pieceLengthMm,
			starts: 1
		});
		expect(entryOf(cut, asked[0]!, 'failed')).toMatchObject({
			kind: 'start',
			arcS: Math.min(60, cut.pieceArcS)
		});
		expect(entryOf(groove, asked[1]!, 'done')).toMatchObject({
			kind: 'groove',
			starts: groove.arcs.length,
			metal: asked[1]!.cut.metal
		});
		// A groove in another metal than the plate that is cut.
		const gouge = { ...asked[1]!.cut.gouge, metal: 'stainless' as const };
		const other = { ...asked[1]!, cut: { ...asked[1]!.cut, gouge } };
		expect(entryOf(groove, other, 'done')).toMatchObject({ metal: 'stainless' });
	});

	it('tells when it is done before what one change would buy, and the same', () => {
		const { base, list, asked } = studied([bar, weld]);
		const first: WholeStudy[] = [];
		const drawer = { electrode: 1, nozzle: 1 };
		const whole = wholeStudy({ base, list, asked, drawer }, (study) => first.push(study));
		expect(first).toEqual([{ ...whole, buys: [] }]);
		expect(whole.buys.map(({ id }) => id)).toEqual(expect.arrayContaining(['helper', 'torch']));
	});

	it('tells the times behind a quote as a pencil adds them, rejects made again', () => {
		const quote = { rejectShare: 0.1, setUpMin: 20, finishingS: 90 };
		const rows: Row[] = [
			{ ...bar, pieces: 3 },
			{ ...weld, pieces: 6 }
		];
		const { base, list, asked } = studied(rows, {}, BAY_2, {
			quote: { ...v.parse(DayListSchema, { name: 'x', items: [] }).quote, ...quote }
		});
		const study = wholeStudy({ base, list, asked, drawer: { electrode: 0, nozzle: 0 } });
		const [cut, groove] = study.plans;
		const told = behind(list, study);
		// Of ten made nine are good: for nine good ones ten are made.
		expect(told.pieces).toBeCloseTo(10, 9);
		const pencil = (of: (plan: ItemPlan) => number) => (3 * of(cut!) + 6 * of(groove!)) / 0.9;
		expect(cut!.pieceArcS).toBeGreaterThan(0);
		expect(told.arcS).toBeCloseTo(
			pencil(({ pieceArcS }) => pieceArcS),
			6
		);
		expect(told.starts).toBeCloseTo(
			pencil(({ arcs }) => arcs.length),
			6
		);
		expect(told.pitMm).toBeCloseTo(pencil(({ pieceUm }) => pieceUm) / 1000, 9);
		expect(told.finishingS).toBeCloseTo(10 * 90, 6);
		expect(told.setUpS).toBe(20 * 60);
		const { restS, changes } = study.run as ListRun;
		expect(told.besidesS).toBeCloseTo(restS + changes * list.changeS, 6);
	});

	it('leaves what was done off the list, and begins with the parts of the last piece', () => {
		const { base, list, asked } = studied([bar, weld]);
		const live = (made: { id: string; endS: number }[]) =>
			wholeStudy({
				base,
				list,
				asked,
				drawer: { electrode: 0, nozzle: 0 },
				live: { made, failed: [], nowS: 1000, beganS: 28_800 }
			}).run;
		const after = live([
			{ id: 'i1', endS: 200 },
			{ id: 'gone', endS: 400 },
			{ id: 'i1', endS: 900 }
		]) as ListRun;
		expect(after.items.map(({ id, pieces }) => [id, pieces])).toEqual([['i0', 2]]);
		// Gouging parts are in: the bar wants a change, and nothing begins before now.
		expect(after.changes).toBe(1);
		expect(after.items[0]!.startS).toBeGreaterThanOrEqual(1000);
		const all = [...Array(2).keys()].flatMap((k) =>
			['i0', 'i1'].map((id) => ({ id, endS: 100 * (k + 1) }))
		);
		expect(live(all)).toBeNull();
		const none = live([]) as ListRun;
		expect(none.items.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(4);
	});

	it('goes on with the bottle as far as it was emptied, by what was made and by what failed', () => {
		const bottled = changed((b) => {
			b.air.source = 'bottle';
			b.air.bottle = {
				gas: 'air',
				waterL: 20,
				count: 1,
				fillBar: 200,
				reserveBar: 10,
				outletBar: 8
			};
		});
		const rows = [{ ...bar, cut: { thicknessMm: 3, lengthMm: 60 } }];
		const { base, list, asked, plans } = studied(rows, {}, bottled);
		const drawer = { electrode: 0, nozzle: 0 };
		const { bottleL } = wholeStudy({ base, list, asked, drawer });
		const inABottle = Math.floor(bottleL / plans[0]!.pieceAirL);
		expect(inABottle).toBeGreaterThan(4);
		/** When the last two are done, where so many failed besides. */
		const lastTwo = (failed: number) => {
			const times = (from: number, count: number) =>
				Array.from({ length: count }, (_, k) => ({ id: 'i0', endS: 200 * (from + k + 1) }));
			const made = times(0, inABottle - 2);
			const live = { made, failed: times(made.length, failed), nowS: 1e5, beganS: 28_800 };
			const items = [{ ...list.items[0]!, pieces: inABottle }];
			const { run } = wholeStudy({ base, list: { ...list, items }, asked, drawer, live });
			expect((run as ListRun).items[0]!.pieces).toBe(2);
			return (run as ListRun).endS;
		};
		// They fit into it; one that failed before them took the air of the last.
		expect(lastTwo(1) - lastTwo(0)).toBeCloseTo(BOTTLE_CHANGE_S, 6);
	});
});

describe('breaks and the end of the day', () => {
	const H = 3600;
	const hours = (more: Partial<DayList>) =>
		studied([{ ...bar, pieces: 60 }], { closed: closedOf({ ...PLAIN, ...more }) }).run;
	const PLAIN = { startsAt: '08:00', endsAt: null, breaks: [] };
	const free = hours({});

	it('no arc burns in a break; what was to be done is done so much later, or sooner: the tank fills', () => {
		const run = hours({ breaks: [{ at: '08:30', forMin: 15 }] });
		for (const arc of run.items.flatMap(({ arcs }) => arcs))
			expect(arc.endS <= 0.5 * H + 1e-6 || arc.startS >= 0.75 * H - 1e-6).toBe(true);
		expect(run.breaks).toHaveLength(1);
		expect(run.breaks[0]).toMatchObject({ id: 'i0', night: false });
		expect(run.endS).toBeGreaterThan(free.endS + 600);
		expect(run.endS).toBeLessThan(free.endS + 900 + 120);
		expect(run.breakS).toBeLessThanOrEqual(900 + 120);
		expect(run.boundS).toBeLessThanOrEqual(run.endS);
		// The bound waits for the break too; all that is lost is the piece that would not have been over.
		expect(run.endS - run.boundS).toBeLessThan(120);
	});

	it('goes on the next morning, from cold, and tells how many were made by then', () => {
		const run = hours({ endsAt: '08:40' });
		const [night] = run.breaks;
		expect(night!.night).toBe(true);
		expect(run.endS).toBeGreaterThan(24 * H);
		const made = run.items[0]!.arcs.filter(({ endS }) => endS <= 40 * 60 + 1e-6).length;
		expect(night!.doneBefore).toBe(made);
		expect(night!.onAtS).toBeGreaterThanOrEqual(24 * H);
		expect(night!.onAtS).toBeLessThan(24 * H + 120);
	});

	it('a list that is begun at another hour meets the breaks where they are', () => {
		const { fromS } = closedOf({ ...PLAIN, breaks: [{ at: '10:00', forMin: 15 }] }, 9.5 * H)[0]!;
		expect(fromS).toBe(0.5 * H);
		// A late shift: closed from one in the night until eight.
		const night = closedOf({ startsAt: '08:00', endsAt: '01:00', breaks: [] });
		expect(night).toEqual([{ fromS: 17 * H, toS: 24 * H }]);
		// What runs into another is one.
		expect(
			closedOf({
				...PLAIN,
				breaks: [
					{ at: '10:00', forMin: 30 },
					{ at: '10:20', forMin: 30 }
				]
			})
		).toEqual([{ fromS: 2 * H, toS: 2 * H + 50 * 60 }]);
	});
});

describe('what an item may be besides a cut so many times', () => {
	it('an outline: each contour its own arc, its holes pierced, the longer the longer', () => {
		const paths = [
			{ edge: 'hole' as const, lengthMm: 63 },
			{ edge: 'outside' as const, lengthMm: 400 }
		];
		const [plan] = studied([{ ...bar, paths }]).plans as [ItemPlan];
		const [once] = studied([bar]).plans as [ItemPlan];
		expect(plan.arcs).toHaveLength(2);
		expect(plan.pieceLengthMm).toBe(463);
		const [hole, outside] = [plan.arcs[0]!, plan.arcs[1]!];
		const perMm = 1 / once.speedMmS!;
		expect(outside.arcS - once.arcs[0]!.arcS).toBeCloseTo(340 * perMm, 6);
		// More than its length at speed: it waits until it is through.
		expect(hole.arcS).toBeGreaterThan(63 * perMm + 0.2);
		expect(plan.pieceUm).toBeGreaterThan(2 * once.pieceUm);
	});

	it('keeps the guide that its first piece showed', () => {
		const [as] = studied([bar]).plans as [ItemPlan];
		const [set] = studied([{ ...bar, offsetMm: 12.5 }]).plans as [ItemPlan];
		expect(as.offsetMm).not.toBe(12.5);
		expect(set.offsetMm).toBe(12.5);
		const hand = studied([{ cut: { ...bar.cut, guide: 'freehand' }, offsetMm: 12.5 }]);
		expect((hand.plans[0] as ItemPlan).offsetMm).toBeNull();
	});
});

describe('nozzles and bottles', () => {
	it('changes a bottle on the way, minutes each, instead of waiting for ever', () => {
		const bottled = changed((b) => {
			b.air.source = 'bottle';
			b.air.bottle = {
				gas: 'air',
				waterL: 10,
				count: 1,
				fillBar: 50,
				reserveBar: 10,
				outletBar: 6
			};
		});
		const rows = [{ ...bar, pieces: 30 }];
		const { base, plans, run } = studied(rows, {}, bottled);
		const eats = eatsOf(base, plans, run, { electrode: 9, nozzle: 9 });
		const freeL = workings(base, { solveAmps: false }).air.line.bottleFreeL;
		const each = plans[0]!.pieceAirL;
		const inOne = Math.floor(freeL / each);
		expect(eats.bottles).toEqual({
			emptied: Math.ceil(30 / inOne) - 1,
			before: { id: 'i0', piece: inOne + 1 }
		});
		expect(eats.bottles!.emptied).toBeGreaterThan(0);
		const many = changed((b) => {
			b.air.source = 'bottle';
			b.air.bottle = { ...bottled.air.bottle!, count: 12 };
		});
		const full = studied(rows, {}, many).run;
		expect(run.endS - full.endS).toBeCloseTo(300 * eats.bottles!.emptied, 6);
	});

	it('speaks of the nozzle where one was measured, else it goes with its electrode', () => {
		const { base, plans, run } = studied([{ ...bar, pieces: 40 }]);
		expect(eatsOf(base, plans, run, { electrode: 0, nozzle: 0 }).nozzle).toBeNull();
		const wear = structuredClone(base.evidence.wear);
		wear.nozzle.last = { grownUm: 95, useSince: wear.nozzle.total };
		const seen = { ...base, evidence: { ...base.evidence, wear } };
		const eats = eatsOf(seen, plans, run, { electrode: 0, nozzle: 0 });
		const grows = plans[0]!.pieceBoreUm;
		expect(grows).toBeGreaterThan(0);
		expect(eats.nozzle!.before!.piece).toBe(Math.floor((100 - eats.nozzle!.nowUm) / grows) + 1);
		expect(eats.nozzle!.short).toBe(eats.nozzle!.sets);
		// What goes through another nozzle does not wear this one.
		const elsewhere = plans.map((plan) => ({ ...plan, set: 'cut 30' }));
		expect(eatsOf(seen, elsewhere, run, { electrode: 0, nozzle: 0 }).nozzle!.sets).toBe(0);
	});
});

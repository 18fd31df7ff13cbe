/** The day's list on eight very different benches: what is said of it must be said by the one Plan too. */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { METAL_IDS, plan, type Cut } from '../../src/lib/core';
import { filled } from '../../src/lib/core/figure/finding';
import { DayListSchema, type ListItem } from '../../src/lib/core/list/inputs';
import { wholeStudy } from '../../src/lib/core/studies/list/book';
import { entryOf, standingAfter } from '../../src/lib/core/studies/list/worked';
import { whatChanges } from '../../src/lib/core/studies/list/changes';
import { eatsOf } from '../../src/lib/core/studies/list/eats';
import { plansOf } from '../../src/lib/core/studies/list/itemPlans';
import { studyList } from '../../src/lib/core/studies/list/run';
import type { ListRun, Ways } from '../../src/lib/core/studies/list/runTypes';
import { EntrySchema } from '../../src/lib/core';
import { EIGHT } from '../support/eight';
import { inputsOf } from '../support/inputs';

const BAD = /NaN|undefined|null|Infinity|\{/;
const WAYS: Ways = { order: 'soonest', handlingShare: 1, changeS: 240 };

interface Row {
	cut: Partial<Cut>;
	item?: Partial<ListItem>;
}
const listOf = (rows: readonly Row[]) =>
	v.parse(DayListSchema, {
		name: 'The list',
		items: rows.map(({ cut, item }, k) => ({
			id: `i${k}`,
			name: `Item ${k}`,
			what: 'cut',
			search: JSON.stringify(cut),
			pieces: 3,
			...item
		}))
	});
const MIXED: Row[] = [
	{ cut: { thicknessMm: 3, lengthMm: 200 }, item: { pieces: 6 } },
	{ cut: { thicknessMm: 6, lengthMm: 300 }, item: { linesEach: 2, after: ['i0'] } },
	{ cut: { thicknessMm: 10, lengthMm: 80 }, item: { on: 'gate', coolS: 300 } },
	{ cut: { thicknessMm: 3, metal: 'aluminium', lengthMm: 250 }, item: { on: 'gate' } }
];

describe.each(EIGHT.map((b) => [b.name, b] as const))('%s', (_, bench) => {
	const base = inputsOf({ bench }, {});
	const asked = (rows: readonly Row[]) =>
		listOf(rows).items.map((item, k) => ({ item, cut: { ...base.cut, ...rows[k]!.cut } }));
	const study = (rows: readonly Row[], ways: Partial<Ways> = {}) =>
		studyList(base, listOf(rows), asked(rows), { ...WAYS, ...ways });
	const run = (rows: readonly Row[], ways: Partial<Ways> = {}) => {
		const { run: made } = study(rows, ways);
		return made && !('trouble' in made) ? made : undefined;
	};

	it('each item has the plan’s own setting, or is named with a reason; what the plan refuses is not made', () => {
		for (const metal of METAL_IDS)
			for (const thicknessMm of [0.5, 2, 6, 12, 25, 50]) {
				const cut = { metal, thicknessMm, lengthMm: 150 };
				const { plans, cannot } = plansOf(base, asked([{ cut }]));
				const where = `${metal} ${thicknessMm} mm`;
				expect(plans.length + cannot.length, where).toBe(1);
				const { figures, choices } = plan({
					...base,
					cut: { ...base.cut, ...cut },
					work: { ...base.work, by: 'cut' }
				});
				const goes = figures['setup.arcS'].value !== null && choices.startMethod !== 'none';
				if (!goes) expect(cannot, where).toHaveLength(1);
				for (const { why } of cannot) {
					const words = filled(why, { units: 'metric' });
					expect(words.length, where).toBeGreaterThan(10);
					expect(words, where).not.toMatch(BAD);
				}
				for (const one of plans) {
					expect(one.outputA, where).toBe(figures['setup.currentA'].value);
					expect(one.speedMmS, where).toBeCloseTo(figures['setup.handMmS'].value!, 9);
					expect(one.pieceArcS, where).toBeCloseTo(figures['setup.arcS'].value!, 9);
					expect(one.nozzleA, where).toBe(figures['setup.nozzleA'].value);
				}
			}
	});

	it('has a finish that no bound undercuts, keeps what comes first, and rests that hold', () => {
		const made = study(MIXED);
		if (made.plans.length === 0) {
			expect(made.run).toBeNull();
			return;
		}
		const r = made.run as ListRun;
		expect('trouble' in r, JSON.stringify(made.run)).toBe(false);
		expect(r.endS).toBeGreaterThanOrEqual(r.boundS - 1e-6);
		expect(r.items.map(({ id }) => id).sort()).toEqual(made.plans.map(({ id }) => id).sort());
		const at = (id: string) => r.items.find((item) => item.id === id);
		const [zero, one, two, three] = ['i0', 'i1', 'i2', 'i3'].map(at);
		if (zero && one) expect(one.startS).toBeGreaterThanOrEqual(zero.endS - 1e-6);
		if (two && three) {
			const [first, then] = two.startS < three.startS ? [two, three] : [three, two];
			const coolS = first.id === 'i2' ? 300 : 0;
			expect(then.arcs[0]!.startS).toBeGreaterThanOrEqual(first.endS + coolS - 1);
		}
		for (const [k, item] of r.items.entries()) {
			expect(item.startS).toBeGreaterThanOrEqual((r.items[k - 1]?.endS ?? 0) - 1e-6);
			expect(item.arcs).toHaveLength(
				item.pieces * listOf(MIXED).items.find(({ id }) => id === item.id)!.linesEach
			);
		}
		expect(r.rests.reduce((sum, { restS }) => sum + restS, 0)).toBeCloseTo(r.restS, 6);
		expect(r.firstLimit === null).toBe(r.restS === 0);
		// Only an arc that alone may trip the breaker passes the earliest that it may trip at.
		const may = new Set(made.plans.filter(({ mayTrip }) => mayTrip).map(({ id }) => id));
		expect(r.mayTrip).toBe(may.size > 0);
		const owners = r.items.flatMap(({ id, arcs }) => arcs.map(() => id));
		for (const [k, share] of r.trace.breaker.entries())
			if (!may.has(owners[k]!)) expect(share, owners[k]).toBeLessThanOrEqual(1 + 1e-6);
		expect(Math.max(...r.trace.cutterC)).toBeLessThanOrEqual(130 + 1e-6);
		if (r.trace.tankBar)
			expect(Math.min(...r.trace.tankBar)).toBeGreaterThanOrEqual(r.trace.neededBar - 1e-6);
	});

	it('goes the right way: more pieces, slower hands and slower changes are never done sooner by more than a rest', () => {
		const usual = run(MIXED);
		if (!usual) return expect(study(MIXED).plans).toHaveLength(0);
		const more = run(
			MIXED.map((row) => ({ ...row, item: { ...row.item, pieces: 2 * (row.item?.pieces ?? 3) } }))
		)!;
		expect(more.endS).toBeGreaterThan(usual.endS);
		expect(run(MIXED, { handlingShare: 2 })!.endS).toBeGreaterThan(usual.endS - 60);
		expect(run(MIXED, { changeS: 900 })!.endS).toBeGreaterThanOrEqual(usual.endS - 60);
		expect(run(MIXED, { order: 'fewest' })!.changes).toBeLessThanOrEqual(usual.changes);
		for (const change of whatChanges(base, listOf(MIXED), asked(MIXED), WAYS, usual)) {
			if (change.id === 'torch') expect(change.endS!).toBeLessThanOrEqual(usual.endS + 1);
			if (change.id === 'helper' && change.endS !== null)
				expect(change.endS).toBeLessThanOrEqual(usual.endS + 60);
		}
	});

	it('eats what its pieces eat, logs what it made, and goes on from where it stands', () => {
		const { plans, run: made } = study(MIXED);
		if (!made || 'trouble' in made) return expect(plans).toHaveLength(0);
		const eats = eatsOf(base, plans, made, { electrode: 1, nozzle: 1 });
		const items = listOf(MIXED).items;
		const pieces = (id: string) => items.find((item) => item.id === id)!.pieces;
		expect(eats.arcS).toBeCloseTo(
			plans.reduce((s, p) => s + pieces(p.id) * p.pieceArcS, 0),
			6
		);
		const grown = plans.reduce((s, p) => s + pieces(p.id) * p.pieceUm, 0);
		expect(eats.electrode.pitAtEndUm + eats.electrode.sets * 0).toBeLessThanOrEqual(
			eats.electrode.nowUm + grown + 1e-6
		);
		for (const one of asked(MIXED)) {
			const itsPlan = plans.find(({ id }) => id === one.item.id);
			if (!itsPlan) continue;
			for (const kind of ['done', 'failed'] as const)
				expect(v.safeParse(EntrySchema, entryOf(itsPlan, one, kind)).success).toBe(true);
		}
		const first = made.items[0]!;
		const nowS = first.endS + 30;
		const atOnce = standingAfter(base, plans, [{ id: first.id, endS: first.endS }], nowS);
		expect(atOnce.timeS).toBeCloseTo(nowS, 3);
		// Asked for a moment at which it was not over yet, it stands as at its end.
		const at = (now: number) =>
			standingAfter(base, plans, [{ id: first.id, endS: first.endS }], now);
		expect(at(first.endS - 3)).toEqual(at(first.endS));
		const live = wholeStudy({
			base,
			list: listOf(MIXED),
			asked: asked(MIXED),
			drawer: { electrode: 1, nozzle: 1 },
			live: { made: [{ id: first.id, endS: first.endS }], failed: [], nowS, beganS: 28_800 }
		});
		if (live.run && !('trouble' in live.run)) {
			expect(live.run.items.reduce((n, { pieces: left }) => n + left, 0)).toBe(
				made.items.reduce((n, { pieces: all }) => n + all, 0) - 1
			);
			expect(live.run.endS).toBeGreaterThan(nowS);
		}
	});
});

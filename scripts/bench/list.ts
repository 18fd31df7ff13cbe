/** A day's list: planned and ordered, gone on with at a tick, its plates laid. */
import * as v from 'valibot';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE, type PlanInputs } from '../../src/lib/core';
import { DayListSchema } from '../../src/lib/core/list/inputs';
import { layoutOf } from '../../src/lib/core/list/layout';
import { plansOf } from '../../src/lib/core/studies/list/itemPlans';
import { studyList } from '../../src/lib/core/studies/list/run';
import type { Ways } from '../../src/lib/core/studies/list/runTypes';
import { standingAfter } from '../../src/lib/core/studies/list/worked';
import { askedItems } from '../../src/lib/formats/dayList';
import { BAY_2 } from '../demo/benches';
import { alone, type Paced } from './pace';
import { rounds } from './rounds';

const WAYS: Ways = { order: 'soonest', handlingShare: 1, changeS: 240 };
const base: PlanInputs = {
	bench: BAY_2,
	cut: DEFAULT_CUT,
	evidence: NO_EVIDENCE,
	settings: DEFAULT_SETTINGS,
	work: BAY_2.usual,
	chart: null
};
/** Items of four thicknesses and two sets of parts, each of its own length, some after others. */
const listOf = (n: number) =>
	v.parse(DayListSchema, {
		name: 'Bench',
		items: Array.from({ length: n }, (_, k) => ({
			id: `i${k}`,
			name: `Item ${k}`,
			what: k % 9 === 8 ? 'groove' : 'cut',
			search:
				k % 9 === 8
					? 'groove=1&gx=fillet&gz=6&gl=120&gt=12'
					: `t=${[3, 6, 8, 10][k % 4]}&len=${60 + 5 * (k % 37)}`,
			pieces: 2,
			after: k % 5 === 4 ? [`i${k - 3}`] : []
		}))
	});

/** ms for a list of so many items: plans, order and rests. */
export function benchList(n: number): Promise<number[]> {
	const list = listOf(n);
	const asked = askedItems(list, BAY_2.usual);
	return rounds(() => {
		const from = performance.now();
		const { run } = studyList(base, list, asked, WAYS);
		const took = performance.now() - from;
		if (!run || 'trouble' in run) throw new Error('the list of the benchmark cannot be made');
		return took;
	});
}

/** ms to plan what is left of forty items after ten pieces were ticked. */
export function benchTick(): Promise<Paced[]> {
	const list = listOf(40);
	const asked = askedItems(list, BAY_2.usual);
	const tick = () => {
		const from = performance.now();
		const known = plansOf(base, asked);
		const { plans } = known;
		const made = plans.slice(0, 10).map(({ id }, k) => ({ id, endS: 90 * (k + 1) }));
		const done = Object.fromEntries(made.map(({ id }) => [id, 1]));
		const standing = standingAfter(base, plans, made, 930);
		studyList(
			base,
			list,
			asked,
			WAYS,
			{ done, setInTorch: plans[9]!.set, standing, usedL: 0 },
			known
		);
		return performance.now() - from;
	};
	return rounds(() => alone(tick, 1, 6));
}

/** ms to lay two hundred rectangles of forty sizes. */
export function benchLayout(): Promise<number[]> {
	const parts = Array.from({ length: 40 }, (_, k) => ({
		id: `p${k}`,
		widthMm: 60 + ((k * 37) % 400),
		heightMm: 40 + ((k * 53) % 300),
		count: 5,
		turns: true
	}));
	const plate = { name: 'Plate', widthMm: 2000, heightMm: 1000, count: null };
	return rounds(() => {
		const from = performance.now();
		layoutOf({ parts, plates: [plate], kerfMm: 1.6, trimMm: 5 });
		return performance.now() - from;
	});
}

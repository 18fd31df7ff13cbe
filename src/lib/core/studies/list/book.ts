/** What a list takes and costs, what one change buys, and how it stands while it is worked. */
import type { PlanInputs } from '../../inputs/planInputs';
import type { DayList } from '../../list/inputs';
import type { Quote } from '../../list/quote';
import { workings } from '../../plan/workings';
import type { AskedItem, ItemPlan } from './items';
import { platesOf, type PlatesOf } from './plates';
import { plansOf } from './itemPlans';
import { studyList } from './run';
import { waysOf, type ListStudy, type Progress } from './runTypes';
import { eatsOf, type InDrawer, type ListEats } from './eats';
import { whatChanges, type Change } from './changes';
import { quoteOfList } from './quoted';
import { standingAfter, type Made } from './worked';

/** Everything that a list's own page shows. */
export interface WholeStudy extends ListStudy {
	/** null: nothing can be made, or nothing is left. */
	eats: ListEats | null;
	buys: Change[];
	quote: Quote & { band: [number, number] | null };
	/** Free air in a full bottle, l; 0: none. */
	bottleL: number;
	/** null: nobody asked. */
	plates: PlatesOf[] | null;
}
export interface WholeAsk {
	base: PlanInputs;
	list: DayList;
	asked: readonly AskedItem[];
	drawer: InDrawer;
	laysPlates?: boolean;
	/** While it is worked: what was made, by the clock of the list. */
	live?: {
		made: readonly Made[];
		failed: readonly Made[];
		nowS: number;
		/** When it was really begun, s after midnight. */
		beganS: number;
	};
}

/** What is done, and how the bench stands, after what was made until now. */
function progressOf(
	base: PlanInputs,
	plans: readonly ItemPlan[],
	live: NonNullable<WholeAsk['live']>
): Progress {
	const done: Record<string, number> = {};
	for (const { id } of live.made) done[id] = (done[id] ?? 0) + 1;
	const all = [...live.made, ...live.failed].sort((a, b) => a.endS - b.endS);
	const last = plans.find(({ id }) => id === all.at(-1)?.id);
	return {
		done,
		setInTorch: last?.set ?? null,
		standing: standingAfter(base, plans, all, live.nowS),
		usedL: all.reduce(
			(sum, { id }) => sum + (plans.find((plan) => plan.id === id)?.pieceAirL ?? 0),
			0
		)
	};
}

/**
 * All of it. `first` is told the same without what one change buys, as soon as it is there: that plans the
 * list several times more.
 */
export function wholeStudy(
	{ base, list, asked, drawer, live, laysPlates }: WholeAsk,
	first: (study: WholeStudy) => void = () => {}
): WholeStudy {
	const known = plansOf(base, asked);
	const progress = live && progressOf(base, known.plans, live);
	const ways = waysOf(list, live?.beganS);
	const study = studyList(base, list, asked, ways, progress, known);
	const run = study.run && !('trouble' in study.run) ? study.run : null;
	const { inputs, air } = workings(base, { solveAmps: false });
	const whole: WholeStudy = {
		...study,
		eats: run && eatsOf(base, study.plans, run, drawer),
		buys: [],
		bottleL: air.line.bottleFreeL,
		plates: laysPlates ? platesOf(list, asked, study.plans) : null,
		quote: quoteOfList(base, list, study.plans, {
			besidesS: run ? run.restS + run.changes * list.changeS : 0,
			bottleL: air.line.bottleFreeL,
			pitLimitUm: inputs.settings.pitLimitMm * 1000
		})
	};
	if (!run || progress) return whole;
	first(whole);
	return { ...whole, buys: whatChanges(base, list, asked, ways, run, known) };
}

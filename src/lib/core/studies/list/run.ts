/**
 * The run of a list: real items through the one Plan and the session, arc by arc. The order comes from parts
 * changes and from what must come first; rests are put where they cost least; both are then tried together.
 */
import type { PlanInputs } from '../../inputs/planInputs';
import { LIST_ARCS_MOST, type DayList } from '../../list/inputs';
import { orderOf } from '../../list/order';
import type { OrderAsk } from '../../list/ordered';
import { overAt } from '../../session/closed';
import { atStart, heldBy, placePauses, waitAsNeeded } from '../../session/list';
import { fittedNozzle } from '../../torch/nozzle';
import { plansOf } from './itemPlans';
import { cuttingSet, type AskedItem, type ItemPlan } from './items';
import { runTold } from './runTold';
import {
	NOTHING_DONE,
	type ListRun,
	type ListStudy,
	type Progress,
	type RunTrouble,
	type Ways
} from './runTypes';
import { blocksOf, sequenced, withCooling, type Block } from './sequence';
import { bottleFree, shopOf, withClosed } from './shop';
import { breach, changesOf, endsSooner, planned, waitsIn, type Trial } from './trial';

/** Orders with rests that are tried at most, and arcs in all of them. */
const TRIES_MOST = 40;
const TRIED_ARCS_MOST = 12_000;

/** The whole of it: items by the Plan, their order, the rests. */
export function studyList(
	base: PlanInputs,
	list: Pick<DayList, 'items'>,
	asked: readonly AskedItem[],
	ways: Ways,
	progress: Progress = NOTHING_DONE,
	/** Where they have been worked out already. */
	known: Omit<ListStudy, 'run'> = plansOf(base, asked)
): ListStudy {
	const { plans, cannot } = known;
	return { plans, cannot, run: runOf(base, list, plans, ways, progress) };
}

/** Without rests, an item takes as long as its handling (post-flow at least) and its arcs. */
function orderAsk(
	{ items }: Pick<DayList, 'items'>,
	blocks: readonly Block[],
	setInTorch: string,
	changeS: number
): OrderAsk {
	const here = blocks.map(({ plan, handlingS, arcS, arcs }) => {
		const { id, on, coolS } = items.find((item) => item.id === plan.id)!;
		const postS = arcs
			.slice(1)
			.reduce((sum, arc, k) => sum + Math.max(0, arcs[k]!.postS - arc.handlingS), 0);
		return {
			id,
			set: plan.set,
			piece: on === '' ? `only ${id}` : on,
			handlingS,
			arcS: { bench: arcS + postS },
			coolS
		};
	});
	return {
		items: here,
		benches: [{ id: 'bench', setInTorch }],
		before: blocks.flatMap(({ plan }) =>
			items.find(({ id }) => id === plan.id)!.after.map((first) => [first, plan.id] as const)
		),
		changeS: () => changeS
	};
}

function runOf(
	base: PlanInputs,
	list: Pick<DayList, 'items'>,
	plans: readonly ItemPlan[],
	ways: Ways,
	progress: Progress
): ListRun | RunTrouble | null {
	const blocks = blocksOf(list, plans, ways, progress);
	if (blocks.length === 0) return null;
	const arcs = blocks.reduce((sum, block) => sum + block.arcs.length, 0);
	if (arcs > LIST_ARCS_MOST) return { trouble: 'too-many', arcs };
	const setInTorch = progress.setInTorch ?? cuttingSet(fittedNozzle(base.bench.torch).ratingA);
	const ordered = orderOf(orderAsk(list, blocks, setInTorch, ways.changeS));
	if ('trouble' in ordered) return ordered;
	if (ways.order === 'own') {
		const early = breach(list, blocks, blocks);
		if (early) return { trouble: 'order', ...early };
	}

	const { closed } = ways;
	const shop = withClosed(shopOf(base), closed);
	const from = progress.standing ?? undefined;
	const freeL = bottleFree(base);
	const bottles = freeL > 0 ? { freeL, usedL: progress.usedL % freeL } : undefined;
	const tried = (order: readonly Block[], place: typeof placePauses = waitAsNeeded): Trial => {
		const seq = sequenced(order, setInTorch, ways.changeS, bottles);
		const cooled = withCooling(list, seq, order);
		const { waits } = cooled;
		return { order, seq, waits, plan: planned(shop, cooled, from, place), shop };
	};

	const byId = new Map(blocks.map((block) => [block.plan.id, block]));
	const { placed } = ways.order === 'fewest' ? ordered.fewest : ordered.soonest;
	let best = tried(ways.order === 'own' ? blocks : placed.map(({ id }) => byId.get(id)!));
	// Where somebody has to wait, another order may wait less: long arcs while it is cold.
	if (ways.order !== 'own' && waitsIn(best)) {
		const may = (order: readonly Block[], now: Trial) =>
			!breach(list, blocks, order) &&
			changesOf(order, setInTorch) <= now.seq.changes + (ways.order === 'fewest' ? 0 : 1);
		best = endsSooner(best, may, tried, Math.min(TRIES_MOST, Math.floor(TRIED_ARCS_MOST / arcs)));
	}
	if (waitsIn(best)) {
		const placedWell = tried(best.order, placePauses);
		if (placedWell.plan.ok) best = placedWell;
	}
	if (!best.plan.ok) {
		const { block } = best.seq.of[best.plan.arc]!;
		return { trouble: 'never', item: block.plan.id, because: heldBy(best.plan.because) };
	}
	return runTold(best, {
		boundS: overAt(closed ?? [], (from ?? atStart(shop)).timeS, ordered.boundS),
		exact: ordered.exact,
		from,
		limits: { needed: blocks[0]!.arcs[0]!.neededBar }
	});
}

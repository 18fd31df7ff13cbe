/**
 * The run of a list: real items through the one Plan and the session, arc by arc. The order comes from parts
 * changes and from what must come first; rests are put where they cost least; both are then tried together.
 */
import { said, told } from '../../figure/finding';
import type { PlanInputs } from '../../inputs/planInputs';
import { orderOf } from '../../list/order';
import type { OrderAsk } from '../../list/ordered';
import { LIST_ARCS_MOST, type DayList } from '../../list/inputs';
import { workings } from '../../plan/workings';
import {
	atStart,
	placePauses,
	runArc,
	waitAsNeeded,
	type ListPlan,
	type ListShop,
	type Standing
} from '../../session/list';
import { overAt, type Closed } from '../../session/closed';
import { fittedNozzle } from '../../torch/nozzle';
import { runInputsOf } from '../../plan/session';
import {
	cuttingSet,
	itemPlan,
	netMm2,
	type AskedItem,
	type CannotMake,
	type ItemPlan
} from './items';
import { arcFor, reason, runTold } from './runTold';
import {
	NOTHING_DONE,
	type ListRun,
	type ListStudy,
	type Progress,
	type RunTrouble,
	type Ways
} from './runTypes';
import {
	blocksOf,
	sequenced,
	withCooling,
	type Block,
	type Cooling,
	type Sequenced
} from './sequence';

/** Orders with rests that are tried at most, and arcs in all of them. */
const TRIES_MOST = 40;
const TRIED_ARCS_MOST = 12_000;

export const shopOf = (base: PlanInputs): { shop: ListShop; lazy: ListShop } => {
	const w = workings(base, { solveAmps: false });
	const { air, nodes } = runInputsOf(w.inputs, w.wiring, w.air, w.draw, w.heat);
	// An empty bottle is changed, which takes minutes; no rest fills it.
	const tank = base.bench.air.source === 'bottle' ? undefined : air?.tank;
	const of = (kept: readonly number[]): ListShop => ({
		tank,
		nodes: kept.map((k) => {
			const { tauS, start, limit } = nodes[k]!;
			return { tauS, start, limit };
		})
	});
	// By the earliest curve nothing may trip; by the latest, where even one arc might.
	return { shop: of([0, 2]), lazy: of([1, 2]) };
};

/** What each item asks of the bench; items that are planned alike are planned once. */
export function plansOf(base: PlanInputs, asked: readonly AskedItem[]): Omit<ListStudy, 'run'> {
	const known = new Map<string, ItemPlan | CannotMake>();
	const all = asked.map((one): ItemPlan | CannotMake => {
		const { search, linesEach, paths, handlingS, offsetMm, what } = one.item;
		const key = JSON.stringify([
			search,
			linesEach,
			paths,
			handlingS,
			offsetMm,
			what,
			netMm2(one.item)
		]);
		const found = known.get(key) ?? itemPlan(base, one);
		known.set(key, found);
		return { ...found, id: one.item.id };
	});
	const { shop, lazy } = shopOf(base);
	const alone = all.map((one) => ('arcs' in one ? (neverAlone(shop, lazy, one) ?? one) : one));
	return {
		plans: alone.filter((one): one is ItemPlan => 'arcs' in one),
		cannot: alone.filter((one): one is CannotMake => 'why' in one)
	};
}

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

/** One arc that stops even from cold and full is no work for any order, nor for any rest. */
function neverAlone(shop: ListShop, lazy: ListShop, plan: ItemPlan): CannotMake | undefined {
	const stopsIn = (one: ListShop, which: 0 | 1) =>
		plan.arcs.map((arc) => runArc(one, atStart(one), arcFor(arc, which), 0)).find((r) => r.stops);
	const found = stopsIn(shop, 0) && stopsIn(lazy, 1);
	if (!found) return undefined;
	const { because, atS } = found.stops!;
	const arcS = said(found.endS - found.startS, 'time');
	const after = said(Math.max(0, atS - found.startS), 'time');
	const what = {
		air: 'the tank falls short',
		breaker: 'the breaker may trip',
		heat: 'the cutter is too hot',
		cooling: 'it is too hot'
	}[reason(because)];
	const why = told`One arc takes ${arcS}, and after ${after} ${what}, even from rest: shorter cuts, other amps, or another bench.`;
	return { id: plan.id, why };
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

/** An order of the blocks, tried: with the rests that it needs, in the shop where it can be run. */
interface Trial {
	order: readonly Block[];
	seq: Sequenced;
	plan: ListPlan;
	waits: ReadonlyMap<number, Cooling>;
	shop: ListShop;
	which: 0 | 1;
}
const waitsIn = ({ plan }: Trial) => !plan.ok || plan.pausedS > 0;
const endOf = ({ plan }: Trial) => plan.runs.at(-1)?.endS ?? Infinity;

/** Another order, by moving one block at a time, that ends sooner. `most`: tries at most. */
function endsSooner(
	from: Trial,
	may: (order: readonly Block[], best: Trial) => boolean,
	tried: (order: readonly Block[]) => Trial,
	most: number
): Trial {
	let best = from;
	let tries = 0;
	for (let better = true; better && tries < most;) {
		better = false;
		for (let at = 0; at < from.order.length && tries < most; at++) {
			for (let to = 0; to < from.order.length && tries < most; to++) {
				if (to === at) continue;
				const order = best.order.toSpliced(at, 1).toSpliced(to, 0, best.order[at]!);
				if (!may(order, best)) continue;
				tries++;
				const other = tried(order);
				if (!other.plan.ok || (best.plan.ok && endOf(other) >= endOf(best) - 0.5)) continue;
				[best, better] = [other, true];
			}
		}
	}
	return best;
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
	const { shop, lazy } = withClosed(shopOf(base), closed);
	const from = progress.standing ?? undefined;
	const freeL = bottleFree(base);
	const bottles = freeL > 0 ? { freeL, usedL: progress.usedL % freeL } : undefined;
	const tried = (order: readonly Block[], place: typeof placePauses = waitAsNeeded): Trial => {
		const seq = sequenced(order, setInTorch, ways.changeS, bottles);
		const cooled = withCooling(list, seq, order);
		const { waits } = cooled;
		const touchy = planned(shop, cooled, from, 0, place);
		if (touchy.ok) return { order, seq, waits, plan: touchy, shop, which: 0 };
		return { order, seq, waits, plan: planned(lazy, cooled, from, 1, place), shop: lazy, which: 1 };
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
		return { trouble: 'never', item: block.plan.id, because: reason(best.plan.because) };
	}
	return runTold(best, {
		boundS: overAt(closed ?? [], (from ?? atStart(shop)).timeS, ordered.boundS),
		exact: ordered.exact,
		from,
		limits: { needed: blocks[0]!.arcs[0]!.neededBar }
	});
}

/** Free air that the bottles give, l; 0: the air comes from elsewhere. */
const bottleFree = (base: PlanInputs): number =>
	base.bench.air.source === 'bottle' ? workings(base, { solveAmps: false }).air.bottleFreeL : 0;

const withClosed = (
	{ shop, lazy }: ReturnType<typeof shopOf>,
	closed: Closed | undefined
): ReturnType<typeof shopOf> =>
	closed?.length ? { shop: { ...shop, closed }, lazy: { ...lazy, closed } } : { shop, lazy };

const changesOf = (order: readonly Block[], setInTorch: string): number =>
	order.reduce(
		(state, { plan }) => ({ set: plan.set, n: state.n + (plan.set === state.set ? 0 : 1) }),
		{ set: setInTorch, n: 0 }
	).n;

/** An item that stands before one that it must wait for; undefined: the order keeps every rule. */
function breach(
	{ items }: Pick<DayList, 'items'>,
	blocks: readonly Block[],
	order: readonly Block[]
): { item: string; first: string } | undefined {
	const place = new Map(order.map(({ plan }, i) => [plan.id, i]));
	for (const { plan } of blocks) {
		const { after } = items.find(({ id }) => id === plan.id)!;
		const first = after.find((id) => (place.get(id) ?? -1) >= place.get(plan.id)!);
		if (first !== undefined) return { item: plan.id, first };
	}
	return undefined;
}

function planned(
	shop: ListShop,
	{ arcs, waits }: ReturnType<typeof withCooling>,
	from: Standing | undefined,
	which: 0 | 1,
	place: typeof placePauses
): ListPlan {
	const mine = arcs.map((arc) => arcFor(arc, which));
	const at = from ?? atStart(shop);
	if (waits.size === 0) return place(shop, mine, at);
	// When a piece has ended depends on the rests before it: two rounds settle it.
	let plan = waitAsNeeded(shop, mine, at);
	for (let round = 0; round < 3 && plan.ok; round++) {
		const { runs } = plan;
		const asked = mine.map(() => 0);
		for (const [arc, { lastArc, coolS }] of waits) {
			const ended = runs[lastArc]!.endS;
			const { startS, pauseS, breakS } = runs[arc]!;
			const free = startS - pauseS - breakS - mine[arc]!.handlingS;
			asked[arc] = Math.max(0, Math.ceil(ended + coolS - free));
		}
		plan = waitAsNeeded(shop, mine, at, asked);
	}
	return plan;
}

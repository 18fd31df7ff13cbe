/**
 * The run of a list: real items through the one Plan and the session, arc by arc. The order comes from parts
 * changes and from what must come first; rests are put where they cost least; both are then tried together.
 */
import { said, told } from '../../figure/finding';
import { HOT_SPOT_C } from '../../cutter/duty';
import type { PlanInputs } from '../../inputs/planInputs';
import { orderOf, type OrderAsk, type OrderTrouble } from '../../list/order';
import {
	BREAK_MOST_S,
	closedOf,
	LIST_ARCS_MOST,
	type DayList,
	type ListOrder
} from '../../list/inputs';
import { workings } from '../../plan/workings';
import {
	atStart,
	placePauses,
	runArc,
	runList,
	waitAsNeeded,
	type ArcRun,
	type ListArc,
	type ListPlan,
	type ListShop,
	type Standing
} from '../../session/list';
import { overAt, type Closed } from '../../session/closed';
import type { PauseReason } from '../../session/pauses';
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

/** What stands in the way of an arc. */
export type HeldUpBy = 'air' | 'breaker' | 'heat' | 'cooling';

export interface Rest {
	/** Item and piece (from 1) that it stands before. */
	id: string;
	piece: number;
	/** Besides handling, s. */
	restS: number;
	atS: number;
	because: HeldUpBy;
}
/** Nobody works: a break, or the night. */
export interface Break {
	/** Item and piece (from 1) that comes after it. */
	id: string;
	piece: number;
	/** End of the arc before it, and begin of the arc after it. */
	fromS: number;
	onAtS: number;
	breakS: number;
	/** Longer than any break: the day is over. */
	night: boolean;
	/** Pieces of the whole run that are done before it. */
	doneBefore: number;
}
export interface RunItem {
	id: string;
	/** Parts are changed before it. */
	change: boolean;
	startS: number;
	endS: number;
	/** Of its pieces that are still to be made. */
	pieces: number;
	arcS: number;
	handlingS: number;
	restS: number;
	/** In which nobody works. */
	breakS: number;
	/** Arcs on the axis of time. */
	arcs: { startS: number; endS: number }[];
}
export interface ListRun {
	items: RunItem[];
	/** End of the last arc, s from the start. */
	endS: number;
	changes: number;
	rests: Rest[];
	restS: number;
	breaks: Break[];
	breakS: number;
	/** The rests hang on the second: a little less air, or a warmer start, and something stops. */
	fragile: boolean;
	/** The first thing that would stop without rests; null: nothing. */
	firstLimit: { id: string; piece: number; atS: number; because: HeldUpBy } | null;
	/** Nothing ends before this, whatever the order, s. */
	boundS: number;
	/** Every order of the parts changes was looked at. */
	exact: boolean;
	trace: RunTrace;
}
/** At the end of each arc's post-flow; as shares of what stops. */
export interface RunTrace {
	timeS: number[];
	/** Lowest of each arc, bar; null: no tank. */
	tankBar: number[] | null;
	neededBar: number;
	breaker: number[];
	cutterC: number[];
}
export type RunTrouble =
	| OrderTrouble
	/** No rest helps: this item, by this limit, from cold. */
	| { trouble: 'never'; item: string; because: HeldUpBy }
	| { trouble: 'too-many'; arcs: number }
	/** The person's own order has an item before one that it must wait for. */
	| { trouble: 'order'; item: string; first: string };

export interface ListStudy {
	/** By item of the list. */
	plans: ItemPlan[];
	cannot: CannotMake[];
	/** null: nothing is left to make. */
	run: ListRun | RunTrouble | null;
}
/** Pieces that are done, by item; and how the bench stands, from the arcs that were made. */
export interface Progress {
	done: Readonly<Record<string, number>>;
	setInTorch: string | null;
	standing: Standing | null;
	/** Air that was taken from the bottles since they were as the bench says, l. */
	usedL: number;
}
export const NOTHING_DONE: Progress = { done: {}, setInTorch: null, standing: null, usedL: 0 };
/** How the list is worked: what the "one change" comparisons turn. */
export interface Ways {
	order: ListOrder;
	/** A second pair of hands lays and clamps: handling takes this share [own]. */
	handlingShare: number;
	changeS: number;
	/** Breaks and nights; left out: somebody works until it is done. */
	closed?: Closed;
}
export const HELPER_SHARE = 0.5;
/** As the list says; `beganS` after midnight, where it was begun at another time than it says. */
export const waysOf = (
	list: Pick<DayList, 'order' | 'changeS' | 'startsAt' | 'endsAt' | 'breaks'>,
	beganS?: number
): Ways => ({
	order: list.order,
	handlingShare: 1,
	changeS: list.changeS,
	closed: closedOf(list, beganS)
});

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
const arcFor = (arc: ListArc, which: 0 | 1): ListArc => ({
	...arc,
	targets: [arc.targets[which]!, arc.targets[2]!]
});
const reason = (because: PauseReason): HeldUpBy =>
	because === 'air' ? 'air' : because === 0 ? 'breaker' : 'heat';

/** One block of the list: its pieces that are left, arc by arc. */
interface Block {
	plan: ItemPlan;
	pieces: number;
	arcs: ListArc[];
	handlingS: number;
	arcS: number;
}
interface Sequenced {
	arcs: ListArc[];
	/** Of each arc: its block, and the piece. */
	of: { block: Block; piece: number; change: boolean }[];
	changes: number;
}

/** What the bottles give, and gave already, l. */
interface Bottles {
	freeL: number;
	usedL: number;
}
/** Off, on, leak test [own]. */
export const BOTTLE_CHANGE_S = 300;

/** The arcs of the blocks in this order, with changes of parts and cooling pieces as handling. */
function sequenced(
	blocks: readonly Block[],
	setInTorch: string,
	changeS: number,
	bottle: Bottles | undefined
): Sequenced {
	const arcs: ListArc[] = [];
	const of: Sequenced['of'] = [];
	let set = setInTorch;
	let changes = 0;
	let usedL = bottle?.usedL ?? 0;
	for (const block of blocks) {
		const change = block.plan.set !== set;
		if (change) changes++;
		set = block.plan.set;
		const each = block.arcs.length / block.pieces;
		for (const [k, arc] of block.arcs.entries()) {
			const first = k === 0 && change;
			let moreS = first ? changeS : 0;
			if (bottle && k % each === 0) {
				const { pieceAirL } = block.plan;
				const empty = usedL > 0 && usedL + pieceAirL > bottle.freeL + 1e-9;
				if (empty) moreS += BOTTLE_CHANGE_S;
				usedL = (empty ? 0 : usedL) + pieceAirL;
			}
			arcs.push(moreS ? { ...arc, handlingS: arc.handlingS + moreS } : arc);
			of.push({ block, piece: Math.floor(k / each) + 1, change: first });
		}
	}
	return { arcs, of, changes };
}

/** A rest that a hand would not bother with, and how much worse things may stand before it must not matter. */
const FRAGILE_BAR = 0.05;
const FRAGILE_LIMIT = 0.005;
const weaker = (shop: ListShop): ListShop => ({
	tank: shop.tank && { ...shop.tank, startBar: shop.tank.startBar - FRAGILE_BAR },
	nodes: shop.nodes.map((node) => ({ ...node, limit: node.limit * (1 - FRAGILE_LIMIT) }))
});

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

function blocksOf(
	{ items }: Pick<DayList, 'items'>,
	plans: readonly ItemPlan[],
	{ handlingShare }: Ways,
	{ done }: Progress
): Block[] {
	return plans.flatMap((plan) => {
		const item = items.find(({ id }) => id === plan.id)!;
		const pieces = item.pieces - (done[plan.id] ?? 0);
		if (pieces <= 0) return [];
		const each = plan.arcs.map((arc) => ({ ...arc, handlingS: arc.handlingS * handlingShare }));
		const arcs = Array.from({ length: pieces }, () => each).flat();
		return [
			{
				plan,
				pieces,
				arcs,
				handlingS: arcs.reduce((sum, { handlingS }) => sum + handlingS, 0),
				arcS: pieces * plan.pieceArcS
			}
		];
	});
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
	const ask = orderAsk(list, blocks, setInTorch, ways.changeS);
	const ordered = orderOf(ask);
	if ('trouble' in ordered) return ordered;
	const byId = new Map(blocks.map((block) => [block.plan.id, block]));
	const inOrder = (ids: readonly string[]) => ids.map((id) => byId.get(id)!);
	const ids = (placed: readonly { id: string }[]) => placed.map(({ id }) => id);

	const { closed } = ways;
	const { shop, lazy } = withClosed(shopOf(base), closed);
	const from = progress.standing ?? undefined;
	const freeL = bottleFree(base);
	const bottles = freeL > 0 ? { freeL, usedL: progress.usedL % freeL } : undefined;
	const tried = (order: readonly Block[], place: typeof placePauses = waitAsNeeded) => {
		const seq = sequenced(order, setInTorch, ways.changeS, bottles);
		const cooled = withCooling(list, seq, order);
		const touchy = planned(shop, cooled, from, 0, place);
		const plan = touchy.ok ? touchy : planned(lazy, cooled, from, 1, place);
		return {
			order,
			seq,
			plan,
			waits: cooled.waits,
			shop: touchy.ok ? shop : lazy,
			which: touchy.ok ? 0 : 1
		} as const;
	};
	type Tried = ReturnType<typeof tried>;
	const endOf = ({ plan }: Tried) => plan.runs.at(-1)?.endS ?? Infinity;

	const entered = ids(blocks.map(({ plan }) => plan));
	if (ways.order === 'own') {
		const early = breach(list, blocks, entered);
		if (early) return { trouble: 'order', ...early };
	}
	const first =
		ways.order === 'own'
			? entered
			: ids(ways.order === 'fewest' ? ordered.fewest.placed : ordered.soonest.placed);
	let best = tried(inOrder(first));
	// Where somebody has to wait, another order with no more changes may wait less: long arcs while it is cold.
	if (ways.order !== 'own' && blocks.length > 1 && (!best.plan.ok || best.plan.pausedS > 0)) {
		let tries = 0;
		const most = Math.min(TRIES_MOST, Math.floor(TRIED_ARCS_MOST / arcs));
		for (let better = true; better && tries < most;) {
			better = false;
			for (let at = 0; at < first.length && tries < most; at++) {
				for (let to = 0; to < first.length && tries < most; to++) {
					if (to === at) continue;
					const now = ids(best.order.map(({ plan }) => plan));
					const moved = now.toSpliced(at, 1).toSpliced(to, 0, now[at]!);
					if (breach(list, blocks, moved)) continue;
					const order = inOrder(moved);
					if (ways.order === 'fewest' && changesOf(order, setInTorch) > best.seq.changes) continue;
					if (changesOf(order, setInTorch) > best.seq.changes + 1) continue;
					tries++;
					const other = tried(order);
					if (!other.plan.ok || (best.plan.ok && endOf(other) >= endOf(best) - 0.5)) continue;
					[best, better] = [other, true];
				}
			}
		}
	}
	if (!best.plan.ok || best.plan.pausedS > 0) {
		const placed = tried(best.order, placePauses);
		if (placed.plan.ok) best = placed;
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
	order: readonly string[]
): { item: string; first: string } | undefined {
	const place = new Map(order.map((id, i) => [id, i]));
	for (const { plan } of blocks) {
		const { after } = items.find(({ id }) => id === plan.id)!;
		const first = after.find((id) => (place.get(id) ?? -1) >= place.get(plan.id)!);
		if (first !== undefined) return { item: plan.id, first };
	}
	return undefined;
}

/** The last arc on a workpiece before, and how long it must cool after it. */
interface Cooling {
	lastArc: number;
	coolS: number;
}
/** A piece that must cool makes the next item on it wait: as handling, once it is known when it ended. */
function withCooling(
	{ items }: Pick<DayList, 'items'>,
	seq: Sequenced,
	order: readonly Block[]
): { arcs: ListArc[]; waits: Map<number, Cooling> } {
	const seen = new Map<string, Cooling>();
	const waits = new Map<number, Cooling>();
	let at = 0;
	for (const block of order) {
		const { on, coolS } = items.find(({ id }) => id === block.plan.id)!;
		if (on !== '') {
			const before = seen.get(on);
			if (before !== undefined) waits.set(at, before);
			seen.set(on, { lastArc: at + block.arcs.length - 1, coolS });
		}
		at += block.arcs.length;
	}
	return { arcs: seq.arcs, waits };
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

function runTold(
	best: {
		seq: Sequenced;
		plan: ListPlan;
		waits: ReadonlyMap<number, Cooling>;
		shop: ListShop;
		which: 0 | 1;
	},
	extra: {
		boundS: number;
		exact: boolean;
		from: Standing | undefined;
		limits: { needed: number };
	}
): ListRun {
	const { seq, plan, waits, shop, which } = best;
	const { runs } = plan;
	const at = extra.from ?? atStart(shop);
	const mine = seq.arcs.map((arc) => arcFor(arc, which));
	const items: RunItem[] = [];
	for (const [k, run] of runs.entries()) {
		const { block, change } = seq.of[k]!;
		let item = items.at(-1);
		if (item?.id !== block.plan.id) {
			const startS = run.startS - mine[k]!.handlingS - run.pauseS - run.breakS;
			item = {
				id: block.plan.id,
				change,
				startS: Math.max(at.timeS, startS),
				endS: 0,
				pieces: block.pieces,
				arcS: block.arcS,
				handlingS: block.handlingS,
				restS: 0,
				breakS: 0,
				arcs: []
			};
			items.push(item);
		}
		item.endS = run.endS;
		item.restS += run.pauseS;
		item.breakS += run.breakS;
		item.arcs.push({ startS: run.startS, endS: run.endS });
	}
	const free = runList(shop, mine, [], at);
	const stopped = free.findIndex(({ stops }) => stops);
	const stop = free[stopped]?.stops;
	const pauses = runs.map(({ pauseS }) => pauseS);
	// What would stop without the rest; a rest that serves a later arc is there for the first limit.
	const because = (k: number): HeldUpBy => {
		const { stops } = runArc(shop, runs[k - 1]?.after ?? at, mine[k]!, 0);
		if (!stops && waits.has(k)) return 'cooling';
		return reason(stops?.because ?? stop?.because ?? 'air');
	};
	const rests = runs.flatMap(({ pauseS, startS }, k) =>
		pauseS === 0
			? []
			: [
					{
						id: seq.of[k]!.block.plan.id,
						piece: seq.of[k]!.piece,
						restS: pauseS,
						atS: startS - pauseS,
						because: because(k)
					}
				]
	);
	const restS = rests.reduce((sum, rest) => sum + rest.restS, 0);
	const breaks = runs.flatMap(({ breakS, startS }, k) => {
		const { block, piece } = seq.of[k]!;
		const fromS = k === 0 ? at.timeS : runs[k - 1]!.endS;
		if (breakS === 0) return [];
		const night = breakS > BREAK_MOST_S;
		const before = items.findIndex(({ id }) => id === block.plan.id);
		const doneBefore = items.slice(0, before).reduce((sum, { pieces }) => sum + pieces, piece - 1);
		return [{ id: block.plan.id, piece, fromS, onAtS: startS, breakS, night, doneBefore }];
	});
	const shaken =
		restS > 0 && runList(weaker(shop), mine, pauses, extra.from).some(({ stops }) => stops);
	const { endS } = runs.at(-1)!;
	return {
		items,
		endS,
		changes: seq.changes,
		rests,
		restS,
		breaks,
		breakS: breaks.reduce((sum, one) => sum + one.breakS, 0),
		fragile: shaken,
		firstLimit: stop
			? {
					id: seq.of[stopped]!.block.plan.id,
					piece: seq.of[stopped]!.piece,
					atS: stop.atS,
					because: reason(stop.because)
				}
			: null,
		boundS: Math.min(endS, extra.boundS),
		exact: extra.exact && restS === 0,
		trace: traceOf(runs, shop, extra.limits.needed)
	};
}

function traceOf(runs: readonly ArcRun[], shop: ListShop, neededBar: number): RunTrace {
	const [breaker] = shop.nodes;
	return {
		timeS: runs.map(({ endS }) => endS),
		tankBar: shop.tank ? runs.map(({ lowestBar }) => lowestBar!) : null,
		neededBar,
		breaker: runs.map(({ peaks }) => peaks[0]! / breaker!.limit),
		cutterC: runs.map(({ peaks }) => peaks[1]!)
	};
}
export const CUTTER_LIMIT_C = HOT_SPOT_C;

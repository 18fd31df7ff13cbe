/** From the arcs of a planned run to what is told of it. */
import { HOT_SPOT_C } from '../../cutter/duty';
import { BREAK_MOST_S } from '../../list/inputs';
import {
	atStart,
	heldBy,
	runArc,
	runList,
	type ArcRun,
	type ListArc,
	type ListPlan,
	type ListShop,
	type Standing
} from '../../session/list';
import { NODES } from '../../session/node';
import type { HeldUpBy, ListRun, RunItem, RunTrace } from './runTypes';
import type { Cooling, Sequenced } from './sequence';

/** A rest that a hand would not bother with, and how much worse things may stand before it must not matter. */
const FRAGILE_BAR = 0.05;
const FRAGILE_LIMIT = 0.005;
const weaker = (shop: ListShop): ListShop => ({
	tank: shop.tank && { ...shop.tank, startBar: shop.tank.startBar - FRAGILE_BAR },
	nodes: shop.nodes.map((node) => ({ ...node, limit: node.limit * (1 - FRAGILE_LIMIT) }))
});

/** What is told of: an order with its rests, and how things stood before it. */
interface Told {
	seq: Sequenced;
	plan: ListPlan;
	waits: ReadonlyMap<number, Cooling>;
	shop: ListShop;
	at: Standing;
	arcs: readonly ListArc[];
}

/** Each item with all of its arcs; one that is come back to stands again. */
function itemsOf({ seq, plan, arcs, at }: Told): RunItem[] {
	const items: RunItem[] = [];
	for (const [k, run] of plan.runs.entries()) {
		const { block, change } = seq.of[k]!;
		let item = items.at(-1);
		if (item?.id !== block.plan.id) {
			const startS = run.startS - arcs[k]!.handlingS - run.pauseS - run.breakS;
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
	return items;
}

/** Rests, each with what would stop without it; one that serves a later arc is there for the first limit. */
function restsOf(
	{ seq, plan, waits, shop, arcs, at }: Told,
	first: ArcRun['stops']
): ListRun['rests'] {
	const because = (k: number): HeldUpBy => {
		const { stops } = runArc(shop, plan.runs[k - 1]?.after ?? at, arcs[k]!, 0);
		if (!stops && waits.has(k)) return 'cooling';
		return heldBy(stops?.because ?? first?.because ?? 'air');
	};
	return plan.runs.flatMap(({ pauseS: restS, startS }, k) => {
		if (restS === 0) return [];
		const { block, piece } = seq.of[k]!;
		return [{ id: block.plan.id, piece, restS, atS: startS - restS, because: because(k) }];
	});
}

/** Breaks and nights, with the pieces that are done before each. */
function breaksOf({ seq, plan, at }: Told, items: readonly RunItem[]): ListRun['breaks'] {
	return plan.runs.flatMap(({ breakS, startS }, k) => {
		if (breakS === 0) return [];
		const { block, piece } = seq.of[k]!;
		const fromS = k === 0 ? at.timeS : plan.runs[k - 1]!.endS;
		const night = breakS > BREAK_MOST_S;
		const before = items.findIndex(({ id }) => id === block.plan.id);
		const doneBefore = items.slice(0, before).reduce((sum, { pieces }) => sum + pieces, piece - 1);
		return [{ id: block.plan.id, piece, fromS, onAtS: startS, breakS, night, doneBefore }];
	});
}

/** A planned run, told: items, rests and breaks, the first limit, the trace. */
export function runTold(
	best: Omit<Told, 'at' | 'arcs'>,
	extra: {
		boundS: number;
		exact: boolean;
		from: Standing | undefined;
		limits: { needed: number };
	}
): ListRun {
	const { seq, plan, shop } = best;
	const { runs } = plan;
	const { arcs } = seq;
	const run = { ...best, arcs, at: extra.from ?? atStart(shop) };
	const free = runList(shop, arcs, [], run.at);
	const stopped = free.findIndex(({ stops }) => stops);
	const stop = free[stopped]?.stops;
	const items = itemsOf(run);
	const rests = restsOf(run, stop);
	const restS = rests.reduce((sum, rest) => sum + rest.restS, 0);
	const breaks = breaksOf(run, items);
	const pauses = runs.map(({ pauseS }) => pauseS);
	const shaken =
		restS > 0 && runList(weaker(shop), arcs, pauses, extra.from).some(({ stops }) => stops);
	const { endS } = runs.at(-1)!;
	return {
		items,
		endS,
		changes: seq.changes,
		rests,
		restS,
		breaks,
		breakS: breaks.reduce((sum, one) => sum + one.breakS, 0),
		mayTrip: arcs.some(({ mayPass }) => mayPass !== undefined),
		fragile: shaken,
		firstLimit: stop
			? {
					id: seq.of[stopped]!.block.plan.id,
					piece: seq.of[stopped]!.piece,
					atS: stop.atS,
					because: heldBy(stop.because)
				}
			: null,
		boundS: Math.min(endS, extra.boundS),
		exact: extra.exact && restS === 0,
		trace: traceOf(runs, shop, extra.limits.needed)
	};
}

function traceOf(runs: readonly ArcRun[], shop: ListShop, neededBar: number): RunTrace {
	const breaker = shop.nodes[NODES.earliest]!;
	return {
		timeS: runs.map(({ endS }) => endS),
		tankBar: shop.tank ? runs.map(({ lowestBar }) => lowestBar!) : null,
		neededBar,
		breaker: runs.map(({ peaks }) => peaks[NODES.earliest]! / breaker.limit),
		cutterC: runs.map(({ peaks }) => peaks[NODES.cutter]!)
	};
}
export const CUTTER_LIMIT_C = HOT_SPOT_C;

/** An order of a list, tried: with the rests that it needs, and whether another one ends sooner. */
import type { DayList } from '../../list/inputs';
import {
	atStart,
	waitAsNeeded,
	type ListPlan,
	type ListShop,
	type placePauses,
	type Standing
} from '../../session/list';
import type { Block, Cooling, Sequenced, withCooling } from './sequence';

/** An order of the blocks, tried: with the rests that it needs, in the shop where it can be run. */
export interface Trial {
	order: readonly Block[];
	seq: Sequenced;
	plan: ListPlan;
	waits: ReadonlyMap<number, Cooling>;
	shop: ListShop;
}
export const waitsIn = ({ plan }: Trial) => !plan.ok || plan.pausedS > 0;
const endOf = ({ plan }: Trial) => plan.runs.at(-1)?.endS ?? Infinity;

/** Another order, by moving one block at a time, that ends sooner. `most`: tries at most. */
export function endsSooner(
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

export const changesOf = (order: readonly Block[], setInTorch: string): number =>
	order.reduce(
		(state, { plan }) => ({ set: plan.set, n: state.n + (plan.set === state.set ? 0 : 1) }),
		{ set: setInTorch, n: 0 }
	).n;

/** An item that stands before one that it must wait for; undefined: the order keeps every rule. */
export function breach(
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

export function planned(
	shop: ListShop,
	{ arcs, waits }: ReturnType<typeof withCooling>,
	from: Standing | undefined,
	place: typeof placePauses
): ListPlan {
	const at = from ?? atStart(shop);
	if (waits.size === 0) return place(shop, arcs, at);
	// When a piece has ended depends on the rests before it: two rounds settle it.
	let plan = waitAsNeeded(shop, arcs, at);
	for (let round = 0; round < 3 && plan.ok; round++) {
		const { runs } = plan;
		const asked = arcs.map(() => 0);
		for (const [arc, { lastArc, coolS }] of waits) {
			const ended = runs[lastArc]!.endS;
			const { startS, pauseS, breakS } = runs[arc]!;
			const free = startS - pauseS - breakS - arcs[arc]!.handlingS;
			asked[arc] = Math.max(0, Math.ceil(ended + coolS - free));
		}
		plan = waitAsNeeded(shop, arcs, at, asked);
	}
	return plan;
}

/** Items of a list by the one Plan: how each is made here, or why it cannot be. */
import { said, told } from '../../figure/finding';
import type { PlanInputs } from '../../inputs/planInputs';
import { atStart, heldBy, lettingPass, runArc, type ListShop } from '../../session/list';
import { NODES } from '../../session/node';
import { itemPlan, netMm2, type AskedItem, type CannotMake, type ItemPlan } from './items';
import type { ListStudy } from './runTypes';
import { shopOf } from './shop';

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
	const shop = shopOf(base);
	const alone = all.map((one) => ('arcs' in one ? fromRest(shop, one) : one));
	return {
		plans: alone.filter((one): one is ItemPlan => 'arcs' in one),
		cannot: alone.filter((one): one is CannotMake => 'why' in one)
	};
}

/**
 * One arc that stops even from cold and full is no work for any order, nor for any rest; one that passes only
 * the earliest curve of the breaker may go through, so that curve does not hold it up.
 */
function fromRest(shop: ListShop, plan: ItemPlan): ItemPlan | CannotMake {
	const arcs = lettingPass(shop, plan.arcs, NODES.earliest);
	const found = arcs.map((arc) => runArc(shop, atStart(shop), arc, 0)).find((r) => r.stops);
	if (!found) return { ...plan, arcs, mayTrip: arcs.some(({ mayPass }) => mayPass !== undefined) };
	const { because, atS } = found.stops!;
	const arcS = said(found.endS - found.startS, 'time');
	const after = said(Math.max(0, atS - found.startS), 'time');
	const what = {
		air: 'the tank falls short',
		breaker: 'the breaker may trip',
		heat: 'the cutter is too hot',
		cooling: 'it is too hot'
	}[heldBy(because)];
	const why = told`One arc takes ${arcS}, and after ${after} ${what}, even from rest: shorter cuts, other amps, or another bench.`;
	return { id: plan.id, why };
}

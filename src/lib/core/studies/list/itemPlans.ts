/** Items of a list by the one Plan: how each is made here, or why it cannot be. */
import { said, told } from '../../figure/finding';
import type { PlanInputs } from '../../inputs/planInputs';
import { atStart, runArc, type ListShop } from '../../session/list';
import { itemPlan, netMm2, type AskedItem, type CannotMake, type ItemPlan } from './items';
import { arcFor, reason } from './runTold';
import type { ListStudy } from './runTypes';
import { shopOf, type Shops } from './shop';

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
	const shops = shopOf(base);
	const alone = all.map((one) => ('arcs' in one ? fromRest(shops, one) : one));
	return {
		plans: alone.filter((one): one is ItemPlan => 'arcs' in one),
		cannot: alone.filter((one): one is CannotMake => 'why' in one)
	};
}

/**
 * One arc that stops even from cold and full is no work for any order, nor for any rest; where only the
 * earliest curve of the breaker stops it, it may go through.
 */
function fromRest({ shop, lazy }: Shops, plan: ItemPlan): ItemPlan | CannotMake {
	const stopsIn = (one: ListShop, which: 0 | 1) =>
		plan.arcs.map((arc) => runArc(one, atStart(one), arcFor(arc, which), 0)).find((r) => r.stops);
	const may = stopsIn(shop, 0);
	const found = may && stopsIn(lazy, 1);
	if (!found) return { ...plan, mayTrip: may !== undefined };
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

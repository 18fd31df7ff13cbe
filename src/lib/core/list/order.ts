/**
 * In which order, and on which bench: parts changes, what must come first, pieces that must cool. Limits of
 * air, breaker and heat are not looked at here. Times in whole or broken seconds.
 *
 * An item is one block: handling, then arc, on one bench, which is busy all the while. A parts change stands
 * before an item that wants another set, and may run while a piece cools. What is in the torch is free.
 */
import { longestChain, tidyBefore } from './before';
import { exactOrder } from './exact';
import { bestFound } from './improve';
import { leastTotalS } from './leastChanges';
import type { OrderAsk, Ordered } from './ordered';

export interface OrderResult {
	/** Done soonest, then with the fewest changes. */
	soonest: Ordered;
	/** With the fewest changes, then soonest. */
	fewest: Ordered;
	/** Nothing ends before this. */
	boundS: number;
	/** Every order was looked at, or as good as. */
	exact: boolean;
}
/** Items that each want to come after another of them, in a ring; or that no bench can make. */
export type OrderTrouble =
	{ trouble: 'ring'; items: string[] } | { trouble: 'no-bench'; items: string[] };

/** More items are not tried in every order: on one bench, and on several. */
const EXACT_MOST = 9;
const EXACT_ON_SEVERAL_MOST = 6;

/** The order that is done soonest and the one with the fewest changes; or why there is none. */
export function orderOf(ask: OrderAsk): OrderResult | OrderTrouble {
	const nobody = ask.items.filter(({ arcS }) => ask.benches.every(({ id }) => !(id in arcS)));
	if (nobody.length) return { trouble: 'no-bench', items: nobody.map(({ id }) => id) };
	const before = tidyBefore(ask);
	if ('ring' in before) return { trouble: 'ring', items: before.ring };
	const most = ask.benches.length > 1 ? EXACT_ON_SEVERAL_MOST : EXACT_MOST;
	const exact = ask.items.length <= most;
	const leastS = exact ? 0 : Math.max(leastTotalS(ask, before.of), longestChain(ask, before.of));
	const { soonest, fewest } = exact
		? exactOrder(ask, before.of)
		: bestFound(ask, before.of, leastS);
	const boundS = exact ? soonest.endS : leastS;
	return { soonest, fewest, boundS: Math.min(boundS, soonest.endS), exact };
}

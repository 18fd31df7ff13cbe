import { drawerOf } from '$lib/core/stock/drawer';
import { dayOf } from '$lib/formats/days';
import type { Store } from './store';
import type { StoredStock } from './stock';

/** A kind of part with what its use comes to at a time. */
export function withUse({ kind, stock, revision, fittedAt }: StoredStock, nowMs: number) {
	const fittedMs = fittedAt.map((at) => Date.parse(at));
	const sinceMs = fittedMs.at(-1) ?? nowMs;
	// The first one of the record was put in new; from then on each one replaces another.
	const drawer = drawerOf(stock, {
		fittedMs: fittedMs.slice(0, -1),
		sinceMs,
		nowMs,
		today: dayOf(new Date(nowMs))
	});
	return { kind, stock, revision, drawer };
}

/** What is to be ordered for every bench of the shop. */
export const shoppingList = (store: Store, nowMs: number) =>
	store.benches.names().flatMap(({ id, name }) =>
		store.stock
			.ofBench(id)
			.filter(({ revision }) => revision > 0)
			.map((one) => ({ bench: name, ...withUse(one, nowMs) }))
			.filter(({ drawer }) => drawer.order > 0)
	);

/** What a list is worked with: tank, breaker and heat of the bench, and what closes it. */
import type { PlanInputs } from '../../inputs/planInputs';
import { runInputsOf } from '../../plan/session';
import { workings } from '../../plan/workings';
import type { Closed } from '../../session/closed';
import type { ListShop } from '../../session/list';

/** By the earliest curve of the breaker, and by its latest. */
export interface Shops {
	shop: ListShop;
	lazy: ListShop;
}
export const shopOf = (base: PlanInputs): Shops => {
	const w = workings(base, { solveAmps: false });
	const { air, nodes } = runInputsOf(w.inputs, w.wiring, w.air.line, w.draw, w.heat);
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

/** Free air that the bottles give, l; 0: the air comes from elsewhere. */
export const bottleFree = (base: PlanInputs): number =>
	base.bench.air.source === 'bottle'
		? workings(base, { solveAmps: false }).air.line.bottleFreeL
		: 0;

export const withClosed = ({ shop, lazy }: Shops, closed: Closed | undefined): Shops =>
	closed?.length ? { shop: { ...shop, closed }, lazy: { ...lazy, closed } } : { shop, lazy };

/** What a list is worked with: tank, breaker and heat of the bench, and what closes it. */
import type { PlanInputs } from '../../inputs/planInputs';
import { runInputsOf } from '../../plan/session';
import { workings } from '../../plan/workings';
import type { Closed } from '../../session/closed';
import type { ListShop } from '../../session/list';

export function shopOf(base: PlanInputs): ListShop {
	const w = workings(base, { solveAmps: false });
	const { air, nodes } = runInputsOf(w.inputs, w.wiring, w.air.line, w.draw, w.heat);
	// An empty bottle is changed, which takes minutes; no rest fills it.
	const tank = base.bench.air.source === 'bottle' ? undefined : air?.tank;
	return { tank, nodes: nodes.map(({ tauS, start, limit }) => ({ tauS, start, limit })) };
}

/** Free air that the bottles give, l; 0: the air comes from elsewhere. */
export const bottleFree = (base: PlanInputs): number =>
	base.bench.air.source === 'bottle'
		? workings(base, { solveAmps: false }).air.line.bottleFreeL
		: 0;

export const withClosed = (shop: ListShop, closed: Closed | undefined): ListShop =>
	closed?.length ? { ...shop, closed } : shop;

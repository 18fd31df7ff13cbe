import {
	atStart,
	heldBy,
	lettingPass,
	runArc,
	waitAsNeeded,
	type ListArc,
	type ListShop,
	type HeldBy
} from './list';
import { NODES } from './node';
import type { RunInputs } from './runTypes';

export interface Pause {
	/** The cut it comes before, counted from 1. */
	beforeCut: number;
	/** In all, the usual pause included, s. */
	waitS: number;
	atS: number;
	because: HeldBy;
}

export type PausePlan =
	| {
			ok: true;
			cuts: number;
			totalS: number;
			arcS: number;
			pauses: Pause[];
			/** One cut alone may trip the breaker, even from rest: no pause is for that. */
			mayTrip: boolean;
	  }
	/** Even one cut from cold and full does not go through. */
	| { ok: false; because: HeldBy; afterCuts: number };

/**
 * Where pauses must go so that nothing stops: the work goes on at its usual pace, and before a cut
 * that could not be finished it waits just as long as that cut needs, in whole seconds.
 */
export function planPauses(shop: ListShop, arcs: readonly ListArc[]): PausePlan {
	const plan = waitAsNeeded(shop, arcs);
	if (!plan.ok) return { ok: false, because: heldBy(plan.because), afterCuts: plan.arc };
	const { runs } = plan;
	return {
		ok: true,
		cuts: arcs.length,
		totalS: runs.at(-1)?.endS ?? 0,
		arcS: arcs.reduce((sum, { arcS }) => sum + arcS, 0),
		pauses: runs.flatMap(({ pauseS, startS }, k): Pause[] => {
			if (pauseS === 0) return [];
			const before = runs[k - 1];
			const from = before?.after ?? atStart(shop);
			const { because } = runArc(shop, from, arcs[k]!, 0).stops!;
			const waitS = startS - (before?.endS ?? 0);
			return [{ beforeCut: k + 1, waitS, atS: from.timeS, because: heldBy(because) }];
		}),
		mayTrip: arcs.some(({ mayPass }) => mayPass !== undefined)
	};
}

/**
 * The same for arcs of a session (s), by the earliest curve of the breaker, so that nothing may trip; an arc
 * that even from rest passes that one goes by the latest.
 */
export function safePauses(
	{ pattern, air, nodes }: RunInputs,
	arcsS: readonly number[]
): PausePlan {
	const shop: ListShop = { tank: air?.tank, nodes };
	const targets = nodes.map((node) => node.targets);
	const arcs = arcsS.map((arcS, k): ListArc => ({
		handlingS: k === 0 ? 0 : pattern.restS,
		arcS,
		postS: pattern.postS,
		useLpm: air?.useLpm ?? 0,
		neededBar: air?.neededBar ?? 0,
		targets
	}));
	return planPauses(shop, lettingPass(shop, arcs, NODES.earliest));
}

/**
 * What works a plan out on this device. A page shows the plan that the server sent, and answers, before it is
 * here; it comes right after, or with whatever cannot do without it (`plansHere`).
 */
import type { inputsHash, plan } from '$lib/core/plan/plan';

export interface Planner {
	plan: typeof plan;
	inputsHash: typeof inputsHash;
}

let here = $state.raw<Planner | undefined>();

export const planner = (): Planner | undefined => here;
export const plansWith = (planner: Planner): void => void (here = planner);

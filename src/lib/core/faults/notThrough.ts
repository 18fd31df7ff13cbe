/**
 * "Why does it not go through?": one check after another, the one that tells most for the trouble first.
 * Which causes there are is common practice; how likely and how much trouble, the numbers below, is our own.
 */
import type { Plan } from '../plan/types';
import { suspectsOf, type Cause } from './read';

export const THROUGH_CHECKS = [
	'speed',
	'clamp',
	'thickness',
	'pressure',
	'parts',
	'standoff',
	'nozzle',
	'volts',
	'water'
] as const;
export type ThroughCheck = (typeof THROUGH_CHECKS)[number];

interface Known {
	/** How often it is this, before anything is known of the bench [own]. */
	before: number;
	/** Minutes to look [own]. */
	minutes: number;
	cause: Cause;
}
const KNOWN: Record<ThroughCheck, Known> = {
	speed: { before: 0.3, minutes: 0.5, cause: 'fast' },
	clamp: { before: 0.14, minutes: 1, cause: 'clamp' },
	thickness: { before: 0.14, minutes: 1, cause: 'few-amps' },
	pressure: { before: 0.12, minutes: 1, cause: 'air' },
	parts: { before: 0.12, minutes: 3, cause: 'parts' },
	standoff: { before: 0.06, minutes: 0.5, cause: 'height' },
	nozzle: { before: 0.05, minutes: 3, cause: 'parts' },
	volts: { before: 0.04, minutes: 5, cause: 'power' },
	water: { before: 0.03, minutes: 2, cause: 'air' }
};
/** So much likelier is a check whose cause the plan itself finds tight or stopping [own]. */
const SUSPECT = 4;

export interface ThroughStep {
	check: ThroughCheck;
	/** Share of belief among what has not been looked at. */
	share: number;
	/** The plan itself finds this tight or stopping. */
	suspected: boolean;
}

/**
 * What is left to look at, the next one first: by belief over trouble, which finds the cause in the least
 * time on average. Empty: everything was looked at.
 */
export function whyNotThrough(
	plan: Pick<Plan, 'checks'>,
	ruledOut: readonly ThroughCheck[]
): ThroughStep[] {
	const suspects = suspectsOf(plan);
	const open = THROUGH_CHECKS.filter((check) => !ruledOut.includes(check)).map((check) => {
		const { before, cause, minutes } = KNOWN[check];
		const suspected = suspects.includes(cause);
		return { check, suspected, belief: before * (suspected ? SUSPECT : 1), minutes };
	});
	const sum = open.reduce((total, { belief }) => total + belief, 0);
	return open
		.sort((a, b) => b.belief / b.minutes - a.belief / a.minutes)
		.map(({ check, suspected, belief }) => ({ check, suspected, share: belief / sum }));
}

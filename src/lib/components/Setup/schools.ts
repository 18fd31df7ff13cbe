import type { Plan } from '$lib/core';
import { HAND_BAND_MM_S } from '$lib/core/cutter/speed';
import type { Workbench } from '$lib/state/workbench.svelte';

/** One sentence on what the choice comes down to for this cut: what a hand can hold decides. */
export function schoolAdvice(matched: Plan, full: Plan, bench: Workbench): string {
	const speed = (plan: Plan) => plan.figures['setup.speedMmS'].value ?? 0;
	const [slowest, steadiest] = HAND_BAND_MM_S;
	const said = (plan: Plan) => bench.sayFigure('setup.speedMmS', plan);
	if (speed(full) <= 0) return 'Neither goes through: it is too thick.';
	if (full.stations.supply.verdict === 'stops' && matched.stations.supply.verdict !== 'stops') {
		return 'Match the amps: the supply does not carry full amps through this work.';
	}
	if (speed(matched) < slowest) {
		return `Full amps, no choice: matched would crawl at ${speed(matched) > 0 ? said(matched) : 'a standstill'}.`;
	}
	if (speed(full) > steadiest) {
		return `Match the amps: ${said(full)} is faster than a hand holds steadily (about ${bench.say(steadiest, 'speed')}).`;
	}
	return `Full amps, go faster: ${said(full)} is still what a hand holds, and the line is done sooner.`;
}

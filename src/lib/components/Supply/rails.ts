import type { Check, Plan } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

const THIN_PX = 2;
const THICK_PX = 10;

/** Width of the rail at a part: thick with spare, thin when tight. */
export function railWidth(check: Check | undefined): number {
	if (!check) return 5;
	if (check.verdict !== 'holds') return THIN_PX;
	return THIN_PX + (THICK_PX - THIN_PX) * Math.min(1, Math.max(0.15, check.margin));
}

export interface Answer {
	first: string;
	/** What would run on, when the amps chosen do not. */
	then: string;
}

/** "45 A stops 6:58: cutter heat." "40 A runs on." The station's own worst speaks. */
export function supplyAnswer(plan: Plan, bench: Workbench): Answer {
	const amps = bench.sayFigure('setup.currentA', plan);
	const { verdict, word, stopsAtS } = plan.stations.supply;
	if (verdict === 'holds') return { first: `${amps} holds for this work.`, then: '' };
	if (verdict === 'tight') return { first: `${amps} is tight: ${word}.`, then: '' };
	const when = stopsAtS
		? `stops ${bench.say(stopsAtS, 'time').replace(' min', '')}`
		: 'does not start';
	const most = plan.figures['supply.runsOnA'].value;
	const airOk = plan.figures['air.shortAtS'].value === null;
	return {
		first: `${amps} ${when}: ${word}.`,
		then: airOk && most !== null ? `${bench.say(most, 'current')} runs on.` : ''
	};
}

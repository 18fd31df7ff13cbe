import type { Check, FigureId, Plan } from '$lib/core';
import type { Part } from '$lib/components/Bench/parts';
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
	// What may come long before what surely comes is told with it.
	const mayS = plan.figures['supply.tripEarliestS'].value;
	const may =
		stopsAtS && mayS !== null && mayS < stopsAtS
			? `; the breaker may trip after ${bench.say(mayS, 'time')}`
			: '';
	const most = plan.figures['supply.runsOnA'].value;
	const airOk = plan.figures['air.shortAtS'].value === null;
	return {
		first: `${amps} ${when}: ${word}${may}.`,
		then: airOk && most !== null ? `${bench.say(most, 'current')} runs on.` : ''
	};
}

/** Word for the one check that speaks for the whole plan. */
export type Worst = 'first limit' | 'weakest link';

function worstOf(plan: Plan): { check: Check; word: Worst } | undefined {
	if (plan.firstLimit) return { check: plan.firstLimit, word: 'first limit' };
	return plan.weakestLink ? { check: plan.weakestLink, word: 'weakest link' } : undefined;
}

/** Whether this part is it. Tank and hose share the air's check; the hose carries the flag. */
export function worstOn(part: Part, plan: Plan): Worst | undefined {
	const worst = worstOf(plan);
	const about = [part.check, ...(part.also ?? [])];
	return worst && about.includes(worst.check.id) && part.id !== 'tank' ? worst.word : undefined;
}

/** What the cutter tells: figure, the check beside it, and how they are said. */
export const IN_CUTTER: readonly {
	figure: FigureId;
	check: FigureId;
	prefix: string;
	color: string;
}[] = [
	{ figure: 'supply.voltageV', check: 'supply.voltageV', prefix: '', color: 'inherit' },
	{ figure: 'setup.currentA', check: 'cutter.peakC', prefix: 'heat ', color: 'var(--arc)' },
	{ figure: 'air.inletLowBar', check: 'air.inletLowBar', prefix: '', color: 'inherit' }
];

/** Whether low volts or heat in the cutter are it. */
export function worstInCutter(plan: Plan): Worst | undefined {
	const worst = worstOf(plan);
	const inside = ['supply.voltageV', 'supply.sharedV', 'cutter.peakC'];
	return worst && inside.includes(worst.check.id) ? worst.word : undefined;
}

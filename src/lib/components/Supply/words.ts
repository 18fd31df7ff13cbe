import type { Fix, PausePlan, Solved } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

/** What the fix leads to: "then holds", "then stops 8:12: cutter heat". */
export function fixResult(fix: Fix, bench: Workbench): string {
	const { limit, verdict } = fix;
	if (verdict === 'holds') return 'then it holds';
	if (verdict === 'stops') {
		return limit.stopsAtS
			? `then stops ${bench.say(limit.stopsAtS, 'time')}: ${limit.word}`
			: `then: ${limit.word}`;
	}
	return `then tight: ${limit.word}`;
}

const REASONS = { air: 'the air', breaker: 'the breaker', heat: 'the cutter' } as const;

/** Where pauses must go, in one sentence, and how long the work then takes. */
export function pauseWords(plan: PausePlan, bench: Workbench): string {
	if (!plan.ok) {
		return plan.afterCuts === 0
			? `Not even one cut of this length goes through: ${REASONS[plan.because]}.`
			: `After ${plan.afterCuts} cuts no pause helps any more: ${REASONS[plan.because]}.`;
	}
	const all = bench.say(plan.totalS, 'time');
	// No pause helps against it, so none is to promise it.
	const may = plan.mayTrip ? ' The breaker may trip in any of them, whatever the pause.' : '';
	if (plan.pauses.length === 0) {
		return `${plan.cuts} cuts at this pace take ${all}; ${may ? 'a longer pause buys nothing' : 'no longer pause is needed'}.${may}`;
	}
	const longest = Math.max(...plan.pauses.map((pause) => pause.waitS));
	const first = plan.pauses[0]!;
	const why = [...new Set(plan.pauses.map((pause) => REASONS[pause.because]))].join(' and ');
	return `${plan.cuts} cuts take ${all} with ${plan.pauses.length} longer pauses, the first before cut ${first.beforeCut}, at most ${bench.say(longest, 'time')}: for ${why}.${may}`;
}

export function solvedWords(one: Solved, bench: Workbench): string {
	if (one.text !== undefined) return one.text;
	return one.value === null ? 'none does' : bench.say(one.value, one.quantity);
}

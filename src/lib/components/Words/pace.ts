import type { Cut, Plan } from '$lib/core';

/** What helps where a cut is slower than a hand goes steadily, or faster than it goes at all. */
export function paceHelp(pace: 'slow' | 'fast', guide: Cut['guide'], matched = false): string {
	const free = guide === 'freehand';
	if (pace === 'slow')
		return free || guide === 'circle'
			? 'Ride on a guide or rollers.'
			: 'Go slowly, both hands on it.';
	if (matched)
		return free
			? 'Run along a guide.'
			: 'As fast as a hand goes: it takes more heat than it needs.';
	return free ? 'Run along a guide, or turn the amps down.' : 'Turn the amps down.';
}

/**
 * Whether the seconds of its line are those of a hand that does not follow what the amps ask. A card kept
 * by an older program counted those of the amps, and says no other pace beside them.
 */
export function timedByHand({ figures }: Pick<Plan, 'figures'>): boolean {
	const [lineS, lineMm, speedMmS] = (
		['setup.lineS', 'setup.lineMm', 'setup.speedMmS'] as const
	).map((id) => figures[id].value ?? 0) as [number, number, number];
	return lineS * speedMmS > lineMm * (1 + 1e-9);
}

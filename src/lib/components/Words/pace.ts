import type { Cut } from '$lib/core';

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

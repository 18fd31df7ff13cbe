import type { Check } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

/** "+3.4 A", "2.6 A over", "stops 6:58": margin of a check in a few characters. */
export function spareWord(check: Check, bench: Workbench): string {
	if (check.verdict === 'stops' && check.stopsAtS) {
		return `stops ${bench.say(check.stopsAtS, 'time').replace(' min', '')}`;
	}
	if (check.id === 'cutter.peakC' || check.id === 'supply.breakerPeak') return check.verdict;
	if (check.id === 'water.dewC') return check.verdict === 'holds' ? 'no water drops' : check.word;
	// "No spare" of a nozzle would be one that is not in the drawer.
	if (check.id === 'setup.nozzleA') return check.verdict === 'holds' ? 'fits' : check.word;
	const { value, quantity } = check.spare;
	const amount = bench.say(Math.abs(value), quantity);
	if (amount === bench.say(0, quantity)) return 'no spare';
	if (value < 0) return quantity === 'current' ? `${amount} over` : `${amount} short`;
	return `+${amount}`;
}

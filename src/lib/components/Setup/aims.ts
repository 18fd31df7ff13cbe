import type { Advice } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

/** Why these amps, in one sentence. */
export function adviceWords(advice: Advice, bench: Workbench): string {
	const amps = advice.outputA === null ? '' : bench.say(advice.outputA, 'current');
	const speed = bench.say(advice.speedMmS, 'speed');
	switch (advice.reason) {
		case 'none':
			return 'No setting does it: supply, plate or hand is in the way.';
		case 'least-heat':
			return `${amps} puts the least heat into the line at ${speed}, inside the clean rating.`;
		case 'severs':
			return `${amps} is the most that the supply holds: ${speed}.`;
		case 'hand-limit':
			return `${amps} already asks ${speed}; more amps would outrun the hand.`;
		case 'full':
			return `Full amps: ${speed}, and a hand still follows.`;
		case 'least-wear':
			return `${amps} wears the parts least for this line, at ${speed}.`;
		case 'steady-hand':
			return `${amps} asks ${speed}, nearest to what a hand holds best.`;
	}
}

import type { Advice } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

/** Why these amps, in one sentence. */
export function adviceWords(advice: Advice, bench: Workbench): string {
	const amps = advice.outputA === null ? '' : bench.say(advice.outputA, 'current');
	const speed = bench.say(advice.speedMmS, 'speed');
	switch (advice.reason) {
		case 'none':
			return 'The supply runs through it at no setting: see what would fix it on Supply.';
		case 'too-thick':
			return 'Too thick for any amps of this bench.';
		case 'least-heat':
			return `${amps} puts the least heat into the line at ${speed}, inside the clean rating.`;
		case 'not-clean':
			return `${amps} severs it at ${speed}; nothing here cuts it clean: grind after.`;
		case 'supply':
			return `${amps} is the most that the supply bears well: ${speed}.`;
		case 'hand-limit':
			return `${amps} takes all a hand can follow, ${speed}; more amps would outrun it.`;
		case 'thin':
			return `${amps}, the finest nozzle, along a guide: as fast as a hand goes, ${speed}.`;
		case 'full':
			return `Full amps: ${speed}, and a hand still follows.`;
		case 'least-wear':
			return `${amps} wears the parts least for this line, at ${speed}.`;
		case 'steady-hand':
			return `${amps} asks ${speed}, nearest to what a hand holds best.`;
	}
}

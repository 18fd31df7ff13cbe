import { type Coating, type Cut } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

export const COATING_WORDS: Record<Coating, string> = {
	none: 'clean',
	paint: 'paint',
	zinc: 'zinc',
	rust: 'rust or scale',
	oil: 'oil'
};

/** What differs from one clean plate, cut upright: "2 sheets, 30° bevel, zinc on the back". */
export function moreWords(cut: Cut, bench: Workbench): string {
	const words: string[] = [];
	if (cut.layers > 1) words.push(`${cut.layers} sheets`);
	if (cut.bevelDeg > 0) words.push(`${bench.say(cut.bevelDeg, 'angle')} bevel`);
	if (cut.mesh) words.push('mesh');
	if (cut.coating !== 'none' && cut.coating === cut.backCoating) {
		words.push(`${COATING_WORDS[cut.coating]}, both faces`);
	} else {
		if (cut.coating !== 'none') words.push(COATING_WORDS[cut.coating]);
		if (cut.backCoating !== 'none') words.push(`${COATING_WORDS[cut.backCoating]} on the back`);
	}
	return words.join(', ') || 'one, bare';
}

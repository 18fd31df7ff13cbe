import type { Cut } from '$lib/core';
import type { Correction, GrooveFault } from '$lib/core/gouge/read';
import type { GrooveChoiceId } from '$lib/core/studies/grooves';
import { type Target } from '$lib/core/gouge/targets';
import { legsOf } from '$lib/core/gouge/section';
import { lookAtAir } from '$lib/components/Supply/mend';
import type { Workbench } from '$lib/state/workbench.svelte';

export const TARGET_NAMES: Record<Target, string> = {
	groove: 'Groove',
	fillet: 'Fillet weld',
	butt: 'Butt cap',
	back: 'Back-gouge',
	crack: 'Crack',
	facing: 'Pad or hard-facing',
	score: 'Score line',
	mark: 'Part mark',
	tack: 'Tack or spot weld',
	dimple: 'Drill dimple'
};
export const TARGET_HELP: Record<Target, string> = {
	groove: 'A groove of its own: width and depth.',
	fillet: 'Both plates stay; a leg runs along its plate. The other one, up: empty, the same.',
	butt: 'What stands over the plate: width and height of the cap.',
	back: 'From the other side down to sound metal; its bottom round.',
	crack: 'As deep as the crack, a little past its ends.',
	facing: 'A pad by width and height, in strings side by side.',
	score: 'A shallow line to break or bend along.',
	mark: 'Letters or numbers; length is that of all strokes.',
	tack: 'On the spot, torch upright: diameter and height.',
	dimple: 'A dent that starts a drill: diameter and depth.'
};

/** Air on the card of a groove; a cutter that sets its own tells by its mode. */
export function gougeAir(bench: Workbench): { value: string; note: string } {
	if (bench.bench.air.source === 'built-in') return { value: 'Own', note: 'built-in compressor' };
	if (bench.plan.figures['gouge.airBar'].value === null)
		return { value: 'Own', note: 'sets it by its gouging mode' };
	return { value: bench.sayFigure('gouge.airBar'), note: 'less than cutting, flowing' };
}

/** Which sizes a target is told by, with the words on their fields. */
export const SIZES: Record<
	Target,
	readonly { field: 'widthMm' | 'depthMm' | 'legMm' | 'rootRadiusMm'; label: string }[]
> = {
	groove: [
		{ field: 'widthMm', label: 'Width' },
		{ field: 'depthMm', label: 'Depth' }
	],
	fillet: [{ field: 'legMm', label: 'Leg' }],
	butt: [
		{ field: 'widthMm', label: 'Width' },
		{ field: 'depthMm', label: 'Height' }
	],
	back: [
		{ field: 'depthMm', label: 'Depth' },
		{ field: 'rootRadiusMm', label: 'Root radius' }
	],
	crack: [
		{ field: 'widthMm', label: 'Width' },
		{ field: 'depthMm', label: 'Depth' }
	],
	facing: [
		{ field: 'widthMm', label: 'Width' },
		{ field: 'depthMm', label: 'Height' }
	],
	score: [
		{ field: 'widthMm', label: 'Width' },
		{ field: 'depthMm', label: 'Depth' }
	],
	mark: [
		{ field: 'widthMm', label: 'Width' },
		{ field: 'depthMm', label: 'Depth' }
	],
	tack: [
		{ field: 'widthMm', label: 'Diameter' },
		{ field: 'depthMm', label: 'Height' }
	],
	dimple: [
		{ field: 'widthMm', label: 'Diameter' },
		{ field: 'depthMm', label: 'Depth' }
	]
};
/** Sizes that make sense when another target is picked. */
export const STARTING: Partial<Record<Target, Partial<Cut['gouge']>>> = {
	groove: { widthMm: 7, depthMm: 2.5 },
	butt: { widthMm: 12, depthMm: 3 },
	back: { depthMm: 5, rootRadiusMm: 5 },
	crack: { widthMm: 7, depthMm: 2.5 },
	facing: { widthMm: 20, depthMm: 3 },
	score: { widthMm: 3, depthMm: 1 },
	mark: { widthMm: 3, depthMm: 1 },
	tack: { widthMm: 8, depthMm: 3 },
	dimple: { widthMm: 6, depthMm: 2 }
};

/** "6 mm fillet weld", "7 × 2.5 mm groove". */
export function grooveTitle(gouge: Cut['gouge'], bench: Workbench): string {
	const name = TARGET_NAMES[gouge.target].toLowerCase();
	if (gouge.target === 'fillet') {
		const [flat, up] = legsOf(gouge);
		const legs = flat === up ? '' : `${bench.show(flat, 'small').text} × `;
		return `${legs}${bench.say(up, 'small')} ${name}`;
	}
	if (gouge.target === 'back')
		return `Back-gouge, ${bench.say(gouge.depthMm, 'small')} deep, root ${bench.say(gouge.rootRadiusMm, 'small')}`;
	return `${bench.show(gouge.widthMm, 'small').text} × ${bench.say(gouge.depthMm, 'small')} ${name}`;
}

export const CHOICE_WORDS: Record<GrooveChoiceId, { name: string; told: string }> = {
	full: { name: 'Full amps, 40°', told: 'wide and soft: one school' },
	steep: { name: 'Full amps, 45°', told: 'deeper: the other school' },
	held: { name: 'What the supply holds', told: 'fewer amps, more strings' },
	light: { name: 'Light strings', told: 'look at the bed after each' },
	precise: { name: '25 A, precise', told: 'control for thin work and marks' }
};

export const FAULT_WORDS: Record<GrooveFault, { seen: string; why: string }> = {
	shallow: { seen: 'Too shallow', why: 'The arc runs over the metal.' },
	deep: { seen: 'Too deep', why: 'The arc digs.' },
	undercut: { seen: 'Walls undercut', why: 'Too long in one place.' },
	slag: {
		seen: 'Slag folded back in',
		why: 'The torch is pulled, or held too flat over the groove.'
	},
	black: { seen: 'Rough and black', why: 'Oil or water in the air, or too little of it.' },
	out: { seen: 'Arc stretches and goes out', why: 'The gap has grown.' },
	'blow-back': { seen: 'Metal comes back', why: 'Too steep, or too deep at once.' }
};
/** Why a spot is so; the rest as of a groove. */
export const SPOT_WHY: Partial<Record<GrooveFault, string>> = {
	shallow: 'The arc was not on it long enough.',
	deep: 'The arc was on it too long.',
	'blow-back': 'Too much at once.'
};
export function correctionWords({ what, value }: Correction, bench: Workbench): string {
	const speed = () => (value === null ? '' : `, about ${bench.say(value, 'speed')}`);
	switch (what) {
		case 'slower':
			return `Slower${speed()}.`;
		case 'faster':
			return `Faster${speed()}.`;
		case 'steeper':
			return `Torch steeper: ${bench.say(value, 'angle')} from the plate.`;
		case 'flatter':
			return `Torch flatter: ${bench.say(value, 'angle')} from the plate.`;
		case 'longer':
			return `Longer on each, about ${bench.say(value, 'time')}.`;
		case 'shorter':
			return `Shorter on each, about ${bench.say(value, 'time')}; the rest in a second touch.`;
		case 'push':
			return 'Push, so that the metal flies ahead; brush the slag out before the next string.';
		case 'air':
			return `${lookAtAir(bench)}; set ${value === null ? 'the cutter to gouging' : `${bench.say(value, 'pressure')} while it flows`}.`;
		case 'closer':
			return 'Hold the small gap all along: follow the floor, not the plate.';
	}
}

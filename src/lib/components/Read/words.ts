import type { Cause, NextCut, Sign } from '$lib/core';
import { atFullAmps, lessSag, lookAtAir } from '$lib/components/Supply/mend';
import type { Workbench } from '$lib/state/workbench.svelte';

/** Signs and sparks as answers of the fault finder, for its door: "soft-dross:yes". */
export function seenForFinder(
	signs: Partial<Record<Sign, boolean>>,
	/** Degrees behind straight down; null: not read. */ lagDeg: number | null
): string {
	const yesNo = (is: boolean) => (is ? 'yes' : 'no');
	const seen: string[] = [];
	if (signs['soft-dross'] !== undefined) seen.push(`soft-dross:${yesNo(signs['soft-dross'])}`);
	if (signs.spatter !== undefined || signs['wide-kerf'] !== undefined)
		seen.push(`top-edge:${yesNo(signs.spatter === true || signs['wide-kerf'] === true)}`);
	// Past 45° behind they lie flat, and a slower hand is what helps.
	if (lagDeg !== null) seen.push(`sparks:${yesNo(lagDeg > 45)}`);
	return seen.join(' ');
}

export const SIGN_WORDS: Record<Sign, { name: string; look: string }> = {
	'soft-dross': { name: 'Thick soft dross', look: 'Turn it over: does a thick bead brush off?' },
	'hard-dross': {
		name: 'Fine hard dross',
		look: 'Turn it over: is there a fine bead that sticks?'
	},
	spatter: { name: 'Spatter on top', look: 'Is there spatter on the top face?' },
	'not-through': { name: 'Not through', look: 'Did it stay joined somewhere?' },
	'wide-kerf': { name: 'Wide kerf', look: 'Measure the kerf: wider than usual, top edge rounded?' },
	bevel: { name: 'Edge out of square', look: 'Put a square to the edge: does it lean?' },
	rough: { name: 'Rough edge', look: 'Is the edge rough or wavy?' },
	sputters: { name: 'Arc sputters', look: 'Did the arc sputter, spit or go out?' }
};

export const CAUSE_WORDS: Record<Cause, string> = {
	right: 'Nothing is wrong',
	slow: 'Too slow',
	fast: 'Too fast',
	'few-amps': 'Too few amps for it',
	parts: 'Worn or wrong parts',
	air: 'Air too low or wet',
	height: 'Torch too high',
	clamp: 'Poor clamp',
	power: 'Power sags',
	lean: 'Torch leans'
};

/** Too slow for these amps, and a hand does not go faster. */
function asFastAsAHand(bench: Workbench, handMmS: number): string {
	const canTurnDown = bench.plan.figures['setup.currentA'].value! > bench.bench.cutter.outputMinA;
	const instead = [
		...(canTurnDown ? ['turn down'] : []),
		...(bench.cut.guide === 'freehand' ? ['go along a guide'] : []),
		'knock the dross off while it is warm'
	];
	return `A hand goes no faster than ${bench.say(handMmS, 'speed')}: ${instead.join(', or ')}.`;
}

/** The one correction for a cause, with its figure. */
export function correction(
	cause: Cause,
	bench: Workbench,
	seen: { heldMmS: number; next: NextCut }
): string {
	const amps = bench.sayFigure('setup.currentA');
	switch (cause) {
		case 'right':
			return 'Leave it as it is.';
		case 'slow':
		case 'fast': {
			const { afterMmS, handMmS, lineS } = seen.next;
			if (afterMmS === null || handMmS === null || lineS === null)
				return atFullAmps(bench)
					? 'It does not part at full amps: it wants another bench or another way.'
					: 'It does not part at these amps: turn up.';
			const faster = cause === 'slow';
			// In sheet the amps ask for what no hand follows: to go faster is no advice then.
			if (faster && handMmS < afterMmS && seen.heldMmS > (1 - STAYS) * handMmS)
				return asFastAsAHand(bench, handMmS);
			const agrees = faster ? handMmS > seen.heldMmS : handMmS < seen.heldMmS;
			const way = faster ? 'faster' : 'slower';
			const { beforeLineS } = seen.next;
			const [seconds, before] = [bench.say(lineS, 'time'), bench.say(beforeLineS, 'time')];
			const [after, held] = [bench.say(handMmS, 'speed'), bench.say(seen.heldMmS, 'speed')];
			const line = `${seconds} for your line${seconds === before ? '' : `, not ${before}`}.`;
			if (!agrees) return `Hold what the card then says: ${after}, ${line}`;
			// "Slower: 11, not 11" tells nobody anything; the seconds still do.
			return after === held ? `Go a little ${way}: ${line}` : `Go ${way}: ${after}, ${line}`;
		}
		case 'few-amps':
			return atFullAmps(bench)
				? `${amps} is all that it gives here: take it slower; past the clean rating some dross stays.`
				: `Turn up from ${amps}, or take it slower; past the clean rating some dross stays.`;
		case 'parts':
			return 'Power off. Look at nozzle and electrode: bore round, pit shallow, all seated, cap finger-tight. Change them as a pair.';
		case 'air':
			return bench.plan.figures['setup.airBar'].value === null
				? `${lookAtAir(bench)}.`
				: `${lookAtAir(bench)}; set ${bench.sayFigure('setup.airBar')} while it flows.`;
		case 'height':
			return bench.plan.choices.standoff === 'drag'
				? 'Let the shield rest on the plate.'
				: `Come down to ${bench.sayFigure('setup.standoffMm')}.`;
		case 'clamp':
			return 'Clamp bright metal, near the cut, on the part that stays.';
		case 'power':
			return `Measure the volts under arc on Supply: ${lessSag(bench)}, or fewer amps.`;
		case 'lean':
			return 'Hold the torch upright to the edge; keep the part on the squarer side of the kerf.';
	}
}

/** A change of the speed that nobody's hand tells, as a share. */
const STAYS = 0.01;

/** Why the card moves by so much, and no more: the old number beside the new one. */
export function whyMoved(next: NextCut, bench: Workbench): string {
	const { beforeMmS, afterMmS, aloneMmS, share } = next;
	if (beforeMmS === null || afterMmS === null) return '';
	const [from, to] = [bench.say(beforeMmS, 'speed'), bench.say(afterMmS, 'speed')];
	if (Math.abs(Math.log(afterMmS / beforeMmS)) < STAYS)
		return `The card stays at ${from}: this cut tells nothing else of the speed.`;
	const alone =
		aloneMmS === null || share === null
			? ''
			: ` This reading alone would say ${bench.say(aloneMmS, 'speed')}; against label, chart and earlier cuts it counts for ${bench.say(share, 'share')}.`;
	const moves = from === to ? `a little and stays near ${from}` : `from ${from} to ${to}`;
	return `Taken as a test cut, the card ${from === to ? 'moves' : 'goes'} ${moves}.${alone}`;
}

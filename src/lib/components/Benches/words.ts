import { METALS, type Cut, type MetalId } from '$lib/core';
import { OXY_FUEL } from '$lib/core/metal/metals';
import { CLEAN_AIMS } from '$lib/core/speed/speed';
import type { BenchAnswer } from '$lib/formats/bodies/planned';
import { fixResult } from '$lib/components/Supply/words';
import { paceHelp } from '$lib/components/Words/pace';
import type { Workbench } from '$lib/state/workbench.svelte';

/** What a bench says of the cut, beside its mark. */
export function answerWord(answer: BenchAnswer, cut: Cut, bench: Workbench): string {
	const { limit, lineS, rough, severMm, cleanMm, verdict } = answer;
	if (lineS === null && limit.part === 'Thickness')
		return `nothing past ${bench.say(severMm, 'thickness')}`;
	if (limit.stopsAtS) return `${limit.word}, from ${bench.say(limit.stopsAtS, 'time')}`;
	if (rough) return `clean only to ${bench.say(cleanMm, 'thickness')}`;
	const mm = cut.layers * cut.thicknessMm;
	const limitMm = CLEAN_AIMS.includes(cut.aim) ? cleanMm : severMm;
	if (verdict === 'holds') return `${bench.say(limitMm - mm, 'thickness')} to spare`;
	if (limit.part === 'Thickness') return `at its limit, ${bench.say(limitMm, 'thickness')}`;
	return limit.word;
}

/** Flame and saw, for what no arc here parts (common practice). */
const elsewhere = (metal: MetalId): string =>
	OXY_FUEL.includes(metal) ? 'Saw it, or cut it with a torch and oxygen.' : 'Saw it.';

/** The smallest change on this bench, or where to carry the plate. */
export function changeWord(
	answer: BenchAnswer,
	best: BenchAnswer,
	cut: Cut,
	bench: Workbench
): string {
	const { limit, lineS, rough, verdict, fix, pace } = answer;
	if (lineS === null && limit.part === 'Thickness')
		return best.lineS !== null
			? `Not on this bench. Carry the plate to ${best.name}.`
			: `Not on this bench. ${elsewhere(cut.metal)}`;
	// What mends the supply does not make the edge clean.
	const grind = 'Just sever it, then grind the edge.';
	if (rough && fix && verdict !== 'stops') return `${grind} ${bench.sayAll(fix)}.`;
	if (fix) {
		const asked = fix.effort === 'an electrician' ? ', by an electrician' : '';
		return `${bench.sayAll(fix)}${asked}: ${fixResult(fix, bench)}.`;
	}
	if (limit.station === 'supply' && verdict === 'stops')
		return 'No change here helps. Take less arc, or another bench.';
	if (rough) return grind;
	if (limit.word === 'no smaller nozzle')
		return 'More amps, or a torch that takes a smaller nozzle.';
	if (limit.part === 'Parts' || limit.part === 'Nozzle')
		return `Power off, then ${limit.word.replace('nozzle far too big', 'fit the nozzle for these amps')}.`;
	if (verdict === 'holds') return 'Nothing to change.';
	if (limit.part === 'Thickness') return 'Allow a minute with the grinder for dross.';
	if (limit.part === 'Start') return 'Start from an edge.';
	if (limit.part === 'Hand' && pace && pace !== 'held')
		return paceHelp(pace, cut.guide, cut.school === 'matched');
	return 'It runs as it is.';
}

const CUTS: Record<Cut['aim'], string> = {
	clean: 'cuts it clean',
	sever: 'severs it',
	fastest: 'cuts it',
	cheapest: 'cuts it',
	easiest: 'cuts it'
};

/** The answer of the shop in one sentence. */
export function shopAnswer(
	answers: readonly BenchAnswer[],
	cut: Cut,
	bench: Workbench
): { verdict: BenchAnswer['verdict']; text: string } {
	const [best] = answers;
	if (!best || best.lineS === null)
		return { verdict: 'stops', text: `No. No bench here parts it. ${elsewhere(cut.metal)}` };
	const does = best.rough ? 'severs it, not clean,' : CUTS[cut.aim];
	const text = `${best.name} ${does} in ${bench.say(best.lineS, 'time')}`;
	if (best.verdict === 'stops')
		return {
			verdict: 'stops',
			text: `Not as it stands. ${best.name}: ${answerWord(best, cut, bench)}.`
		};
	if (best.verdict === 'holds') return { verdict: 'holds', text: `Yes. ${text}.` };
	return { verdict: 'tight', text: `Just. ${text}: ${answerWord(best, cut, bench)}.` };
}

/** What is asked, for a heading: "12 mm mild steel". */
export const askedOf = ({ thicknessMm, metal }: Cut, bench: Workbench): string =>
	`${bench.say(thicknessMm, 'thickness')} ${METALS[metal].label.toLowerCase()}`;

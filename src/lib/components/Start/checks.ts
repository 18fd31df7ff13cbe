/** What is still typical on a bench, why it matters to this card, and how it is checked. */
import { NAMES, type Verdict } from '$lib/core';
import { answerOf } from '$lib/core/answers/answered';
import type { QuestionId } from '$lib/core/answers/shapes';
import type { Moves } from '$lib/core/studies/checkFirst';
import type { Workbench } from '$lib/state/workbench.svelte';
import { ASKS, readAnswer } from './asks';

const HOW: Record<QuestionId, string> = {
	amps: 'Read the largest amps on the cutter’s rating label, after I2.',
	volts: 'Read the volts on the label, after U1, and on the outlet.',
	draws: 'Read the supply amps on the label, after I1max.',
	clean: 'Read the rated thickness on the label or in the booklet.',
	severs: 'Read the greatest thickness on the label or in the booklet.',
	duty: 'Read the per cent after X or duty, in the column of the largest amps.',
	air: 'Read pressure and flow on the label, and set the regulator while air flows.',
	breaker: 'Read the number on the breaker in the panel. Leave the panel closed.',
	wire: 'Read the print on the cable, or measure volts at the outlet, idle and cutting.',
	compressor: 'Read what it delivers and its tank on the compressor’s label.',
	nozzle: 'Read the amps stamped on the nozzle. Power off first.'
};
const STATE: Record<Verdict, string> = {
	holds: 'holds',
	tight: 'is tight',
	stops: 'stops',
	'not set': 'is not known'
};

export interface ToCheck {
	id: QuestionId;
	/** "The breaker: B 16 A is typical." */
	title: string;
	why: string;
	how: string;
	/** It moves something on this card. */
	matters: boolean;
}

/** Why a value matters: what the card says at the two ends of what is likely. */
function whyOf(moves: Moves, bench: Workbench): string {
	const say = bench.say.bind(bench);
	const { id, benches, verdicts, limits, figure } = moves;
	const end = (at: 0 | 1) => {
		const limit = limits[at] ? ` (${limits[at].word})` : '';
		return `with ${readAnswer(id, answerOf(benches[at], id), say)} this ${STATE[verdicts[at]]}${limit}`;
	};
	const said: string[] = [];
	if (verdicts[0] !== verdicts[1]) said.push(`${end(0)}, ${end(1)}`);
	if (figure) {
		const { label, quantity } = NAMES[figure.id];
		const [from, to] = figure.values.map((value) => bench.say(value, quantity));
		if (from !== to) said.push(`${label.toLowerCase()}: ${from} to ${to}`);
	}
	if (said.length === 0) return 'It moves nothing on this card; it counts in longer work.';
	return said.map((text) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`).join(' ');
}

export function toCheck(moves: readonly Moves[], bench: Workbench): ToCheck[] {
	const say = bench.say.bind(bench);
	return moves.map((one) => ({
		id: one.id,
		title: `${ASKS[one.id].cell}: ${readAnswer(one.id, answerOf(bench.bench, one.id), say)}`,
		why: whyOf(one, bench),
		how: HOW[one.id],
		matters: one.verdicts[0] !== one.verdicts[1] || one.figure !== null
	}));
}

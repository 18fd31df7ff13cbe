import type { Said } from '../../figure/finding';
import type { Bench } from '../../inputs/bench';
import type { Cut } from '../../inputs/defaults';
import type { PlanInputs } from '../../inputs/planInputs';
import type { Work } from '../../session/inputs';
import type { Verdict } from '../../figure/types';

/** What a fix does to the inputs: one of bench, cut and work, or several. */
export interface Change {
	bench?: Bench;
	cut?: Partial<Cut>;
	work?: Partial<Work>;
}

export function applied(inputs: PlanInputs, change: Change): PlanInputs {
	return {
		...inputs,
		bench: change.bench ?? inputs.bench,
		cut: { ...inputs.cut, ...change.cut },
		work: { ...inputs.work, ...change.work }
	};
}

/** A bench with something changed; the one given stays as it is. */
export function changedBench(bench: Bench, change: (copy: Bench) => void): Bench {
	const copy = structuredClone(bench);
	change(copy);
	return copy;
}

/** What it takes, from a turn of a knob to a visit of the electrician. */
export const EFFORTS = [
	'a knob',
	'a habit',
	'in the shop',
	'a part',
	'a machine',
	'an electrician'
] as const;
export type Effort = (typeof EFFORTS)[number];

/** What a search for a change asks: how things are, and how they would be. */
export interface Asked {
	/** What Supply says as it is. */
	before: Verdict;
	/** Amps that are planned. */
	outputA: number;
	/** What Supply says after a change. */
	verdict: (change: Change) => Verdict;
	/** Starts of the compressor an hour after it. */
	startsPerH: (change: Change) => number;
}

/**
 * A change worth trying. `text` names its values in braces: "Turn down to {amps}".
 */
export interface Candidate {
	id: string;
	effort: Effort;
	text: string;
	values: Record<string, Said>;
	/** Part of Supply it is meant for; left out: whatever limits. */
	against?: readonly string[];
	change: Change;
}

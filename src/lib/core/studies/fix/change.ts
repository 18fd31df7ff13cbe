import type { Said } from '../../figure/finding';
import type { Bench } from '../../inputs/bench';
import type { Cut } from '../../inputs/defaults';
import type { PlanInputs } from '../../inputs/planInputs';
import type { Work } from '../../session/inputs';

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

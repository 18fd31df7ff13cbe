/** Plan inputs for tests, made from the demo benches. */
import { BAY_2, TROLLEY } from '../../scripts/demo/benches';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	NO_EVIDENCE,
	type Bench,
	type Cut,
	type PlanInputs,
	type Work
} from '../../src/lib/core';

export { BAY_2, TROLLEY };

/** A copy with something changed. */
export function changed(change: (b: Bench) => unknown, from: Bench = BAY_2): Bench {
	const copy = structuredClone(from);
	change(copy);
	return copy;
}

/** A pattern of its own, so that a test says what the arc is; pass `by: 'cut'` for the planned cut. */
export function workOf(over: Partial<Work>, usual: Work = BAY_2.usual): Work {
	return { ...usual, by: 'pattern', ...over };
}

export function inputsOf(
	over: Partial<Omit<PlanInputs, 'work'>> & { work?: Partial<Work> } = {},
	cut: Partial<Cut> = {}
): PlanInputs {
	const bench = over.bench ?? BAY_2;
	return {
		evidence: NO_EVIDENCE,
		settings: DEFAULT_SETTINGS,
		chart: null,
		...over,
		bench,
		work: workOf(over.work ?? {}, bench.usual),
		cut: { ...DEFAULT_CUT, ...cut }
	};
}

/** What was logged from this device lately, so that it can be taken back step by step. */
import * as v from 'valibot';
import { recall, remember } from './remembered';
import type { Workbench } from './workbench.svelte';

const StepSchema = v.object({
	id: v.number(),
	benchId: v.string(),
	at: v.string(),
	text: v.pipe(v.string(), v.maxLength(200))
});
export type Step = v.InferOutput<typeof StepSchema>;

const KEY = 'steady-arc-steps';
const MOST = 30;

/** Newest first; nothing where the browser keeps nothing, or keeps what is none of ours. */
export const keptSteps = (): Step[] => (recall(KEY, v.array(StepSchema)) ?? []).slice(0, MOST);
function keep(bench: Workbench, steps: Step[]): void {
	bench.steps = steps.slice(0, MOST);
	remember(KEY, bench.steps);
}
export const stepMade = (bench: Workbench, step: Step): void =>
	keep(bench, [step, ...keptSteps().filter(({ id }) => id !== step.id)]);
export const stepGone = (bench: Workbench, id: number): void =>
	keep(
		bench,
		keptSteps().filter((step) => step.id !== id)
	);

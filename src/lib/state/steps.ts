/** What was logged from this device lately, so that it can be taken back step by step. */
import * as v from 'valibot';
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
export function keptSteps(): Step[] {
	try {
		const read = v.safeParse(v.array(StepSchema), JSON.parse(localStorage.getItem(KEY) ?? '[]'));
		return read.success ? read.output.slice(0, MOST) : [];
	} catch {
		return [];
	}
}
function keep(bench: Workbench, steps: Step[]): void {
	bench.steps = steps.slice(0, MOST);
	try {
		localStorage.setItem(KEY, JSON.stringify(bench.steps));
	} catch {
		// A browser that keeps nothing forgets them with the page.
	}
}
export const stepMade = (bench: Workbench, step: Step): void =>
	keep(bench, [step, ...keptSteps().filter(({ id }) => id !== step.id)]);
export const stepGone = (bench: Workbench, id: number): void =>
	keep(
		bench,
		keptSteps().filter((step) => step.id !== id)
	);

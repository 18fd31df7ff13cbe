/** What is to be looked after on a bench: asked of the server when it is looked at. */
import type { CareDue } from '$lib/core/care/care';
import { answerTo } from './answerTo';
import type { Workbench } from './workbench.svelte';

export class CareView {
	/** undefined: not there yet. */
	care = $state.raw<CareDue[] | undefined>();
	problem = $state<string | undefined>();
	#asked = 0;

	constructor(readonly bench: Workbench) {}

	async ask(): Promise<void> {
		const asked = ++this.#asked;
		const answer = await answerTo<{ care: CareDue[] }>(`/api/care?bench=${this.bench.benchId}`);
		if (asked !== this.#asked) return;
		if (answer) this.care = answer.care;
		this.problem = answer
			? undefined
			: 'The server does not answer: what is due is not known here.';
	}
}

/** What is to be looked after on a bench: asked of the server when it is looked at. */
import type { CareDue } from '$lib/core/care/care';
import type { Workbench } from './workbench.svelte';

export class CareView {
	/** undefined: not there yet. */
	care = $state.raw<CareDue[] | undefined>();
	problem = $state<string | undefined>();
	#asked = 0;

	constructor(readonly bench: Workbench) {}

	async ask(): Promise<void> {
		const asked = ++this.#asked;
		try {
			const response = await fetch(`/api/care?bench=${this.bench.benchId}`);
			if (asked !== this.#asked) return;
			if (!response.ok) throw new Error(String(response.status));
			this.care = ((await response.json()) as { care: CareDue[] }).care;
			this.problem = undefined;
		} catch {
			if (asked === this.#asked)
				this.problem = 'The server does not answer: what is due is not known here.';
		}
	}
}

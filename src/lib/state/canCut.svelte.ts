import type { Cut } from '$lib/core';
import type { BenchAnswer } from '$lib/formats/bodies/planned';

/** A hand on the stepper asks once it rests, ms. */
const REST_MS = 120;

/** The question to all benches; an answer that comes late is not shown for a newer question. */
export class CanCutQuestion {
	answers = $state.raw<readonly BenchAnswer[]>([]);
	/** Asked, and not answered yet. */
	waiting = $state(false);
	problem = $state<string | undefined>();
	#stop: AbortController | undefined;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(first: readonly BenchAnswer[]) {
		this.answers = first;
	}

	ask(cut: Cut, once: boolean): void {
		this.close();
		this.waiting = true;
		this.#timer = setTimeout(() => void this.#send({ cut, once }), REST_MS);
	}
	async #send(body: { cut: Cut; once: boolean }): Promise<void> {
		const stop = (this.#stop = new AbortController());
		try {
			const response = await fetch('/api/can-cut', {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(body),
				signal: stop.signal
			});
			const answer = (await response.json()) as { benches: BenchAnswer[] } | { message: string };
			if (stop.signal.aborted) return;
			if ('benches' in answer) {
				this.answers = answer.benches;
				this.problem = undefined;
			} else this.problem = answer.message;
		} catch {
			if (stop.signal.aborted) return;
			this.problem = 'The server does not answer. These are the answers to the question before.';
		}
		this.waiting = false;
	}
	close(): void {
		clearTimeout(this.#timer);
		this.#stop?.abort();
	}
}

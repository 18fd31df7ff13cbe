import type { PlanInputs } from '$lib/core';

/** Inputs must rest this long before the worker is asked, ms. */
const REST_MS = 120;

/**
 * Asks a worker whenever the inputs change, and keeps the last answer until a new one is there. A worker
 * that is still busy with older inputs is replaced; a late answer is dropped by its hash.
 */
export class Study<Answer extends { inputsHash: string }, Question = PlanInputs> {
	answer = $state.raw<Answer | undefined>();
	/** Hash of what was asked last. */
	asked = $state('');
	/** The same, for what must not depend on it. */
	#wanted = '';
	#worker: Worker | undefined;
	#busy = false;
	#timer: ReturnType<typeof setTimeout> | undefined;
	readonly #start: () => Worker;
	/** Whether an answer is the last one to a question. */
	readonly #last: (answer: Answer) => boolean;
	/** What is kept of the answer before, until the last one is there. */
	readonly #carry: (answer: Answer, before: Answer | undefined) => Answer;

	constructor(
		start: () => Worker,
		last: (answer: Answer) => boolean = () => true,
		carry: (answer: Answer, before: Answer | undefined) => Answer = (answer) => answer
	) {
		this.#start = start;
		this.#last = last;
		this.#carry = carry;
	}

	/** The answer on the screen is for older inputs. */
	get stale(): boolean {
		return this.answer !== undefined && this.answer.inputsHash !== this.asked;
	}

	/** `hash` tells questions apart, and comes back with the answer. */
	ask(inputs: Question, hash: string): void {
		if (hash === this.#wanted) return;
		this.#wanted = this.asked = hash;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => this.#send(inputs), REST_MS);
	}

	#send(inputs: Question): void {
		if (this.#busy) this.#drop();
		if (!this.#worker) {
			this.#worker = this.#start();
			this.#worker.onmessage = ({ data }: MessageEvent<Answer>) => this.#take(data);
		}
		this.#busy = true;
		this.#worker.postMessage(inputs);
	}

	#take(answer: Answer): void {
		if (this.#last(answer)) this.#busy = false;
		if (answer.inputsHash === this.#wanted) this.answer = this.#carry(answer, this.answer);
	}

	#drop(): void {
		this.#worker?.terminate();
		this.#worker = undefined;
		this.#busy = false;
	}

	close(): void {
		clearTimeout(this.#timer);
		this.#drop();
	}
}

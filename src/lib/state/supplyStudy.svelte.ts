import type { PlanInputs } from '$lib/core';
import { inputsHash } from '$lib/core/plan/plan';
import type { SupplyAnswer } from '$lib/workers/supply.worker';
import SupplyWorker from '$lib/workers/supply.worker?worker';

/** Inputs must rest this long before the worker is asked, ms. */
const REST_MS = 120;

/**
 * Asks the worker whenever the inputs change, and keeps the last answer until a new one is there.
 * A worker that is still busy with older inputs is replaced; a late answer is dropped by its hash.
 */
export class SupplyStudy {
	answer = $state.raw<SupplyAnswer | undefined>();
	#wanted = '';
	#worker: Worker | undefined;
	#busy = false;
	#timer: ReturnType<typeof setTimeout> | undefined;

	/** Hash of what was asked last. */
	asked = $state('');
	/** The answer on the screen is for older inputs. */
	get stale(): boolean {
		return this.answer !== undefined && this.answer.inputsHash !== this.asked;
	}

	ask(inputs: PlanInputs): void {
		const hash = inputsHash(inputs);
		if (hash === this.#wanted) return;
		this.#wanted = this.asked = hash;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => this.#send(inputs), REST_MS);
	}

	#send(inputs: PlanInputs): void {
		if (this.#busy) this.#drop();
		this.#worker ??= this.#start();
		this.#busy = true;
		this.#worker.postMessage(inputs);
	}

	#start(): Worker {
		const worker = new SupplyWorker();
		worker.onmessage = ({ data }: MessageEvent<SupplyAnswer>) => {
			if (data.solved) this.#busy = false;
			if (data.inputsHash !== this.#wanted) return;
			// The sizes of the last answer stay until the new ones are there.
			this.answer = { ...data, solved: data.solved ?? this.answer?.solved };
		};
		return worker;
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

/** A worker for one question only: it ends with its answer, by the person's word, or by the clock. */
export class OneQuestion<Question, Answer> {
	#worker: Worker | undefined;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly start: () => Worker,
		readonly deadlineMs: number
	) {}

	/** Asks; a question that is still open is dropped. `failed` tells why no answer came. */
	ask(
		question: Question,
		told: { done: (answer: Answer) => void; failed: (why: 'broke' | 'late') => void }
	): void {
		this.stop();
		const worker = this.start();
		this.#worker = worker;
		const end = () => worker === this.#worker && this.stop();
		worker.onmessage = ({ data }: MessageEvent<Answer>) => {
			end();
			told.done(data);
		};
		worker.onerror = () => {
			end();
			told.failed('broke');
		};
		this.#timer = setTimeout(() => {
			end();
			told.failed('late');
		}, this.deadlineMs);
		worker.postMessage(question);
	}

	/** Drops the question; nothing more is told of it. */
	stop(): void {
		clearTimeout(this.#timer);
		this.#worker?.terminate();
		this.#worker = undefined;
	}
}

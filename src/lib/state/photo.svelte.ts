import type { PhotoAsk, PhotoQuestion, PhotoSize, PhotoStage, PhotoTold } from '$lib/formats/photo';
import { newOpId } from './ids';
import PhotoWorker from '$lib/workers/photo.worker?worker';

/** One picture and what is read from it, on this device alone. */
export class PhotoReading {
	file = $state.raw<File | undefined>();
	/** For showing it. */
	url = $state('');
	stage = $state<PhotoStage | undefined>();
	problem = $state('');
	/** Goes up with each picture that was kept. */
	kept = $state(0);
	told = $state.raw<Extract<PhotoTold, { of: string }> | undefined>();
	/** What was asked last; the same again has its answer, or is under way. */
	#asked = '';
	#worker: Worker | undefined;
	/** The worker has the picture open. */
	#over = false;

	get size(): PhotoSize | undefined {
		return this.told?.size;
	}
	get busy(): boolean {
		return this.stage !== undefined;
	}

	/** Another picture; the one before is let go. */
	take(file: File, question: PhotoQuestion): void {
		this.clear();
		this.file = file;
		this.url = URL.createObjectURL(file);
		this.ask(question);
	}

	/** About the same picture; what is under way is given up. */
	ask(question: PhotoQuestion): void {
		const { file } = this;
		const asked = JSON.stringify(question);
		if (!file || (asked === this.#asked && (this.busy || this.told))) return;
		this.#asked = asked;
		if (this.busy) this.#drop();
		if (!this.#worker) {
			this.#worker = new PhotoWorker();
			this.#worker.onmessage = ({ data }: MessageEvent<PhotoTold>) => this.#hear(data);
			this.#worker.onerror = () =>
				this.#hear({ problem: 'The picture is too large for this device.' });
		}
		this.problem = '';
		this.stage = 'opening';
		const ask: PhotoAsk = this.#over ? question : { ...question, file };
		this.#worker.postMessage(ask);
	}

	#hear(told: PhotoTold): void {
		if ('stage' in told) {
			this.stage = told.stage;
			return;
		}
		this.stage = undefined;
		if ('problem' in told) {
			this.problem = told.problem;
			this.told = undefined;
		} else {
			this.told = told;
			this.#over = true;
		}
	}

	#logging = false;
	/** Logs what was read, once however often it is pressed; then keeps the picture, if asked to, and lets go of it. */
	async logged(
		keep: false | ((opId: string) => Promise<void>),
		log: (opId: string) => Promise<boolean>
	): Promise<void> {
		if (this.#logging) return;
		this.#logging = true;
		try {
			const opId = newOpId();
			if (!(await log(opId))) return;
			if (keep) {
				await keep(opId);
				this.kept++;
			}
			this.clear();
		} finally {
			this.#logging = false;
		}
	}

	/** Breaks off what is under way; the picture stays. */
	cancel(): void {
		this.#drop();
		this.stage = undefined;
		if (!this.told) this.clear();
	}

	clear(): void {
		this.#drop();
		if (this.url) URL.revokeObjectURL(this.url);
		this.file = this.told = this.stage = undefined;
		this.url = this.problem = '';
	}

	#drop(): void {
		this.#worker?.terminate();
		this.#worker = undefined;
		this.#over = false;
	}
}

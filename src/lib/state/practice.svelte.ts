import * as v from 'valibot';
import { recall, remember } from './remembered';
import {
	isBetter,
	liveSpeedMmS,
	score,
	type Sample,
	type Score,
	type Window
} from '$lib/core/practice/score';

const KEY = 'practice';
type Kept = Pick<Score, 'insideShare' | 'spreadMmS' | 'meanMmS'>;
const RunSchema: v.GenericSchema<unknown, Kept> = v.object({
	insideShare: v.pipe(v.number(), v.minValue(0), v.maxValue(1)),
	spreadMmS: v.pipe(v.number(), v.minValue(0), v.finite()),
	meanMmS: v.pipe(v.number(), v.minValue(0), v.finite())
});
const KeptSchema = v.object({ best: v.optional(RunSchema), last: v.optional(RunSchema) });

/** Runs along a line on this screen; the best and the last one stay on this device. */
export class Practice {
	running = $state(false);
	/** Under the hand now. */
	speedMmS = $state(0);
	alongMm = $state(0);
	result = $state.raw<Score | undefined>();
	tooShort = $state(false);
	best = $state.raw<Kept | undefined>();
	last = $state.raw<Kept | undefined>();
	#samples: Sample[] = [];

	restore(): void {
		const kept = recall(KEY, KeptSchema);
		this.best = kept?.best;
		this.last = kept?.last;
	}

	begin(first: Sample): void {
		this.#samples = [first];
		this.running = true;
		this.result = undefined;
		this.tooShort = false;
		this.speedMmS = 0;
		this.alongMm = first.alongMm;
	}
	move(samples: readonly Sample[]): void {
		if (!this.running) return;
		let speed = this.speedMmS;
		for (const sample of samples) {
			speed = liveSpeedMmS(speed, this.#samples.at(-1)!, sample);
			this.#samples.push(sample);
		}
		this.speedMmS = speed;
		this.alongMm = this.#samples.at(-1)!.alongMm;
	}
	end(window: Window): void {
		if (!this.running) return;
		this.running = false;
		this.speedMmS = 0;
		this.result = score(this.#samples, window);
		this.tooShort = this.result === undefined;
		if (!this.result) return;
		const { insideShare, spreadMmS, meanMmS } = this.result;
		this.last = { insideShare, spreadMmS, meanMmS };
		if (!this.best || isBetter(this.last, this.best)) this.best = this.last;
		remember(KEY, { best: this.best, last: this.last });
	}
}

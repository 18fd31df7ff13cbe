import type { Pace } from '$lib/core';

/** Beats before the line begins. */
export const COUNT_IN = 3;
const FLASH_MS = 90;
/** Clicks are handed to the sound card this far ahead, s. */
const AHEAD_S = 0.25;
const TICK_MS = 60;

/** Counts in, then keeps the beat in sound and light until the end of the line. */
export class Pacer {
	running = $state(false);
	/** Beats still to come before the line begins; 0: it runs. */
	countIn = $state(0);
	/** Whole beats since the line began. */
	beat = $state(0);
	/** Seconds along the line. */
	atS = $state(0);
	flash = $state(false);
	sound = $state(true);
	/** The line was gone through to its end. */
	done = $state(false);
	#pace: Pace | undefined;
	#startedMs = 0;
	#frame = 0;
	#timer: ReturnType<typeof setInterval> | undefined;
	#flashTimer: ReturnType<typeof setTimeout> | undefined;
	#audio: AudioContext | undefined;
	#audioStart = 0;
	#clicked = 0;

	toggle(pace: Pace): void {
		if (this.running) this.stop();
		else this.start(pace);
	}

	start(pace: Pace): void {
		this.stop();
		this.#pace = pace;
		this.running = true;
		this.done = false;
		this.beat = 0;
		this.atS = 0;
		this.countIn = COUNT_IN;
		this.#clicked = 0;
		this.#startedMs = performance.now() + COUNT_IN * pace.beatS * 1000;
		if (this.sound) this.#startSound(pace);
		this.#frame = requestAnimationFrame(this.#draw);
	}

	stop(): void {
		cancelAnimationFrame(this.#frame);
		clearInterval(this.#timer);
		clearTimeout(this.#flashTimer);
		// Closing it silences what was handed over already.
		void this.#audio?.close();
		this.#audio = undefined;
		this.running = false;
		this.flash = false;
		this.countIn = 0;
	}

	readonly #draw = () => {
		const pace = this.#pace!;
		const s = (performance.now() - this.#startedMs) / 1000;
		const beat = Math.floor(s / pace.beatS + 1e-9);
		const countIn = Math.max(0, -beat);
		if (countIn !== this.countIn || (beat >= 0 && beat !== this.beat)) this.#flashOnce();
		this.countIn = countIn;
		this.beat = Math.max(0, beat);
		this.atS = Math.min(pace.totalS, Math.max(0, s));
		if (s >= pace.totalS) {
			this.done = true;
			// The last sound still rings out.
			setTimeout(() => this.done && this.stop(), 400);
			this.running = false;
			return;
		}
		this.#frame = requestAnimationFrame(this.#draw);
	};

	#flashOnce(): void {
		this.flash = true;
		clearTimeout(this.#flashTimer);
		this.#flashTimer = setTimeout(() => (this.flash = false), FLASH_MS);
	}

	#startSound(pace: Pace): void {
		if (typeof AudioContext === 'undefined') return;
		const audio = new AudioContext();
		this.#audio = audio;
		this.#audioStart = audio.currentTime + COUNT_IN * pace.beatS;
		const hand = () => {
			const until = audio.currentTime + AHEAD_S;
			for (;;) {
				const beat = this.#clicked - COUNT_IN;
				const atS = this.#audioStart + Math.min(beat * pace.beatS, pace.totalS);
				const last = beat * pace.beatS >= pace.totalS;
				if (atS > until) return;
				// Count-in low, the line high, its end long.
				click(audio, Math.max(audio.currentTime, atS), last ? 440 : beat < 0 ? 660 : 1320, last);
				this.#clicked++;
				if (last) {
					clearInterval(this.#timer);
					return;
				}
			}
		};
		hand();
		this.#timer = setInterval(hand, TICK_MS);
	}
}

function click(audio: AudioContext, atS: number, hertz: number, long: boolean): void {
	const lengthS = long ? 0.35 : 0.05;
	const tone = audio.createOscillator();
	const loudness = audio.createGain();
	tone.frequency.value = hertz;
	loudness.gain.setValueAtTime(0.0001, atS);
	loudness.gain.exponentialRampToValueAtTime(0.5, atS + 0.005);
	loudness.gain.exponentialRampToValueAtTime(0.0001, atS + lengthS);
	tone.connect(loudness).connect(audio.destination);
	tone.start(atS);
	tone.stop(atS + lengthS);
}

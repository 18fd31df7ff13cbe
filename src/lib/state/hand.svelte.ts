/** A hand that has not moved for this long rests, ms. */
const REST_MS = 150;

/** A hand on a handle or a key that steps: what is not under it stays as it was when it last rested. */
export class Hand<T> {
	/** A handle is held. */
	dragging = $state.raw(false);
	#moving = $state.raw(false);
	#rested = $state.raw<T>();
	#timer: ReturnType<typeof setTimeout> | undefined;

	/** What moves, as it is now. */
	constructor(readonly now: () => T) {}

	/** As it was when the hand last rested; undefined: nothing moves. */
	get rested(): T | undefined {
		return this.#moving ? this.#rested : undefined;
	}
	grip(): void {
		this.rest();
		this.#moving = true;
		this.dragging = true;
	}
	/** The first of several steps starts from what stands. */
	step(): void {
		if (!this.#moving) this.rest();
		this.#moving = true;
	}
	/** It moved, or tried to; `then` once it rests. */
	moved(then: () => void): void {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(then, REST_MS);
	}
	rest(): void {
		this.#rested = this.now();
	}
	/** Lets go. */
	still(): void {
		clearTimeout(this.#timer);
		this.#moving = false;
		this.dragging = false;
	}
}

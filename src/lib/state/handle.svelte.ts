/**
 * A handle on a drawing that is dragged up and down. The drawing's place is read once at the grip:
 * asking each frame would force a layout.
 */
export class VerticalHandle {
	#grip: { top: number; height: number } | undefined;
	#svg: () => SVGSVGElement | undefined;
	/** Height of the drawing in its own units. */
	#viewHeight: number;
	#moved: (y: number) => void;
	#began: () => void;
	#ended: () => void;

	constructor(options: {
		svg: () => SVGSVGElement | undefined;
		viewHeight: number;
		began: () => void;
		/** With the height in the drawing's units. */
		moved: (y: number) => void;
		ended: () => void;
	}) {
		this.#svg = options.svg;
		this.#viewHeight = options.viewHeight;
		this.#began = options.began;
		this.#moved = options.moved;
		this.#ended = options.ended;
	}

	grip = (event: PointerEvent & { currentTarget: EventTarget & SVGGElement }): void => {
		const svg = this.#svg();
		if (!svg) return;
		this.#grip = svg.getBoundingClientRect();
		svg.setPointerCapture(event.pointerId);
		event.preventDefault();
		event.currentTarget.focus();
		this.#began();
	};

	move = (event: PointerEvent): void => {
		if (!this.#grip) return;
		this.#moved(((event.clientY - this.#grip.top) / this.#grip.height) * this.#viewHeight);
	};

	release = (): void => {
		if (!this.#grip) return;
		this.#grip = undefined;
		this.#ended();
	};
}

const STEPS: Record<string, number> = {
	ArrowDown: 1,
	ArrowRight: 1,
	ArrowUp: -1,
	ArrowLeft: -1,
	PageDown: 4,
	PageUp: -4
};

/** Steps that a key asks of a slider, downwards positive; undefined: another key. */
export function stepsOfKey(event: KeyboardEvent): number | undefined {
	const steps = STEPS[event.key];
	if (steps !== undefined) event.preventDefault();
	return steps;
}

/**
 * A handle on a drawing that is dragged up and down, or along it. The drawing's place is read once at the
 * grip: asking each frame would force a layout.
 */
export class DragHandle {
	#grip: { from: number; size: number } | undefined;
	#svg: () => SVGSVGElement | undefined;
	#axis: 'x' | 'y';
	/** Of the drawing along that axis, in its own units. */
	#view: number;
	#moved: (at: number) => void;
	#began: () => void;
	#ended: () => void;

	constructor(options: {
		svg: () => SVGSVGElement | undefined;
		axis: 'x' | 'y';
		view: number;
		began: () => void;
		/** With the place along its axis, in the drawing's units. */
		moved: (at: number) => void;
		ended: () => void;
	}) {
		this.#svg = options.svg;
		this.#axis = options.axis;
		this.#view = options.view;
		this.#began = options.began;
		this.#moved = options.moved;
		this.#ended = options.ended;
	}

	grip = (event: PointerEvent & { currentTarget: EventTarget & SVGGElement }): void => {
		const svg = this.#svg();
		if (!svg) return;
		const { left, top, width, height } = svg.getBoundingClientRect();
		this.#grip = this.#axis === 'x' ? { from: left, size: width } : { from: top, size: height };
		svg.setPointerCapture(event.pointerId);
		event.preventDefault();
		event.currentTarget.focus();
		this.#began();
	};

	move = (event: PointerEvent): void => {
		if (!this.#grip) return;
		const at = this.#axis === 'x' ? event.clientX : event.clientY;
		this.#moved(((at - this.#grip.from) / this.#grip.size) * this.#view);
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

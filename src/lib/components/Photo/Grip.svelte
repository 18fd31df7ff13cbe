<script lang="ts">
	import type { Point } from '$lib/core/photo/ellipse';

	/** A place on a picture that is dragged, or moved by the arrow keys: a pixel, with Shift ten. */
	let {
		at,
		scale,
		label,
		moved,
		done = () => {}
	}: {
		at: Point;
		/** Pixels of the picture to one of the screen. */
		scale: number;
		label: string;
		moved: (to: Point) => void;
		done?: () => void;
	} = $props();
	let held = $state<{ from: Point; clientX: number; clientY: number } | undefined>();

	function grip(event: PointerEvent & { currentTarget: SVGGElement }) {
		event.preventDefault();
		event.stopPropagation();
		event.currentTarget.setPointerCapture(event.pointerId);
		event.currentTarget.focus();
		held = { from: at, clientX: event.clientX, clientY: event.clientY };
	}
	function move(event: PointerEvent) {
		if (!held) return;
		moved({
			x: held.from.x + (event.clientX - held.clientX) * scale,
			y: held.from.y + (event.clientY - held.clientY) * scale
		});
	}
	function release() {
		if (!held) return;
		held = undefined;
		done();
	}
	const WAYS: Record<string, [number, number]> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	function key(event: KeyboardEvent) {
		const way = WAYS[event.key];
		if (!way) return;
		event.preventDefault();
		event.stopPropagation();
		const by = event.shiftKey ? 10 : 1;
		moved({ x: at.x + by * way[0], y: at.y + by * way[1] });
		done();
	}
</script>

<g
	class="grip"
	role="button"
	tabindex="0"
	aria-label={label}
	aria-roledescription="handle, arrow keys move it"
	transform="translate({at.x} {at.y}) scale({scale})"
	onpointerdown={grip}
	onpointermove={move}
	onpointerup={release}
	onpointercancel={release}
	onclick={(e) => e.stopPropagation()}
	onkeydown={key}
>
	<circle r="22" fill="transparent" />
	<circle r="9" class="knob" />
</g>

<style>
	.grip {
		cursor: grab;
		touch-action: none;
		outline: none;
	}
	.knob {
		fill: var(--sheet);
		stroke: var(--arc);
		stroke-width: 4;
	}
	.grip:focus-visible .knob {
		stroke: var(--ink);
		stroke-width: 6;
		r: 12px;
	}
</style>

<script lang="ts">
	import { GOUGE_RANGES } from '$lib/core/gouge/inputs';
	import { DragHandle, stepsOfKey } from '$lib/state/handle.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { Point } from './groove';
	import { SIZES } from './words';

	/** A size of the groove on its drawing: a flag that is dragged, or stepped by keys. */
	let {
		svg,
		view,
		size
	}: {
		svg: SVGSVGElement | undefined;
		view: { width: number; height: number };
		size: {
			field: 'legMm' | 'upLegMm' | 'depthMm' | 'widthMm';
			axis: 'x' | 'y';
			/** Along that axis the size grows; −1: against it. */
			way: 1 | -1;
			/** Where it ends, and the flag's upper left corner. */
			tip: Point;
			x: number;
			y: number;
			/** So far the drawing's end of it goes with a millimetre. */
			pxPerMm: number;
		};
	} = $props();
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const { field } = $derived(size);
	const mm = $derived(gouge[field] ?? gouge.legMm);
	const label = $derived(
		field === 'upLegMm'
			? 'Other leg'
			: SIZES[gouge.target].find((one) => one.field === field)!.label
	);
	const short = $derived(field === 'upLegMm' ? 'up' : label.toLowerCase());
	const range = $derived(GOUGE_RANGES[field === 'upLegMm' ? 'legMm' : field]);
	const STEP_MM = 0.5;
	/** The hand stops where there is no groove any more: flag and drawing would go from under it. */
	function set(toMm: number, move: (change: Partial<typeof gouge>) => void) {
		const goal = Math.min(range[1], Math.max(range[0], Math.round(toMm / STEP_MM) * STEP_MM));
		let last = mm;
		const stands = (at: number) => {
			move({ [field]: at });
			return bench.plan.groove !== null;
		};
		// A plan for each step on the way is made only where there is none at its end.
		if (stands(goal) || goal === last) return;
		while (last !== goal) {
			const next =
				Math.abs(goal - last) <= STEP_MM ? goal : last + Math.sign(goal - last) * STEP_MM;
			// Its end was looked at already.
			if (next === goal || !stands(next)) return move({ [field]: last });
			last = next;
		}
	}
	/** The scale and size of the moment of the grip hold, else the drawing would run away from the hand. */
	let grip: { pxPerMm: number; mm: number; at: number | undefined } | undefined;
	// What it is of does not change while the drawing stands.
	// svelte-ignore state_referenced_locally
	const { axis } = size;
	const handle = new DragHandle({
		svg: () => svg,
		axis,
		// svelte-ignore state_referenced_locally
		view: axis === 'x' ? view.width : view.height,
		began: () => {
			grip = { pxPerMm: size.pxPerMm, mm, at: undefined };
			bench.grip();
		},
		moved: (at) => {
			grip!.at ??= at;
			set(grip!.mm + (size.way * (at - grip!.at)) / grip!.pxPerMm, (to) => bench.dragGouge(to));
		},
		ended: () => bench.release()
	});
	$effect(() => {
		svg?.addEventListener('pointermove', handle.move);
		svg?.addEventListener('pointerup', handle.release);
		svg?.addEventListener('pointercancel', handle.release);
		return () => {
			// A drawing that goes away lets go.
			handle.release();
			svg?.removeEventListener('pointermove', handle.move);
			svg?.removeEventListener('pointerup', handle.release);
			svg?.removeEventListener('pointercancel', handle.release);
		};
	});
	/** Upwards is more of a leg that goes up, less of a depth. */
	function key(event: KeyboardEvent) {
		const steps = stepsOfKey(event);
		if (steps === undefined) return;
		const arrow = event.key === 'ArrowLeft' || event.key === 'ArrowRight' ? 1 : size.way;
		set(mm + arrow * steps * STEP_MM, (to) => bench.stepGouge(to));
	}
	const [WIDE, HIGH] = [124, 44];
	/** The line goes from the side of the flag that looks at the tip. */
	const from = $derived({
		x: size.tip.x < size.x ? size.x : size.tip.x > size.x + WIDE ? size.x + WIDE : size.tip.x,
		y: size.tip.y < size.y ? size.y : size.y + HIGH
	});
</script>

<g
	role="slider"
	tabindex="0"
	aria-label={label}
	aria-orientation={axis === 'y' ? 'vertical' : 'horizontal'}
	aria-valuemin={range[0]}
	aria-valuemax={range[1]}
	aria-valuenow={mm}
	aria-valuetext={bench.say(mm, 'small')}
	class={axis === 'y' ? 'cursor-ns-resize' : 'cursor-ew-resize'}
	onkeydown={key}
	onpointerdown={handle.grip}
>
	<path d="M{size.tip.x} {size.tip.y}L{from.x} {from.y}" stroke="var(--arc)" stroke-width="3" />
	<circle cx={size.tip.x} cy={size.tip.y} r="4.5" fill="var(--arc)" />
	<rect x={size.x} y={size.y} width={WIDE} height={HIGH} fill="var(--arc)" />
	<text
		x={size.x + WIDE / 2}
		y={size.y + 31}
		text-anchor="middle"
		class="fig"
		style:font-size="26px"
		style:fill="var(--color-primary-content)">{bench.say(mm, 'small')} {short}</text
	>
</g>

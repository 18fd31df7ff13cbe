<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { stepsOfKey, VerticalHandle } from '$lib/state/handle.svelte';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { depthAt, GROOVE, grooveShape } from './groove';

	/** Across the groove; the handle at its floor sets the depth. */
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const shape = $derived(
		grooveShape({ ...gouge, passes: bench.plan.figures['gouge.passes'].value! })
	);
	const { width, height, topY: top, centreX: cx, plateDepthPx } = GROOVE;
	const bottom = top + plateDepthPx;
	/** The handle hangs this far below the groove's floor. */
	const GRIP_BELOW_PX = 34;
	let svg = $state<SVGSVGElement>();
	/** The scale of the moment of the grip holds, else the drawing would run away from the hand. */
	let gripPxPerMm = 1;

	const inReach = (mm: number) => Math.min(40, Math.max(0.5, Math.round(mm * 2) / 2));
	const handle = new VerticalHandle({
		svg: () => svg,
		viewHeight: height,
		began: () => (gripPxPerMm = shape.pxPerMm),
		moved: (y) => bench.setGouge({ depthMm: inReach(depthAt(y - GRIP_BELOW_PX, gripPxPerMm)) }),
		ended: () => bench.settle()
	});
	function key(event: KeyboardEvent) {
		const steps = stepsOfKey(event);
		if (steps === undefined) return;
		bench.setGouge({ depthMm: inReach(gouge.depthMm + steps * 0.5) });
		bench.settle();
	}
</script>

<svg
	bind:this={svg}
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full touch-none"
	role="group"
	aria-label="Groove across"
	onpointermove={handle.move}
	onpointerup={handle.release}
	onpointercancel={handle.release}
>
	<Patterns prefix="groove" />
	<path
		d="M8 {top}H{width - 8}l-8 60l11 60l-10 50l7 42H8l7 -62l-10 -70Z"
		fill="url(#groove-steel)"
		stroke="var(--ink)"
		stroke-width="2"
	/>
	{#each shape.passes as d, i (i)}
		{@const last = i === shape.passes.length - 1}
		{#if last}<path d="{d}Z" fill="var(--sheet)" />{/if}
	{/each}
	{#each shape.passes as d, i (i)}
		{@const last = i === shape.passes.length - 1}
		<path
			{d}
			fill="none"
			stroke="var(--arc)"
			stroke-width={last ? 4 : 2}
			stroke-dasharray={last ? undefined : '9 5'}
		/>
	{/each}
	<path
		d="M{cx - shape.widthPx / 2} {top - 48}V{top - 4}M{cx + shape.widthPx / 2} {top - 48}V{top -
			4}M{cx - shape.widthPx / 2} {top - 42}H{cx + shape.widthPx / 2}"
		stroke="var(--ink)"
		stroke-width="1.2"
	/>
	<text x={cx} y={top - 52} text-anchor="middle" class="fig" style:font-size="27px"
		>{bench.say(gouge.widthMm, 'small')} wide</text
	>
	<g
		role="slider"
		tabindex="0"
		aria-label="Groove depth"
		aria-orientation="vertical"
		aria-valuemin={0.5}
		aria-valuemax={40}
		aria-valuenow={gouge.depthMm}
		aria-valuetext={bench.say(gouge.depthMm, 'small')}
		class="cursor-ns-resize"
		onkeydown={key}
		onpointerdown={handle.grip}
	>
		<path
			d="M{cx} {top + shape.depthPx + 4}l12 12H{cx + 66}v44H{cx - 66}v-44H{cx - 12}Z"
			fill="var(--arc)"
		/>
		<text
			x={cx}
			y={top + shape.depthPx + 47}
			text-anchor="middle"
			class="fig"
			style:font-size="27px"
			style:fill="var(--color-primary-content)">{bench.say(gouge.depthMm, 'small')} deep</text
		>
	</g>
	<text x="14" y={bottom + 20} class="dim">across the groove, to scale</text>
</svg>

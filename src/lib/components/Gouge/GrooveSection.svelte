<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { GOUGE_RANGES } from '$lib/core/gouge/inputs';
	import { stepsOfKey, VerticalHandle } from '$lib/state/handle.svelte';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { GROOVE, sectionShape } from './groove';
	import { SIZES } from './words';

	/** Across it, to scale: what is gone, the string that is now, what is to come, what is left to grind. */
	let { now }: { now: number } = $props();
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const groove = $derived(bench.plan.groove!);
	const { figures } = $derived(bench.plan);
	const plateMm = $derived(gouge.plateMm ?? bench.cut.thicknessMm);
	const shape = $derived(sectionShape(groove, gouge, plateMm, figures['gouge.keepMm'].value!));
	const { width, height } = GROOVE;
	let svg = $state<SVGSVGElement>();

	/** The size that the handle moves: the leg, else how deep or high. */
	const field = $derived(gouge.target === 'fillet' ? ('legMm' as const) : ('depthMm' as const));
	const label = $derived(SIZES[gouge.target].find((size) => size.field === field)!.label);
	const range = $derived(GOUGE_RANGES[field]);
	const STEP_MM = 0.5;
	const inReach = (mm: number) =>
		Math.min(range[1], Math.max(range[0], Math.round(mm / STEP_MM) * STEP_MM));
	/** The scale and size of the moment of the grip hold, else the drawing would run away from the hand. */
	let grip = { pxPerMm: 1, mm: 1, y: 0 };
	const down = $derived(gouge.target === 'fillet' ? -1 : 1);
	const handle = new VerticalHandle({
		svg: () => svg,
		viewHeight: height,
		began: () => (grip = { pxPerMm: shape.pxPerMm, mm: gouge[field], y: NaN }),
		moved: (y) => {
			if (Number.isNaN(grip.y)) grip.y = y;
			bench.setGouge({ [field]: inReach(grip.mm + (down * (y - grip.y)) / grip.pxPerMm) });
		},
		ended: () => bench.settle()
	});
	function key(event: KeyboardEvent) {
		const steps = stepsOfKey(event);
		if (steps === undefined) return;
		bench.setGouge({ [field]: inReach(gouge[field] + steps * STEP_MM) });
		bench.settle();
	}
	const fillet = $derived(gouge.target === 'fillet');
	const flagX = $derived(
		fillet ? width - 140 : Math.min(width - 132, Math.max(8, shape.floor.x + 40))
	);
	const flagY = $derived(fillet ? 120 : Math.min(height - 84, Math.max(60, shape.floor.y + 16)));
	/** From its flag to the end of the leg, or to the floor. */
	const tip = $derived(fillet ? shape.legEnd : shape.floor);
</script>

<svg
	bind:this={svg}
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full touch-none"
	role="group"
	aria-label="Section, {groove.strings.length} strings"
	onpointermove={handle.move}
	onpointerup={handle.release}
	onpointercancel={handle.release}
>
	<Patterns prefix="groove" />
	{#each shape.plates as d (d)}
		<path {d} fill="url(#groove-steel)" stroke="var(--ink)" stroke-width="2" />
	{/each}
	{#if shape.before}<path
			d={shape.before}
			fill="var(--steel2)"
			stroke="var(--ink)"
			stroke-width="1.6"
		/>{/if}
	<path
		d={shape.asked}
		fill="var(--spark)"
		fill-opacity="0.28"
		stroke="var(--ink2)"
		stroke-width="1.2"
		stroke-dasharray="4 4"
	/>
	<path d={shape.gone(now)} fill="var(--sheet)" />
	{#each groove.strings as string, i (i)}
		{@const { path, label: at } = shape.string(i)}
		{#if i >= now}
			<path
				d={path}
				fill={i === now ? 'var(--arc)' : 'var(--arc-wash)'}
				stroke="var(--arc)"
				stroke-width={i === now ? 2 : 1.4}
				stroke-dasharray={i === now ? undefined : '6 4'}
			/>
		{/if}
		<text
			x={at.x}
			y={at.y + 8}
			text-anchor="middle"
			class="fig"
			style:font-size="24px"
			style:fill={i === now
				? 'var(--color-primary-content)'
				: i < now
					? 'var(--ink2)'
					: 'var(--ink)'}>{i + 1}</text
		>
		<title>String {i + 1}: {bench.say(string.speedMmS, 'speed')}</title>
	{/each}
	{#if shape.ligamentY !== null && shape.ligamentY < shape.plateBottomY}
		<rect
			x="0"
			y={shape.ligamentY}
			{width}
			height={shape.plateBottomY - shape.ligamentY}
			fill="var(--holds)"
			fill-opacity="0.2"
		/>
		<path
			d="M0 {shape.ligamentY}H{width}"
			stroke="var(--holds)"
			stroke-width="2"
			stroke-dasharray="8 5"
		/>
		<text x="10" y={shape.plateBottomY - 8} class="halo" font-weight="700" style:fill="var(--holds)"
			>must stay: {bench.sayFigure('gouge.keepMm')}</text
		>
	{:else if shape.ligamentY === null}
		<text
			x={width - 12}
			y={height - 34}
			text-anchor="end"
			class="halo"
			font-weight="700"
			style:fill="var(--holds)">all of the plate stays</text
		>
	{/if}
	<g
		role="slider"
		tabindex="0"
		aria-label={label}
		aria-orientation="vertical"
		aria-valuemin={range[0]}
		aria-valuemax={range[1]}
		aria-valuenow={gouge[field]}
		aria-valuetext={bench.say(gouge[field], 'small')}
		class="cursor-ns-resize"
		onkeydown={key}
		onpointerdown={handle.grip}
	>
		<path
			d="M{tip.x} {tip.y}L{flagX + 10} {flagY + (fillet ? 48 : 0)}"
			stroke="var(--arc)"
			stroke-width="3"
		/>
		<rect x={flagX} y={flagY} width="124" height="48" fill="var(--arc)" />
		<text
			x={flagX + 62}
			y={flagY + 33}
			text-anchor="middle"
			class="fig"
			style:font-size="26px"
			style:fill="var(--color-primary-content)"
			>{bench.say(gouge[field], 'small')} {label.toLowerCase()}</text
		>
	</g>
	<text x="10" y={height - 6} class="dim"
		>{gouge.target === 'fillet' ? 'in its corner' : 'across it'}, to scale; yellow is left to grind</text
	>
</svg>

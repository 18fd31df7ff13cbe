<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { GROOVE, sectionShape } from './groove';
	import SizeFlag from './SizeFlag.svelte';
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

	const fillet = $derived(gouge.target === 'fillet');
	/** Sizes that are taken hold of: each points at where it ends, and is dragged that way. */
	const flags = $derived.by((): ComponentProps<typeof SizeFlag>['size'][] => {
		const { floor, side, legEnd, upEnd, pxPerMm } = shape;
		if (fillet) {
			return [
				{ field: 'legMm', axis: 'x', way: 1, tip: legEnd, x: width - 140, y: 130, pxPerMm },
				{ field: 'upLegMm', axis: 'y', way: -1, tip: upEnd, x: width - 140, y: 50, pxPerMm }
			];
		}
		const depth = {
			field: 'depthMm',
			axis: 'y',
			way: 1,
			tip: floor,
			x: Math.min(width - 132, Math.max(8, floor.x + 40)),
			y: Math.min(height - 84, Math.max(64, floor.y + 16)),
			pxPerMm
		} as const;
		if (!SIZES[gouge.target].some(({ field }) => field === 'widthMm')) return [depth];
		// Both sides go out from the middle.
		return [
			depth,
			{
				field: 'widthMm',
				axis: 'x',
				way: 1,
				tip: side,
				x: width - 132,
				y: 4,
				pxPerMm: pxPerMm / 2
			}
		];
	});
</script>

<svg
	bind:this={svg}
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full touch-none"
	role="group"
	aria-label="Section, to scale"
>
	<Patterns prefix="groove" />
	{#each shape.plates as d, i (i)}
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
	{#each groove.strings.keys() as i (i)}
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
	{#each flags as size (size.field)}
		<SizeFlag {svg} view={GROOVE} {size} />
	{/each}
	<text x="10" y={height - 6} class="dim"
		>{gouge.target === 'fillet' ? 'in its corner' : 'across it'}, to scale; yellow is left to grind</text
	>
</svg>

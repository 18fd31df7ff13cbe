<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import Sparks from '$lib/components/Drawing/Sparks.svelte';
	import { sparkPaths } from '$lib/components/Drawing/scatter';
	import { goesIntoPlate } from '$lib/core/gouge/targets';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import GougeTorch from './GougeTorch.svelte';

	/** A spot through its middle, to scale: what stands on the plate or goes into it, torch upright over it. */
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const { figures } = $derived(bench.plan);
	const plateMm = $derived(gouge.plateMm ?? bench.cut.thicknessMm);
	const into = $derived(goesIntoPlate(gouge.target));
	const [width, height, cx, top, roomPx] = [420, 330, 210, 190, 92] as const;
	/** The spot is seen whole; of a thick plate what lies under it, open below. */
	const pxPerMm = $derived(
		Math.min(
			0.5 * (width / gouge.widthMm),
			(into ? roomPx : 40) / gouge.depthMm,
			Math.max(roomPx / plateMm, 10)
		)
	);
	const half = $derived((gouge.widthMm / 2) * pxPerMm);
	const deep = $derived(gouge.depthMm * pxPerMm);
	const whole = $derived(plateMm * pxPerMm <= roomPx + 1);
	const bottom = $derived(top + (whole ? plateMm * pxPerMm : roomPx));
	/** A parabola's control point lies twice as far off as its middle. */
	const bow = $derived(into ? top + 2 * deep : top - 2 * deep);
	const keepY = $derived(
		top + Math.max(0, plateMm - (figures['gouge.keepMm'].value ?? 0)) * pxPerMm
	);
	const sparks = sparkPaths({ seed: 7, count: 24, lengthPx: 110, spreadRad: 0.7 });
</script>

<svg
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full max-w-[460px]"
	role="img"
	aria-label="Through the spot: torch upright over it; metal flies to all sides"
	data-testid="gouge-spot"
>
	<Patterns prefix="spot" />
	<path
		d="M8 {bottom}V{top}H{cx - half}Q{cx} {bow} {cx + half} {top}H{width - 8}V{bottom}{whole
			? 'Z'
			: ''}"
		fill="url(#spot-steel)"
		stroke="var(--ink)"
		stroke-width="2"
	/>
	{#if into && keepY < bottom}
		<path
			d="M8 {keepY}H{width - 8}"
			stroke="var(--holds)"
			stroke-width="2"
			stroke-dasharray="8 5"
		/>
		<text x="16" y={bottom + 20} class="halo" font-weight="700" style:fill="var(--holds)"
			>must stay: {bench.sayFigure('gouge.keepMm')}</text
		>
	{/if}
	{#each [-72, 72] as turn (turn)}
		<Sparks {sparks} x={cx} y={into ? top - 6 : top - deep * 0.6} turnDeg={180 + turn} />
	{/each}
	<GougeTorch x={cx} y={into ? top + deep * 0.5 : top - deep * 0.8} leanDeg={0} />
	<text x="16" y="24" font-weight="700" class="halo">metal flies to all sides:</text>
	<text x="16" y="44" font-weight="700" class="halo" style:fill="var(--stops)">nobody near</text>
	<text x={width - 16} y="40" text-anchor="end" class="fig" style:font-size="36px">upright</text>
	<text x={width - 16} y="60" text-anchor="end" class="dim">small gap</text>
	<text
		x={width - 16}
		y={height - 6}
		text-anchor="end"
		class="fig"
		style:font-size="27px"
		style:fill="var(--arc)">{bench.sayFigure('gouge.stringS')} each</text
	>
	<text x="16" y={height - 6} class="dim">through its middle, to scale</text>
</svg>

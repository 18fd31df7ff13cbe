<script lang="ts">
	import { sparkWindow } from '$lib/components/Card/words';
	import { inSheet } from '$lib/components/Words/sheet';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import { BAR, noteAt, speedMarks, speedTicksMmS, speedX } from './speedBar';

	/** The speed against what a hand holds and what the sparks allow. */
	const bench = getWorkbench();
	const marks = $derived(speedMarks(bench.calmPlan));
	const amber = $derived(
		inSheet(bench.calmPlan) ? 'about right' : sparkWindow(bench.settings.sparks)
	);
	const ring = $derived(marks.handX === null ? '' : '; ring: as fast as a hand goes');
	const band = $derived(bench.calmPlan.figures['setup.speedMmS'].band);
</script>

<section aria-label="Speed window">
	<h2 class="flex items-center gap-2">
		<span class="h">Travel</span>
		{#if band}
			<span class="sub" data-testid="speed-band"
				>{bench.sayFigure('setup.speedMmS', bench.calmPlan)}, between {bench.say(band[0], 'speed')} and
				{bench.say(band[1], 'speed')} usually</span
			>
		{/if}
		<Balloon id="setup.speedMmS" />
	</h2>
	<svg
		{@attach legible}
		viewBox="0 0 {BAR.width} 92"
		class="block w-full"
		role="img"
		aria-label="Speed bar: {marks.atX === null
			? 'no speed, it does not go through'
			: bench.sayFigure('setup.speedMmS', bench.calmPlan)}"
	>
		<rect
			x={marks.hand[0]}
			y="22"
			width={marks.hand[1] - marks.hand[0]}
			height="40"
			fill="var(--arc-wash)"
		/>
		<text x={marks.hand[0] + 6} y="34" class="dim" style:fill="var(--arc)" font-weight="600"
			>a hand holds this</text
		>
		<rect
			x={marks.guided[0]}
			y="22"
			width={marks.guided[1] - marks.guided[0]}
			height="40"
			fill="var(--arc-wash)"
			opacity="0.5"
		/>
		<text x={marks.guided[0] + 4} y="34" class="dim roomy">guide</text>
		<text x={marks.guided[1] + 4} y="34" class="dim roomy">no hand follows</text>
		{#if marks.window}
			<path d="M{marks.window[0]} 50H{marks.window[1]}" stroke="var(--spark)" stroke-width="10" />
		{/if}
		{#if marks.band}
			<path
				d="M{marks.band[0]} 44v12M{marks.band[0]} 50H{marks.band[1]}M{marks.band[1]} 44v12"
				stroke="var(--ink)"
				stroke-width="1.8"
				fill="none"
			/>
		{/if}
		<path d="M{BAR.left} 66H{BAR.right}" stroke="var(--ink)" stroke-width="1.6" />
		{#each speedTicksMmS(bench.units) as tick (tick)}
			<path d="M{speedX(tick)} 66v6" stroke="var(--ink)" stroke-width="1.2" />
			<text x={speedX(tick)} y="86" text-anchor="middle" class="tick"
				>{bench.show(tick, 'speed').text}</text
			>
		{/each}
		<text x={BAR.width} y="86" text-anchor="end" class="dim roomy"
			>{bench.show(1, 'speed').unit}</text
		>

		{#if marks.handX !== null}
			<circle cx={marks.handX} cy="50" r="8" fill="none" stroke="var(--arc)" stroke-width="3" />
		{/if}
		{#if marks.atX !== null && marks.fastestX !== null}
			<text {...noteAt(marks.atX)} y="14" class="dim roomy">amber: {amber}{ring}</text>
			<path d="M{marks.fastestX} 36V66" stroke="var(--ink)" stroke-width="3" />
			<circle
				cx={marks.atX}
				cy="50"
				r="9"
				fill="var(--arc)"
				stroke="var(--sheet)"
				stroke-width="3"
			/>
			<text
				x={marks.atX}
				y="16"
				text-anchor="middle"
				class="fig roomy"
				style:font-size="20px"
				style:fill="var(--arc)">{bench.sayFigure('setup.speedMmS', bench.calmPlan)}</text
			>
		{/if}
	</svg>
	<p class="sub desk:hidden">
		in {bench.show(1, 'speed').unit}; pale: along a guide; past it no hand follows{#if marks.window};
			amber: {amber}{ring}{/if}
	</p>
</section>

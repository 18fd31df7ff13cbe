<script lang="ts">
	import { STEP_MM, type Sample, type Score } from '$lib/core/practice/score';
	import type { Practice } from '$lib/state/practice.svelte';

	/**
	 * The line in true size. A finger, a pen or a mouse goes along it; by keyboard the space bar is pressed
	 * at each mark. Afterwards it shows the speed along the line.
	 */
	let {
		practice,
		lengthMm,
		pxPerMm,
		markMm,
		window: range,
		finish
	}: {
		practice: Practice;
		lengthMm: number;
		pxPerMm: number;
		markMm: number;
		window: { lowMmS: number; highMmS: number };
		finish: () => void;
	} = $props();
	const [left, lineY, height] = [24, 64, 150];
	let host: SVGSVGElement;
	const width = $derived(lengthMm * pxPerMm + 2 * left);
	const marks = $derived(
		Array.from({ length: Math.floor(lengthMm / markMm + 1e-9) + 1 }, (_, i) => i * markMm)
	);

	function sampleOf(event: PointerEvent): Sample {
		const box = host.getBoundingClientRect();
		return {
			alongMm: (event.clientX - box.left - left) / pxPerMm,
			besideMm: (event.clientY - box.top - lineY) / pxPerMm,
			atS: event.timeStamp / 1000
		};
	}
	function down(event: PointerEvent) {
		host.setPointerCapture(event.pointerId);
		practice.begin(sampleOf(event));
		event.preventDefault();
	}
	function move(event: PointerEvent) {
		if (!practice.running) return;
		const events = event.getCoalescedEvents();
		practice.move((events.length ? events : [event]).map(sampleOf));
		if (practice.alongMm >= lengthMm) finish();
	}
	/** By keyboard: each press is the next mark. */
	function key(event: KeyboardEvent) {
		if (event.key !== ' ' || event.repeat) return;
		event.preventDefault();
		const atS = event.timeStamp / 1000;
		if (!practice.running) practice.begin({ alongMm: 0, besideMm: 0, atS });
		else {
			practice.move([{ alongMm: practice.alongMm + markMm, besideMm: 0, atS }]);
			if (practice.alongMm >= lengthMm - 1e-6) finish();
		}
	}
	const tallest = $derived(range.highMmS * 1.5);
	const barY = (speedMmS: number) => Math.min(60, (60 * speedMmS) / tallest);
	function ink(step: Score['steps'][number]): string {
		if (step.speedMmS < range.lowMmS) return 'var(--spark)';
		return step.speedMmS > range.highMmS ? 'var(--stops)' : 'var(--holds)';
	}
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<svg
	bind:this={host}
	{width}
	{height}
	class="track"
	role="application"
	tabindex="0"
	aria-label="Line to trace; by keyboard press the space bar at each mark"
	data-testid="track"
	onpointerdown={down}
	onpointermove={move}
	onpointerup={finish}
	onpointercancel={finish}
	onkeydown={key}
>
	<rect x="0" y="0" {width} {height} fill="var(--sheet)" />
	{#if practice.result}
		<rect
			x={left}
			y={height - 4 - barY(range.highMmS)}
			width={lengthMm * pxPerMm}
			height={barY(range.highMmS) - barY(range.lowMmS)}
			fill="var(--holds-wash)"
		/>
		{#each practice.result.steps as step (step.atMm)}
			<rect
				x={left + step.atMm * pxPerMm + 1}
				y={height - 4 - barY(step.speedMmS)}
				width={Math.max(2, STEP_MM * pxPerMm - 2)}
				height={barY(step.speedMmS)}
				fill={ink(step)}
			/>
		{/each}
	{/if}
	<path d="M{left} {lineY}h{lengthMm * pxPerMm}" stroke="var(--ink)" stroke-width="3" />
	{#each marks as mm (mm)}
		<path d="M{left + mm * pxPerMm} {lineY}v-16" stroke="var(--ink)" stroke-width="1.6" />
	{/each}
	{#if practice.running}
		<path
			d="M{left} {lineY}h{Math.max(0, practice.alongMm) * pxPerMm}"
			stroke="var(--arc)"
			stroke-width="9"
		/>
	{:else}
		<circle cx={left} cy={lineY} r="20" fill="none" stroke="var(--arc)" stroke-width="3" />
		<text x={left + 30} y={lineY - 28} font-weight="700">start here, hold down, go along</text>
	{/if}
</svg>

<style>
	.track {
		display: block;
		touch-action: none;
		cursor: crosshair;
		border: 2px solid var(--ink);
		user-select: none;
	}
</style>

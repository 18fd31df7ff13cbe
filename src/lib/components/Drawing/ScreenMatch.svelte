<script lang="ts">
	import { PX_PER_MM } from '$lib/state/screenScale';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A bar that is dragged until it measures what it says: then true size is true. */
	let { pxPerMm, match }: { pxPerMm: number; match: (pxPerMm: number) => void } = $props();
	const bench = getWorkbench();
	const RULER_MM = 50;
</script>

<div class="mt-2" data-testid="ruler">
	<p class="sub">
		Hold a rule to the bar and drag until it measures {bench.say(RULER_MM, 'length')}.
	</p>
	<div class="ruler" style:width="{RULER_MM * pxPerMm}px"></div>
	<input
		class="range w-full max-w-xl range-primary"
		type="range"
		aria-label="Size of the bar"
		min={PX_PER_MM.min}
		max={PX_PER_MM.max}
		step="0.01"
		value={pxPerMm}
		oninput={(e) => match(Number(e.currentTarget.value))}
	/>
</div>

<style>
	.ruler {
		height: 18px;
		background: repeating-linear-gradient(90deg, var(--ink) 0 20%, var(--sheet) 20% 40%);
		border: 1.5px solid var(--ink);
	}
</style>

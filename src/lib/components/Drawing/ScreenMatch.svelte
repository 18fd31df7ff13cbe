<script lang="ts">
	import { MM_PER_IN } from '$lib/core/quantity/units';
	import { PX_PER_MM } from '$lib/state/screenScale';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A bar that is dragged until it measures what it says: then true size is true. */
	let { pxPerMm, match }: { pxPerMm: number; match: (pxPerMm: number) => void } = $props();
	const bench = getWorkbench();
	/** A round length on the rule at hand. */
	const rulerMm = $derived(bench.units === 'metric' ? 50 : 2 * MM_PER_IN);
</script>

<div class="mt-2" data-testid="ruler">
	<p class="sub">
		Hold a rule to the bar and drag until it measures {bench.say(rulerMm, 'length')}.
	</p>
	<div class="ruler" style:width="{rulerMm * pxPerMm}px"></div>
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

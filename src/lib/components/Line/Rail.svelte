<script lang="ts">
	import type { Verdict } from '$lib/core';

	/** The line below one station: lifted where one stands, thin where it is tight, broken where it stops. */
	let { verdict, on }: { verdict: Verdict; on: boolean } = $props();
</script>

<svg class="rail" viewBox="0 0 100 96" preserveAspectRatio="none" aria-hidden="true">
	<rect y="84" width="100" height="12" fill="var(--sheet)" />
	{#if on}
		<path d="M0 96V84C4 84 2 13 8 13H92C98 13 96 84 100 84V96Z" fill="var(--sheet)" stroke="none" />
		<path
			d="M0 84C4 84 2 13 8 13H92C98 13 96 84 100 84"
			fill="none"
			stroke="var(--arc)"
			stroke-width="4.5"
			vector-effect="non-scaling-stroke"
		/>
	{:else}
		<path
			d={verdict === 'stops' ? 'M0 84H3M62 84H100' : 'M0 84H100'}
			fill="none"
			stroke="var(--ink)"
			stroke-width={verdict === 'tight' ? 2 : 4}
			vector-effect="non-scaling-stroke"
		/>
	{/if}
</svg>

<style>
	.rail {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
</style>

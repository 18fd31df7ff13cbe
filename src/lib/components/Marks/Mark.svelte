<script lang="ts">
	import type { Verdict } from '$lib/core';

	/** State by shape as well as colour: disc, bow tie, two bars, dashed ring. */
	let { verdict, size = 20 }: { verdict: Verdict; size?: number } = $props();
</script>

<svg width={size} height={size} viewBox="-10 -10 20 20" aria-hidden="true" class="flex-none">
	{#if verdict === 'holds'}
		<circle r="7.5" fill="var(--holds)" />
	{:else if verdict === 'tight'}
		<path
			d="M-9 -8L9 8V-8L-9 8Z"
			fill="var(--tight)"
			stroke="var(--ink)"
			stroke-width="1.5"
			stroke-linejoin="round"
		/>
	{:else if verdict === 'stops'}
		<path d="M-5 -9V9M5 -9V9" stroke="var(--stops)" stroke-width="5" />
	{:else}
		<circle r="7" fill="none" stroke="var(--ink2)" stroke-width="2" stroke-dasharray="3 3" />
	{/if}
</svg>

<script lang="ts">
	import type { Answered } from '$lib/state/preflight.svelte';

	/** Ticked is a thick disc, not so is pinched or broken, to come is dashed. */
	let {
		said,
		now,
		stops
	}: { said: Answered; now: boolean; /** When it is not so. */ stops: boolean } = $props();
</script>

<svg width="44" height="48" viewBox="-22 -24 44 48" aria-hidden="true">
	{#if said === 'yes'}
		<circle r="12" fill="var(--holds)" />
		<path d="M-6 0L-2 5L7 -5" fill="none" stroke="var(--sheet)" stroke-width="3.5" />
	{:else if said === 'no' && stops}
		<path d="M-6 -11V11M6 -11V11" stroke="var(--stops)" stroke-width="6" />
	{:else if said === 'no'}
		<path
			d="M-12 -10L12 10V-10L-12 10Z"
			fill="var(--tight)"
			stroke="var(--ink)"
			stroke-width="1.5"
		/>
	{:else if said === 'despite'}
		<circle r="11" fill="var(--sheet)" stroke="var(--tight-ink)" stroke-width="3" />
		<path d="M-5 4L5 -4M-5 -4L5 4" stroke="var(--tight-ink)" stroke-width="3" />
	{:else}
		<circle
			r="11"
			fill={now ? 'var(--arc-wash)' : 'var(--sheet)'}
			stroke={now ? 'var(--arc)' : 'var(--ink2)'}
			stroke-width={now ? 4 : 2}
			stroke-dasharray={now ? undefined : '4 3'}
		/>
	{/if}
</svg>

<style>
	svg {
		position: relative;
	}
</style>

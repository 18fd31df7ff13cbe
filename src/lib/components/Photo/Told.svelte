<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A picture on one side; what it tells, or why it does not, on the other. */
	let {
		testid,
		value,
		refused,
		about,
		picture,
		children,
		hand
	}: {
		testid: string;
		/** The figure as it was read, for those who read the page by program. */
		value: number | undefined;
		refused?: { why: string; what: string } | undefined;
		/** How it was found, and how far to trust it. */
		about: string;
		picture: Snippet;
		children?: Snippet | undefined;
		/** What a person can do by hand. */
		hand?: Snippet;
	} = $props();
</script>

<div class="sides">
	<div>{@render picture()}</div>
	<div aria-live="polite" data-testid={testid} data-value={value}>
		{#if children}
			{@render children()}
		{:else if refused}
			<p class="refused">{refused.why}</p>
			<p class="mt-1 text-[1.125rem]">{refused.what}</p>
		{/if}
		{#if hand}<div class="mt-3 flex flex-wrap gap-2">{@render hand()}</div>{/if}
		<p class="sub mt-3">{about}</p>
	</div>
</div>

<style>
	.refused {
		font-size: 1.75rem;
		font-weight: 700;
		line-height: 1.1;
	}
	div :global(.facts) {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 4px 16px;
		margin-top: 12px;
	}
	div :global(.facts dt) {
		color: var(--ink2);
	}
	/* Lines over a picture: dark below, so that they are seen on light and on dark metal. */
	div :global(.dark) {
		fill: none;
		stroke: rgb(0 0 0 / 0.6);
	}
	div :global(.scale) {
		fill: none;
		stroke: #ffd23f;
	}
	div :global(.found) {
		fill: none;
		stroke: #3ff0ff;
	}
</style>

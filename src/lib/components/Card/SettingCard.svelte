<script lang="ts">
	import type { Snippet } from 'svelte';

	/** The shop tag: cut corner, hole for a hook. The only boxed object on a screen. */
	let {
		title,
		label,
		figures,
		cells,
		notes,
		action
	}: {
		title: string;
		label: string;
		figures: Snippet;
		cells: Snippet;
		notes: Snippet;
		action?: Snippet;
	} = $props();
</script>

<section aria-label={label} class="tag">
	<svg class="corner" width="40" height="40" aria-hidden="true">
		<path d="M0 33L33 0" stroke="var(--ink)" stroke-width="3.5" />
	</svg>
	<svg class="hole" width="26" height="26" aria-hidden="true">
		<circle cx="13" cy="13" r="9" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.5" />
	</svg>
	<header class="top">
		<h2 class="h grow">{title}</h2>
		{@render action?.()}
	</header>
	<div class="figures">{@render figures()}</div>
	<div class="cells">{@render cells()}</div>
	<div class="notes">{@render notes()}</div>
</section>

<style>
	.tag {
		position: relative;
		display: flex;
		flex-direction: column;
		background: var(--card);
		border: 2.5px solid var(--ink);
		clip-path: polygon(30px 0, 100% 0, 100% 100%, 0 100%, 0 30px);
	}
	.corner {
		position: absolute;
		left: -3px;
		top: -3px;
	}
	.hole {
		position: absolute;
		left: 27px;
		top: 11px;
	}
	.top :global(.btn) {
		white-space: nowrap;
	}
	.top {
		display: flex;
		align-items: center;
		min-height: 46px;
		padding: 2px 8px 0 66px;
	}
	.figures {
		padding: 8px 16px 10px;
	}
	.cells {
		display: grid;
		/* Four in a row, two where text is large or the page small; each draws the rule about it. */
		grid-template-columns: repeat(auto-fit, minmax(8.25rem, 1fr));
		gap: 1.5px;
		border-top: 1.5px solid var(--ink);
		overflow: hidden;
	}
	.cells > :global(*) {
		box-shadow: 0 0 0 1.5px var(--ink);
	}
	.notes {
		border-top: 1.5px solid var(--ink);
		padding: 8px 16px;
		font-size: 0.9375rem;
		line-height: 1.3;
	}
</style>

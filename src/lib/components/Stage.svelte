<script lang="ts" generics="Props extends Record<string, unknown> = Record<string, never>">
	import type { Component } from 'svelte';
	import { onMount } from 'svelte';
	import { theRest } from '$lib/dom/theRest';
	import Later from './Later.svelte';

	/**
	 * A step of the work that is folded until it is its turn: when it comes, what it is, and its answer in the
	 * heading. A link to its id opens it.
	 */
	let {
		when,
		title,
		answer,
		id,
		load,
		props,
		wide = false,
		open = $bindable(false)
	}: {
		when: 'before' | 'while cutting' | 'after' | 'besides';
		title: string;
		answer: string;
		id: string;
		load: () => Promise<{ default: Component<Props> }>;
		props?: Props;
		/** Its first half needs more room than its second. */
		wide?: boolean;
		open?: boolean;
	} = $props();
	// Its code is here before the server goes away.
	$effect(
		() =>
			void theRest()
				.then(load)
				.catch(() => {})
	);
	onMount(() => {
		if (location.hash === `#${id}`) open = true;
	});
</script>

<details class="stage collapse-plus collapse" {id} bind:open data-testid="stage-{id}">
	<summary class="collapse-title">
		<span class="when">{when}</span>
		<h2 class="h">{title}</h2>
		<span class="answer">{answer}</span>
	</summary>
	<div class="collapse-content">
		<div class="inner" class:wide>
			{#if open}<Later {load} heightPx={[120, 120]} {props} />{/if}
		</div>
	</div>
</details>

<style>
	.stage {
		margin: 0 24px;
		border-radius: 0;
		border-top: 2px solid var(--ink);
		width: auto;
	}
	summary {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0 14px;
		min-height: 56px;
		align-content: center;
	}
	.when {
		min-width: 7.5rem;
		color: var(--ink2);
		font-weight: 400;
	}
	h2 {
		font-size: 1.125rem;
	}
	.answer {
		color: var(--ink2);
		font-weight: 400;
	}
	.inner {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr));
		gap: 12px 24px;
		contain: layout style;
	}
	@media (min-width: 1100px) {
		.inner.wide {
			grid-template-columns: minmax(0, 1fr) 480px;
		}
	}
	/* Its title stands in the heading already. */
	.inner > :global(.contents > section:first-child > h2:first-child) {
		display: none;
	}
	@media (max-width: 899px) {
		.stage {
			margin: 0 12px;
		}
		.when {
			min-width: 100%;
		}
	}
</style>

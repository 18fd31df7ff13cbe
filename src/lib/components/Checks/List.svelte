<script lang="ts">
	import type { Item, ListId } from '$lib/core/preflight/item';
	import type { Preflight } from '$lib/state/preflight.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import TickMark from './TickMark.svelte';
	import { ANSWER_WORDS, LIST_WORDS } from './words';

	/** One list in the order of hands; the line runs down it. */
	let { list, items, view }: { list: ListId; items: Item[]; view: Preflight } = $props();
	const bench = getWorkbench();
	const signed = $derived(view.signedAt(list));
</script>

<section aria-labelledby="list-{list}">
	<h2 id="list-{list}" class="h">
		{LIST_WORDS[list].name}
		<span class="sub">{signed ? `signed off ${signed}` : LIST_WORDS[list].help}</span>
	</h2>
	<ol>
		{#each items as item (item.id)}
			{@const said = view.of(item)}
			{@const now = view.now?.id === item.id}
			<li class:now class={said}>
				<TickMark {said} {now} stops={item.held.verdict === 'stops'} />
				<button
					type="button"
					aria-current={now ? 'step' : undefined}
					data-item={item.id}
					onclick={() => (view.chosen = item.id)}
				>
					<b>{bench.sayAll(item.ask)}</b>
					{#if item.more}<span class="sub">{bench.sayAll(item.more)}</span>{/if}
					<span class="said" class:quiet={said === 'open' || said === 'yes'}
						>{ANSWER_WORDS[said]}</span
					>
				</button>
			</li>
		{/each}
	</ol>
</section>

<style>
	ol {
		margin-top: 4px;
	}
	li {
		position: relative;
		display: grid;
		grid-template-columns: 44px minmax(0, 1fr);
		min-height: 48px;
	}
	/* The line through them: whole behind, dashed ahead. */
	li:not(:last-child)::before {
		content: '';
		position: absolute;
		left: 20px;
		top: 24px;
		bottom: -24px;
		border-left: 3px dashed var(--ink2);
	}
	li.yes:not(:last-child)::before {
		border-left: 5px solid var(--ink);
		left: 19px;
	}
	li.now {
		background: var(--arc-wash);
	}
	button {
		text-align: left;
		padding: 4px 8px 4px 4px;
		cursor: pointer;
		font-size: 1.0625rem;
		line-height: 1.2;
	}
	li.now b {
		color: var(--arc);
	}
	button .sub {
		display: block;
	}
	.said {
		display: block;
		font-size: 0.875rem;
		font-weight: 700;
		color: var(--tight-ink);
	}
	.quiet {
		position: absolute;
		width: 1px;
		height: 1px;
		overflow: hidden;
		clip-path: inset(50%);
	}
</style>

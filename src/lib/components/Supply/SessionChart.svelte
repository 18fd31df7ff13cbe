<script lang="ts">
	import type { SessionTrace } from '$lib/core';
	import Graph from '$lib/components/Graph/Graph.svelte';
	import { sessionOption, STRIPS, type ChartWords } from './sessionChart';

	/** Tank, inlet, breaker and cutter in time. */
	let { trace, words, atS }: { trace: SessionTrace; words: ChartWords; atS: number } = $props();
</script>

<div class="frame">
	<Graph option={(inks) => sessionOption(trace, inks, words)} />
	{#each STRIPS as strip (strip.name)}
		<span class="strip" style:top="{strip.top}px">
			<b>{strip.name}</b>
			{#each strip.keys as [name, color] (name)}
				<span class="swatch" style:background="var({color})"></span>{name}
			{/each}
		</span>
	{/each}
	{#if trace.untilS > 0}
		<div class="cursor" style:--at={atS / trace.untilS}></div>
	{/if}
</div>

<style>
	.frame {
		position: relative;
		height: 326px;
	}
	.swatch {
		width: 18px;
		height: 4px;
		margin-left: 8px;
	}
	.strip {
		position: absolute;
		left: 56px;
		display: flex;
		align-items: center;
		gap: 5px;
		font-size: 0.8125rem;
		color: var(--ink2);
		pointer-events: none;
	}
	.cursor {
		position: absolute;
		top: 20px;
		height: 286px;
		left: calc(56px + (100% - 68px) * var(--at));
		border-left: 2px solid var(--arc);
		pointer-events: none;
	}
</style>

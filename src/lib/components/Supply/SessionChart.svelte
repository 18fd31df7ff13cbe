<script lang="ts">
	import { onMount } from 'svelte';
	import type { EChartsType } from 'echarts/core';
	import type { SessionTrace } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { sessionOption, STRIPS, type ChartWords } from './sessionChart';

	/** Tank, inlet, breaker and cutter in time. The library is loaded when the chart is seen. */
	let { trace, words, atS }: { trace: SessionTrace; words: ChartWords; atS: number } = $props();
	const bench = getWorkbench();
	let place: HTMLDivElement;
	let chart = $state.raw<EChartsType | undefined>();
	let theme = $state(0);

	function inks() {
		const style = getComputedStyle(place);
		const of = (name: string) => style.getPropertyValue(name).trim();
		return {
			ink: of('--ink'),
			ink2: of('--ink2'),
			rule: of('--rule'),
			arc: of('--arc'),
			arcWash: of('--arc-wash'),
			spark: of('--spark'),
			stops: of('--stops'),
			font: of('--font-plain')
		};
	}

	onMount(() => {
		let gone = false;
		const seen = new IntersectionObserver((entries) => {
			if (!entries.some((entry) => entry.isIntersecting)) return;
			seen.disconnect();
			void import('./echarts').then(({ init }) => {
				if (!gone) chart = init(place, undefined, { renderer: 'canvas' });
			});
		});
		seen.observe(place);
		const size = new ResizeObserver(() => chart?.resize());
		size.observe(place);
		const themes = new MutationObserver(() => theme++);
		themes.observe(document.documentElement, { attributeFilter: ['data-theme'] });
		return () => {
			gone = true;
			seen.disconnect();
			size.disconnect();
			themes.disconnect();
			chart?.dispose();
		};
	});
	$effect(() => {
		void theme;
		void bench.units;
		chart?.setOption(sessionOption(trace, inks(), words), { notMerge: true, silent: true });
	});
</script>

<div class="frame">
	<div bind:this={place} class="chart" aria-hidden="true"></div>
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
	.chart {
		position: absolute;
		inset: 0;
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
		font-size: 13px;
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

<script lang="ts">
	import { onMount } from 'svelte';
	import type { EChartsCoreOption, EChartsType } from 'echarts/core';
	import { whenSeen } from '$lib/dom/whenSeen';
	import { inksOf, type Inks } from './inks';

	/** A chart. The library is loaded when it is seen; what it shows stands beside it in words. */
	let { option }: { option: (inks: Inks) => object } = $props();
	let place: HTMLDivElement;
	let chart = $state.raw<EChartsType | undefined>();
	let theme = $state(0);
	let gone = false;

	const load = whenSeen(() => {
		void import('./echarts').then(({ init }) => {
			if (!gone) chart = init(place, undefined, { renderer: 'canvas' });
		});
	});

	onMount(() => {
		const size = new ResizeObserver(() => chart?.resize());
		size.observe(place);
		const themes = new MutationObserver(() => theme++);
		themes.observe(document.documentElement, { attributeFilter: ['data-theme'] });
		return () => {
			gone = true;
			size.disconnect();
			themes.disconnect();
			chart?.dispose();
		};
	});
	$effect(() => {
		void theme;
		chart?.setOption(option(inksOf(place)) as EChartsCoreOption, { notMerge: true, silent: true });
	});
</script>

<div bind:this={place} {@attach load} class="absolute inset-0" aria-hidden="true"></div>

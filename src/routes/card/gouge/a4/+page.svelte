<script lang="ts">
	import { untrack } from 'svelte';
	import CardReasons from '$lib/components/Card/CardReasons.svelte';
	import PrintGouge from '$lib/components/Card/PrintGouge.svelte';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The gouging card on A4: to cut out on top, where every number comes from below. */
	let { data }: PageProps = $props();
	const bench = new Workbench(untrack(() => data.workbench));
	setWorkbench(bench);
</script>

<svelte:head><title>Gouging sheet · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<div class="no-print mb-4 flex flex-wrap items-center gap-3">
		<a class="btn" href="/gouge?{bench.search}">Back to Gouge</a>
		<!-- A whole new page: only one size of paper may stand in the styles. -->
		<a class="btn" href="/card/gouge?{bench.search}" data-sveltekit-reload>A6 card</a>
		<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print, A4</button>
	</div>
	<PrintGouge day={data.day} />
	<CardReasons of="groove" />
</main>

<style>
	@page {
		size: A4;
		margin: 10mm 12mm 8mm;
	}
</style>

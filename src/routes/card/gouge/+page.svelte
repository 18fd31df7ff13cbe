<script lang="ts">
	import { untrack } from 'svelte';
	import PrintGouge from '$lib/components/Card/PrintGouge.svelte';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The gouging card alone, for the printer or a phone propped on the bench. */
	let { data }: PageProps = $props();
	const bench = new Workbench(untrack(() => data.workbench));
	setWorkbench(bench);
</script>

<svelte:head><title>Gouging card · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<div class="no-print mb-4 flex flex-wrap items-center gap-3">
		<a class="btn" href="/gouge?{bench.search}">Back to Gouge</a>
		<!-- A whole new page: only one size of paper may stand in the styles. -->
		<a class="btn" href="/card/gouge/a4?{bench.search}" data-sveltekit-reload>A4 with its reasons</a
		>
		<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print, A6</button>
	</div>
	<PrintGouge day={data.day} />
</main>

<style>
	/* A6 has no name in CSS. */
	@page {
		size: 148mm 105mm;
		margin: 0;
	}
</style>

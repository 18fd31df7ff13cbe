<script lang="ts">
	import { untrack } from 'svelte';
	import CardBar from '$lib/components/Card/CardBar.svelte';
	import CardReasons from '$lib/components/Card/CardReasons.svelte';
	import PrintCard from '$lib/components/Card/PrintCard.svelte';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The card on A4: to cut out on top, where every number comes from below. */
	let { data }: PageProps = $props();
	setWorkbench(new Workbench(untrack(() => data.workbench)));
</script>

<svelte:head><title>Setting sheet · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<CardBar of="cut" paper="A4" saved={data.saved} day={data.day} />
	<PrintCard name={data.saved?.name} day={data.day} />
	<CardReasons />
</main>

<style>
	@page {
		size: A4;
		margin: 10mm 12mm 8mm;
	}
</style>

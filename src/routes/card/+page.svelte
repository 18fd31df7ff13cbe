<script lang="ts">
	import { untrack } from 'svelte';
	import CardBar from '$lib/components/Card/CardBar.svelte';
	import PrintCard from '$lib/components/Card/PrintCard.svelte';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The setting card alone, for the printer or a phone propped on the bench. */
	let { data }: PageProps = $props();
	setWorkbench(new Workbench(untrack(() => data.workbench)));
</script>

<svelte:head><title>Setting card · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<CardBar of="cut" paper="A6" saved={data.saved} day={data.day} />
	<PrintCard name={data.saved?.name} day={data.day} />
</main>

<style>
	/* A6 has no name in CSS. */
	@page {
		size: 148mm 105mm;
		margin: 0;
	}
</style>

<script lang="ts">
	import { untrack } from 'svelte';
	import PrintCard from '$lib/components/Card/PrintCard.svelte';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The setting card alone, for the printer or a phone propped on the bench. */
	let { data }: PageProps = $props();
	const bench = new Workbench(untrack(() => data.workbench));
	setWorkbench(bench);
</script>

<svelte:head><title>Setting card · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<div class="no-print mb-4 flex gap-3">
		<a class="act" href="/setup?{bench.search}">Back to Setup</a>
		<button type="button" class="act main" onclick={() => window.print()}>Print, A6</button>
	</div>
	<PrintCard />
</main>

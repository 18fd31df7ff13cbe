<script lang="ts">
	import { untrack } from 'svelte';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { WorkbenchData } from '$lib/state/workbenchData';
	import PrintCard from './PrintCard.svelte';
	import PrintGouge from './PrintGouge.svelte';

	/** A saved card among others, each planned from its own bench, evidence and settings. */
	let {
		workbench,
		name,
		what,
		day
	}: { workbench: WorkbenchData; name: string; what: 'cut' | 'groove'; day: string } = $props();
	const Card = $derived(what === 'groove' ? PrintGouge : PrintCard);
	setWorkbench(new Workbench(untrack(() => workbench)));
</script>

<Card {name} {day} />

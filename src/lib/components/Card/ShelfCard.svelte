<script lang="ts">
	import { untrack } from 'svelte';
	import { setWorkbench, Workbench, type WorkbenchData } from '$lib/state/workbench.svelte';
	import PrintCard from './PrintCard.svelte';

	/** A saved card among others, each planned from its own bench, evidence and settings. */
	let { workbench, name, day }: { workbench: WorkbenchData; name: string; day: string } = $props();
	setWorkbench(new Workbench(untrack(() => workbench)));
</script>

<PrintCard {name} {day} />

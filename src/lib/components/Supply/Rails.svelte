<script lang="ts">
	import { partsOf, type PartId } from '$lib/components/Bench/parts';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import CutterBox from './CutterBox.svelte';
	import RailPart from './RailPart.svelte';

	/** Electricity and air run towards the cutter; each part tells its value and its margin. */
	let {
		open,
		choose,
		told = 'results'
	}: {
		open: PartId;
		choose: (part: PartId) => void;
		/** Results and margins, or what was entered. */
		told?: 'results' | 'entered';
	} = $props();
	const bench = getWorkbench();
	const parts = $derived(partsOf(bench.bench));
	const rails = [
		{ id: 'electricity', name: 'Electricity' },
		{ id: 'air', name: 'Air' }
	] as const;
</script>

<div class="rails">
	{#each rails as rail (rail.id)}
		<section class="rail" aria-label={rail.name}>
			<h2 class="h">{rail.name}</h2>
			<div class="parts">
				{#each parts.filter((part) => part.rail === rail.id) as part, i (part.id)}
					<RailPart {part} {told} open={open === part.id} first={i === 0} {choose} />
				{/each}
			</div>
		</section>
	{/each}
	<CutterBox open={open === 'cutter'} {told} {choose} />
</div>

<style>
	.rails {
		display: grid;
		grid-template-columns: 1fr 150px;
		grid-template-rows: 1fr 1fr;
	}
	.rail {
		grid-column: 1;
	}
	.parts {
		display: grid;
		grid-auto-flow: column;
		grid-auto-columns: 1fr;
	}
	@media (max-width: 899px) {
		.rails {
			grid-template-columns: 1fr 1fr;
			grid-template-rows: auto auto;
			gap: 8px;
		}
		.rail {
			grid-column: auto;
		}
		.parts {
			grid-auto-flow: row;
		}
	}
</style>

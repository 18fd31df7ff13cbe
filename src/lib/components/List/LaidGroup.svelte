<script lang="ts">
	import { METALS } from '$lib/core';
	import type { PlatesOf } from '$lib/core/studies/list/plates';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import PlateDrawing from './PlateDrawing.svelte';
	import { leftWords } from './words';

	/** Plates of one metal and thickness, with what lies on each. */
	let { view, group, trimMm }: { view: DayListView; group: PlatesOf; trimMm: number } = $props();
	const bench = getWorkbench();
	/** Plates drawn at first. */
	const SHOWN = 12;
	let most = $state(SHOWN);
	const percent = (share: number) => `${Math.round(share * 100)} %`;
</script>

<section class="group">
	<h2 class="big fig">
		{bench.say(group.thicknessMm, 'thickness')}
		{METALS[group.metal].label.toLowerCase()}: {group.layout.plates.length === 1
			? 'one plate'
			: `${group.layout.plates.length} plates`}
	</h2>
	<p>
		<b>{percent(group.layout.yieldShare)} become parts</b>; kerf {bench.say(group.kerfMm, 'small')}
		between neighbours. The best of many ways that were tried, not of all.
	</p>
	{#each group.layout.left as left (left.id)}
		<p class="font-semibold" role="alert" style:color="var(--stops)">
			{left.count} × {view.itemOf(left.id)?.name}
			{leftWords(left)}.
		</p>
	{/each}
	<div class="sheets">
		{#each group.layout.plates.slice(0, most) as laid, k (k)}
			<PlateDrawing {view} {laid} nth={k + 1} {trimMm} />
		{/each}
	</div>
	{#if group.layout.plates.length > most}
		<button type="button" class="no-print btn mt-2" onclick={() => (most += 50)}
			>Show more: {group.layout.plates.length - most} plates</button
		>
	{/if}
</section>

<style>
	.group {
		padding-bottom: 12px;
		margin-bottom: 12px;
		border-bottom: 2px solid var(--ink);
	}
	.big {
		font-size: 2.25rem;
		line-height: 1.1;
	}
	.sheets {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, 380px), 1fr));
		gap: 16px;
		margin-top: 8px;
	}
	@media print {
		.sheets {
			display: block;
			padding: 0;
		}
	}
</style>

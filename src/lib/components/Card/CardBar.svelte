<script lang="ts">
	import { page } from '$app/state';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Above a card on the screen: back, the other paper, print; and what has moved since it was saved. */
	let {
		of,
		paper,
		saved,
		day
	}: {
		of: 'cut' | 'groove';
		paper: 'A6' | 'A4';
		saved: {
			name: string;
			kept: boolean;
			moved: string[];
			modelVersion: string;
			modelToday: string;
		} | null;
		day: string;
	} = $props();
	const bench = getWorkbench();
	const [own, station, name] = $derived(
		of === 'groove'
			? (['/card/gouge', '/gouge', 'Gouge'] as const)
			: (['/card', '/setup', 'Setup'] as const)
	);
	const other = $derived(paper === 'A6' ? `${own}/a4` : own);
</script>

<div class="no-print mb-4 flex flex-wrap items-center gap-3">
	<a class="btn" href="{station}?{bench.search}">Back to {name}</a>
	<!-- A whole new page: only one size of paper may stand in the styles. -->
	<a class="btn" href="{other}{page.url.search}" data-sveltekit-reload
		>{paper === 'A6' ? 'A4 with its reasons' : 'A6 card'}</a
	>
	<button type="button" class="btn btn-primary" onclick={() => window.print()}
		>Print, {paper}</button
	>
	{#if saved}
		<p data-testid="saved">
			{#if saved.kept}
				<b>{saved.name}</b>, with the numbers of {day} (model {saved.modelVersion}).
			{:else}
				<b>{saved.name}</b>, of {day}. The program of that day (model {saved.modelVersion}) did not
				keep its numbers: these are today’s, from what was saved.
			{/if}
			{#if saved.moved.length}
				Today’s model {saved.modelToday} and evidence: {saved.moved.join('; ')}.
			{:else}
				Today’s model {saved.modelToday} says the same.
			{/if}
		</p>
	{/if}
</div>

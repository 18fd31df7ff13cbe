<script lang="ts">
	import { logCut, logStart, undoEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { entryWords } from './words';

	/** One gesture, one entry; the newest can be taken back. */
	const bench = getWorkbench();
	const last = $derived(bench.lastEntry);
</script>

<section aria-label="Log it" class="min-w-0">
	<div class="flex items-center gap-3">
		<h2 class="h whitespace-nowrap">Log it</h2>
		{#if last}
			<span class="sub min-w-0 grow truncate" data-testid="last-entry"
				>last: {entryWords(last.entry, bench)}</span
			>
			<button
				type="button"
				class="btn btn-ghost whitespace-nowrap underline"
				onclick={() => void undoEntry(bench, last.id)}>Take it back</button
			>
		{/if}
	</div>
	<div class="mt-1 flex flex-wrap gap-2">
		{#if bench.canLogCut}
			<button type="button" class="btn grow btn-primary btn-xl" onclick={() => void logCut(bench)}
				>Log this cut, {bench.sayFigure('setup.lineMm')} <kbd class="kbd kbd-sm">L</kbd></button
			>
		{:else}
			<p class="sub grow self-center">This cut does not go through: there is nothing to log.</p>
		{/if}
		<button type="button" class="btn btn-xl" onclick={() => void logStart(bench)}
			>One start <kbd class="kbd kbd-sm">K</kbd></button
		>
	</div>
</section>

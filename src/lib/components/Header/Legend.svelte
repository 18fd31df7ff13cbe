<script lang="ts">
	import { BASIS_WORDS, type Basis } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The strip that tells what the balloons mean. */
	const bench = getWorkbench();
	const letters = Object.entries(BASIS_WORDS) as [Basis, string][];
</script>

<footer class="no-print sheet legend" class:noticed={bench.notice}>
	<span>Where from:</span>
	{#each letters as [letter, words] (letter)}
		<span class="inline-flex items-center gap-1.5"><span class="wf">{letter}</span>{words}</span>
	{/each}
	<span class="grow"></span>
	<span class="inline-flex items-center gap-2 max-desk:hidden"
		><kbd class="kbd kbd-sm">W</kbd> where from <kbd class="kbd kbd-sm">?</kbd> words and keys</span
	>
</footer>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 4px 16px;
		min-height: 34px;
		padding: 4px 24px;
		border-top: 2px solid var(--ink);
		color: var(--ink2);
		font-size: 0.875rem;
	}
	/*
	 * What the notice covers can be scrolled out from under it. A class, for a :has() on the body lets every row
	 * that comes or goes style the whole page again.
	 */
	.noticed {
		padding-bottom: 90px;
	}
	@media (max-width: 899px) {
		.legend {
			padding: 8px 12px 90px;
		}
	}
</style>

<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What belongs on card and cut whatever the figures say. */
	let { title = 'Cautions' }: { title?: string } = $props();
	const bench = getWorkbench();
</script>

<section aria-label={title} data-testid="cautions">
	<h2 class="h">{title}</h2>
	<ul class="mt-1 space-y-1">
		{#each bench.said.cautions as { text } (text)}<li
				class="border-l-4 border-[var(--spark)] pl-3 text-[0.9375rem] leading-[1.3]"
			>
				{text}
			</li>{/each}
	</ul>
	<p class="sub mt-1">Common practice; the maker’s book and local rules come first.</p>
</section>

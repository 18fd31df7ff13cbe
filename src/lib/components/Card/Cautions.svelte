<script lang="ts">
	import type { CautionId } from '$lib/core/safety/cautions';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What belongs on card and cut whatever the figures say. */
	let {
		title = 'Cautions',
		except = []
	}: { title?: string; /** Told on the page already. */ except?: readonly CautionId[] } = $props();
	const bench = getWorkbench();
	const cautions = $derived(bench.said.cautions.filter(({ id }) => !except.includes(id)));
</script>

<section aria-label={title} data-testid="cautions">
	<h2 class="h">{title}</h2>
	<ul class="mt-1 space-y-1">
		{#each cautions as { text } (text)}<li
				class="border-l-4 border-[var(--spark)] pl-3 text-[0.9375rem] leading-[1.3]"
			>
				{text}
			</li>{/each}
	</ul>
	<p class="sub mt-1">Common practice; the maker’s book and local rules come first.</p>
</section>

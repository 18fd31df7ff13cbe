<script lang="ts">
	import { BASIS_WORDS, NAMES, type FigureId } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** "Where from?": the letter says how far to trust the figure, a press opens its working. */
	let { id }: { id: FigureId } = $props();
	const bench = getWorkbench();
	const basis = $derived(bench.plan.figures[id].basis);
	const open = $derived(bench.opened === id);
</script>

<button
	type="button"
	class="wf"
	class:on={open}
	data-figure={id}
	aria-expanded={open}
	aria-label="Where from? {NAMES[id].label}: {BASIS_WORDS[basis]}"
	title={BASIS_WORDS[basis]}
	onclick={() => (bench.opened = open ? undefined : id)}>{basis}</button
>

<script lang="ts">
	import { BASIS_WORDS, NAMES, type FigureId } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** "Where from?": the letter says how far to trust the figure, a press opens its working. */
	let { id }: { id: FigureId } = $props();
	const bench = getWorkbench();
	const basis = $derived(bench.plan.figures[id].basis);
	/** For who hovers or listens, once the hand rests: attributes that the library's style looks at are styled again. */
	const words = $derived(BASIS_WORDS[bench.calmPlan.figures[id].basis]);
	const open = $derived(bench.opened === id);
</script>

<button
	type="button"
	class="wf"
	class:on={open}
	data-figure={id}
	aria-expanded={open}
	aria-label="Where from? {NAMES[id].label}: {words}"
	title={words}
	onclick={() => (bench.opened = open ? undefined : id)}>{basis}</button
>

<script lang="ts">
	import { NAMES, type FigureId } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Balloon from './Balloon.svelte';

	/** Figures under one another, each with its name and its balloon. */
	let {
		rows,
		size = 23,
		columns = false
	}: {
		/** A figure, with a shorter name and a word for "there is none" where wanted. */
		rows: readonly { id: FigureId; name?: string; none?: string }[];
		size?: number;
		columns?: boolean;
	} = $props();
	const bench = getWorkbench();
	const text = (row: (typeof rows)[number]) =>
		bench.plan.figures[row.id].value === null && row.none ? row.none : bench.sayFigure(row.id);
</script>

<dl class={columns ? 'grid grid-cols-1 gap-x-6 sm:grid-cols-2' : ''}>
	{#each rows as row (row.id)}
		<div class="flex items-center gap-2 border-t py-1" style:border-color="var(--rule)">
			<dt class="grow text-[0.9375rem]">{row.name ?? NAMES[row.id].label}</dt>
			<dd class="flex items-center gap-2">
				<span class="fig" style:font-size="{size}px">{text(row)}</span><Balloon id={row.id} />
			</dd>
		</div>
	{/each}
</dl>

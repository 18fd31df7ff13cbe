<script lang="ts">
	import type { FigureId } from '$lib/core';
	import { washOnChange } from '$lib/state/wash.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Balloon from './Balloon.svelte';

	/** A figure with its unit at 45 % and, unless told otherwise, its balloon. */
	let {
		id,
		size,
		color = 'inherit',
		balloon = true
	}: { id: FigureId; size: number; color?: string; balloon?: boolean } = $props();
	const bench = getWorkbench();
	const shown = $derived(bench.showFigure(id));
	const unitSize = $derived(Math.max(13, Math.round(size * 0.45)));
</script>

<span class="inline-flex items-end gap-2">
	<span
		class="fig"
		style:font-size="{size}px"
		style:color
		{@attach washOnChange(
			() => shown.text,
			() => bench.dragging
		)}
		>{shown.text}<span
			style:font-size="{unitSize}px"
			style:margin-left={shown.unit === '°' ? '1px' : `${Math.round(unitSize / 5)}px`}
			>{shown.unit}</span
		></span
	>
	{#if balloon}<Balloon {id} />{/if}
</span>

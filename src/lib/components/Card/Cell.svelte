<script lang="ts">
	import type { FigureId } from '$lib/core';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';

	/** One cell of the tag. */
	let {
		name,
		value,
		note,
		id,
		long = value.length > 9
	}: {
		name: string;
		value: string;
		note?: string;
		id?: FigureId;
		/** In smaller letters; told where a hand makes it longer and shorter, and the size is to stay. */
		long?: boolean;
	} = $props();
</script>

<div class="px-3 py-2">
	<div class="sub flex items-center gap-2">
		{name}{#if id}<Balloon {id} />{/if}
	</div>
	<div
		class="fig mt-1 whitespace-nowrap {long
			? 'text-[1.5rem] leading-[1.875rem]'
			: 'text-[1.875rem]'}"
	>
		{value}
	</div>
	{#if note}<div class="sub leading-tight">{note}</div>{/if}
</div>

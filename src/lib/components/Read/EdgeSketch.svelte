<script lang="ts">
	import type { Sign } from '$lib/core';

	/** What an edge looks like, from the side, travel to the right; our own drawings. */
	let { sign }: { sign: Sign } = $props();
	const lag = (curve: number) =>
		Array.from({ length: 6 }, (_, i) => `M${10 + i * 9} 8q${-curve / 4} 12 ${-curve} 24`).join('');
</script>

<svg viewBox="0 0 64 44" width="64" height="44" class="flex-none" aria-hidden="true">
	<path d="M2 8H62V32H2Z" fill="var(--steel)" stroke="currentColor" stroke-width="1.4" />
	<g fill="none" stroke="currentColor" stroke-width="1.1">
		{#if sign === 'soft-dross'}
			<path d={lag(1)} />
			<path
				d="M4 32q4 9 8 0q5 11 10 0q4 8 9 0q5 11 10 0q4 9 9 0q4 8 8 0"
				fill="currentColor"
				stroke-width="2"
			/>
		{:else if sign === 'hard-dross'}
			<path d={lag(9)} />
			<path
				d="M4 34l2 3l2 -3l2 3l2 -3l2 3l2 -3l2 3l2 -3l2 3l2 -3l2 3l2 -3l2 3l2 -3"
				stroke-width="2"
			/>
		{:else if sign === 'spatter'}
			<path d={lag(4)} />
			{#each [8, 17, 23, 34, 41, 52] as x, i (x)}
				<circle cx={x} cy={5 - (i % 2) * 2} r="2.4" fill="currentColor" />
			{/each}
		{:else if sign === 'not-through'}
			<path d="M2 8H62V24q-10 -4 -20 1t-20 -2t-20 2Z" fill="var(--sheet)" />
			<path d="M10 8q-1 6 -3 11M22 8q-1 6 -4 11M34 8q-1 6 -4 12M46 8q-1 6 -4 11" />
		{:else if sign === 'wide-kerf'}
			<path d="M20 4V40M44 4V40" stroke-width="2" />
			<path d="M20 8H44V32H20Z" fill="var(--sheet)" stroke="none" />
			<path d="M24 20h16m-13 -4l-4 4l4 4m10 -8l4 4l-4 4" stroke-width="1.8" />
		{:else if sign === 'bevel'}
			<path d="M2 8H30L18 32H2Z" fill="var(--sheet)" stroke-width="1.8" />
			<path d="M30 8V32" stroke-dasharray="3 3" />
		{:else if sign === 'rough'}
			<path
				d="M8 8l3 5l-4 5l4 5l-3 9M20 8l-3 6l4 5l-4 6l3 7M33 8l3 5l-4 7l4 5l-2 7M46 8l-3 7l4 5l-3 5l2 7M57 8l-2 6l3 6l-3 5l2 7"
			/>
		{:else}
			<path d="M4 20h9l3 -9l5 18l4 -14l4 9h6l4 -14l6 22l4 -12h13" stroke-width="2" />
		{/if}
	</g>
</svg>

<script lang="ts">
	import type { TorchPart } from '$lib/core';

	/** A part of the torch from the side, 64 by 56. */
	let { part }: { part: TorchPart } = $props();
</script>

<svg viewBox="0 0 64 56" width="64" height="56" aria-hidden="true">
	<g stroke="var(--ink)" stroke-width="1.8" stroke-linejoin="round">
		{#if part === 'electrode'}
			<path d="M24 4h16v30l-4 12h-8l-4-12Z" fill="var(--copper)" />
			<path d="M24 12h16M24 18h16" fill="none" stroke-width="1.3" />
			<path d="M29 40h6v6h-6Z" fill="var(--ink)" stroke="none" />
		{:else if part === 'swirl-ring'}
			<path d="M16 14h32v28h-32Z" fill="var(--faint)" />
			<path d="M24 14v28M40 14v28" fill="none" stroke-dasharray="4 3" stroke-width="1.3" />
			<g fill="var(--ink)" stroke="none"
				><circle cx="20" cy="36" r="2" /><circle cx="32" cy="36" r="2" /><circle
					cx="44"
					cy="36"
					r="2"
				/></g
			>
		{:else if part === 'nozzle'}
			<path d="M16 8h32v14L36 44h-8L16 22Z" fill="var(--copper2)" />
			<path d="M22 8v12l8 18v6M42 8v12l-8 18v6" fill="none" stroke-width="1.3" />
		{:else if part === 'cap'}
			<path d="M14 6h36v24L42 48h-20L14 30Z" fill="var(--steel)" />
			<path d="M14 12h36M14 18h36" fill="none" stroke-width="1.3" />
		{:else if part === 'shield'}
			<path d="M16 14h32l-4 26h-24Z" fill="var(--steel2)" />
			<path d="M20 40h24v6h-24Z" fill="var(--steel)" />
			<path d="M29 40v6M35 40v6" fill="none" stroke-width="1.3" />
		{:else}
			<ellipse cx="32" cy="28" rx="20" ry="11" fill="none" stroke-width="6" />
		{/if}
	</g>
</svg>

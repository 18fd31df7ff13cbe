<script lang="ts">
	import type { PartId } from '$lib/components/Bench/parts';

	/** Drawing symbol of a part, 64 × 64. */
	let { part }: { part: PartId } = $props();
</script>

<svg width="64" height="64" viewBox="-32 -32 64 64" aria-hidden="true" class="symbol">
	{#if part === 'panel'}
		<rect x="-24" y="-31" width="48" height="62" class="body" />
		<path d="M5 -20L-8 3H1L-4 21L10 -4H1Z" class="ink" />
	{:else if part === 'breaker'}
		<rect x="-26" y="-30" width="52" height="60" class="body" />
		<path d="M-26 0H-12M12 0H26M-12 0L9 -13M5 -4l8 8M13 -4l-8 8" class="ink" />
	{:else if part === 'wire'}
		<path
			d="M-32 0c5 0 5 -16 11 -16s10 32 21 32s11 -32 21 -32s6 16 11 16"
			class="ink"
			stroke-width="4"
		/>
	{:else if part === 'receptacle'}
		<circle r="27" class="body" />
		<g fill="var(--ink)"
			><circle cx="-9" cy="5" r="3.6" /><circle cx="9" cy="5" r="3.6" /><circle
				cy="-11"
				r="3.6"
			/></g
		>
	{:else if part === 'cord'}
		<path d="M-32 0C-12 0 -16 -22 0 -22S16 20 0 20S-14 -22 2 -22S12 0 32 0" class="ink" />
	{:else if part === 'compressor'}
		<rect x="-32" y="-12" width="64" height="38" class="body" />
		<circle cx="-13" cy="-15" r="15" class="body" />
		<path d="M-19 -21L-6 -15L-19 -9Z" class="ink" />
		<rect x="8" y="-24" width="20" height="12" class="body" />
	{:else if part === 'tank'}
		<rect x="-25" y="-31" width="50" height="62" rx="20" class="body" />
		<circle cy="-4" r="13" class="ink" />
		<path d="M0 -4L-7 -12" class="ink" />
	{:else if part === 'dryer'}
		<rect x="-17" y="-31" width="34" height="62" rx="6" class="body" />
		<path d="M-9 -22H9" class="ink" />
		<g class="ink" stroke-width="1.5">
			{#each [-9, 0, 9] as x (x)}{#each [-10, 1, 12, 23] as y (y)}<circle
						cx={x}
						cy={y}
						r="3.4"
					/>{/each}{/each}
		</g>
	{:else if part === 'filter'}
		<path d="M0 -30L28 0L0 30L-28 0Z" class="body" />
		<path d="M0 -28V28" class="ink" stroke-width="1.8" stroke-dasharray="4 4" />
		<path d="M13 -7c5 6 5 10 0 10s-5 -4 0 -10Z" fill="var(--ink)" />
	{:else if part === 'hose'}
		<path
			d="M-32 0C-20 0 -24 24 -10 24S4 -22 -8 -22S-12 24 8 24S20 -22 8 -22S14 0 32 0"
			class="ink"
		/>
	{/if}
</svg>

<style>
	.symbol {
		position: relative;
		pointer-events: none;
	}
	.body {
		fill: var(--card);
		stroke: var(--ink);
		stroke-width: 2.2;
	}
	.ink {
		stroke: var(--ink);
		stroke-width: 2.2;
		fill: none;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
</style>

<script lang="ts">
	import { page } from '$app/state';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Cell from './Cell.svelte';
	import { ROOM_OF, stationCells } from './line';

	/** The line is the margin: it runs through all stations, pinched where tight, broken where it stops. */
	const bench = getWorkbench();
	const cells = $derived(stationCells(bench));
	const here = $derived(page.url.pathname.slice(1));
	const active = $derived(ROOM_OF[here] ?? here);
</script>

<nav aria-label="The line" aria-busy={bench.behind} class="line no-print">
	{#each cells as cell, index (cell.station)}
		<Cell {cell} {index} on={cell.station === active} here={cell.station === here} />
	{/each}
</nav>

<style>
	.line {
		container-type: inline-size;
		display: grid;
		grid-template-columns: repeat(6, 1fr);
		height: 6rem;
		padding: 0 8px;
		background: linear-gradient(var(--paper) 5.25rem, var(--sheet) 5.25rem);
		position: sticky;
		top: 0;
		z-index: 20;
	}
	.line::before,
	.line::after {
		content: '';
		position: absolute;
		top: calc(5.25rem - 2px);
		width: 8px;
		height: 4px;
		background: var(--ink);
	}
	.line::before {
		left: 0;
	}
	.line::after {
		right: 0;
	}
	@media (max-width: 899px) {
		.line {
			height: 5.25rem;
			padding: 0;
			background: linear-gradient(var(--paper) 4.625rem, var(--sheet) 4.625rem);
		}
		.line::before,
		.line::after {
			display: none;
		}
	}
</style>

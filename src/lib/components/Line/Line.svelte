<script lang="ts">
	import { page } from '$app/state';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { VERDICT_INK } from '$lib/components/Marks/ink';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { ROOM_OF, stationCells } from './line';

	/** The line is the margin: it runs through all stations, pinched where tight, broken where it stops. */
	const bench = getWorkbench();
	const cells = $derived(stationCells(bench));
	const here = $derived(page.url.pathname.slice(1));
	const active = $derived(ROOM_OF[here] ?? here);
</script>

<nav aria-label="The line" aria-busy={bench.behind} class="line no-print">
	{#each cells as cell, index (cell.station)}
		{@const on = cell.station === active}
		<a
			href={cell.href}
			class="cell"
			class:on
			aria-current={cell.station === here ? 'page' : on ? 'true' : undefined}
			aria-keyshortcuts={String(index + 1)}
			data-station={cell.station}
			data-verdict={cell.verdict}
		>
			<svg class="rail" viewBox="0 0 100 96" preserveAspectRatio="none" aria-hidden="true">
				<rect y="84" width="100" height="12" fill="var(--sheet)" />
				{#if on}
					<path
						d="M0 96V84C7 84 3 13 12 13H88C97 13 93 84 100 84V96Z"
						fill="var(--sheet)"
						stroke="none"
					/>
					<path
						d="M0 84C7 84 3 13 12 13H88C97 13 93 84 100 84"
						fill="none"
						stroke="var(--arc)"
						stroke-width="4.5"
						vector-effect="non-scaling-stroke"
					/>
				{:else}
					<path
						d={cell.verdict === 'stops' ? 'M0 84H3M62 84H100' : 'M0 84H100'}
						fill="none"
						stroke="var(--ink)"
						stroke-width={cell.verdict === 'tight' ? 2 : 4}
						vector-effect="non-scaling-stroke"
					/>
				{/if}
			</svg>
			<span class="name"><span class="number">{index + 1}</span> {cell.name}</span>
			<span class="figures">
				{#each cell.figures as figure, i (i)}
					<span class="fig" class:desk={i !== cell.phone}
						>{figure.text}<span class="unit">{figure.unit === '°' ? '' : ' '}{figure.unit}</span
						></span
					>
				{/each}
				<span class="context">{cell.context}</span>
			</span>
			<span class="state" style:color={VERDICT_INK[cell.verdict]}>
				<Mark verdict={cell.verdict} size={20} />
				<span class="word">{cell.word}</span><span class="short">{cell.state}</span>
			</span>
		</a>
	{/each}
</nav>

<style>
	/* Sized by the text: where somebody has set it larger, a cell speaks as it does on a phone. */
	.line {
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
	.cell {
		contain: strict;
		container-type: size;
		height: 100%;
		position: relative;
		display: block;
		color: var(--ink);
		text-decoration: none;
		min-width: 0;
	}
	.cell:focus-visible {
		outline-offset: -4px;
	}
	.rail {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
	.name,
	.figures {
		position: absolute;
		left: 30px;
		white-space: nowrap;
	}
	.name {
		top: 0.5rem;
		font-weight: 600;
	}
	.number {
		font-size: 0.8125rem;
		font-weight: 700;
		color: var(--ink2);
	}
	.on .name,
	.on .number {
		color: var(--arc);
	}
	.on .name {
		top: 1.3125rem;
	}
	.figures {
		top: 2rem;
		display: flex;
		align-items: baseline;
		gap: 9px;
	}
	.on .figures {
		top: 2.625rem;
		right: 22px;
		overflow: hidden;
	}
	.fig {
		font-size: 2.3125rem;
	}
	.unit {
		white-space: pre;
	}
	.context {
		color: var(--ink2);
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.state {
		position: absolute;
		top: 4.5rem;
		left: 22px;
		display: inline-flex;
		align-items: center;
		gap: 6px;
		padding: 0 8px 0 4px;
		height: 1.5rem;
		background: linear-gradient(var(--paper) 0.75rem, var(--sheet) 0.75rem);
		font-size: 0.9375rem;
		font-weight: 700;
		white-space: nowrap;
		max-width: calc(100% - 26px);
		overflow: hidden;
	}
	.on .state {
		top: 1px;
		left: auto;
		right: 30px;
		max-width: calc(100% - 60px);
	}
	.word {
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.short {
		display: none;
	}
	@container (max-width: 14.5rem) {
		.figures {
			gap: 6px;
		}
		.fig {
			font-size: 1.875rem;
		}
		.context {
			font-size: 0.9375rem;
		}
		/* Between the curves of the rail. */
		.on .figures {
			right: 14px;
		}
		.on .context {
			font-size: 0.8125rem;
		}
	}
	@container (max-width: 12.5rem) {
		.context {
			display: none;
		}
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
	@container (max-width: 11rem) {
		.name,
		.figures {
			left: 7px;
		}
		.name {
			font-size: min(0.875rem, 20cqw);
			top: 0.3125rem;
		}
		.on .name {
			top: 1.4375rem;
			left: 12px;
		}
		.number,
		.desk,
		.word {
			display: none;
		}
		.short {
			display: inline;
		}
		.figures {
			top: 1.8125rem;
		}
		.on .figures {
			top: 2.6875rem;
			left: 12px;
			right: 0;
		}
		.fig {
			font-size: min(1.3125rem, 27cqw);
		}
		.unit {
			font-size: min(0.9375rem, 20cqw);
		}
		.state :global(svg) {
			width: 15px;
			height: 15px;
		}
		.state {
			top: calc(100% - 1.375rem);
			left: 2px;
			font-size: min(0.875rem, 20cqw);
			gap: 2px;
			padding: 0 2px;
			max-width: 100%;
		}
		.on .state {
			top: 1px;
			right: 8px;
			left: auto;
			max-width: calc(100% - 14px);
		}
	}
</style>

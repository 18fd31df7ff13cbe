<script lang="ts">
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { VERDICT_INK } from '$lib/components/Marks/ink';
	import type { Shown } from '$lib/core';
	import { seenWord, type StationCell } from './line';
	import Rail from './Rail.svelte';

	/** One station of the line: its figures, its state, and the way to it. */
	interface Props {
		cell: StationCell;
		/** From 0. */
		index: number;
		on: boolean;
		/** The page itself is open, not one of its rooms. */
		here: boolean;
	}
	let { cell, index, on, here }: Props = $props();
	/** The space behind parts it from what comes next, also where it is read out. */
	const unitBehind = ({ text, unit }: Shown) =>
		text && `${unit === '°' ? '' : ' '}${unit}${unit && ' '}`;
	const word = $derived(seenWord(cell.word));
	const ink = $derived(VERDICT_INK[cell.verdict]);
</script>

<a
	href={cell.href}
	class="cell"
	class:on
	aria-current={here ? 'page' : on ? 'true' : undefined}
	aria-keyshortcuts={String(index + 1)}
	data-station={cell.station}
	data-verdict={cell.verdict}
>
	<Rail verdict={cell.verdict} {on} />
	<span class="name"><span class="number">{index + 1}</span> {cell.name}</span>
	<span class="figures">
		{#each cell.figures as figure, i (i)}
			<span class="fig" class:desk={i < cell.figures.length - 1}
				>{figure.text}<span class="unit">{unitBehind(figure)}</span></span
			>
		{/each}
		<span class="context">{cell.context}</span>
	</span>
	<!-- The mark has an ink of its own: what it would inherit is styled again with it. -->
	<span class="state">
		<Mark verdict={cell.verdict} size={20} />
		<span class="word" style:color={ink}><span class="sr-only">{word.unseen}</span>{word.seen}</span
		><span class="short" style:color={ink}>{cell.state}</span>
	</span>
</a>

<style>
	/*
	 * Sized by the text: where somebody has set it larger, a cell speaks as it does on a phone. It measures itself
	 * by the whole line, of which it is a sixth: were each cell a container, each would be styled in a pass of its own.
	 */
	.cell {
		contain: strict;
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
	@container (max-width: 87rem) {
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
	@container (max-width: 75rem) {
		.context {
			display: none;
		}
	}
	@container (max-width: 66rem) {
		.name,
		.figures {
			left: 7px;
		}
		.name {
			font-size: min(0.875rem, calc(20cqw / 6));
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
			font-size: min(1.3125rem, calc(27cqw / 6));
		}
		.unit {
			font-size: min(0.9375rem, calc(20cqw / 6));
		}
		.state :global(svg) {
			width: 15px;
			height: 15px;
		}
		.state {
			top: calc(100% - 1.375rem);
			left: 2px;
			font-size: min(0.875rem, calc(20cqw / 6));
			gap: 2px;
			padding: 0 2px;
			max-width: 100%;
		}
		.on .state {
			top: 1px;
			right: 6px;
			left: auto;
			max-width: calc(100% - 12px);
		}
	}
</style>

<script lang="ts">
	import { partOf, type PartId } from '$lib/components/Bench/parts';
	import { spareWord } from '$lib/components/Bench/spare';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { IN_CUTTER, worstInCutter } from './rails';

	/** Where both rails meet: volts, amps and heat, inlet pressure; or its ratings. */
	let {
		open,
		told,
		choose
	}: { open: boolean; told: 'results' | 'entered'; choose: (part: PartId) => void } = $props();
	const bench = getWorkbench();
	const cutter = $derived(bench.bench.cutter);
	const results = $derived(told === 'results');
	const worst = $derived(results ? worstInCutter(bench.plan) : undefined);
	const checkOf = (id: string) => bench.plan.checks.find((c) => c.id === id);
	const ratings = $derived([
		{ mm: cutter.cleanMm, word: 'clean in mild steel' },
		{ mm: cutter.severMm, word: 'severs' }
	]);
</script>

<div class="cutter" class:open class:worst class:stops={worst === 'first limit'}>
	<button
		type="button"
		class="pick"
		aria-pressed={open}
		data-part="cutter"
		aria-label="Cutter: open"
		onclick={() => choose('cutter')}
	></button>
	{#if worst}<span class="flag">{worst}</span>{/if}
	<span class="h pointer-events-none">{partOf('cutter').name(bench.bench)}</span>
	{#if results}
		{#each IN_CUTTER.filter(({ figure }) => bench.plan.figures[figure].value !== null) as cell (cell.figure)}
			{@const check = checkOf(cell.check)}
			<span class="cell">
				<span class="value">
					<span class="fig text-[2.125rem]" style:color={cell.color}
						>{bench.sayFigure(cell.figure)}</span
					>
					<Balloon id={cell.figure} />
				</span>
				{#if check}<State
						verdict={check.verdict}
						word="{cell.prefix}{spareWord(check, bench)}"
						size={14.5}
					/>{/if}
			</span>
		{/each}
	{:else}
		<span class="pointer-events-none px-2 text-[0.9375rem]">{cutter.name}</span>
		{#each ratings as rating (rating.word)}
			<span class="cell">
				<span class="fig text-[2.125rem]">{bench.say(rating.mm, 'thickness')}</span>
				<span class="sub">{rating.word}</span>
			</span>
		{/each}
	{/if}
</div>

<style>
	.cutter {
		position: relative;
		grid-column: 2;
		grid-row: 1 / 3;
		align-self: stretch;
		justify-content: space-between;
		display: flex;
		flex-direction: column;
		margin: 30px 0 46px;
		padding: 26px 0 8px;
		background: var(--card);
		border: 2.8px solid var(--ink);
		color: var(--ink);
		text-align: center;
	}
	.open {
		border-color: var(--arc);
	}
	.cell {
		position: relative;
		display: flex;
		flex-direction: column;
		gap: 6px;
		align-items: center;
		padding: 10px 8px 0;
		border-top: 1.4px solid var(--ink);
		pointer-events: none;
	}
	.value {
		display: inline-flex;
		align-items: center;
		gap: 5px;
	}
	.value > :global(button) {
		pointer-events: auto;
	}
	@media (max-width: 899px) {
		.cutter {
			grid-column: 1 / 3;
			grid-row: auto;
			margin: 0;
			flex-direction: row;
			flex-wrap: wrap;
			justify-content: space-around;
			padding: 8px 4px;
		}
		.worst {
			padding-top: 30px;
		}
		.h {
			width: 100%;
		}
		.cell {
			border-top: 0;
			padding-top: 0;
		}
	}
</style>

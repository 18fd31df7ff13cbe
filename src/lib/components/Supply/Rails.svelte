<script lang="ts">
	import type { Check } from '$lib/core';
	import { PARTS, type Part, type PartId } from '$lib/components/Bench/parts';
	import { spareWord } from '$lib/components/Bench/spare';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import PartSymbol from './PartSymbol.svelte';
	import { railWidth } from './rails';

	/** Electricity and air run towards the cutter; each part tells its value and its margin. */
	let {
		open,
		choose,
		told = 'results'
	}: {
		open: PartId;
		choose: (part: PartId) => void;
		/** Results and margins, or what was entered. */
		told?: 'results' | 'entered';
	} = $props();
	const bench = getWorkbench();
	const plan = $derived(bench.plan);
	const rails = [
		{ id: 'electricity', name: 'Electricity' },
		{ id: 'air', name: 'Air' }
	] as const;
	const checkOf = (id?: Check['id']) => plan.checks.find((check) => check.id === id);
	const results = $derived(told === 'results');
	const worst = $derived(results ? (plan.firstLimit ?? plan.weakestLink) : null);
	const entered = (part: Part) => {
		const value = part.entered(bench.bench);
		return value ? bench.say(value.value, value.quantity) : '–';
	};
	const isWorst = (part: Part) =>
		worst !== null &&
		part.check === worst.id &&
		!(part.id === 'tank' && worst.id === 'air.inletLowBar');
	const cutter = $derived(PARTS.find((part) => part.id === 'cutter')!);
	const inCutter = $derived(
		(
			[
				{ figure: 'supply.voltageV', check: 'supply.voltageV', prefix: '', color: 'inherit' },
				{ figure: 'setup.currentA', check: 'cutter.peakC', prefix: 'heat ', color: 'var(--arc)' },
				{ figure: 'air.inletLowBar', check: 'air.inletLowBar', prefix: '', color: 'inherit' }
			] as const
		).map((cell) => ({ ...cell, check: checkOf(cell.check)! }))
	);
	const ratings = $derived([
		{ mm: bench.bench.cutter.cleanMm, word: 'clean in mild steel' },
		{ mm: bench.bench.cutter.severMm, word: 'severs' }
	]);
	const cutterWorst = $derived(
		worst !== null && ['supply.voltageV', 'cutter.peakC'].includes(worst.id)
	);
	const worstWord = $derived(plan.firstLimit ? 'first limit' : 'weakest link');
</script>

<div class="rails">
	{#each rails as rail (rail.id)}
		<section class="rail {rail.id}" aria-label={rail.name}>
			<h2 class="h">{rail.name}</h2>
			<div class="parts">
				{#each PARTS.filter((part) => part.rail === rail.id) as part (part.id)}
					{@const check = checkOf(part.check)}
					<div
						class="part"
						class:open={open === part.id}
						class:worst={isWorst(part)}
						class:stops={isWorst(part) && plan.firstLimit}
						style:--width="{railWidth(results ? check : undefined)}px"
					>
						<button
							type="button"
							class="pick"
							aria-pressed={open === part.id}
							data-part={part.id}
							aria-label="{part.name(bench.bench)}: open"
							onclick={() => choose(part.id)}
						></button>
						{#if isWorst(part)}<span class="flag">{worstWord}</span>{/if}
						<PartSymbol part={part.id} />
						<span class="told">
							<span class="text-[14px] font-semibold">{part.name(bench.bench)}</span>
							<span class="value">
								<span class="fig text-[25px]"
									>{results ? bench.sayFigure(part.figure) : entered(part)}</span
								>{#if results}<Balloon id={part.figure} />{/if}
							</span>
							{#if !results}
								<span class="sub leading-tight">{part.about}</span>
							{:else if check}
								<State verdict={check.verdict} word={spareWord(check, bench)} size={14.5} />
							{:else}
								<span class="sub"
									>{part.id === 'compressor'
										? `runs ${bench.sayFigure('air.runShare')}`
										: `loses ${bench.sayFigure(part.tells[0]!)}`}</span
								>
							{/if}
						</span>
					</div>
				{/each}
			</div>
		</section>
	{/each}
	<div class="cutter" class:open={open === 'cutter'} class:worst={cutterWorst}>
		<button
			type="button"
			class="pick"
			aria-pressed={open === 'cutter'}
			data-part="cutter"
			aria-label="Cutter: open"
			onclick={() => choose('cutter')}
		></button>
		{#if cutterWorst}<span class="flag">{worstWord}</span>{/if}
		<span class="h">{cutter.name(bench.bench)}</span>
		{#if results}
			{#each inCutter as cell (cell.figure)}
				<span class="cell">
					<span class="value">
						<span class="fig text-[34px]" style:color={cell.color}
							>{bench.sayFigure(cell.figure)}</span
						>
						<Balloon id={cell.figure} />
					</span>
					<State
						verdict={cell.check.verdict}
						word="{cell.prefix}{spareWord(cell.check, bench)}"
						size={14.5}
					/>
				</span>
			{/each}
		{:else}
			<span class="px-2 text-[15px]">{bench.bench.cutter.name}</span>
			{#each ratings as rating (rating.word)}
				<span class="cell">
					<span class="fig text-[34px]">{bench.say(rating.mm, 'thickness')}</span>
					<span class="sub">{rating.word}</span>
				</span>
			{/each}
		{/if}
	</div>
</div>

<style>
	.rails {
		display: grid;
		grid-template-columns: 1fr 150px;
		grid-template-rows: 1fr 1fr;
		column-gap: 0;
	}
	.rail {
		grid-column: 1;
	}
	.parts {
		display: grid;
		grid-auto-flow: column;
		grid-auto-columns: 1fr;
	}
	.part {
		position: relative;
		display: flex;
		flex-direction: column;
		align-items: center;
		padding: 18px 2px 4px;
		border: 2.5px solid transparent;
		border-radius: 3px;
		color: var(--ink);
		min-width: 0;
	}
	/* The rail itself: thick is spare, thin is tight. */
	.part::before {
		content: '';
		position: absolute;
		top: calc(50px - var(--width) / 2);
		left: -2.5px;
		right: -2.5px;
		height: var(--width);
		background: var(--ink);
	}
	.part:first-child::before {
		left: 50%;
	}
	/* Opens the part from anywhere on it; the balloon lies above. */
	.pick {
		position: absolute;
		inset: 0;
		cursor: pointer;
	}
	.value {
		display: inline-flex;
		align-items: center;
		gap: 5px;
	}
	.told > :global(*),
	.cell > :global(*) {
		pointer-events: none;
	}
	.value > :global(button) {
		pointer-events: auto;
	}
	.told {
		position: relative;
		pointer-events: none;
		display: flex;
		flex-direction: column;
		align-items: center;
		gap: 4px;
		margin-top: 2px;
		text-align: center;
		line-height: 1.15;
	}
	.part.open,
	.cutter.open {
		border-color: var(--arc);
	}
	.worst {
		background: var(--spark-wash);
	}
	.worst.stops {
		background: var(--stops-wash);
	}
	.flag {
		position: absolute;
		top: 0;
		left: 0;
		right: 0;
		background: var(--tight);
		color: #1b1a2c;
		font-size: 15px;
		font-weight: 700;
		line-height: 23px;
	}
	.stops .flag {
		background: var(--stops);
		color: var(--color-error-content);
	}
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
	.cell {
		position: relative;
		pointer-events: none;
		display: flex;
		flex-direction: column;
		gap: 6px;
		align-items: center;
		padding: 10px 8px 0;
		border-top: 1.4px solid var(--ink);
	}
	@media (max-width: 899px) {
		.rails {
			grid-template-columns: 1fr 1fr;
			grid-template-rows: auto auto;
			gap: 8px;
		}
		.rail {
			grid-column: auto;
		}
		.parts {
			grid-auto-flow: row;
		}
		.part {
			flex-direction: row;
			gap: 6px;
			padding: 8px 2px;
			min-height: 92px;
		}
		.part.worst {
			padding-top: 28px;
		}
		.part::before {
			top: -2.5px;
			bottom: -2.5px;
			left: calc(34px - var(--width) / 2);
			right: auto;
			width: var(--width);
			height: auto;
		}
		.part:first-child::before {
			left: calc(34px - var(--width) / 2);
			top: 50%;
		}
		.told {
			align-items: flex-start;
			text-align: left;
		}
		.cutter {
			grid-column: 1 / 3;
			grid-row: auto;
			margin: 0;
			flex-direction: row;
			flex-wrap: wrap;
			justify-content: space-around;
			padding: 8px 4px;
		}
		.cutter.worst {
			padding-top: 30px;
		}
		.cutter .h {
			width: 100%;
		}
		.cell {
			border-top: 0;
			padding-top: 0;
		}
	}
</style>

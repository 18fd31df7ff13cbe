<script lang="ts">
	import type { Snippet } from 'svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { VERDICT_INK } from '$lib/components/Marks/ink';
	import type { BenchAnswer } from '$lib/formats/bodies/planned';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { answerWord, changeWord } from './words';

	/** One bench and its answer: thick is clean, thin severs, then nothing. */
	let {
		answer,
		best,
		mostMm,
		manage
	}: {
		answer: BenchAnswer;
		best: BenchAnswer;
		/** End of the scale that all benches share. */
		mostMm: number;
		/** What can be done with the bench itself. */
		manage: Snippet;
	} = $props();
	const bench = getWorkbench();
	const here = $derived(answer.id === bench.benchId);
	const share = (mm: number) => `${((100 * mm) / mostMm).toFixed(2)}%`;
	const cut = $derived(bench.calmInputs.cut);
</script>

<li class="row" class:here data-testid="bench-answer" data-verdict={answer.verdict}>
	<div class="who">
		<h2 class="fig text-[1.75rem] whitespace-normal">
			{answer.name}{#if here}<span class="ml-3 text-[1rem]" style:color="var(--arc)"
					>you are here</span
				>{/if}
		</h2>
		<p class="sub">{answer.cutterName}, {bench.say(answer.nominalV, 'voltage')}</p>
		{@render manage()}
	</div>
	<div class="bars" aria-hidden="true">
		<span class="thin" style:width={share(answer.severMm)}></span>
		<span class="thick" style:width={share(Math.min(answer.cleanMm, answer.severMm))}></span>
		<span class="asked" style:left={share(cut.layers * cut.thicknessMm)}></span>
	</div>
	<p class="limits">
		<b>clean to {bench.say(answer.cleanMm, 'thickness')}</b>, severs to {bench.say(
			answer.severMm,
			'thickness'
		)}
	</p>
	<div class="verdict">
		<span
			class="flex items-center gap-2 text-[1.25rem] font-bold"
			style:color={VERDICT_INK[answer.verdict]}
			><Mark verdict={answer.verdict} size={26} /> {answer.verdict}</span
		>
		<span class="sub">{answerWord(answer, cut, bench)}</span>
	</div>
	<div class="numbers">
		{#if answer.verdict === 'stops'}
			<span class="sub"
				>no amps and no time: it {answer.lineS === null
					? 'does not part'
					: 'stops before the end'}</span
			>
		{:else}
			<span class="fig text-[2.5rem]">{bench.say(answer.outputA, 'current')}</span>
			<span class="fig text-[2.5rem]">{bench.say(answer.lineS, 'time')}</span>
		{/if}
	</div>
	<div class="change">
		<p class="text-[0.9375rem] leading-tight">{changeWord(answer, best, cut, bench)}</p>
		<a
			class="btn mt-1.5 w-full"
			class:btn-primary={answer === best && answer.verdict !== 'stops'}
			href="/setup?{bench.searchOn(answer.id, { ...cut, school: 'full' })}"
			>Open it on {answer.name}</a
		>
	</div>
</li>

<style>
	.row {
		display: grid;
		grid-template-columns: minmax(0, 17fr) minmax(0, 21fr) minmax(0, 11fr) minmax(0, 11fr) minmax(
				0,
				15fr
			);
		grid-template-rows: auto 1fr;
		column-gap: 24px;
		padding: 10px 0;
		border-top: 1px solid var(--rule);
	}
	.here {
		box-shadow:
			-24px 0 var(--sheet),
			-18px 0 var(--arc);
	}
	.row > * {
		grid-row: 1 / 3;
	}
	.bars {
		grid-column: 2;
		grid-row: 1;
		position: relative;
		height: 46px;
	}
	.limits {
		grid-column: 2;
		grid-row: 2;
		font-size: 0.9375rem;
	}
	.thick,
	.thin {
		position: absolute;
		left: 0;
		background: var(--ink);
	}
	.thick {
		top: 14px;
		height: 18px;
	}
	.thin {
		top: 20px;
		height: 6px;
		border-right: 2px solid var(--ink);
	}
	.asked {
		position: absolute;
		top: -10px;
		bottom: 0;
		width: 3px;
		margin-left: -1.5px;
		background: var(--arc);
	}
	.verdict {
		grid-column: 3;
	}
	.verdict .sub {
		display: block;
	}
	.numbers {
		grid-column: 4;
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		align-content: flex-start;
	}
	.change {
		grid-column: 5;
	}
	@media (max-width: 1099px) {
		.row {
			display: flex;
			flex-direction: column;
			gap: 6px;
		}
		.numbers {
			align-items: baseline;
		}
		.here {
			margin-left: -12px;
			padding-left: 12px;
			box-shadow: inset 5px 0 var(--arc);
		}
	}
</style>

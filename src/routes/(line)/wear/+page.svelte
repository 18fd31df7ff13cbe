<script lang="ts">
	import { METALS } from '$lib/core';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import LogButtons from '$lib/components/Wear/LogButtons.svelte';
	import Pit from '$lib/components/Wear/Pit.svelte';
	import Stack from '$lib/components/Wear/Stack.svelte';
	import { lifeLine } from '$lib/components/Wear/stack';
	import { CURRENCY, dayAndTime, entryWords } from '$lib/components/Wear/words';
	import { stateWord } from '$lib/components/Line/line';
	import { undoEntry } from '$lib/state/logbook';
	import { fitNewSet } from '$lib/state/parts';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const figures = $derived(bench.plan.figures);
	const left = $derived(figures['wear.cutsLeft'].value);
	const band = $derived(figures['wear.cutsLeft'].band);
	const check = $derived(bench.plan.checks.find((c) => c.id === 'wear.cutsLeft')!);
	const used = $derived(bench.evidence.wear.total);
	const cutWords = $derived(
		`${bench.sayFigure('setup.lineMm')} in ${bench.say(bench.cut.thicknessMm, 'thickness')} ${METALS[bench.cut.metal].label.toLowerCase()}`
	);
	const state = $derived(bench.plan.stations.wear);

	function fitNew() {
		const letter = /Pair ([A-Y])$/.exec(bench.partSet?.name ?? '')?.[1];
		const name = letter ? `Pair ${String.fromCharCode(letter.charCodeAt(0) + 1)}` : 'New pair';
		void fitNewSet(bench, name);
	}
</script>

<svelte:head><title>Wear · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="dots px-6 pt-2 pb-2 max-[899px]:px-3">
	<div class="axis"><Stack /></div>
	<div class="set">
		<div>
			<h1 class="h text-[1.125rem]">{bench.partSet?.name ?? 'Parts in the torch'}</h1>
			<p class="sub">
				{bench.partSet ? `in since ${dayAndTime(bench.partSet.fittedAt)}` : 'no set noted yet'},
				{used.starts} starts, {bench.say(used.arcMin, 'minutes')} of arc
			</p>
		</div>
		<svg width="150" height="10" viewBox="0 0 150 10" aria-hidden="true" class="life">
			<path d={lifeLine(check.margin)} fill="var(--ink)" />
		</svg>
		<State verdict={state.verdict} word={stateWord(state, bench)} />
		<button type="button" class="btn" onclick={fitNew}>New electrode and nozzle</button>
	</div>
</div>
<div class="three">
	<Pit />
	<section aria-label="What is left">
		<h2 class="h">What is left</h2>
		{#if left !== null && band}
			<div class="mt-2"><Fig id="wear.cutsLeft" size={84} color="var(--arc)" /></div>
			<p data-testid="cuts-left" data-value={left}>
				{left === 1 ? 'cut' : 'cuts'} of {cutWords}; usually {band[0]} to {band[1]}
			</p>
		{:else}
			<p class="mt-2 text-[1.125rem]">Such a cut does not go through: there are none to count.</p>
		{/if}
		<div class="mt-2">
			<FigureList
				size={29}
				rows={[
					{ id: 'wear.metresLeft', name: 'Metres of it' },
					{ id: 'wear.perCutUm' },
					{ id: 'wear.factor' },
					{
						id: 'wear.costPerM',
						name: `Electrode and nozzle, ${CURRENCY[bench.settings.currency]} a metre`,
						none: 'no prices'
					}
				]}
			/>
		</div>
		<Findings station="wear" />
	</section>
	<section class="grid content-start gap-2">
		<LogButtons />
		<h2 class="h mt-1">Lately</h2>
		<ol class="text-[0.9375rem]" aria-label="Log">
			{#each bench.log.slice(0, 4) as line (line.id)}
				<li class="flex items-center gap-3 border-t" style:border-color="var(--rule)">
					<span class="sub w-28 flex-none">{dayAndTime(line.at)}</span>
					<span class="grow" class:line-through={line.undone}>{entryWords(line.entry, bench)}</span>
					{#if line.undone}
						<span class="sub">taken back</span>
					{:else}
						<button
							type="button"
							class="btn min-h-11 btn-ghost px-1 underline"
							aria-label="Take back: {entryWords(line.entry, bench)}"
							onclick={() => void undoEntry(bench, line.id)}>undo</button
						>
					{/if}
				</li>
			{:else}
				<li class="sub">Nothing yet: log 20 starts to narrow the band.</li>
			{/each}
		</ol>
	</section>
</div>

<style>
	.axis {
		max-width: 1040px;
	}
	.set {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 6px 24px;
	}
	.life {
		flex: none;
	}
	.three {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 18rem), 1fr));
		gap: 28px;
		margin: 0 24px;
		padding: 10px 0 12px;
		border-top: 2px solid var(--ink);
	}
	@media (max-width: 1099px) {
		.three {
			grid-template-columns: minmax(0, 1fr);
			margin: 0 12px;
		}
		.three > :global(section:last-child) {
			order: -1;
		}
	}
</style>

<script lang="ts">
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import { cutTitle } from '$lib/components/Card/words';
	import GuidePlan from '$lib/components/Cut/GuidePlan.svelte';
	import Steps from '$lib/components/Cut/Steps.svelte';
	import type { StartId } from '$lib/components/Cut/steps';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import ReadCut from '$lib/components/Read/ReadCut.svelte';
	import LogButtons from '$lib/components/Wear/LogButtons.svelte';
	import { stateWord } from '$lib/components/Line/line';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const { startMethod } = $derived(bench.plan.choices);
	const state = $derived(bench.plan.stations.cut);
	const shown = $derived<StartId>(startMethod === 'none' ? 'edge' : startMethod);
	const guided = $derived(bench.cut.guide !== 'freehand');
	const NAMES: Record<StartId, string> = {
		edge: 'Edge start',
		pierce: 'Straight pierce',
		rolled: 'Rolled pierce'
	};
	const sum = $derived(bench.cut.guide === 'waste' ? 'plus' : 'less');

	function set(change: Parameters<typeof bench.setCut>[0]) {
		bench.setCut(change);
		bench.settle();
	}
</script>

<svelte:head><title>Cut · {cutTitle(bench)} · Steady Arc</title></svelte:head>

<div class="split">
	<div class="dots px-6 pt-3 pb-2 max-[899px]:px-3">
		<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
			<h1 class="h text-[18px]">Guide</h1>
			<Choice
				label="Guide"
				options={[
					{ value: 'kept', label: 'On the part' },
					{ value: 'waste', label: 'On the waste' },
					{ value: 'freehand', label: 'Freehand' }
				]}
				value={bench.cut.guide}
				choose={(guide) => set({ guide })}
			/>
			{#if guided}
				<p class="text-[15px]">
					Shield radius {sum} half the kerf, from the <b>finished top edge</b>
				</p>
			{/if}
		</div>
		<GuidePlan />
	</div>
	<aside class="panel">
		<p class="sub">
			{guided
				? 'Set the straight edge off by'
				: 'No guide: the torch centre runs beside the line by half the kerf'}
		</p>
		{#if guided}
			<Fig id="cut.offsetMm" size={84} color="var(--arc)" />
			<p class="mt-1 text-[15px]">
				With the edge on the line the part would be wrong by
				<b>{bench.sayFigure('cut.forgottenMm')}</b>. On the other side it is
				<b>{bench.sayFigure('cut.otherSideMm')}</b>.
			</p>
		{:else}
			<Fig id="setup.kerfMm" size={84} color="var(--arc)" />
			<p class="text-[15px]">kerf, all of it in the waste</p>
		{/if}
		<div class="mt-3">
			<FigureList
				size={29}
				rows={[
					{ id: 'setup.speedMmS' },
					{ id: 'setup.lineS', name: 'Your line' },
					{ id: 'setup.kerfMm' }
				]}
			/>
		</div>
		<ul class="mt-2 list-disc space-y-0.5 pl-5 text-[15px]">
			<li>Dry-run the whole line first, hose and all.</li>
			<li>Look behind and under the plate: cables, tyres, fuel, your own leg.</li>
			<li>Call out, wait two or three seconds, then fire.</li>
		</ul>
	</aside>
</div>
<div class="below">
	<section aria-label="Start">
		<div class="flex flex-wrap items-center gap-3">
			<h2 class="h text-[18px]">{NAMES[shown]}</h2>
			<Choice
				label="Start"
				options={[
					{ value: 'edge', label: 'From an edge' },
					{ value: 'pierce', label: 'In the plate' }
				]}
				value={bench.cut.start}
				choose={(start) => set({ start })}
			/>
			<State verdict={state.verdict} word={stateWord(state, bench)} />
		</div>
		{#if startMethod === 'none'}<Findings station="cut" />{/if}
		<div class="mt-2 max-w-[600px]">
			<Steps start={shown} tilt={bench.settings.pierceTiltDeg} />
		</div>
	</section>
	<section aria-label="What it can pierce" class="grid content-start gap-2">
		<LogButtons />
		<h2 class="h">What it can pierce at {bench.sayFigure('setup.currentA')}</h2>
		<FigureList
			size={29}
			rows={[
				{ id: 'cut.straightPierceMm', name: 'Straight down, to' },
				{ id: 'cut.rolledPierceMm', name: 'Rolled, to' },
				{ id: 'setup.severMm', name: 'Severs from an edge, to' }
			]}
		/>
		{#if startMethod !== 'none'}<Findings station="cut" />{/if}
	</section>
</div>
<div class="below"><ReadCut /></div>

<style>
	.split {
		display: grid;
		grid-template-columns: 1fr 352px;
	}
	.panel {
		padding: 14px 24px 8px 20px;
		border-left: 2px solid var(--ink);
	}
	.below {
		grid-template-columns: 1fr 480px;
	}
	@media (max-width: 1099px) {
		.split,
		.below {
			grid-template-columns: minmax(0, 1fr);
		}
		.panel {
			border-left: 0;
			border-top: 2px solid var(--ink);
			padding: 12px;
		}
	}
</style>

<script lang="ts">
	import { onMount } from 'svelte';
	import PartEditor from '$lib/components/Bench/PartEditor.svelte';
	import type { PartId } from '$lib/components/Bench/parts';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Later from '$lib/components/Later.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import Fixes from '$lib/components/Supply/Fixes.svelte';
	import Rails from '$lib/components/Supply/Rails.svelte';
	import { supplyAnswer } from '$lib/components/Supply/rails';
	import ThisWork from '$lib/components/Supply/ThisWork.svelte';
	import { supplyStudy } from '$lib/state/supplyStudy.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const study = supplyStudy();
	const answer = $derived(supplyAnswer(bench.plan, bench));
	const most = $derived(bench.plan.figures['supply.runsOnA'].value);
	const drain = $derived(
		bench.plan.figures['water.drainH'].value === null
			? 'nothing to drain'
			: `drain within ${bench.sayFigure('water.drainH')}`
	);
	const measured = $derived(
		bench.measured.filter(({ entry }) => !['test-cut', 'scrap', 'kerf'].includes(entry.kind)).length
	);
	let open = $state<PartId>('cord');
	onMount(() => () => study.close());
	$effect(() => study.ask(bench.inputs, bench.inputsHash));
</script>

<svelte:head><title>Supply · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="split">
	<div class="dots px-6 pt-2 max-[899px]:px-3">
		<h1 class="fig answer flex items-center gap-4" data-testid="answer">
			<Mark verdict={bench.plan.stations.supply.verdict} size={34} />
			<span>{answer.first} <span style:color="var(--holds)">{answer.then}</span></span>
		</h1>
		<Rails {open} choose={(part) => (open = part)} />
	</div>
	<aside class="panel">
		<PartEditor part={open} />
	</aside>
</div>
<div class="below">
	<ThisWork />
	<div class="max-[899px]:order-first">
		<Fixes {study} />
		<Findings station="supply" />
	</div>
</div>
<Stage
	when="before"
	id="how-far"
	title="How far it goes"
	answer={most === null ? 'nothing surely runs on' : `at most ${bench.say(most, 'current')} run on`}
	load={() => import('$lib/components/Supply/Solved.svelte')}
	props={{ study }}
/>
<div class="session">
	<Later
		load={() => import('$lib/components/Supply/Session.svelte')}
		heightPx={[510, 565]}
		props={{ study }}
	/>
</div>
{#if bench.bench.air.source === 'compressor'}
	<Stage
		when="after"
		id="water"
		title="Water and air"
		answer={drain}
		load={() => import('$lib/components/Supply/Water.svelte')}
	/>
{/if}
<Stage
	when="besides"
	id="measure"
	title="Measure it"
	answer={measured === 0
		? 'a meter, a gauge and a watch go before every model'
		: `${measured} measured here`}
	load={() => import('$lib/components/Supply/MeasureIt.svelte')}
/>

<style>
	.split {
		display: grid;
		grid-template-columns: 1fr 330px;
	}
	.answer {
		font-size: 2.875rem;
		min-height: 60px;
		white-space: normal;
	}
	.panel {
		padding: 12px 24px 12px 16px;
		border-left: 2px solid var(--ink);
		max-height: 440px;
		overflow-y: auto;
	}
	.session {
		margin: 0 24px;
		padding: 10px 0 12px;
		border-top: 2px solid var(--ink);
	}
	.below {
		grid-template-columns: 1fr 1fr;
	}
	@media (max-width: 899px) {
		.split,
		.below {
			grid-template-columns: minmax(0, 1fr);
		}
		.session {
			margin: 0 12px;
		}
		.answer {
			font-size: 2.75rem;
		}
		.panel {
			border-left: 0;
			border-top: 2px solid var(--ink);
			padding: 12px;
			max-height: none;
		}
	}
</style>

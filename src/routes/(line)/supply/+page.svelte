<script lang="ts">
	import { onMount } from 'svelte';
	import PartEditor from '$lib/components/Bench/PartEditor.svelte';
	import type { PartId } from '$lib/components/Bench/parts';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Later from '$lib/components/Later.svelte';
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
	let open = $state<PartId>('cord');
	onMount(() => () => study.close());
	$effect(() => study.ask(bench.inputs));
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
<div class="below">
	<Later
		load={() => import('$lib/components/Supply/Session.svelte')}
		heightPx={340}
		props={{ study }}
	/>
	<Later
		load={() => import('$lib/components/Supply/Solved.svelte')}
		heightPx={340}
		props={{ study }}
	/>
</div>
<div class="below">
	<Later load={() => import('$lib/components/Supply/MeasureIt.svelte')} heightPx={300} />
	<div class="grid content-start gap-4">
		<Later load={() => import('$lib/components/Supply/Water.svelte')} heightPx={260} />
	</div>
</div>

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
	.below {
		grid-template-columns: 1fr 1fr;
	}
	@media (max-width: 899px) {
		.split,
		.below {
			grid-template-columns: minmax(0, 1fr);
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

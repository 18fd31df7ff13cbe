<script lang="ts">
	import { onMount } from 'svelte';
	import Cautions from '$lib/components/Card/Cautions.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import Later from '$lib/components/Later.svelte';
	import Controls from '$lib/components/Setup/Controls.svelte';
	import Section from '$lib/components/Setup/Section.svelte';
	import SetupCard from '$lib/components/Setup/SetupCard.svelte';
	import Sizes from '$lib/components/Setup/Sizes.svelte';
	import SpeedBar from '$lib/components/Setup/SpeedBar.svelte';
	import ThicknessDock from '$lib/components/Setup/ThicknessDock.svelte';
	import { setupStudy } from '$lib/state/setupStudy.svelte';
	import { whenSeen } from '$lib/dom/whenSeen';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const study = setupStudy();
	onMount(() => () => study.close());
	// Curves and advice are worked out, and their worker loaded, once they are in view.
	let studied = $state(false);
	let aimsOpen = $state(false);
	const changes = $derived(bench.calmPlan.choices.changes);
	const testCuts = $derived(
		bench.measured.filter(
			({ entry }) => entry.kind === 'test-cut' && entry.metal === bench.cut.metal
		).length
	);
	$effect(() => {
		// A handle that moves only moves the mark on the chart.
		if ((studied || aimsOpen) && !bench.dragging) study.ask(bench.inputs, bench.inputsHash);
	});
</script>

<svelte:head><title>Setup · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="setup">
	<Controls />
	<div class="drawing dots">
		<Sizes />
		<Section />
		<SpeedBar />
		<div {@attach whenSeen(() => (studied = true))}>
			<Later
				load={() => import('$lib/components/Setup/SpeedChart.svelte')}
				heightPx={[322, 340]}
				props={{ study }}
			/>
		</div>
	</div>
	<div class="tagged">
		<SetupCard />
		<Findings station="setup" />
	</div>
	<!-- Metal and coats stand among the findings. -->
	<div class="cautions"><Cautions except={['metal', 'coating']} /></div>
</div>
<Stage
	when="before"
	id="torch-parts"
	title="Parts in the torch"
	answer={changes.length === 0
		? 'nothing to change'
		: `change ${changes.map((c) => c.part).join(', ')}`}
	load={() => import('$lib/components/Setup/TorchParts.svelte')}
/>
<Stage
	when="before"
	id="how-many-amps"
	title="How many amps?"
	answer="now {bench.sayFigure(
		'setup.currentA',
		bench.calmPlan
	)}; by thickness, in full or by the outlet"
	load={() => import('$lib/components/Setup/Schools.svelte')}
/>
<Stage
	when="before"
	id="aims"
	title="Best amps for each aim"
	answer="clean edge, speed, least part cost, an easy hand"
	load={() => import('$lib/components/Setup/Aims.svelte')}
	props={{ study }}
	bind:open={aimsOpen}
/>
<div class="below pace">
	<Later load={() => import('$lib/components/Setup/Pacer.svelte')} heightPx={[246, 402]} />
</div>
<Stage
	when="after"
	id="test-cuts"
	title="Test cut"
	answer={testCuts === 0 ? 'none yet: two or three make the speed yours' : `${testCuts} in the log`}
	load={() => import('$lib/components/Setup/TestCuts.svelte')}
/>
<Stage
	when="besides"
	id="shelf"
	title="Shelf of cards"
	answer={bench.cards.length === 0 ? 'none kept yet' : `${bench.cards.length} kept`}
	load={() => import('$lib/components/Card/Shelf.svelte')}
/>
<ThicknessDock />

<style>
	.setup {
		display: grid;
		grid-template-columns: 1fr 548px;
		grid-template-rows: auto auto 1fr;
		column-gap: 16px;
		padding: 12px 24px 8px;
	}
	.drawing {
		contain: content;
		position: relative;
		grid-row: 2 / 4;
		margin-left: -24px;
		padding-left: 24px;
	}
	.below.pace {
		grid-template-columns: minmax(0, 1fr);
		margin-block: 4px;
	}
	.tagged {
		contain: layout style;
		grid-row: 1 / 3;
		grid-column: 2;
	}
	.cautions {
		grid-column: 2;
		grid-row: 3;
		margin-top: 8px;
		padding-top: 8px;
		border-top: 1px solid var(--rule);
	}
	.below > :global(*),
	.below :global(.contents > *) {
		contain: layout style;
	}
	@media (max-width: 1179px) {
		.setup {
			grid-template-columns: minmax(0, 1fr);
		}
		.tagged,
		.cautions,
		.drawing {
			grid-row: auto;
			grid-column: auto;
		}
	}
	@media (max-width: 899px) {
		.setup {
			display: flex;
			flex-direction: column;
			padding: 8px 12px;
			gap: 8px;
		}
		.tagged {
			order: -1;
		}
		.drawing {
			margin: 0;
			padding: 0;
		}
	}
</style>

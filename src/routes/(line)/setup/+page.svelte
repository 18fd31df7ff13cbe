<script lang="ts">
	import { onMount } from 'svelte';
	import { AIMS, METAL_IDS, METALS } from '$lib/core';
	import { AIM_WORDS } from '$lib/components/Card/words';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import Cautions from '$lib/components/Card/Cautions.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import Later from '$lib/components/Later.svelte';
	import More from '$lib/components/Setup/More.svelte';
	import Section from '$lib/components/Setup/Section.svelte';
	import SetupCard from '$lib/components/Setup/SetupCard.svelte';
	import SpeedBar from '$lib/components/Setup/SpeedBar.svelte';
	import ThicknessDock from '$lib/components/Setup/ThicknessDock.svelte';
	import { setupStudy } from '$lib/state/setupStudy.svelte';
	import { whenSeen } from '$lib/dom/whenSeen';
	import { LINE_CUT_RANGES } from '$lib/core/cut/lineCut';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const metals = METAL_IDS.map((value) => ({ value, label: METALS[value].label }));
	const aims = AIMS.map((value) => ({
		value,
		label: AIM_WORDS[value].charAt(0).toUpperCase() + AIM_WORDS[value].slice(1)
	}));
	const schools = [
		{ value: 'full', label: 'Full', help: 'The most the cutter gives: the fastest cut.' },
		{
			value: 'matched',
			label: 'By thickness',
			help: 'Only the amps that this thickness asks for: parts last longer, the cut is slower.'
		},
		{
			value: 'circuit',
			label: 'By outlet',
			help: 'The most amps that this outlet surely carries without tripping.'
		},
		{ value: 'typed', label: 'My own', help: 'The amps that you type in below.' }
	] as const;
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
	const amps = $derived(bench.plan.figures['setup.currentA'].value!);

	function set(change: Parameters<typeof bench.setCut>[0]) {
		bench.setCut(change);
	}
	function setAmps(value: number | null) {
		const { outputMinA } = bench.bench.cutter;
		const most = bench.plan.figures['supply.runsOnA'].value;
		if (value! < outputMinA) return `the machine starts at ${outputMinA} A`;
		set({ school: 'typed', typedA: value! });
		const taken = bench.plan.figures['setup.currentA'].value!;
		if (taken < value!)
			return `the plate allows ${taken} A${most !== null && most < taken ? `, this circuit ${most} A` : ''}`;
	}
	function setThickness(value: number | null) {
		const [least, most] = LINE_CUT_RANGES.thicknessMm;
		if (value! >= least && value! <= most) {
			set({ thicknessMm: value! });
			return;
		}
		const refused = `${bench.say(least, 'thickness')} to ${bench.say(most, 'thickness')} is accepted`;
		// A quarter of a millimetre is nearly always a quarter of an inch.
		return value! > 0 && value! < least ? `${refused}; for inches type ${value}"` : refused;
	}
</script>

<svelte:head><title>Setup · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="setup">
	<div class="controls">
		<div class="w-32">
			<Select
				label="Metal"
				hideLabel
				options={metals}
				value={bench.cut.metal}
				choose={(metal) => set({ metal })}
			/>
		</div>
		<div class="w-40">
			<Select
				label="Aim"
				hideLabel
				options={aims}
				value={bench.cut.aim}
				choose={(aim) => set({ aim })}
			/>
		</div>
		<Choice
			label="Amps"
			options={schools}
			value={bench.cut.school}
			choose={(school) => set({ school, typedA: school === 'typed' ? amps : bench.cut.typedA })}
		/>
		<More />
	</div>
	<div class="drawing dots">
		<div class="fields">
			<QuantityField
				label="Thickness"
				quantity="thickness"
				value={bench.calmInputs.cut.thicknessMm}
				commit={setThickness}
			/>
			<QuantityField
				label="Your line"
				quantity="length"
				value={bench.cut.lengthMm}
				range={LINE_CUT_RANGES.lengthMm}
				commit={(lengthMm) => set({ lengthMm: lengthMm! })}
			/>
			<QuantityField
				label="Amps"
				quantity="current"
				value={amps}
				range={LINE_CUT_RANGES.typedA}
				commit={setAmps}
			/>
		</div>
		<Section />
		<SpeedBar />
		<div {@attach whenSeen(() => (studied = true))}>
			<Later
				load={() => import('$lib/components/Setup/SpeedChart.svelte')}
				heightPx={300}
				props={{ study }}
			/>
		</div>
	</div>
	<div class="tagged">
		<SetupCard />
		<Findings station="setup" />
	</div>
	<div class="cautions"><Cautions /></div>
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
	<Later load={() => import('$lib/components/Setup/Pacer.svelte')} heightPx={260} />
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
	.controls {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
	.controls :global(.btn) {
		padding-inline: 11px;
	}
	.drawing {
		contain: content;
		position: relative;
		grid-row: 2 / 4;
		margin-left: -24px;
		padding-left: 24px;
	}
	.fields {
		position: absolute;
		top: 6px;
		left: 24px;
		z-index: 1;
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 5.875rem));
		gap: 8px;
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
		.fields {
			position: static;
			grid-template-columns: repeat(3, 1fr);
			margin-bottom: 6px;
		}
		.drawing {
			margin: 0;
			padding: 0;
		}
	}
</style>

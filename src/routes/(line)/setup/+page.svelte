<script lang="ts">
	import { onMount } from 'svelte';
	import { AIMS, METAL_IDS, METALS } from '$lib/core';
	import { AIM_WORDS } from '$lib/components/Card/words';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import Cautions from '$lib/components/Card/Cautions.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
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
		{ value: 'full', label: 'Full' },
		{ value: 'matched', label: 'Match' },
		{ value: 'circuit', label: 'Circuit' },
		{ value: 'typed', label: 'Mine' }
	] as const;
	const study = setupStudy();
	onMount(() => () => study.close());
	// Curves and advice are worked out, and their worker loaded, once they are in view.
	let studied = $state(false);
	$effect(() => {
		// A handle that moves only moves the mark on the chart.
		if (studied && !bench.dragging) study.ask(bench.inputs);
	});
	const amps = $derived(bench.plan.figures['setup.currentA'].value!);

	function set(change: Parameters<typeof bench.setCut>[0]) {
		bench.setCut(change);
		bench.settle();
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
	</div>
	<div class="tagged">
		<SetupCard />
		<Findings station="setup" />
		<div class="mt-2 border-t pt-2" style:border-color="var(--rule)"><Cautions /></div>
	</div>
</div>
<div class="below">
	<div class="grid content-start gap-3">
		<SpeedBar />
		<div {@attach whenSeen(() => (studied = true))}>
			<Later
				load={() => import('$lib/components/Setup/SpeedChart.svelte')}
				heightPx={300}
				props={{ study }}
			/>
		</div>
	</div>
	<Later load={() => import('$lib/components/Setup/Schools.svelte')} heightPx={340} />
</div>
<div class="below pace">
	<Later load={() => import('$lib/components/Setup/Pacer.svelte')} heightPx={260} />
</div>
<div class="below" id="test-cuts">
	<Later load={() => import('$lib/components/Setup/TestCuts.svelte')} heightPx={300} />
	<div {@attach whenSeen(() => (studied = true))}>
		<Later
			load={() => import('$lib/components/Setup/Aims.svelte')}
			heightPx={300}
			props={{ study }}
		/>
	</div>
</div>
<div class="below">
	<Later load={() => import('$lib/components/Setup/TorchParts.svelte')} heightPx={340} />
	<Later load={() => import('$lib/components/Setup/Shelf.svelte')} heightPx={120} />
</div>
<ThicknessDock />

<style>
	.setup {
		display: grid;
		grid-template-columns: 1fr 548px;
		grid-template-rows: auto 1fr;
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
		grid-row: 2;
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
	}
	.tagged {
		contain: layout style;
		grid-row: 1 / 3;
		grid-column: 2;
	}
	.below > :global(*),
	.below :global(.contents > *) {
		contain: layout style;
	}
	.below {
		grid-template-columns: 1fr 548px;
		gap: 16px;
	}
	@media (max-width: 1179px) {
		.setup,
		.below {
			grid-template-columns: minmax(0, 1fr);
		}
		.tagged {
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

<script lang="ts">
	import { AIMS, METAL_IDS, METALS } from '$lib/core';
	import { AIM_WORDS } from '$lib/components/Card/words';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import More from './More.svelte';

	/** What is chosen of the cut: its metal, what it is for, and by which school its amps. */
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
	const amps = $derived(bench.plan.figures['setup.currentA'].value!);
</script>

<div class="controls">
	<div class="w-32">
		<Select
			label="Metal"
			hideLabel
			options={metals}
			value={bench.cut.metal}
			choose={(metal) => bench.setCut({ metal })}
		/>
	</div>
	<div class="w-40">
		<Select
			label="Aim"
			hideLabel
			options={aims}
			value={bench.cut.aim}
			choose={(aim) => bench.setCut({ aim })}
		/>
	</div>
	<Choice
		label="Amps"
		options={schools}
		value={bench.cut.school}
		choose={(school) =>
			bench.setCut({ school, typedA: school === 'typed' ? amps : bench.cut.typedA })}
	/>
	<More />
</div>

<style>
	.controls {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
	.controls :global(.btn) {
		padding-inline: 11px;
	}
</style>

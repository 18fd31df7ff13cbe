<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { COATINGS } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import { LINE_CUT_RANGES } from '$lib/core/cut/lineCut';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { COATING_WORDS, moreWords } from './more';

	/** Stack, bevel, mesh and what lies on the metal. */
	const bench = getWorkbench();
	const coatings = COATINGS.map((value) => ({ value, label: COATING_WORDS[value] }));
	const sheets = Array.from({ length: 10 }, (_, i) => ({
		value: i + 1,
		label: i === 0 ? 'one' : String(i + 1)
	}));
</script>

<details class="dropdown max-desk:w-full">
	<summary class="btn" data-testid="more"
		>Plate: {moreWords(bench.cut, bench)} <ChevronDown size={18} aria-hidden="true" /></summary
	>
	<div class="dropdown-content fields">
		<Select
			label="Sheets"
			options={sheets}
			value={bench.cut.layers}
			choose={(layers) => bench.setCut({ layers })}
		/>
		<QuantityField
			label="Bevel"
			quantity="angle"
			value={bench.cut.bevelDeg}
			range={LINE_CUT_RANGES.bevelDeg}
			commit={(bevelDeg) => bench.setCut({ bevelDeg: bevelDeg! })}
		/>
		<Select
			label="On the face"
			options={coatings}
			value={bench.cut.coating}
			choose={(coating) => bench.setCut({ coating })}
		/>
		<Select
			label="On the back"
			options={coatings}
			value={bench.cut.backCoating}
			choose={(backCoating) => bench.setCut({ backCoating })}
		/>
		<div class="col-span-2">
			<Choice
				label="Plate or mesh"
				options={[
					{ value: 'plate', label: 'Plate', help: 'Whole metal under the arc all the way.' },
					{
						value: 'mesh',
						label: 'Mesh',
						help: 'Gaps: the pilot arc comes back in each, which wears parts.'
					}
				]}
				value={bench.cut.mesh ? 'mesh' : 'plate'}
				choose={(kind) => bench.setCut({ mesh: kind === 'mesh' })}
			/>
		</div>
	</div>
</details>

<style>
	.fields {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 8px;
		width: 300px;
		margin-top: 4px;
		padding: 12px;
		background: var(--sheet);
		border: 2px solid var(--ink);
		border-radius: 3px;
	}
	@media (max-width: 899px) {
		.fields {
			position: static;
			width: auto;
		}
	}
</style>

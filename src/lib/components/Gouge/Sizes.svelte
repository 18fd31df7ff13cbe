<script lang="ts">
	import { METAL_IDS, METALS } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import { GOUGE_RANGES } from '$lib/core/gouge/inputs';
	import { goesIntoPlate, isLight, isSpot, TARGETS } from '$lib/core/gouge/targets';
	import {
		GRIND_MM,
		legsOf,
		legsOfThroat,
		LIGAMENT_LEAST_MM,
		throatMm
	} from '$lib/core/gouge/section';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { SIZES, STARTING, TARGET_HELP, TARGET_NAMES } from './words';

	/** What is to come out, its sizes, and how it is gouged. */
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const set = (change: Partial<typeof gouge>) => bench.setGouge(change);
	const targets = TARGETS.map((value) => ({ value, label: TARGET_NAMES[value] }));
	const metals = $derived([
		{ value: '' as const, label: `as the cut: ${METALS[bench.cut.metal].label.toLowerCase()}` },
		...METAL_IDS.map((value) => ({ value, label: METALS[value].label }))
	]);
	const spot = $derived(isSpot(gouge.target));
	const { figures } = $derived(bench.plan);
	const legs = $derived(legsOf(gouge));
	const throat = $derived(throatMm(legs));
	/** A throat moves both legs alike, and neither past what is accepted. */
	const throatRange = $derived.by((): [number, number] => {
		const [least, most] = GOUGE_RANGES.legMm;
		return [(throat * least) / Math.min(...legs), (throat * most) / Math.max(...legs)];
	});
	/** Between 30 and 50° from the plate: flatter skids, steeper blows back (common practice). */
	const ANGLES = [
		{ value: 30, label: '30°', help: 'Flattest: wide and shallow.' },
		{ value: 35, label: '35°', help: 'Flat: shallower, easy to see.' },
		{ value: 40, label: '40°', help: 'One school’s angle for a groove.' },
		{ value: 45, label: '45°', help: 'The other school’s: deeper.' },
		{ value: 50, label: '50°', help: 'Steepest: digs, and throws metal back.' }
	] as const;
	const ways = [
		{ value: 'deep', label: 'Deep', help: 'The fewest strings.' },
		{ value: 'light', label: 'Light', help: 'Looked at, one by one.' }
	] as const;
</script>

<div
	class="grid items-end gap-2 max-[899px]:grid-cols-2 {gouge.target === 'fillet'
		? 'grid-cols-[2fr_repeat(5,minmax(0,1fr))]'
		: 'grid-cols-[2fr_repeat(4,1fr)]'}"
>
	<Select
		label="Take out"
		options={targets}
		value={gouge.target}
		choose={(target) => set({ ...STARTING[target], target })}
	/>
	{#each SIZES[gouge.target] as { field, label } (field)}
		<QuantityField
			{label}
			quantity="small"
			value={gouge[field]}
			range={GOUGE_RANGES[field]}
			commit={(mm) => set({ [field]: mm! })}
		/>
	{/each}
	{#if gouge.target === 'fillet'}
		<QuantityField
			label="Other leg"
			quantity="small"
			optional
			placeholder={bench.say(gouge.legMm, 'small')}
			value={gouge.upLegMm}
			range={GOUGE_RANGES.legMm}
			commit={(upLegMm) => set({ upLegMm })}
		/>
		<QuantityField
			label="or throat"
			quantity="small"
			value={throat}
			range={throatRange}
			commit={(mm) => {
				const [legMm, up] = legsOfThroat(legs, mm ?? throat);
				set({ legMm, upLegMm: gouge.upLegMm === null ? null : up });
			}}
		/>
	{/if}
	{#if !spot}
		<QuantityField
			label="Length"
			quantity="length"
			value={gouge.lengthMm ?? bench.cut.lengthMm}
			range={GOUGE_RANGES.lengthMm}
			commit={(lengthMm) => set({ lengthMm })}
		/>
	{/if}
	<QuantityField
		label="Plate"
		quantity="thickness"
		value={gouge.plateMm ?? bench.cut.thicknessMm}
		range={GOUGE_RANGES.plateMm}
		commit={(plateMm) => set({ plateMm })}
	/>
</div>
<p class="sub mt-0.5" data-testid="help">{TARGET_HELP[gouge.target]}</p>
<div class="mt-1 flex flex-wrap items-start gap-x-4 gap-y-1">
	{#if !spot}
		<Choice
			label="Torch from the plate"
			showLabel
			options={ANGLES}
			value={gouge.angleFromPlateDeg}
			choose={(angleFromPlateDeg) => set({ angleFromPlateDeg })}
		/>
		<Choice
			label="Strings"
			showLabel
			options={ways}
			value={gouge.way}
			choose={(way) => set({ way })}
		/>
	{/if}
	<div class="w-32">
		<QuantityField
			label={isLight(gouge.target) ? 'Amps, empty: few' : 'Amps, empty: full'}
			quantity="current"
			optional
			placeholder={bench.sayFigure('gouge.currentA')}
			value={gouge.outputA}
			range={GOUGE_RANGES.outputA}
			commit={(outputA) => set({ outputA })}
		/>
	</div>
	<Fold summary="Pieces, metal, what stays">
		<div class="grid max-w-xl grid-cols-2 gap-2">
			<Stepper
				label="Pieces"
				value={gouge.pieces}
				least={1}
				most={500}
				set={(pieces) => set({ pieces })}
			/>
			<Select
				label="Metal"
				options={metals}
				value={gouge.metal ?? ''}
				choose={(id) => set({ metal: id === '' ? null : id })}
			/>
			{#if goesIntoPlate(gouge.target)}
				<QuantityField
					label="Must stay of the plate"
					quantity="small"
					optional
					placeholder={bench.sayFigure('gouge.keepMm')}
					value={gouge.keepMm}
					range={GOUGE_RANGES.keepMm}
					commit={(keepMm) => set({ keepMm })}
				/>
			{:else if !spot}
				<QuantityField
					label="Left for the grinder"
					quantity="small"
					optional
					placeholder={bench.say(
						gouge.target === 'fillet' ? GRIND_MM.fillet : GRIND_MM.other,
						'small'
					)}
					value={gouge.grindMm}
					range={GOUGE_RANGES.grindMm}
					commit={(grindMm) => set({ grindMm })}
				/>
			{/if}
			<p class="sub col-span-full">
				All pieces: {bench.say(figures['gouge.jobMin'].value, 'minutes')} of arc. Left empty, what stays
				is the greater of {bench.say(LIGAMENT_LEAST_MM, 'small')} and a quarter of the plate, and the
				grinder gets {bench.say(GRIND_MM.other, 'small')}, of a fillet {bench.say(
					GRIND_MM.fillet,
					'small'
				)} at each plate.
			</p>
		</div>
	</Fold>
</div>

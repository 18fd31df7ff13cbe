<script lang="ts">
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { LINE_CUT_RANGES } from '$lib/core/cut/lineCut';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What is typed of the cut: thickness, length and amps. What is out of reach is refused with what is not. */
	const bench = getWorkbench();
	const amps = $derived(bench.plan.figures['setup.currentA'].value!);
	function setAmps(value: number | null) {
		const { outputMinA } = bench.bench.cutter;
		const most = bench.plan.figures['supply.runsOnA'].value;
		if (value! < outputMinA) return `the machine starts at ${outputMinA} A`;
		bench.setCut({ school: 'typed', typedA: value! });
		const taken = bench.plan.figures['setup.currentA'].value!;
		if (taken < value!)
			return `the plate allows ${taken} A${most !== null && most < taken ? `, this circuit ${most} A` : ''}`;
	}
	function setThickness(value: number | null) {
		const [least, most] = LINE_CUT_RANGES.thicknessMm;
		if (value! >= least && value! <= most) {
			bench.setCut({ thicknessMm: value! });
			return;
		}
		const refused = `${bench.say(least, 'thickness')} to ${bench.say(most, 'thickness')} is accepted`;
		// A quarter of a millimetre is nearly always a quarter of an inch.
		return value! > 0 && value! < least ? `${refused}; for inches type ${value}"` : refused;
	}
</script>

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
		commit={(lengthMm) => bench.setCut({ lengthMm: lengthMm! })}
	/>
	<QuantityField
		label="Amps"
		quantity="current"
		value={amps}
		range={LINE_CUT_RANGES.typedA}
		commit={setAmps}
	/>
</div>

<style>
	.fields {
		position: absolute;
		top: 6px;
		left: 24px;
		z-index: 1;
		display: grid;
		/* A length in inches is the longest: 11 13/16 in. */
		grid-template-columns: 5.75rem 7rem 4.875rem;
		gap: 8px;
	}
	@media (max-width: 899px) {
		.fields {
			position: static;
			grid-template-columns: repeat(3, 1fr);
			margin-bottom: 6px;
		}
	}
</style>

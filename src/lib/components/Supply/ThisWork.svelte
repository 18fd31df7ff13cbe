<script lang="ts">
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The pattern of arc and rest, and what each limit makes of it. */
	const bench = getWorkbench();
	const told = [
		{ id: 'supply.tripEarliestS', none: 'never' },
		{ id: 'air.shortAtS', none: 'never' },
		{ id: 'air.longestCutS', none: 'no end' },
		{ id: 'cutter.lampS', none: 'never' },
		{ id: 'cutter.lampContinuousS', none: 'never' }
	] as const;
	const set =
		(field: 'arcS' | 'restS' | 'shopC', min: number, max: number, unit: string) =>
		(value: number | null) => {
			if (value === null || !(value >= min && value <= max))
				return `${min} to ${max} ${unit} is accepted`;
			bench.setWork({ [field]: value });
			bench.settle();
		};
</script>

<section aria-label="This work">
	<h2><span class="h">This work</span> <span class="sub">over and over</span></h2>
	<div class="mt-1 grid grid-cols-3 gap-3">
		<QuantityField
			label="Arc on"
			quantity="time"
			value={bench.work.arcS}
			commit={set('arcS', 1, 3600, 's')}
		/>
		<QuantityField
			label="Pause"
			quantity="time"
			value={bench.work.restS}
			commit={set('restS', 0, 3600, 's')}
		/>
		<QuantityField
			label="Shop"
			quantity="temperature"
			value={bench.work.shopC}
			commit={set('shopC', -20, 50, '°C')}
		/>
	</div>
	<div class="mt-2"><FigureList rows={told} columns /></div>
</section>

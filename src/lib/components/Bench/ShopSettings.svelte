<script lang="ts">
	import type { Settings } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { saveSettings } from '$lib/state/shopSettings';
	import { PRICE_RANGE } from '$lib/core/inputs/defaults';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Schools of the shop: where practitioners differ, both are offered. */
	const bench = getWorkbench();
	const price = (field: 'electrodePrice' | 'nozzlePrice') => (value: number | null) => {
		void saveSettings(bench, { [field]: value });
	};
	const currencies: { value: Settings['currency']; label: string }[] = [
		{ value: 'EUR', label: '€' },
		{ value: 'USD', label: '$' },
		{ value: 'GBP', label: '£' }
	];
</script>

<section aria-label="How this shop works" class="grid gap-2">
	<h2 class="h">How this shop works</h2>
	<Choice
		label="Change the electrode at a pit of"
		showLabel
		options={[
			{
				value: 1,
				label: '1 mm (0.04"), cautious',
				help: 'Changed early: a blown nozzle costs more than an electrode.'
			},
			{
				value: 1.5,
				label: '1.5 mm (1/16")',
				help: 'The usual limit for hafnium electrodes (common practice).'
			}
		]}
		value={bench.settings.pitLimitMm}
		choose={(pitLimitMm) => void saveSettings(bench, { pitLimitMm })}
	/>
	<Choice
		label="Sparks when it is right"
		showLabel
		options={[
			{ value: 'trailing', label: 'trail 15–30°', help: 'The sparks below lag behind the torch.' },
			{
				value: 'straight',
				label: 'near straight down',
				help: 'The sparks below fall nearly straight: slower, squarer.'
			}
		]}
		value={bench.settings.sparks}
		choose={(sparks) => void saveSettings(bench, { sparks })}
	/>
	<Choice
		label="Rolled pierce, tilt from upright"
		showLabel
		options={[
			{
				value: 20,
				label: '20°',
				help: 'Little tilt: the molten metal leaves closer to the nozzle.'
			},
			{ value: 30, label: '30°', help: 'Between the two schools.' },
			{ value: 45, label: '45°', help: 'Most tilt: the melt blows well clear of the nozzle.' }
		]}
		value={bench.settings.pierceTiltDeg}
		choose={(pierceTiltDeg) =>
			void saveSettings(bench, { pierceTiltDeg: pierceTiltDeg as 20 | 30 | 45 })}
	/>
	<h2 class="h">Prices</h2>
	<div class="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
		<QuantityField
			label="Electrode"
			quantity="factor"
			optional
			value={bench.settings.electrodePrice}
			range={PRICE_RANGE}
			commit={price('electrodePrice')}
		/>
		<QuantityField
			label="Nozzle"
			quantity="factor"
			optional
			value={bench.settings.nozzlePrice}
			range={PRICE_RANGE}
			commit={price('nozzlePrice')}
		/>
		<Choice
			label="Currency"
			options={currencies}
			value={bench.settings.currency}
			choose={(currency) => void saveSettings(bench, { currency })}
		/>
	</div>
</section>

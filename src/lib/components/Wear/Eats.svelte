<script lang="ts">
	import { plan } from '$lib/core';
	import { whatEats } from '$lib/core/wear/eats';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { PRICE_RANGE } from '$lib/core/inputs/defaults';
	import { saveSettings } from '$lib/state/shopSettings';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { CURRENCY } from './words';

	/** What eats the parts, and what the planned cut costs a metre. */
	const bench = getWorkbench();
	const { figures } = $derived(bench.plan);
	const eaten = $derived(whatEats(bench.evidence.wear.electrode));
	const NAMES = {
		start: 'Starts',
		arcMinute: 'Minutes with the arc on',
		rolled: 'Rolled pierces',
		straight: 'Straight pierces',
		pilotS: 'Pilot arc that cut nothing'
	} as const;
	const money = $derived(CURRENCY[bench.settings.currency]);
	const say = (value: number) => bench.say(value, 'perLength');
	const items = $derived([
		{ name: 'worker', value: figures['cost.labourPerM'].value, ink: 'var(--ink)' },
		{ name: 'parts', value: figures['wear.costPerM'].value, ink: 'var(--arc)' },
		{
			name: 'power and air',
			value:
				figures['cost.powerPerM'].value === null || figures['cost.airPerM'].value === null
					? null
					: figures['cost.powerPerM'].value + figures['cost.airPerM'].value,
			ink: 'var(--tight)'
		}
	] as const);
	const total = $derived(figures['cost.totalPerM'].value);
	const totalShown = $derived(total === null ? undefined : bench.show(total, 'perLength'));
	const missing = $derived(items.filter(({ value }) => value === null).map(({ name }) => name));
	/** The other school of amps, for the same cut. */
	const other = $derived.by(() => {
		const school = bench.cut.school === 'matched' ? ('full' as const) : ('matched' as const);
		const there = plan({ ...bench.inputs, cut: { ...bench.cut, school } });
		const at = there.figures['setup.currentA'].value;
		const cost = there.figures['cost.totalPerM'].value;
		if (cost === null || at === figures['setup.currentA'].value) return undefined;
		return { amps: bench.sayFigure('setup.currentA', there), cost };
	});
	type Price = 'electrodePrice' | 'nozzlePrice' | 'labourPerH' | 'pricePerKwh' | 'bottlePrice';
	const prices: readonly { field: Price; label: string }[] = $derived([
		{ field: 'labourPerH', label: 'An hour of the worker' },
		{ field: 'pricePerKwh', label: 'A kilowatt-hour' },
		{ field: 'electrodePrice', label: 'Electrode' },
		{ field: 'nozzlePrice', label: 'Nozzle' },
		...(bench.bench.air.source === 'bottle'
			? ([{ field: 'bottlePrice', label: 'A bottle of air' }] as const)
			: [])
	]);
</script>

<section aria-label="What eats this pair">
	<h2 class="h">What eats this pair</h2>
	{#if eaten.length === 0}
		<p class="sub">Nothing was cut with it yet.</p>
	{:else}
		<table class="w-full">
			<tbody>
				{#each eaten as { kind, share } (kind)}
					<tr>
						<th scope="row" class="text-left font-normal">{NAMES[kind]}</th>
						<td class="bar" aria-hidden="true"><span style:width="{100 * share}%"></span></td>
						<td class="fig text-right text-[1.25rem]">{bench.say(share, 'share')}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if eaten[0]!.kind === 'start'}
			<p class="sub">One long cut takes less than several short ones: fewer starts.</p>
		{/if}
	{/if}
</section>
<section aria-label="What the cut costs" class="mt-3 border-t pt-2" style:border-color="var(--ink)">
	<h2 class="h">What the cut costs</h2>
	{#if total !== null}
		<div class="flex items-end gap-2">
			<span class="fig text-[3.125rem]"
				><span class="text-[1.5rem]">{money}</span>
				{totalShown!.text}
				<span class="text-[1.5rem]">{totalShown!.unit}</span></span
			>
			<Balloon id="cost.totalPerM" />
			<span class="sub"
				>{bench.say(bench.settings.handlingS, 'time')} of handling for each cut of
				{bench.sayFigure('setup.lineMm')}</span
			>
		</div>
		<div class="split" aria-hidden="true">
			{#each items as { name, value, ink } (name)}
				<span style:flex-grow={value} style:background={ink}></span>
			{/each}
		</div>
	{:else if figures['setup.lineS'].value === null}
		<p>It does not go through: there is nothing to pay for.</p>
	{:else}
		<p>Still to be said below: the price of {missing.join(', ')}.</p>
	{/if}
	<dl class="mt-1 flex flex-wrap gap-x-4">
		{#each items as { name, value } (name)}
			<div class="flex gap-1">
				<dt class="sub">{name}</dt>
				<dd><b>{value === null ? 'no price' : say(value)}</b></dd>
			</div>
		{/each}
	</dl>
	{#if other && total !== null}
		<p class="mt-1">
			At {other.amps} it is {money}
			{say(other.cost)}: {other.cost > total ? 'slower, so more of the worker' : 'less in all'}.
		</p>
	{/if}
	<Fold summary="Prices and how it is worked out">
		<div class="grid grid-cols-2 items-end gap-3">
			{#each prices as { field, label } (field)}
				<QuantityField
					{label}
					quantity="factor"
					optional
					placeholder="not said"
					value={bench.settings[field]}
					range={PRICE_RANGE}
					commit={(value) => void saveSettings(bench, { [field]: value })}
				/>
			{/each}
			<QuantityField
				label="Between two cuts"
				quantity="time"
				value={bench.settings.handlingS}
				range={[0, 3600]}
				commit={(value) => void saveSettings(bench, { handlingS: value! })}
			/>
		</div>
		<FigureList
			size={26}
			rows={[
				{ id: 'cost.labourPerM', none: 'no price' },
				{ id: 'wear.costPerM', none: 'no price' },
				{ id: 'cost.powerPerM', none: 'no price' },
				{ id: 'cost.airPerM', none: 'no price' },
				{ id: 'cost.kwhPerM' }
			]}
		/>
	</Fold>
</section>

<style>
	.bar {
		width: 40%;
		padding: 0 8px;
	}
	.bar span {
		display: block;
		height: 12px;
		background: var(--ink);
	}
	.split {
		display: flex;
		gap: 4px;
		height: 18px;
		margin-top: 4px;
	}
	.split span {
		min-width: 3px;
	}
</style>

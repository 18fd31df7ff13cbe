<script lang="ts">
	import { goto } from '$app/navigation';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Learnt from '$lib/components/List/Learnt.svelte';
	import Sum from '$lib/components/List/Sum.svelte';
	import WhatIf from '$lib/components/List/WhatIf.svelte';
	import { saveFile } from '$lib/dom/saveFile';
	import { quoteCsv } from '$lib/formats/quoteCsv';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { getDayList } from '$lib/state/dayListContext';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { saveSettings } from '$lib/state/shopSettings';

	/** Can I check it with a pencil? */
	const bench = getWorkbench();
	const view = getDayList();
	const ask = $derived(view.list?.quote);
	const quote = $derived(view.study?.quote);
	const list = $derived(`${bench.search}&list=${view.id}`);
	const missing = $derived(
		quote
			? [
					quote.lines.labour === null && 'the worker’s hour',
					quote.lines.parts === null && 'electrode and nozzle',
					quote.lines.power === null && 'a kilowatt-hour',
					quote.lines.air === null &&
						(bench.bench.air.source === 'bottle' ? 'a full bottle' : 'a kilowatt-hour'),
					quote.lines.plate === null &&
						(bench.units === 'metric' ? 'a kilogram of plate' : 'a pound of plate')
				].filter((one, k, all): one is string => Boolean(one) && all.indexOf(one) === k)
			: []
	);
	const save = (name: string, type: string, body: string) =>
		saveFile(name, new Blob([body], { type }));
	function csv() {
		if (!quote || !view.list) return;
		save(
			'quote.csv',
			'text/csv;charset=utf-8',
			quoteCsv(view.list, quote, bench.settings.currency)
		);
	}
	function json() {
		if (!quote || !view.list) return;
		const { list } = view;
		const { currency } = bench.settings;
		const file = { format: 'steady-arc/quote', version: 1, list, currency, quote };
		save('quote.json', 'application/json', JSON.stringify(file, null, '\t'));
	}
	$effect(() =>
		singleKeys({
			p: () => (print(), true),
			r: () => (void goto(`/job/run?${list}`), true)
		})
	);
	const percent = (share: number) => Math.round(share * 1000) / 10;
</script>

<svelte:head><title>Quote · Steady Arc</title></svelte:head>

{#if !view.list || !ask || view.list.items.length === 0}
	<p class="p-6">There is nothing to quote. <a class="link" href="/job?{list}">To the list</a></p>
{:else}
	<div class="quote">
		<div class="sum">
			{#if quote}<Sum {view} {quote} />{:else}<p class="p-4">Working it out …</p>{/if}
		</div>
		<div class="beside no-print">
			{#if missing.length}
				<p class="alert block alert-warning" role="status">
					<b>No price yet.</b> Nobody has said what {missing.join(', ')}
					{missing.length === 1 ? 'costs' : 'cost'}: below, and for parts and power at
					<a class="link" href="/wear?{bench.search}">Wear</a>.
				</p>
			{/if}
			<h2 class="h">What it goes by</h2>
			<div class="mt-2 grid gap-3 sm:grid-cols-2">
				<QuantityField
					label="The worker’s hour"
					quantity="factor"
					value={bench.settings.labourPerH}
					optional
					commit={(labourPerH) => void saveSettings(bench, { labourPerH })}
				/>
				<QuantityField
					label="Set-up, minutes"
					quantity="factor"
					value={ask.setUpMin}
					range={[0, 6000]}
					commit={(setUpMin) => view.setQuote({ setUpMin: setUpMin ?? 0 })}
				/>
				<QuantityField
					label="Finishing a piece"
					quantity="time"
					value={ask.finishingS}
					range={[0, 36_000]}
					commit={(finishingS) => view.setQuote({ finishingS: finishingS ?? 0 })}
				/>
				<QuantityField
					label="Rejects, share"
					quantity="share"
					value={ask.rejectShare}
					range={[0, 0.95]}
					commit={(rejectShare) => view.setQuote({ rejectShare: rejectShare ?? 0 })}
				/>
				<QuantityField
					label="Price of plate"
					quantity="perMass"
					value={ask.platePricePerKg}
					optional
					placeholder="the customer’s"
					commit={(platePricePerKg) => view.setQuote({ platePricePerKg })}
				/>
				<QuantityField
					label="Scrap on top of the net mass"
					quantity="share"
					value={ask.plateScrapShare}
					range={[0, 0.95]}
					commit={(plateScrapShare) => view.setQuote({ plateScrapShare: plateScrapShare ?? 0 })}
				/>
				<QuantityField
					label="Margin"
					quantity="share"
					value={ask.margin}
					range={[0, 0.95]}
					commit={(margin) => view.setQuote({ margin: margin ?? 0 })}
				/>
				<QuantityField
					label="Least charge"
					quantity="factor"
					value={ask.leastCharge}
					range={[0, 1_000_000]}
					commit={(leastCharge) => view.setQuote({ leastCharge: leastCharge ?? 0 })}
				/>
				<QuantityField
					label="Tax"
					quantity="share"
					value={ask.taxShare}
					range={[0, 0.95]}
					commit={(taxShare) => view.setQuote({ taxShare: taxShare ?? 0 })}
				/>
			</div>
			<div class="mt-3">
				<Choice
					label="Margin on"
					options={[
						{
							value: 'cost',
							label: 'Mark-up on cost',
							help: `Price is cost and ${percent(ask.margin)} % of it.`
						},
						{
							value: 'price',
							label: 'Margin on price',
							help: `${percent(ask.margin)} % of the price is yours: ${percent(ask.margin / (1 - ask.margin))} % on cost.`
						}
					]}
					value={ask.marginOn}
					choose={(marginOn) => view.setQuote({ marginOn })}
				/>
			</div>
			{#if quote?.printed}<WhatIf {view} {quote} />{/if}
			<Learnt {view} />
			<p class="mt-3 flex flex-wrap gap-2">
				<button type="button" class="btn btn-primary" onclick={() => print()}
					>Print the quote <kbd class="kbd kbd-sm">P</kbd></button
				>
				<button type="button" class="btn" onclick={csv}>CSV</button>
				<button type="button" class="btn" onclick={json}>JSON</button>
				<a class="btn" href="/job?{list}">To the list</a>
				<a class="btn" href="/job/run?{list}">Run it <kbd class="kbd kbd-sm">R</kbd></a>
			</p>
		</div>
	</div>
{/if}

<style>
	.quote {
		display: grid;
		grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
	}
	.sum {
		padding: 12px 24px 20px;
		border-right: 2px solid var(--ink);
	}
	.beside {
		padding: 12px 24px 20px;
	}
	@media (max-width: 899px) {
		.quote {
			grid-template-columns: minmax(0, 1fr);
		}
		.sum {
			padding: 8px 12px 16px;
			border-right: 0;
			border-bottom: 2px solid var(--ink);
		}
		.beside {
			padding: 8px 12px 20px;
		}
	}
	@media print {
		.quote {
			display: block;
		}
		.sum {
			border: 0;
			padding: 0;
		}
	}
</style>

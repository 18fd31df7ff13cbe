<script lang="ts">
	import type { QuoteLine } from '$lib/core/list/quote';
	import type { WholeStudy } from '$lib/core/studies/list/book';
	import { QUOTE_WORDS } from '$lib/formats/quoteCsv';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { sayFreeAir } from '$lib/core/quantity/format';
	import { plateToCheck, sayToCheck } from '$lib/core/quantity/toCheck';
	import { CURRENCY } from '$lib/components/Wear/words';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { behind } from '$lib/core/studies/list/behind';
	import { lasts } from './words';

	/** The quote, written as a sum; its lines add up as printed. */
	let { view, quote }: { view: DayListView; quote: WholeStudy['quote'] } = $props();
	const bench = getWorkbench();
	const list = $derived(view.list!);
	const b = $derived(view.study && behind(list, view.study));
	const pieces = $derived(list.items.reduce((n, item) => n + item.pieces, 0));
	const sign = $derived(CURRENCY[bench.settings.currency]);
	const money = (amount: number | null) => (amount === null ? 'no price' : amount.toFixed(2));
	const decimal = (s: number) => (s / 3600).toFixed(4);
	const rate = $derived(bench.settings.labourPerH?.toFixed(2) ?? '?');
	const perKwh = $derived(bench.settings.pricePerKwh?.toFixed(2) ?? '?');
	const pair = $derived.by(() => {
		const { electrodePrice, nozzlePrice } = bench.settings;
		return electrodePrice === null || nozzlePrice === null
			? undefined
			: (electrodePrice + nozzlePrice).toFixed(2);
	});
	const percent = (share: number) => `${Math.round(share * 1000) / 10} %`;
	const pit = (mm: number) => sayToCheck(mm, bench.units);
	const plate = (kg: number, pricePerKg: number | null) => {
		const { mass, price } = plateToCheck(kg, pricePerKg, bench.units);
		return `${mass} net × ${(1 + list.quote.plateScrapShare).toFixed(2)} × ${price}`;
	};
	/** What stands beside a line, to be worked out again. */
	const how = $derived.by((): Record<QuoteLine, string> | undefined => {
		if (!b) return undefined;
		const work = b.arcS + b.handlingS + b.finishingS;
		return {
			setUp: `${lasts(b.setUpS)} and ${lasts(b.besidesS)} is ${decimal(b.setUpS + b.besidesS)} h × ${rate}`,
			labour: `${lasts(work)} is ${decimal(work)} h × ${rate}`,
			parts: `pit of ${pit(b.pitMm)} of ${pit(bench.settings.pitLimitMm)} × ${pair ?? '?'} a pair`,
			power: `${b.kwh.toFixed(3)} kWh × ${perKwh}`,
			air:
				b.airKwh > 0
					? `${sayFreeAir(b.airL, bench.units)}, ${b.airKwh.toFixed(3)} kWh × ${perKwh}`
					: sayFreeAir(b.airL, bench.units),
			plate: b.plateKg === 0 ? 'the customer’s own' : plate(b.plateKg, list.quote.platePricePerKg)
		};
	});
	const printed = $derived(quote.printed);
	const LINES = ['setUp', 'labour', 'parts', 'power', 'air', 'plate'] as const;
	/** Largest two of the cost. */
	const decides = $derived(
		printed &&
			[...LINES]
				.sort((x, y) => printed.lines[y]! - printed.lines[x]!)
				.slice(0, 2)
				.map((line) => `${QUOTE_WORDS[line].toLowerCase()} ${money(printed.lines[line])}`)
	);
</script>

<section aria-labelledby="quote-head" data-testid="quote">
	<h1 id="quote-head" class="text-[1.375rem] font-bold">
		{list.name}{list.customer ? `, for ${list.customer}` : ''}
	</h1>
	<p class="price">
		{#if printed}
			<span class="fig total" data-testid="quote-total">{sign} {money(printed.total)}</span>
			<span class="sub"
				>{money(printed.price / Math.max(1, pieces))} a piece{printed.tax > 0
					? ' before tax'
					: ', no tax'}</span
			>
		{:else}<span class="fig total">No price yet</span>{/if}
	</p>
	{#if printed && quote.band}
		<p class="no-print" data-testid="quote-band">
			Eight in ten such jobs: <b
				>{sign} {Math.round(quote.band[0])} to {Math.round(quote.band[1])}</b
			>. Speed, handling and the parts’ life each have their spread.
		</p>
	{/if}
	<ul class="sub">
		{#each list.items.slice(0, 12) as item (item.id)}
			<li>
				{item.pieces} × {item.name}{view.study?.cannot.some(({ id }) => id === item.id)
					? ': cannot be made on this bench, not in the price'
					: ''}
			</li>
		{/each}
		{#if list.items.length > 12}<li>and {list.items.length - 12} more</li>{/if}
	</ul>
	{#if b}
		<table class="time">
			<tbody>
				<tr><th>set-up</th><td class="fig">{lasts(b.setUpS)}</td></tr>
				{#if b.besidesS > 0}<tr
						><th>changes of parts, rests</th><td class="fig">{lasts(b.besidesS)}</td></tr
					>{/if}
				<tr><th>arc</th><td class="fig">{lasts(b.arcS)}</td></tr>
				<tr><th>handling</th><td class="fig">{lasts(b.handlingS)}</td></tr>
				<tr
					><th
						>finishing, {Math.round(b.pieces * 100) / 100} pieces{list.quote.rejectShare > 0
							? ' with rejects'
							: ''}</th
					><td class="fig">{lasts(b.finishingS)}</td></tr
				>
				<tr class="rule"
					><th>all of it</th><td class="fig"
						>{lasts(b.setUpS + b.besidesS + b.arcS + b.handlingS + b.finishingS)}</td
					></tr
				>
			</tbody>
		</table>
	{/if}
	<table class="lines">
		<tbody>
			{#each LINES as line (line)}
				<tr>
					<th>{QUOTE_WORDS[line]}</th>
					<td class="how">{how?.[line] ?? ''}</td>
					<td class="fig num">{money(printed ? printed.lines[line] : quote.lines[line])}</td>
				</tr>
			{/each}
			{#if printed}
				<tr class="strong"><th>Cost</th><td></td><td class="fig num">{money(printed.cost)}</td></tr>
				<tr
					><th>{list.quote.marginOn === 'cost' ? 'Mark-up' : 'Margin'}</th><td class="how"
						>{list.quote.marginOn === 'cost'
							? `${percent(list.quote.margin)} of ${money(printed.cost)}`
							: `${money(printed.cost)} ÷ ${(1 - list.quote.margin).toFixed(3)} − ${money(printed.cost)}: ${percent(list.quote.margin)} of the price`}</td
					><td class="fig num">{money(printed.margin)}</td></tr
				>
				{#if printed.least}<tr
						><th>Least charge</th><td class="how">the shop asks no less</td><td class="fig num"
							>{money(list.quote.leastCharge)}</td
						></tr
					>{/if}
				<tr class="strong"
					><th>Price</th><td></td><td class="fig num">{money(printed.price)}</td></tr
				>
				{#if printed.tax > 0}<tr
						><th>Tax</th><td class="how"
							>{percent(list.quote.taxShare)} of {money(printed.price)}</td
						><td class="fig num">{money(printed.tax)}</td></tr
					>{/if}
			{/if}
		</tbody>
	</table>
	{#if printed}
		<p class="mt-2">
			<b>What decides it.</b>
			{decides?.join(' and ')}. Rounded line by line, and added as printed.
		</p>
	{/if}
</section>

<style>
	.time {
		margin-top: 8px;
		min-width: min(100%, 380px);
	}
	th {
		font-weight: 500;
		text-align: left;
	}
	.time .fig {
		font-size: 1.375rem;
		text-align: right;
	}
	.rule > * {
		border-top: 2px solid var(--ink);
	}
	.lines {
		width: 100%;
		margin-top: 12px;
	}
	.lines th {
		width: 9.5rem;
		font-weight: 700;
	}
	.lines tr > * {
		padding: 8px 6px 8px 0;
		border-top: 1px solid var(--rule);
	}
	.lines .strong > * {
		border-top: 2px solid var(--ink);
	}
	.how {
		color: var(--ink2);
	}
	.num {
		font-size: 1.625rem;
		text-align: right;
		white-space: nowrap;
	}
	.price {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 4px 16px;
	}
	.total {
		font-size: 3.5rem;
		line-height: 1.1;
	}
	@media (max-width: 899px) {
		.lines th {
			width: 6rem;
		}
		.total {
			font-size: 2.5rem;
		}
	}
</style>

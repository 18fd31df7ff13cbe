<script lang="ts">
	import { quoteOfList } from '$lib/core/studies/list/quoted';
	import { behind } from '$lib/core/studies/list/behind';
	import type { DayList } from '$lib/core/list/inputs';
	import type { Quote } from '$lib/core/list/quote';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { lasts } from './words';

	/** The same list, with one thing asked otherwise: each worked out whole. */
	let { view, quote }: { view: DayListView; quote: Quote } = $props();
	const bench = getWorkbench();
	const list = $derived(view.list!);
	const twice = (of: DayList): DayList => ({
		...of,
		items: of.items.map((item) => ({ ...item, pieces: item.pieces * 2 }))
	});
	const without = (of: DayList): DayList => ({ ...of, quote: { ...of.quote, finishingS: 0 } });
	const priced = (of: DayList) => {
		const study = view.study!;
		const b = behind(of, study);
		const besides = {
			besidesS: b.besidesS,
			bottleL: study.bottleL,
			pitLimitUm: bench.settings.pitLimitMm * 1000
		};
		return { quote: quoteOfList(bench.inputs, of, study.plans, besides), b };
	};
	const columns = $derived(
		view.study
			? [
					{ name: 'As planned', ...priced(list), quote },
					{ name: 'Twice as many', ...priced(twice(list)) },
					{ name: 'They finish it', ...priced(without(list)) }
				].map(({ name, quote: q, b }) => ({
					name,
					price: q.printed?.price ?? null,
					each: q.printed ? q.printed.price / Math.max(1, b.pieces) : null,
					workS: b.setUpS + b.besidesS + b.arcS + b.handlingS + b.finishingS
				}))
			: []
	);
	const money = (amount: number | null) => amount?.toFixed(2) ?? '–';
</script>

<section aria-labelledby="if-head" class="mt-4">
	<h2 id="if-head" class="h">
		What if <span class="sub font-normal">each worked out whole, before tax</span>
	</h2>
	<table class="w-full">
		<thead>
			<tr
				><th><span class="sr-only">Of it</span></th>{#each columns as one (one.name)}<th scope="col"
						>{one.name}</th
					>{/each}</tr
			>
		</thead>
		<tbody>
			<tr
				><th>Price</th>{#each columns as one (one.name)}<td class="fig big">{money(one.price)}</td
					>{/each}</tr
			>
			<tr
				><th>Each</th>{#each columns as one (one.name)}<td class="fig">{money(one.each)}</td
					>{/each}</tr
			>
			<tr
				><th>Work</th>{#each columns as one (one.name)}<td class="fig">{lasts(one.workS)}</td
					>{/each}</tr
			>
		</tbody>
	</table>
</section>

<style>
	th {
		font-weight: 600;
		text-align: left;
	}
	tr > * {
		padding: 6px 6px 6px 0;
		border-top: 1px solid var(--rule);
	}
	thead tr > * {
		border-top: 0;
	}
	td {
		font-size: 1.25rem;
	}
	.big {
		font-size: 1.875rem;
	}
</style>

<script lang="ts">
	import { page } from '$app/state';
	import { CURRENCY, STOCK_NAMES } from '$lib/components/Wear/words';
	import { dayAndYear } from '$lib/formats/days';
	import { listenForFiles } from '$lib/state/fileLinks';
	import { waiting } from '$lib/state/outbox';
	import type { Notice } from '$lib/state/workbench.svelte';
	import { onMount } from 'svelte';
	import type { PageProps } from './$types';

	/** What is to be ordered for the whole shop, for the wall or the van. */
	let { data }: PageProps = $props();
	const priced = $derived(data.list.every(({ stock }) => stock.price !== null));
	const total = $derived(
		data.list.reduce((sum, { stock, drawer }) => sum + (stock.price ?? 0) * drawer.order, 0)
	);
	const money = $derived(CURRENCY[data.currency]);
	const bench = $derived(page.url.searchParams.get('bench'));
	let told: Notice | undefined = $state();
	onMount(() => {
		const tell = (notice: Notice) => (told = notice);
		return listenForFiles(tell, async () => (await waiting()).length);
	});
</script>

<svelte:head><title>Shopping list · Steady Arc</title></svelte:head>

<main class="sheet min-h-dvh">
	<div class="mx-auto max-w-3xl p-6 max-[899px]:p-3">
		<div class="mb-3 flex flex-wrap gap-2 print:hidden">
			<a class="btn" href="/wear{bench ? `?bench=${encodeURIComponent(bench)}` : ''}"
				>Back to Wear</a
			>
			<button type="button" class="btn btn-primary" onclick={() => print()}>Print</button>
			<a class="btn" href="/shopping/list.csv" download>As CSV</a>
		</div>
		<p role="status" aria-live="polite" class="sub print:hidden">{told?.text}</p>
		<h1 class="fig text-[2.5rem]">Shopping list</h1>
		<p class="sub">{dayAndYear(data.today)}, all benches</p>
		{#if data.list.length === 0}
			<p class="mt-3">
				Nothing is due. What was counted lies above its order point; what nobody has counted is not
				here: Wear, in the drawer.
			</p>
		{:else}
			<table class="table mt-3 w-full">
				<thead>
					<tr>
						<th>Order</th><th>Part</th><th>For</th><th>There</th><th>From</th><th class="text-right"
							>{money}</th
						>
					</tr>
				</thead>
				<tbody>
					{#each data.list as { bench: name, kind, stock, drawer } (name + kind)}
						<tr>
							<td class="fig text-[1.75rem]">{drawer.order}</td>
							<td><b>{STOCK_NAMES[kind]}</b></td>
							<td>{name}</td>
							<td>{stock.count}</td>
							<td>{stock.supplier || 'not said'}</td>
							<td class="text-right"
								>{stock.price === null ? 'no price' : (stock.price * drawer.order).toFixed(2)}</td
							>
						</tr>
					{/each}
				</tbody>
				{#if priced}
					<tfoot>
						<tr>
							<th class="text-right text-(--ink)" scope="row" colspan="5">In all</th>
							<td class="text-right font-bold text-(--ink)">{money} {total.toFixed(2)}</td>
						</tr>
					</tfoot>
				{/if}
			</table>
		{/if}
	</div>
</main>

<script lang="ts">
	import { goto } from '$app/navigation';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import AddItems from '$lib/components/List/AddItems.svelte';
	import Axis from '$lib/components/List/Axis.svelte';
	import Bar from '$lib/components/List/Bar.svelte';
	import Buys from '$lib/components/List/Buys.svelte';
	import Head from '$lib/components/List/Head.svelte';
	import Items from '$lib/components/List/Items.svelte';
	import OtherBenches from '$lib/components/List/OtherBenches.svelte';
	import { ORDERS } from '$lib/components/List/words';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { getDayList } from '$lib/state/dayListContext';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** When am I done, and what holds me up? */
	const bench = getWorkbench();
	const view = getDayList();
	const list = $derived(view.list);
	const run = $derived(view.run);
	const open = (path: string) => `${path}?${bench.search}&list=${view.id}`;

	$effect(() =>
		singleKeys({
			q: () => view.run && (void goto(open('/job/quote')), true),
			r: () => view.run && (void goto(open('/job/run')), true),
			z: () => view.canUndo && (view.undo(), true),
			'+': () => (view.addPlanned('cut'), true)
		})
	);
</script>

<svelte:head><title>Day’s list · Steady Arc</title></svelte:head>

<div class="job" data-testid="job">
	<Bar {view} />

	{#if !list || list.items.length === 0}
		<div class="px-6 py-4">
			<h1 class="big">What is to be done?</h1>
			<p class="mt-1 max-w-3xl text-[1.125rem]">
				Put the day’s cuts and grooves on a list: the planned one by one key, a cut list from a
				file, cards from the shelf. You get the order, the rests, when you are done, what it eats,
				the run sheet and the quote.
			</p>
			<AddItems {view} />
		</div>
	{:else}
		<Head {view} {open} />
		<div class="plot">
			{#if run}<Axis {view} {run} />{/if}
		</div>
		<div class="two">
			<div class="min-w-0">
				<Items {view} />
				<div class="mt-3">
					<Choice
						label="Order"
						options={ORDERS}
						value={list.order}
						choose={(order) => view.edit((l) => ({ ...l, order }))}
					/>
				</div>
				<AddItems {view} />
			</div>
			<div class="min-w-0">
				{#if run && view.study}<Buys {view} study={view.study} {run} />{/if}
				<OtherBenches {view} />
				<details class="mt-3">
					<summary class="font-bold">How this is worked out</summary>
					<p class="mt-1">
						Each item has its setting from the one plan of this bench. Arc by arc the tank, the
						breaker at the earliest that it may trip{run?.mayTrip
							? ' (an arc that alone may trip it goes on, until it surely does)'
							: ''} and the cutter’s heat are followed exactly, through handling, post-flow and changes
						of parts. Rests stand only before an arc. The order comes from changes of parts and from what
						must come first{run?.exact
							? '; every order was looked at'
							: '; with many items the best of many, not of all'}. Our own model; handling and
						changes are as the shop says, half the handling with a helper is a rule of thumb of
						ours.
					</p>
				</details>
			</div>
		</div>
	{/if}
</div>

<style>
	/* What it comes to, or what is asked for first. */
	.job :global(.big) {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 3.25rem;
		line-height: 1;
	}
	.plot {
		min-height: 276px;
		border-bottom: 2px solid var(--ink);
	}
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1.9fr) minmax(0, 1fr);
		gap: 24px;
		padding: 8px 24px 24px;
	}
	summary {
		min-height: 44px;
		padding: 10px 0;
		cursor: pointer;
	}
	@media (max-width: 899px) {
		.job :global(.big) {
			font-size: 2.5rem;
		}
		.plot {
			min-height: 8px;
		}
		.two {
			grid-template-columns: minmax(0, 1fr);
			padding: 8px 12px 24px;
		}
	}
</style>

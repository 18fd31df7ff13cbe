<script lang="ts">
	import { goto } from '$app/navigation';
	import FirstPiece from '$lib/components/List/FirstPiece.svelte';
	import Seen from '$lib/components/List/Seen.svelte';
	import RunTable from '$lib/components/List/RunTable.svelte';
	import { thenWords } from '$lib/components/List/next';
	import Piece from '$lib/components/List/Piece.svelte';
	import RunKeys from '$lib/components/List/RunKeys.svelte';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { getDayList } from '$lib/state/dayListContext';
	import { timeOfDay } from '$lib/state/ticks';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What now, ahead or behind? */
	const bench = getWorkbench();
	const view = getDayList();
	const item = $derived(view.current);
	const plan = $derived(item && view.planOf(item.id));
	const made = $derived(item ? (view.pressed.counts[item.id]?.done ?? 0) : 0);
	const finish = $derived(view.finish);
	const next = $derived(view.toDo.find(({ id }) => id !== item?.id));
	const nextPlan = $derived(next && view.planOf(next.id));
	const then = $derived(
		plan &&
			thenWords(plan, next && nextPlan && { name: next.name, plan: nextPlan }, (outputA) =>
				bench.say(outputA, 'current')
			)
	);
	const left = $derived(item ? view.left(item) : 0);
	const list = $derived(`${bench.search}&list=${view.id}`);

	$effect(() => view.follow());
	$effect(() =>
		singleKeys({
			p: () => (print(), true),
			q: () => (void goto(`/job/quote?${list}`), true)
		})
	);
</script>

<svelte:head><title>Run sheet · Steady Arc</title></svelte:head>

{#if !view.list || view.list.items.length === 0}
	<p class="p-6">
		There is nothing on this list. <a class="link" href="/job?{list}">To the list</a>
	</p>
{:else}
	<div class="run">
		<div class="now no-print" data-testid="run-now">
			{#if item && plan}
				<Piece {view} {item} {plan} />
			{:else if view.toDo.length === 0 && view.study}
				<h1 class="fig by">All done</h1>
				<p class="mt-2 text-[1.125rem]">
					{#if finish}Last piece at {timeOfDay(new Date(finish.lastMs))}.{/if} Planned against real stands
					beside; take what you learnt into the list.
				</p>
			{:else}
				<h1 class="fig by">Planning the list …</h1>
			{/if}
			<RunKeys {view} ready={item !== undefined} />
			{#if item && plan}
				<p class="mt-3 text-[1.0625rem]">
					<b>Then</b>
					{left > 1 ? `${left - 1} more; ` : ''}{then}
					{#if made === 0 && item.what === 'cut'}
						Measure the first piece before the second.
					{/if}
				</p>
				<Seen {view} {item} {plan} />
				{#if made > 0 && left > 0}<FirstPiece {view} {item} {plan} />{/if}
				{#if view.toDo.length > 1}
					<label class="mt-2 flex items-center gap-2"
						><span class="sub">Another item first</span>
						<select
							class="select w-auto"
							onchange={(e) => (view.chosen = e.currentTarget.value || undefined)}
						>
							<option value="">in order</option>
							{#each view.toDo.slice(0, 100) as one (one.id)}
								<option value={one.id} selected={view.chosen === one.id}>{one.name}</option>
							{/each}
						</select></label
					>
				{/if}
			{/if}
		</div>
		<div class="beside">
			<RunTable {view} />
			<p class="no-print mt-3 flex flex-wrap gap-2">
				<button type="button" class="btn" onclick={() => print()}
					>Print the sheet <kbd class="kbd kbd-sm">P</kbd></button
				>
				<a class="btn" href="/job?{list}">To the list</a>
				<a class="btn" href="/sensor?{bench.search}">Sensor</a>
				<a class="btn" href="/job/quote?{list}">Quote <kbd class="kbd kbd-sm">Q</kbd></a>
			</p>
		</div>
	</div>
{/if}

<style>
	.run {
		display: grid;
		grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
	}
	.now {
		padding: 12px 24px 20px;
		border-right: 2px solid var(--ink);
	}
	.beside {
		padding: 12px 24px 20px;
	}
	.by {
		font-size: 3.5rem;
		line-height: 1;
	}
	@media (max-width: 899px) {
		.run {
			grid-template-columns: minmax(0, 1fr);
		}
		.now {
			padding: 8px 12px 16px;
			border-right: 0;
			border-bottom: 2px solid var(--ink);
		}
		.beside {
			padding: 8px 12px 20px;
		}
		.by {
			font-size: 2rem;
		}
	}
	@media print {
		.run {
			display: block;
		}
		.beside {
			padding: 0;
		}
	}
</style>

<script lang="ts">
	import { goto } from '$app/navigation';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import AddItems from '$lib/components/List/AddItems.svelte';
	import Axis from '$lib/components/List/Axis.svelte';
	import Buys from '$lib/components/List/Buys.svelte';
	import Items from '$lib/components/List/Items.svelte';
	import OtherBenches from '$lib/components/List/OtherBenches.svelte';
	import Hours from '$lib/components/List/Hours.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { clock, HELD_UP, lasts, minutes, ORDERS, troubleWords } from '$lib/components/List/words';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { getDayList } from '$lib/state/dayListContext';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** When am I done, and what holds me up? */
	const bench = getWorkbench();
	const view = getDayList();
	const list = $derived(view.list);
	const run = $derived(view.run);
	const startsAt = $derived(list?.startsAt ?? '08:00');
	const nameOf = (id: string) => view.itemOf(id)?.name ?? 'an item that is gone';
	const open = (path: string) => `${path}?${bench.search}&list=${view.id}`;
	const verdict = $derived(
		!run ? 'stops' : run.restS > 0 || run.fragile ? ('tight' as const) : ('holds' as const)
	);
	/** Breaks and nights do not count. */
	const workedS = ({ startS, endS, breakS }: { startS: number; endS: number; breakS: number }) =>
		endS - startS - breakS;
	/** Item that takes longest. */
	const longest = $derived(run && [...run.items].sort((a, b) => workedS(b) - workedS(a))[0]);
	const night = $derived(run?.breaks.find((one) => one.night));
	const pieces = $derived(run?.items.reduce((sum, one) => sum + one.pieces, 0) ?? 0);
	const gapS = $derived(run ? run.endS - run.boundS : 0);

	$effect(() =>
		singleKeys({
			q: () => view.run && (void goto(open('/job/quote')), true),
			r: () => view.run && (void goto(open('/job/run')), true),
			z: () => view.canUndo && (view.undo(), true),
			'+': () => (view.addPlanned('cut'), true)
		})
	);
	let renaming = $state(false);
</script>

<svelte:head><title>Day’s list · Steady Arc</title></svelte:head>

<div class="job" data-testid="job">
	<div class="bar">
		<label class="flex items-center gap-2"
			><span class="sub">List</span>
			<select
				class="select w-auto max-w-64 font-bold"
				onchange={(e) => void goto(`/job?bench=${bench.benchId}&list=${e.currentTarget.value}`)}
			>
				{#if !list}<option value="">none yet</option>{/if}
				{#each view.lists as one (one.id)}
					<option value={one.id} selected={one.id === view.id}
						>{one.name}{one.archived ? ' (put away)' : ''}</option
					>
				{/each}
			</select></label
		>
		<button
			type="button"
			class="btn"
			onclick={() => view.createEmpty(`List ${view.lists.length + 1}`)}>New list</button
		>
		{#if list}
			<button type="button" class="btn" onclick={() => view.copy()}>Copy</button>
			<button
				type="button"
				class="btn"
				aria-expanded={renaming}
				onclick={() => (renaming = !renaming)}>Name, hours, parts</button
			>
			<button type="button" class="btn" disabled={!view.canUndo} onclick={() => view.undo()}
				>Undo <kbd class="kbd kbd-sm">Z</kbd></button
			>
		{/if}
	</div>
	{#if list && renaming}
		<div class="grid gap-3 border-b border-[var(--rule)] px-6 py-3 sm:grid-cols-2 lg:grid-cols-4">
			<TextField
				label="List"
				value={list.name}
				commit={(name) => {
					if (name.trim() === '') return 'It needs a name.';
					view.edit((l) => ({ ...l, name }));
				}}
			/>
			<TextField
				label="Customer"
				value={list.customer}
				commit={(customer) => void view.edit((l) => ({ ...l, customer: customer.slice(0, 80) }))}
			/>
			<Hours {view} {list} />
			<QuantityField
				label="A change of parts takes"
				quantity="time"
				value={list.changeS}
				range={[0, 3600]}
				commit={(changeS) => view.edit((l) => ({ ...l, changeS: changeS ?? 0 }))}
			/>
			<p>
				<a class="btn" href="/api/lists/{view.id}/calendar" download>Calendar file</a>
				<button
					type="button"
					class="btn"
					onclick={() => void view.archive(!view.lists.find(({ id }) => id === view.id)?.archived)}
					>{view.lists.find(({ id }) => id === view.id)?.archived
						? 'Take it out again'
						: 'Put it away'}</button
				>
			</p>
		</div>
	{/if}

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
		<div class="head" aria-busy={view.stale}>
			{#if run}
				<Mark {verdict} size={44} />
				<h1 class="big">Done by {clock(startsAt, run.endS)}</h1>
				<p class="about">
					{#if run.firstLimit}
						<b style:color="var(--tight-ink)"
							>First limit: {HELD_UP[run.firstLimit.because]}, {nameOf(run.firstLimit.id)} at {clock(
								startsAt,
								run.firstLimit.atS
							)}.</b
						>
						{run.rests.length}
						{run.rests.length === 1 ? 'rest holds' : 'rests hold'} it off, {lasts(run.restS)} in all.
						{run.fragile ? 'They hang on the second: give them a little more.' : ''}
					{:else}
						<b
							>{run.restS > 0
								? `A workpiece has to cool: ${lasts(run.restS)} of waiting.`
								: 'Nothing has to rest.'}</b
						>
					{/if}
					{#if night}By {clock(startsAt, night.fromS)}
						{night.doneBefore} of {pieces} pieces, the rest the next day.{/if}
					{#if gapS >= 30}No order saves more than {minutes(gapS)}.
					{:else}No order is quicker.{/if}
					{#if longest && run.items.length > 1}{nameOf(longest.id)} take {minutes(workedS(longest))} of
						the {minutes(run.endS - run.breakS)}.{/if}
				</p>
			{:else if view.trouble}
				<Mark verdict="stops" size={44} />
				<h1 class="big">No finish</h1>
				<p class="about font-semibold" role="alert" style:color="var(--stops)">
					{troubleWords(view.trouble, nameOf)}
				</p>
			{:else if view.study}
				<Mark verdict="stops" size={44} />
				<h1 class="big">None of it can be made here</h1>
				<p class="about">Each item says why. Another bench may: pick it at the top.</p>
			{:else}
				<Mark verdict="not set" size={44} />
				<h1 class="big">Done by …</h1>
				<p class="about sub">Planning the list.</p>
			{/if}
			<p class="go">
				<a class="btn" href={open('/job/plates')}>Plates</a>
				<a class="btn" class:btn-disabled={!run} href={open('/job/quote')}
					>Quote <kbd class="kbd kbd-sm">Q</kbd></a
				>
				<a class="btn btn-primary" class:btn-disabled={!run} href={open('/job/run')}
					>Run it <kbd class="kbd kbd-sm">R</kbd></a
				>
			</p>
		</div>
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
						breaker at the earliest that it may trip and the cutter’s heat are followed exactly,
						through handling, post-flow and changes of parts. Rests stand only before an arc. The
						order comes from changes of parts and from what must come first{run?.exact
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
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 8px;
		padding: 8px 24px;
		border-bottom: 1px solid var(--rule);
	}
	.big {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 3.25rem;
		line-height: 1;
	}
	.head {
		display: flex;
		align-items: center;
		gap: 12px 16px;
		min-height: 76px;
		padding: 10px 24px 2px;
	}
	.head .big {
		white-space: nowrap;
	}
	.about {
		flex: 1;
		min-width: 0;
	}
	.go {
		display: flex;
		gap: 8px;
	}
	.go .btn {
		min-height: 56px;
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
		.bar {
			padding: 8px 12px;
		}
		.head {
			flex-wrap: wrap;
			padding: 10px 12px 2px;
		}
		.big {
			font-size: 2.5rem;
		}
		.about {
			flex-basis: 100%;
		}
		.go {
			width: 100%;
		}
		.go .btn {
			flex: 1;
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

<script lang="ts">
	import type { DayListView } from '$lib/state/dayList.svelte';
	import type { WholeStudy } from '$lib/core/studies/list/book';
	import type { ListRun } from '$lib/core/studies/list/runTypes';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { sayFreeAir } from '$lib/core/quantity/format';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { BUYS, clock, lasts, minutes } from './words';

	/** What one change buys, and what the list eats. */
	let { view, study, run }: { view: DayListView; study: WholeStudy; run: ListRun } = $props();
	const bench = getWorkbench();
	const startsAt = $derived(view.list?.startsAt ?? '08:00');
	const nameOf = (id: string) => view.itemOf(id)?.name ?? '';
	const eats = $derived(study.eats);
	/** What changes neither the finish nor the parts is no news. */
	const buys = $derived(
		study.buys.filter(
			({ endS, changes }) =>
				endS === null || Math.abs(endS - run.endS) >= 30 || changes !== run.changes
		)
	);
	const by = (endS: number) =>
		Math.abs(endS - run.endS) < 30
			? 'no difference'
			: `${minutes(endS - run.endS)} ${endS < run.endS ? 'sooner' : 'later'}`;
</script>

{#snippet part(
	name: string,
	what: string,
	eaten: NonNullable<typeof eats>['electrode'],
	has: number
)}
	<p class="mt-1 flex items-start gap-2">
		<Mark verdict={eaten.short > 0 ? 'stops' : eaten.sets > 0 ? 'tight' : 'holds'} size={16} />
		<span
			>{#if eaten.before}
				<b>New {name} before piece {eaten.before.piece} of {nameOf(eaten.before.id)}</b
				>{eaten.sets > 1 ? `, ${eaten.sets} in all` : ''};
				{eaten.short > 0 ? `${eaten.short} short: ` : ''}the drawer has {has}.
			{:else}<b>The {name} lasts</b>: {what}
				{name === 'nozzle' ? 'grown by' : ''}
				{bench.say(eaten.nowUm / 1000, 'small')} to {bench.say(eaten.pitAtEndUm / 1000, 'small')} of
				{bench.say(eaten.limitUm / 1000, 'small')}.{/if}</span
		>
	</p>
{/snippet}

<section aria-labelledby="buys-head">
	<h2 id="buys-head" class="h">
		What one change buys <span class="sub font-normal">the whole list, planned again</span>
	</h2>
	<ul>
		{#each buys as change (change.id)}
			<li>
				<span class="fig when">{change.endS === null ? '–' : clock(startsAt, change.endS)}</span>
				<span
					><b>{BUYS[change.id]}</b><br /><span class="sub"
						>{change.endS === null
							? 'it cannot be made like that'
							: `${by(change.endS)}; ${change.changes} ${change.changes === 1 ? 'change' : 'changes'} of parts${change.restS >= 1 ? `, ${lasts(change.restS)} of rests` : ''}`}</span
					></span
				>
			</li>
		{/each}
	</ul>
</section>
{#if eats}
	<section aria-labelledby="eats-head" class="eats">
		<h2 id="eats-head" class="h">It eats</h2>
		<p>
			{eats.starts} starts, {bench.say(eats.lengthMm, 'length')} of cut, {lasts(eats.arcS)} of arc, {sayFreeAir(
				eats.airL,
				bench.units
			)} of air, {eats.kwh.toFixed(1)} kWh.
		</p>
		{@render part('electrode', 'pit', eats.electrode, view.drawer.electrode)}
		{#if eats.nozzle}{@render part('nozzle', 'bore', eats.nozzle, view.drawer.nozzle)}
		{:else if eats.electrode.sets > view.drawer.nozzle}
			<p class="mt-1 flex items-start gap-2">
				<Mark verdict="stops" size={16} /><span
					><b>Nozzles go with the electrodes</b>: {eats.electrode.sets - view.drawer.nozzle} short, the
					drawer has {view.drawer.nozzle}.</span
				>
			</p>
		{/if}
		{#if eats.bottles}
			<p class="mt-1 flex items-start gap-2">
				<Mark verdict={eats.bottles.emptied ? 'tight' : 'holds'} size={16} /><span
					>{#if eats.bottles.before}<b
							>Bottles empty before piece {eats.bottles.before.piece} of {nameOf(
								eats.bottles.before.id
							)}</b
						>: {eats.bottles.emptied}
						{eats.bottles.emptied === 1 ? 'change' : 'changes'} of bottles, five minutes each in the plan.
					{:else}<b>The bottles last</b> as they stand.{/if}</span
				>
			</p>
		{/if}
	</section>
{/if}

<style>
	li {
		display: grid;
		grid-template-columns: 96px minmax(0, 1fr);
		align-items: center;
		gap: 8px;
		min-height: 52px;
		border-top: 1px solid var(--rule);
		line-height: 1.25;
	}
	.when {
		font-size: 1.75rem;
	}
	.eats {
		margin-top: 6px;
		padding-top: 8px;
		border-top: 2px solid var(--ink);
	}
</style>

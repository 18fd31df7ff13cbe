<script lang="ts">
	import Mark from '$lib/components/Marks/Mark.svelte';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { clock, HELD_UP, lasts, listed, minutes, troubleWords } from './words';

	/** When it is done, what holds it up, and where it goes from here. */
	let { view, open }: { view: DayListView; open: (path: string) => string } = $props();
	const run = $derived(view.run);
	const startsAt = $derived(view.list?.startsAt ?? '08:00');
	const nameOf = (id: string) => view.itemOf(id)?.name ?? 'an item that is gone';
	const verdict = $derived(
		!run
			? 'stops'
			: run.restS > 0 || run.fragile || run.mayTrip
				? ('tight' as const)
				: ('holds' as const)
	);
	const inThem = $derived(
		listed((view.study?.plans ?? []).filter(({ mayTrip }) => mayTrip).map(({ id }) => nameOf(id)))
	);
	/** Breaks and nights do not count. */
	const workedS = ({ startS, endS, breakS }: { startS: number; endS: number; breakS: number }) =>
		endS - startS - breakS;
	/** Item that takes longest. */
	const longest = $derived(run && [...run.items].sort((a, b) => workedS(b) - workedS(a))[0]);
	const night = $derived(run?.breaks.find((one) => one.night));
	const pieces = $derived(run?.items.reduce((sum, one) => sum + one.pieces, 0) ?? 0);
	const gapS = $derived(run ? run.endS - run.boundS : 0);
</script>

<div class="head" aria-busy={view.stale}>
	{#if run}
		<Mark {verdict} size={44} />
		<h1 class="big">Done by {clock(startsAt, run.endS)}</h1>
		<p class="about">
			{#if run.mayTrip}
				<b style:color="var(--tight-ink)"
					>The breaker may trip{inThem ? ` in ${inThem}` : ''}, whatever the rests.</b
				>
			{/if}
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
			{:else if run.restS > 0 || !run.mayTrip}
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
			{#if longest && run.items.length > 1}{nameOf(longest.id)} take {minutes(workedS(longest))} of the
				{minutes(run.endS - run.breakS)}.{/if}
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

<style>
	.head {
		display: flex;
		align-items: center;
		gap: 12px 16px;
		min-height: 76px;
		padding: 10px 24px 2px;
	}
	.big {
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
	@media (max-width: 899px) {
		.head {
			flex-wrap: wrap;
			padding: 10px 12px 2px;
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
	}
</style>

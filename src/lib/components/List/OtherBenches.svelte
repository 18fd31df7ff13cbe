<script lang="ts">
	import type { OtherBenches } from '$lib/core/studies/list/benches';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { clock, lasts } from './words';

	/** The same list elsewhere, and split over two; asked for, because it plans the list again and again. */
	let { view }: { view: DayListView } = $props();
	const bench = getWorkbench();
	let told = $state.raw<{ of: unknown; answer: OtherBenches } | undefined>();
	let trouble = $state('');
	let asking = $state(false);
	/** Only while it is about the list that is shown. */
	const answer = $derived(told?.of === view.list ? told?.answer : undefined);
	const startsAt = $derived(view.list?.startsAt ?? '08:00');
	const nameOf = (id: string) => view.itemOf(id)?.name ?? '';

	async function ask() {
		const { list } = view;
		asking = true;
		trouble = '';
		try {
			const response = await fetch('/api/run/benches', {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ benchId: bench.benchId, list })
			});
			const body = (await response.json()) as OtherBenches & { message?: string };
			if (response.ok) told = { of: list, answer: body };
			else trouble = body.message ?? 'The server has no answer.';
		} catch {
			trouble = 'The server does not answer; the other benches are known to it alone.';
		}
		asking = false;
	}
</script>

<section aria-labelledby="others-head" class="mt-2 border-t-2 border-[var(--ink)] pt-2">
	<h2 id="others-head" class="h">Other benches</h2>
	{#if answer}
		{#if answer.alone.length === 0}
			<p>The shop has no other bench yet.</p>
		{:else}
			<ul data-testid="other-benches">
				{#each answer.alone as one (one.id)}
					<li>
						<span class="fig when"
							>{one.endS === null || one.cannot.length ? '–' : clock(startsAt, one.endS)}</span
						>
						<span
							><b>{one.name}</b><br /><span class="sub"
								>{#if one.cannot.length}does not make {one.cannot
										.slice(0, 3)
										.map(nameOf)
										.join(', ')}{one.cannot.length > 3
										? ` and ${one.cannot.length - 3} more`
										: ''}{:else if one.endS === null}the list cannot be made there{:else}{one.changes}
									{one.changes === 1 ? 'change' : 'changes'} of parts{one.restS >= 1
										? `, ${lasts(one.restS)} of rests`
										: ''}{/if}</span
							></span
						>
					</li>
				{/each}
				{#if answer.split}
					{@const { split } = answer}
					<li>
						<span class="fig when"
							>{clock(startsAt, Math.max(split.hereEndS, split.thereEndS))}</span
						>
						<span
							><b>Both at once, two people</b><br /><span class="sub"
								>at {split.name}: {split.there.slice(0, 4).map(nameOf).join(', ')}{split.there
									.length > 4
									? ` and ${split.there.length - 4} more`
									: ''}, done by {clock(startsAt, split.thereEndS)}; here the rest, by {clock(
									startsAt,
									split.hereEndS
								)}</span
							></span
						>
					</li>
				{/if}
			</ul>
			{#if answer.split}
				{@const { split } = answer}
				<button
					type="button"
					class="btn mt-1 h-auto min-h-14 py-2"
					onclick={() => void view.partWith(split)}>Make it two lists</button
				>
			{:else}
				<p class="mt-1">Split over two benches it is not done noticeably sooner.</p>
			{/if}
		{/if}
	{:else}
		<button type="button" class="btn" disabled={asking} onclick={() => void ask()}
			>{asking ? 'Planning it there …' : 'Ask the other benches'}</button
		>
		{#if trouble}<p class="mt-1 font-semibold" role="alert" style:color="var(--stops)">
				{trouble}
			</p>{/if}
	{/if}
</section>

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
</style>

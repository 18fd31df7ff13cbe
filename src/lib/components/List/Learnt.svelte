<script lang="ts">
	import type { Learnt } from '$lib/core/studies/list/learnt';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { kindWords } from './words';

	/** What earlier lists of this bench took, and one press to plan with it. */
	let { view }: { view: DayListView } = $props();
	const bench = getWorkbench();
	let learnt = $state.raw<Learnt[] | undefined>();
	let trouble = $state('');
	let asking = $state(false);
	const percent = (share: number) => `${Math.round(share * 100)} %`;

	async function ask() {
		asking = true;
		trouble = '';
		try {
			const response = await fetch(`/api/lists/learnt?bench=${bench.benchId}`);
			if (response.ok) learnt = (await response.json()) as Learnt[];
			else trouble = 'The server has no answer.';
		} catch {
			trouble = 'The server does not answer; what was ticked is known to it alone.';
		}
		asking = false;
	}
	function take() {
		if (!learnt) return;
		view.learnAll(learnt);
		bench.notice = {
			kind: 'done',
			text: 'Handling where an item had none of its own, and the share of rejects, are as they were here.',
			undo: () => view.undo()
		};
	}
</script>

<section aria-labelledby="learnt-head" class="mt-4 border-t-2 border-[var(--ink)] pt-2">
	<h2 id="learnt-head" class="h">What it took before</h2>
	{#if learnt === undefined}
		<button type="button" class="btn mt-1" disabled={asking} onclick={() => void ask()}
			>{asking ? 'Looking back …' : 'Look at the lists before'}</button
		>
		{#if trouble}<p class="mt-1 font-semibold" role="alert" style:color="var(--stops)">
				{trouble}
			</p>{/if}
	{:else if learnt.length === 0}
		<p>No list of this bench was ticked on its run sheet yet.</p>
	{:else}
		<ul data-testid="learnt">
			{#each learnt as one (one.kind)}
				<li class="border-t border-[var(--rule)] py-1">
					<b>{kindWords(one.kind)}</b>: {one.made} made in {one.lists}
					{one.lists === 1 ? 'list' : 'lists'}{#if one.handlingS}, handling {bench.say(
							one.handlingS.middle,
							'time'
						)} before each arc ({bench.say(one.handlingS.band[0], 'time')} to {bench.say(
							one.handlingS.band[1],
							'time'
						)}){:else}, too few timed for its handling{/if}; {one.failed} failed, {percent(
						one.failedShare.middle
					)}
					<span class="sub"
						>({percent(one.failedShare.band[0])} to {percent(one.failedShare.band[1])} in eight of ten)</span
					>
				</li>
			{/each}
		</ul>
		<button type="button" class="btn mt-1" onclick={take}>Plan this list with it</button>
	{/if}
</section>

<script lang="ts">
	import State from '$lib/components/Marks/State.svelte';
	import type { SupplyStudy } from '$lib/state/supplyStudy.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { fixResult } from './words';

	/** What would fix it, ranked by what it buys against what it takes. One gesture applies it. */
	let { study }: { study: SupplyStudy } = $props();
	const bench = getWorkbench();
	const fixes = $derived(study.answer?.fixes);
	const MOST = 5;
	let all = $state(false);
	const shown = $derived(all ? fixes : fixes?.slice(0, MOST));
</script>

<section aria-label="What would fix it" class:old={study.stale} data-testid="fixes">
	<h2 class="flex items-baseline gap-3">
		<span class="h">What would fix it</span>
		{#if fixes?.length}<span class="sub">each one planned for real</span>{/if}
	</h2>
	{#if bench.plan.stations.supply.verdict === 'holds'}
		<p class="mt-1">Nothing to fix: circuit, air and cutter hold for this work.</p>
	{:else if !shown}
		<p class="sub">working</p>
	{:else if shown.length === 0}
		<p class="mt-1">
			{bench.plan.stations.supply.verdict === 'tight'
				? 'No change makes it more than tight; it runs as it is.'
				: 'No single change, and no two, helps here. Take less arc, or another machine.'}
		</p>
	{:else}
		<ol>
			{#each shown as fix (fix.id)}
				{@const words = bench.sayAll(fix)}
				<li class="fix">
					<div class="grow">
						<span class="font-semibold">{words}</span>
						<span class="flex flex-wrap items-center gap-x-2">
							<State verdict={fix.verdict} word={fixResult(fix, bench)} size={14.5} />
							<span class="sub">{fix.effort}</span>
						</span>
					</div>
					{#if fix.effort !== 'an electrician'}
						<button
							type="button"
							class="btn"
							disabled={study.stale}
							aria-label="Apply: {words}"
							onclick={() => bench.apply(fix.change, `${words}: planned.`)}>Apply</button
						>
					{/if}
				</li>
			{/each}
		</ol>
		{#if !all && fixes!.length > MOST}
			<button type="button" class="btn btn-ghost px-0" onclick={() => (all = true)}
				>{fixes!.length - MOST} more</button
			>
		{/if}
	{/if}
</section>

<style>
	.old {
		color: var(--ink2);
	}
	.fix {
		display: flex;
		align-items: center;
		gap: 12px;
		min-height: 56px;
		padding: 5px 0;
		border-top: 1px solid var(--rule);
		line-height: 1.25;
	}
</style>

<script lang="ts">
	import type { SupplyStudy } from '$lib/state/supplyStudy.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { solvedWords } from './words';

	/** Sizes that just hold for this work, and how they were found. */
	let { study }: { study: SupplyStudy } = $props();
	const bench = getWorkbench();
	const solved = $derived(study.answer?.solved);
	const most = $derived(bench.plan.figures['supply.runsOnA'].value);
</script>

<section aria-label="How far it goes" class:old={study.stale} data-testid="solved">
	<h2 class="flex items-baseline gap-3">
		<span class="h">How far it goes</span> <span class="sub">for this work</span>
	</h2>
	<dl>
		<div class="row">
			<dt class="grow">Most amps that surely run on</dt>
			<dd class="fig text-[1.4375rem]">{bench.say(most, 'current')}</dd>
		</div>
		{#each solved ?? [] as one (one.id)}
			<div class="row" title={one.source}>
				<dt class="grow">{one.label}</dt>
				<dd class="fig text-[1.4375rem]">{solvedWords(one, bench)}</dd>
			</div>
		{/each}
	</dl>
	<p class="sub mt-1">
		Solved: planned again and again until it just holds. A breaker with its wire is a question for a
		licensed electrician and the local code.
	</p>
</section>

<style>
	.old {
		color: var(--ink2);
	}
	.row {
		display: flex;
		align-items: baseline;
		gap: 12px;
		border-top: 1px solid var(--rule);
		padding: 4px 0;
		font-size: 0.9375rem;
	}
</style>

<script lang="ts">
	import { whyNotThrough, type ThroughCheck } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { THROUGH_WORDS } from './words';

	/** One look at a time until the cause is found, the one that tells most for the trouble first. */
	const bench = getWorkbench();
	let ruledOut = $state.raw<ThroughCheck[]>([]);
	let found = $state<ThroughCheck | null>(null);
	const steps = $derived(whyNotThrough(bench.plan, ruledOut));
	const next = $derived(steps[0]);
	const again = () => {
		ruledOut = [];
		found = null;
	};
</script>

<div class="path" data-testid="not-through">
	<h3 class="h">Why not through?</h3>
	{#if found}
		<p class="mt-1 text-[1.125rem] font-semibold">{THROUGH_WORDS[found].fix}</p>
		<button type="button" class="btn mt-2" onclick={again}>Start again</button>
	{:else if next}
		{@const words = THROUGH_WORDS[next.check]}
		<p class="mt-1 text-[1.125rem] font-semibold">{words.look}</p>
		<p class="sub">
			Look {ruledOut.length + 1} of {ruledOut.length + steps.length}; about {bench.say(
				next.share,
				'share'
			)} likely{next.suspected ? '. The plan finds this tight on your bench' : ''}.
		</p>
		<div class="mt-2 flex flex-wrap gap-2">
			<button type="button" class="btn btn-primary btn-xl" onclick={() => (found = next.check)}
				>That is it</button
			>
			<button
				type="button"
				class="btn btn-xl"
				onclick={() => (ruledOut = [...ruledOut, next.check])}>It is fine</button
			>
			{#if ruledOut.length}
				<button type="button" class="btn" onclick={() => (ruledOut = ruledOut.slice(0, -1))}
					>Back</button
				>
			{/if}
		</div>
	{:else}
		<p class="mt-1 text-[1.125rem] font-semibold">
			Nothing left to look at here. Leave the machine off and ask a qualified technician.
		</p>
		<button type="button" class="btn mt-2" onclick={again}>Start again</button>
	{/if}
</div>

<style>
	.path {
		margin-top: 12px;
		padding: 8px 14px;
		border-left: 6px solid var(--stops);
		background: var(--stops-wash);
	}
</style>

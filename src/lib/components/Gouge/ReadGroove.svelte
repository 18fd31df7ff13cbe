<script lang="ts">
	import { correctionFor, GROOVE_FAULTS, type GrooveFault } from '$lib/core/gouge/read';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { correctionWords, FAULT_WORDS } from './words';

	/** What the groove looks like, and the one thing to change. */
	const bench = getWorkbench();
	const { figures } = $derived(bench.plan);
	let seen = $state<GrooveFault | undefined>();
	const correction = $derived(
		seen &&
			correctionFor(seen, {
				angleFromPlateDeg: bench.cut.gouge.angleFromPlateDeg,
				speedMmS: figures['gouge.speedMmS'].value,
				outputA: figures['gouge.currentA'].value!,
				airBar: figures['gouge.airBar'].value
			})
	);
</script>

<section aria-label="Read the groove">
	<h2 class="h">Read the groove</h2>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each GROOVE_FAULTS as fault (fault)}
			<button
				type="button"
				class="btn"
				class:btn-primary={seen === fault}
				aria-pressed={seen === fault}
				onclick={() => (seen = fault)}>{FAULT_WORDS[fault].seen}</button
			>
		{/each}
	</div>
	<p class="mt-2 min-h-12" aria-live="polite" data-testid="correction">
		{#if seen && correction}
			<b class="text-[1.25rem]">{correctionWords(correction, bench)}</b>
			<span class="sub">{FAULT_WORDS[seen].why} One change at a time (common practice).</span>
			<a
				class="link"
				href="/fault?{bench.search}&of={seen === 'out' ? 'drops-out' : 'bad-groove'}{seen === 'slag'
					? '&seen=pushed:no'
					: ''}">It does not help: find the fault</a
			>
		{:else}
			<span class="sub">Look at the bed after each string.</span>
		{/if}
	</p>
</section>

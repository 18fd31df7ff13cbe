<script lang="ts">
	import {
		correctionFor,
		GROOVE_FAULTS,
		SPOT_FAULTS,
		type GrooveFault
	} from '$lib/core/gouge/read';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { isSpot } from '$lib/core/gouge/targets';
	import { correctionWords, FAULT_WORDS, SPOT_WHY } from './words';

	/** What the groove or the spot looks like, and the one thing to change. */
	const bench = getWorkbench();
	const { figures } = $derived(bench.plan);
	const spot = $derived(isSpot(bench.cut.gouge.target));
	const faults = $derived(spot ? SPOT_FAULTS : GROOVE_FAULTS);
	let picked = $state<GrooveFault | undefined>();
	const seen = $derived(picked && faults.includes(picked) ? picked : undefined);
	const why = $derived(seen && ((spot && SPOT_WHY[seen]) || FAULT_WORDS[seen].why));
	const correction = $derived(
		seen &&
			correctionFor(seen, {
				angleFromPlateDeg: bench.cut.gouge.angleFromPlateDeg,
				speedMmS: figures['gouge.speedMmS'].value,
				spotS: spot ? figures['gouge.stringS'].value : null,
				outputA: figures['gouge.currentA'].value!,
				airBar: figures['gouge.airBar'].value
			})
	);
</script>

<section aria-label={spot ? 'Read the spot' : 'Read the groove'}>
	<h2 class="h">{spot ? 'Read the spot' : 'Read the groove'}</h2>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each faults as fault (fault)}
			<button
				type="button"
				class="btn"
				class:btn-primary={seen === fault}
				aria-pressed={seen === fault}
				onclick={() => (picked = fault)}>{FAULT_WORDS[fault].seen}</button
			>
		{/each}
	</div>
	<p class="mt-2 min-h-12" aria-live="polite" data-testid="correction">
		{#if seen && correction}
			<b class="text-[1.25rem]">{correctionWords(correction, bench)}</b>
			<span class="sub">{why} One change at a time (common practice).</span>
			<a
				class="link"
				href="/fault?{bench.search}&of={seen === 'out' ? 'drops-out' : 'bad-groove'}{seen === 'slag'
					? '&seen=pushed:no'
					: ''}">It does not help: find the fault</a
			>
		{:else}
			<span class="sub">{spot ? 'Look at each spot.' : 'Look at the bed after each string.'}</span>
		{/if}
	</p>
</section>

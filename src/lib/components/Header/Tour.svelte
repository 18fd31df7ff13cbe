<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The six stations, one after the other; skipped by one press. Without `close` there is nowhere to go yet. */
	let { end, close }: { end: () => void; close?: () => void } = $props();
	const bench = getWorkbench();
	const STOPS = [
		{
			path: 'supply',
			name: 'Supply',
			text: 'Will circuit, cutter and air carry it, and for how long? Electricity and air run towards the cutter; press a part to change it.'
		},
		{
			path: 'setup',
			name: 'Setup',
			text: 'Which amps, which nozzle, how fast? Set metal and thickness; the card says seconds for your line. A test cut makes it yours.'
		},
		{
			path: 'cut',
			name: 'Cut',
			text: 'How far the guide lies off, how to start, what to look at afterwards. Templates are made from here.'
		},
		{
			path: 'gouge',
			name: 'Gouge',
			text: 'What has to come out, in which strings, and what stays of the plate.'
		},
		{
			path: 'wear',
			name: 'Wear',
			text: 'What is left in the torch, the drawer and the purse. L logs a cut.'
		},
		{
			path: 'checks',
			name: 'Checks',
			text: 'May I fire? Two lists to tick; and a finder for what is wrong.'
		}
	] as const;
	let at = $state(0);
	const stop = $derived(STOPS[at]!);
</script>

<section aria-label="Tour">
	<p class="sub">
		Station {at + 1} of {STOPS.length}. The line at the top runs through all of them: thin where it
		is tight, broken where it stops.
	</p>
	<div aria-live="polite" class="min-h-28">
		<h3 class="fig mt-2 text-[2.25rem]">{stop.name}</h3>
		<p class="mt-1 text-[1.125rem]">{stop.text}</p>
	</div>
	<p class="mt-3 flex flex-wrap gap-2">
		<button type="button" class="btn" disabled={at === 0} onclick={() => (at -= 1)}>Back</button>
		{#if at < STOPS.length - 1}
			<button type="button" class="btn" class:btn-primary={close} onclick={() => (at += 1)}
				>Next station</button
			>
		{/if}
		{#if close}
			<a class="btn" href="/{stop.path}?{bench.search}" onclick={close}>Go there</a>
		{/if}
		<button type="button" class="btn" onclick={end}
			>{at === STOPS.length - 1 ? 'End' : 'Skip the tour'}</button
		>
	</p>
</section>

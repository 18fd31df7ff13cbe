<script lang="ts">
	import { onMount } from 'svelte';
	import { dayAndTime } from '$lib/formats/days';
	import { undoEntry } from '$lib/state/logbook';
	import { keptSteps } from '$lib/state/steps';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What this device logged last, to be taken back step by step. */
	let { done }: { done: () => void } = $props();
	const bench = getWorkbench();
	const own = $derived(bench.steps.filter(({ benchId }) => benchId === bench.benchId));
	onMount(() => {
		bench.steps = keptSteps();
	});
	async function back() {
		await undoEntry(bench, own[0]!.id);
		done();
	}
</script>

<section aria-label="Your last steps">
	<h2 class="h">Your last steps</h2>
	{#if own.length === 0}
		<p class="sub">Nothing was logged from this device lately.</p>
	{:else}
		<ol>
			{#each own.slice(0, 5) as step, i (step.id)}
				<li class="flex gap-3 border-t" class:font-bold={i === 0} style:border-color="var(--rule)">
					<span class="fig w-5">{i + 1}</span>
					<span class="grow">{step.text}</span>
					<span class="sub">{dayAndTime(step.at)}</span>
				</li>
			{/each}
		</ol>
		<button type="button" class="btn mt-2 w-full btn-xl" onclick={() => void back()}
			>Undo: {own[0]!.text} <kbd class="kbd kbd-sm">Z</kbd></button
		>
	{/if}
</section>

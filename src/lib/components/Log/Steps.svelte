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
	let going = $state(false);
	async function back() {
		// A second press means the same step, as long as that is on its way: it stands there still.
		if (going) return;
		going = true;
		try {
			await undoEntry(bench, own[0]!.id);
		} finally {
			going = false;
		}
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
		<button
			type="button"
			class="btn mt-2 w-full btn-xl"
			aria-busy={going}
			onclick={() => void back()}>Undo: {own[0]!.text} <kbd class="kbd kbd-sm">Z</kbd></button
		>
	{/if}
</section>

<script lang="ts">
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import type { StartPath } from '$lib/state/startPath.svelte';
	import { readStep } from './asks';

	/** What the answers come to so far. */
	let { path }: { path: StartPath } = $props();
	const bench = $derived(path.trial);
	const speed = $derived(bench.plan.figures['setup.speedMmS']);
</script>

<section class="so-far" aria-label="Your card so far">
	<p>
		<b>Your card so far</b> <span class="sub">{readStep(path, 'cut', bench.say.bind(bench))}</span>
	</p>
	{#if speed.value !== null}
		<p class="flex flex-wrap items-end gap-x-6">
			<Fig id="setup.currentA" size={44} balloon={false} />
			<Fig id="setup.speedMmS" size={44} color="var(--arc)" balloon={false} />
			{#if speed.band}
				{@const [least, most] = speed.band}
				<span class="sub"
					>{bench.show(least, 'speed').text} to {bench.say(most, 'speed')} until a test cut</span
				>
			{/if}
		</p>
	{:else}
		<p class="mt-1 font-semibold">Too thick for this cutter.</p>
	{/if}
</section>

<style>
	.so-far {
		margin-top: 12px;
		padding: 10px 14px;
		border: 2px dashed var(--ink);
		background: var(--card);
	}
</style>

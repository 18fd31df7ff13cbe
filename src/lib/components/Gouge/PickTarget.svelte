<script lang="ts">
	import { TARGETS } from '$lib/core/gouge/targets';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { STARTING, TARGET_HELP, TARGET_NAMES } from './words';

	/** Nothing is asked for yet: what is to come out? One press, and it is planned. */
	const bench = getWorkbench();
</script>

<h1 class="fig text-[2.25rem]">What is to come out?</h1>
<ul class="mt-2 grid gap-2 sm:grid-cols-2">
	{#each TARGETS as target (target)}
		<li>
			<button
				type="button"
				class="btn h-full min-h-16 w-full flex-col items-start justify-start py-2 text-left"
				onclick={() => bench.setGouge({ ...STARTING[target], target })}
			>
				<span class="text-[1.125rem]">{TARGET_NAMES[target]}</span>
				<span class="text-[0.9375rem] leading-tight font-normal">{TARGET_HELP[target]}</span>
			</button>
		</li>
	{/each}
</ul>

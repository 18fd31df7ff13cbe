<script lang="ts">
	import { defaultUnit, METALS } from '$lib/core';
	import type { SetupStudy } from '$lib/state/setupStudy.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type CurvesType from './SpeedCurves.svelte';

	/** Speed against thickness: what chart, ratings and test cuts say, and where this cut stands. */
	let { study }: { study: SetupStudy } = $props();
	const bench = getWorkbench();
	const curves = $derived(study.answer?.curves);
	const { metal } = $derived(bench.cut);
	// Fetched with the first answer: nothing of it is on the first screen.
	let Curves = $state.raw<typeof CurvesType | undefined>();
	$effect(() => {
		if (curves && !Curves) void import('./SpeedCurves.svelte').then((m) => (Curves = m.default));
	});
</script>

<section
	aria-label="Speed against thickness"
	class={study.stale ? 'text-[var(--ink2)]' : undefined}
>
	<h2 class="flex flex-wrap items-baseline gap-x-3">
		<span class="h">Speed against thickness, {METALS[metal].label.toLowerCase()}</span>
		<span class="sub"
			>{defaultUnit('speed', bench.units)} over {defaultUnit('thickness', bench.units)}</span
		>
	</h2>
	{#if curves && Curves}
		<Curves {curves} />
	{:else}
		<p class="sub relative h-[300px]">
			{study.asked ? 'working' : 'drawn when it comes into view'}
		</p>
	{/if}
</section>

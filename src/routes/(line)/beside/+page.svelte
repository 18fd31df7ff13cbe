<script lang="ts">
	import { goto } from '$app/navigation';
	import Select from '$lib/components/Fields/Select.svelte';
	import Beside from '$lib/components/Supply/Beside.svelte';
	import { cutTitle } from '$lib/components/Card/words';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Two benches side by side, for the same cut and the same work. */
	let { data } = $props();
	const bench = getWorkbench();
	const others = $derived(
		bench.benches
			.filter((b) => b.id !== bench.benchId)
			.map(({ id, name }) => ({ value: id, label: name }))
	);
	function choose(id: string) {
		void goto(`/beside?${bench.search}&with=${id}`, { keepFocus: true });
	}
</script>

<svelte:head><title>Side by side · Steady Arc</title></svelte:head>

<div class="px-6 pt-3 pb-4 max-[899px]:px-3">
	<h1 class="fig text-[2.875rem]">Side by side</h1>
	<p class="sub">
		Both for the same cut, {cutTitle(bench)}, and the same work: {bench.plan.choices.workIsCut
			? 'that cut again and again'
			: `${bench.say(bench.work.arcS, 'time')} arc`}, {bench.say(bench.work.restS, 'time')} pause.
	</p>
	{#if data.other}
		<div class="mt-2 max-w-xs">
			<Select label="Beside it" options={others} value={data.other.id} {choose} />
		</div>
		<Beside other={data.other} />
	{:else}
		<p class="mt-3">There is only one bench in this shop. Add another one on the bench page.</p>
	{/if}
</div>

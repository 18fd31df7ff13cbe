<script lang="ts">
	import { goto } from '$app/navigation';
	import type { Bench } from '$lib/core';
	import { readBenchFile } from '$lib/formats/benchFile';
	import { STARTER_BENCHES } from '$lib/formats/starters';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import Logo from '$lib/components/Header/Logo.svelte';
	import { newOpId } from '$lib/state/ids';
	import { sendNow } from '$lib/state/outbox';

	/** The first bench: typical values to be put right part by part. */
	let problem = $state<string | undefined>();

	async function make(bench: Bench) {
		const result = await sendNow<{ id: string }>({
			method: 'POST',
			path: '/api/benches',
			body: { opId: newOpId(), bench }
		});
		if (result.outcome === 'done') await goto(`/bench?bench=${result.data.id}`);
		else problem = result.problem.message;
	}
	async function read(file: File) {
		const found = readBenchFile(await file.text());
		if (found.ok) await make(found.bench);
		else problem = found.problem.message;
	}
</script>

<svelte:head><title>Start · Steady Arc</title></svelte:head>

<main class="sheet mx-auto min-h-screen max-w-3xl p-6">
	<p class="flex items-center gap-3"><Logo /><span class="fig text-[1.875rem]">Steady Arc</span></p>
	<h1 class="fig mt-6 text-[2.875rem]" style:white-space="normal">What stands in your shop?</h1>
	<p class="mt-2">
		Take the nearest; every value in it is typical only. Then put it right, part by part, from the
		data plates.
	</p>
	<div class="mt-4 grid gap-3">
		{#each STARTER_BENCHES as bench (bench.name)}
			<button type="button" class="btn justify-start btn-xl" onclick={() => void make(bench)}
				>{bench.name}</button
			>
		{/each}
		<FileButton
			label="A bench file"
			accept="application/json,.json"
			big
			take={(file) => void read(file)}
		/>
	</div>
	{#if problem}<p class="mt-3 font-semibold" style:color="var(--stops)" role="alert">
			{problem}
		</p>{/if}
</main>

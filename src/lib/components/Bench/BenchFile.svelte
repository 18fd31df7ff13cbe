<script lang="ts">
	import { goto } from '$app/navigation';
	import type { Bench } from '$lib/core';
	import { readBenchFile } from '$lib/formats/benchFile';
	import { newOpId } from '$lib/state/ids';
	import { sendNow } from '$lib/state/outbox';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A bench as a file: out, and in again after a look at what it holds. */
	const bench = getWorkbench();
	let found = $state.raw<Bench | undefined>();
	let problem = $state<string | undefined>();
	let input = $state<HTMLInputElement>();

	async function read(file: File | undefined) {
		found = problem = undefined;
		if (!file) return;
		const result = readBenchFile(await file.text());
		if (result.ok) found = result.bench;
		else problem = result.problem.message;
	}
	async function add(newBench: Bench) {
		const result = await sendNow<{ id: string }>({
			method: 'POST',
			path: '/api/benches',
			body: { opId: newOpId(), bench: newBench }
		});
		if (result.outcome === 'refused') problem = result.problem.message;
		else {
			found = undefined;
			bench.notice = { kind: 'done', text: `${newBench.name} added.` };
			await goto(`/bench?bench=${result.data.id}`);
		}
	}
</script>

<section aria-label="Bench file">
	<h2 class="h">As a file</h2>
	<div class="mt-1 flex flex-wrap gap-2">
		<a class="act" href="/api/benches/{bench.benchId}/export" download>Export this bench</a>
		<button type="button" class="act" onclick={() => input?.click()}>Import a bench</button>
		<a class="act" href="/api/export" download>Export everything</a>
		<input
			bind:this={input}
			type="file"
			accept="application/json,.json"
			class="sr-only"
			aria-label="Bench file to import"
			onchange={(e) => void read(e.currentTarget.files?.[0])}
		/>
	</div>
	{#if problem}<p class="mt-2 font-semibold" style:color="var(--stops)" role="alert">
			{problem}
		</p>{/if}
	{#if found}
		<div class="mt-2 border-l-[6px] py-2 pl-3" style:border-color="var(--arc)">
			<b>{found.name}</b>: {found.cutter.name}, {found.supply.nominalV} V, {found.supply.breaker
				.ratingA} A breaker, {found.air.tankL} l tank. Nothing is written yet.
			<div class="mt-1 flex gap-2">
				<button type="button" class="act main" onclick={() => void add(found!)}
					>Add it as a new bench</button
				>
				<button type="button" class="act" onclick={() => (found = undefined)}>Leave it</button>
			</div>
		</div>
	{/if}
</section>

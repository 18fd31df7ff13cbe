<script lang="ts">
	import { goto } from '$app/navigation';
	import type { Bench } from '$lib/core';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import { readBenchFile } from '$lib/formats/benchFile';
	import { newOpId } from '$lib/state/ids';
	import { sendNow } from '$lib/state/outbox';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A bench as a file: out, and in again after a look at what it holds. */
	const bench = getWorkbench();
	let found = $state.raw<Bench | undefined>();
	let problem = $state<string | undefined>();

	async function read(file: File) {
		found = problem = undefined;
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
		<a class="btn" href="/api/benches/{bench.benchId}/export" download>Export this bench</a>
		<FileButton
			label="Import a bench"
			name="Bench file to import"
			accept="application/json,.json"
			take={(file) => void read(file)}
		/>
		<a class="btn" href="/api/export" download>Export everything</a>
	</div>
	{#if problem}<p class="mt-2 font-semibold" style:color="var(--stops)" role="alert">
			{problem}
		</p>{/if}
	{#if found}
		<div class="mt-2 border-l-[6px] py-2 pl-3" style:border-color="var(--arc)">
			<b>{found.name}</b>: {found.cutter.name}, {found.supply.nominalV} V, {found.supply.breaker
				.ratingA} A breaker, {found.air.tankL} l tank. Nothing is written yet.
			<div class="mt-1 flex gap-2">
				<button type="button" class="btn btn-primary" onclick={() => void add(found!)}
					>Add it as a new bench</button
				>
				<button type="button" class="btn" onclick={() => (found = undefined)}>Leave it</button>
			</div>
		</div>
	{/if}
</section>

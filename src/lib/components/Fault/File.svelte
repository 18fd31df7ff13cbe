<script lang="ts">
	import * as v from 'valibot';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import { FaultFileSchema } from '$lib/core/faults/file';
	import type { FinderView } from '$lib/state/finder.svelte';

	/** The file out, extended by hand, and in again: whole or not at all, with what is wrong by its place. */
	let { view }: { view: FinderView } = $props();
	let problems = $state.raw<string[]>([]);
	let done = $state('');
	const FILE_MOST = 250_000;

	async function take(file: File) {
		problems = [];
		done = '';
		if (file.size > FILE_MOST) {
			problems = ['That file is larger than 250 kB: a file of faults has far less.'];
			return;
		}
		let data: unknown;
		try {
			data = JSON.parse(await file.text());
		} catch (error) {
			problems = [`It is not JSON: ${(error as Error).message}`];
			return;
		}
		const parsed = v.safeParse(FaultFileSchema, data);
		if (!parsed.success) {
			problems = parsed.issues
				.slice(0, 8)
				.map((issue) => [v.getDotPath(issue), issue.message].filter(Boolean).join(': '));
			return;
		}
		const saved = await view.saveFile(parsed.output);
		if (saved.outcome === 'refused') problems = [saved.why];
		else if (saved.outcome === 'waits')
			done = 'The server does not answer: the file is kept on this device and counts once it does.';
		else
			done = `${parsed.output.causes.length} causes, ${parsed.output.looks.length} looks: this file counts now.`;
	}
</script>

<section aria-label="The file of faults">
	<p>
		Symptoms, causes and looks stand in one file, with how often in five words: nearly always,
		often, sometimes, rarely, never. Take it out, add what your shop knows, bring it back.
		{view.file.symptoms.length} symptoms, {view.file.causes.length} causes, {view.file.looks.length} looks.
	</p>
	<p class="mt-2 flex flex-wrap gap-2">
		<a class="btn" href="/api/faults?download" download="faults.json">Out as a file</a>
		<FileButton
			label="Bring one in"
			accept=".json,application/json"
			take={(file) => void take(file)}
		/>
		{#if view.stands.own}
			<button type="button" class="btn" onclick={() => void view.saveFile(null)}
				>Back to the one of the program</button
			>
		{/if}
	</p>
	{#if problems.length}
		<div role="alert" class="mt-2">
			<p><b>Nothing was changed.</b></p>
			<ul>
				{#each problems as problem (problem)}<li>{problem}</li>{/each}
			</ul>
		</div>
	{/if}
	{#if done}<p class="mt-2" role="status">{done}</p>{/if}
</section>

<script lang="ts">
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import type { CsvEntry, CsvProblem } from '$lib/formats/logCsv';
	import { IMPORT_MOST } from '$lib/formats/bodies/records';
	import { nowIso } from '$lib/state/clock';
	import { entryWords } from '$lib/components/Wear/words';
	import { dayAndTime } from '$lib/formats/days';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { write } from '$lib/state/write';
	import type { Evidence } from '$lib/core';

	/** A log file is read and shown before anything of it is written. */
	let { done }: { done: () => void } = $props();
	const bench = getWorkbench();
	const MOST_BYTES = 4_000_000;
	let read = $state.raw<
		{ name: string; entries: CsvEntry[]; problems: CsvProblem[] } | undefined
	>();

	const rows = (n: number) => (n === 1 ? '1 row' : `${n} rows`);

	async function take(file: File) {
		const refuse = (message: string) =>
			(read = { name: file.name, entries: [], problems: [{ row: 0, message }] });
		if (file.size > MOST_BYTES) return refuse('the file is over 4 MB');
		const { entriesFromCsv } = await import('$lib/formats/logCsv');
		const found = entriesFromCsv(await file.text(), nowIso());
		if (found.entries.length > IMPORT_MOST)
			return refuse(`at most ${IMPORT_MOST} rows at once: part the file`);
		read = { name: file.name, ...found };
	}
	async function log() {
		const { benchId } = bench;
		const result = await write<{ logged: number; already: number; evidence: Evidence }>(bench, {
			method: 'POST',
			path: '/api/log/import',
			body: { benchId, rows: read!.entries },
			words: `${rows(read!.entries.length)} from ${read!.name}`
		});
		if (result.outcome !== 'done') return;
		const { logged, evidence } = result.data;
		if (bench.benchId === benchId) bench.evidence = evidence;
		bench.revised({ log: evidence.revision });
		bench.notice = { kind: 'done', text: `${rows(logged)} logged.` };
		read = undefined;
		done();
	}
</script>

<FileButton label="In from CSV" accept=".csv,text/csv" take={(file) => void take(file)} />
{#if read}
	<div class="mt-2" role="region" aria-label="Read from the file" aria-live="polite">
		{#if read.problems.length}
			<p class="font-semibold" style:color="var(--stops)">
				{read.name}: nothing was written. {read.problems.length} of its rows
				{read.problems.length === 1 ? 'is' : 'are'} not accepted:
			</p>
			<ul class="max-h-48 overflow-y-auto">
				{#each read.problems.slice(0, 50) as { row, message }, i (i)}
					<li>{row > 0 ? `Row ${row}: ` : ''}{message}</li>
				{/each}
			</ul>
		{:else if read.entries.length === 0}
			<p>{read.name} has no rows.</p>
		{:else}
			<p>
				<b>{read.name}</b>: {rows(read.entries.length)}, from {dayAndTime(read.entries[0]!.at)} on. The
				first: {entryWords(read.entries[0]!.entry, bench)}.
			</p>
			<button type="button" class="btn btn-primary" onclick={() => void log()}
				>Log {rows(read.entries.length)}</button
			>
		{/if}
		<button type="button" class="btn" onclick={() => (read = undefined)}>Leave it</button>
	</div>
{/if}

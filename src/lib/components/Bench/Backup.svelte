<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import type { Problem } from '$lib/formats/problem';
	import { dayAndTime } from '$lib/formats/days';

	/** The whole shop as one file, and back from one after it was looked into. */
	const bench = getWorkbench();
	let chosen = $state.raw<File | undefined>();
	let problem = $state<string | undefined>();
	let busy = $state(false);

	async function restore(file: File) {
		busy = true;
		bench.notice = undefined;
		problem = undefined;
		try {
			const response = await fetch('/api/restore', {
				method: 'POST',
				body: file,
				headers: { 'content-type': 'application/vnd.sqlite3' }
			});
			if (response.ok) {
				const { counts, kept } = (await response.json()) as {
					counts: { benches: number; entries: number; newest: string | null };
					kept?: string;
				};
				const newest = counts.newest ? `, the newest of ${dayAndTime(counts.newest)}` : '';
				bench.notice = {
					kind: 'done',
					text: `Restored: ${counts.benches} benches, ${counts.entries} log entries${newest}. ${kept ? 'What stood here before is kept in the data folder, under backups.' : ''}`
				};
				chosen = undefined;
				bench.refresh();
			} else problem = ((await response.json()) as Problem).message;
		} catch {
			problem = 'No answer from the server. Look at the bench again before you try once more.';
		}
		busy = false;
	}
</script>

<section aria-label="Backup">
	<h2 class="h">Backup of the whole shop</h2>
	<div class="mt-1 flex flex-wrap gap-2">
		<a class="btn" href="/api/backup" download>Save a backup</a>
		<FileButton
			label="Restore a backup"
			name="Backup to restore"
			accept=".db,application/vnd.sqlite3"
			take={(file) => {
				chosen = file;
				problem = undefined;
			}}
		/>
	</div>
	{#if problem}<p class="mt-2 font-semibold" style:color="var(--stops)" role="alert">
			{problem}
		</p>{/if}
	{#if chosen}
		<div class="mt-2 border-l-[6px] py-2 pl-3" style:border-color="var(--tight)">
			<b>{chosen.name}</b>, {Math.max(1, Math.round(chosen.size / 1000))} kB. It takes the place of all
			benches, logs, charts and cards, for everybody. What stands here now is kept aside on the server.
			<div class="mt-2 flex gap-2">
				<button
					type="button"
					class="btn btn-primary"
					disabled={busy}
					onclick={() => void restore(chosen!)}>Put it in place</button
				>
				<button type="button" class="btn" disabled={busy} onclick={() => (chosen = undefined)}
					>Leave it</button
				>
			</div>
		</div>
	{/if}
</section>

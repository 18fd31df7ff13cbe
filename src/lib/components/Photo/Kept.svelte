<script lang="ts">
	import { dayAndTime } from '$lib/formats/days';
	import type { KeptPicture } from '$lib/formats/pictures';
	import { answerTo } from '$lib/state/answerTo';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Pictures kept beside entries of this bench, newest first; asked for anew when `count` goes up. */
	let { count }: { count: number } = $props();
	const bench = getWorkbench();
	interface Page {
		pictures: KeptPicture[];
		next: number | null;
		used: { bytes: number; count: number };
		most: number;
	}
	let page = $state.raw<Page | undefined>();
	let problem = $state('');
	let sure = $state<number | undefined>();

	async function load(before?: number) {
		const { benchId } = bench;
		const from = before === undefined ? '' : `&before=${before}`;
		const read = await answerTo<Page>(`/api/pictures?bench=${benchId}&limit=12${from}`);
		if (bench.benchId !== benchId) return;
		if (!read) {
			problem = 'Kept pictures are on the server, which does not answer just now.';
			return;
		}
		problem = '';
		page =
			before === undefined || !page
				? read
				: { ...read, pictures: [...page.pictures, ...read.pictures] };
	}
	$effect(() => {
		void [bench.benchId, bench.revisions.log, count];
		void load();
	});
	async function letGo(id: number) {
		if (sure !== id) {
			sure = id;
			return;
		}
		sure = undefined;
		const answer = await fetch(`/api/pictures/${id}`, { method: 'DELETE' }).catch(() => undefined);
		if (!answer?.ok) {
			problem = 'It is still there: the server did not answer.';
			return;
		}
		await load();
	}
	const megabytes = (bytes: number) => (bytes / 1e6).toFixed(1);
</script>

{#if problem}<p class="sub" role="status">{problem}</p>{/if}
{#if page && page.pictures.length > 0}
	<section aria-label="Kept pictures" class="mt-6" data-testid="kept">
		<h2 class="h">Kept beside the log</h2>
		<ul class="grid-of">
			{#each page.pictures as { id, keptAt, width, height } (id)}
				<li>
					<a href="/api/pictures/{id}" target="_blank" rel="noreferrer">
						<img
							src="/api/pictures/{id}"
							alt="Kept {dayAndTime(keptAt)}"
							{width}
							{height}
							loading="lazy"
						/>
					</a>
					<span class="flex flex-wrap items-center justify-between gap-x-2">
						<span class="sub">{dayAndTime(keptAt)}</span>
						<button
							type="button"
							class="btn min-h-11 btn-ghost px-1 underline"
							aria-label="{sure === id ? 'Really let go' : 'Let go'}: picture of {dayAndTime(
								keptAt
							)}"
							onclick={() => void letGo(id)}
							>{sure === id ? 'Really? For good' : 'Let it go'}</button
						>
					</span>
				</li>
			{/each}
		</ul>
		<p class="sub flex flex-wrap items-center gap-3">
			{page.used.count} in the shop, {megabytes(page.used.bytes)} of {megabytes(page.most)} MB; they go
			with backup and export.
			{#if page.next !== null}
				<button type="button" class="btn" onclick={() => void load(page!.next!)}>Show more</button>
			{/if}
		</p>
	</section>
{/if}

<style>
	.grid-of {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
		gap: 12px;
		margin: 8px 0;
	}
	img {
		width: 100%;
		height: 120px;
		object-fit: cover;
	}
</style>

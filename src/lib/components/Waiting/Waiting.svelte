<script lang="ts">
	import { dropWaiting } from '$lib/state/write';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { dayAndTime } from '$lib/formats/days';
	import { drop, retry, waiting, type Kept } from '$lib/state/outbox';

	/** What this device keeps until the server has it: in order, and what it did not take, to be decided. */
	let { again }: { again: () => void } = $props();
	const bench = getWorkbench();
	const aside = $derived(bench.waiting.filter(({ refusal }) => refusal));
	const queued = $derived(bench.waiting.length - aside.length);

	async function tryAgain({ key }: Kept) {
		await retry(key);
		bench.waiting = await waiting();
		again();
	}
	async function takeOff({ key }: Kept) {
		await drop(key);
		bench.waiting = await waiting();
		bench.notice = { kind: 'done', text: 'Dropped. It was never logged.' };
	}
</script>

{#if bench.away || bench.waiting.length > 0}
	<section class="waiting no-print" aria-label="Waiting on this device" data-testid="waiting">
		{#if bench.away}
			<p>
				<b>The server does not answer.</b> Go on working: all stations plan without it and entries wait
				here. Do not reload or close this page: without the server it cannot be opened again. Entries
				and edits stay on this device either way.
			</p>
		{/if}
		{#if bench.waiting.length > 0}
			<details class="collapse-plus collapse" open={aside.length > 0}>
				<summary class="collapse-title flex flex-wrap gap-x-3">
					{#if queued > 0}<b>{queued} waiting on this device, not with the server yet.</b>{/if}
					{#if aside.length > 0}<b>{aside.length} not taken by the server: decide.</b>{/if}
				</summary>
				<ul class="collapse-content">
					{#each bench.waiting as item (item.key)}
						<li>
							<span class="sub w-[92px] shrink-0">{dayAndTime(item.madeAt)}</span>
							<span class="grow">
								{item.write.words}
								{#if item.refusal}<br /><b>Not taken:</b> {item.refusal.problem.message}{/if}
							</span>
							{#if item.refusal}
								<button type="button" class="btn" onclick={() => void tryAgain(item)}
									>Try again</button
								>
								<button
									type="button"
									class="btn"
									aria-label="Drop: {item.write.words}"
									onclick={() => void takeOff(item)}>Drop it</button
								>
							{:else}
								<button
									type="button"
									class="btn"
									aria-label="Take back: {item.write.words}"
									onclick={() => void dropWaiting(bench, item.key)}>Take back</button
								>
							{/if}
						</li>
					{/each}
				</ul>
			</details>
		{/if}
	</section>
{/if}

<style>
	.waiting {
		padding: 6px 24px;
		background: var(--spark-wash);
		border-bottom: 1.5px solid var(--rule);
	}
	li {
		display: flex;
		align-items: center;
		gap: 12px;
		min-height: 48px;
		border-top: 1px solid var(--rule);
	}
	@media (max-width: 899px) {
		.waiting {
			padding: 6px 12px;
		}
		li {
			flex-wrap: wrap;
			padding-bottom: 6px;
		}
	}
</style>

<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One line to the person, with its way back. It stays until the next one or until it is closed. */
	const bench = getWorkbench();
	const notice = $derived(bench.notice);
</script>

<div role="status" aria-live="polite" class="no-print">
	{#if notice}
		<div
			class="notice"
			class:problem={notice.kind === 'problem'}
			class:kept={notice.kind === 'kept'}
			data-testid="notice"
		>
			<span class="grow py-2">{notice.text}</span>
			{#if notice.undo}
				<button type="button" class="act big" onclick={notice.undo}
					>Undo <kbd class="key">Z</kbd></button
				>
			{/if}
			{#if notice.redo}
				<button type="button" class="act big" onclick={notice.redo}>Do it again</button>
			{/if}
			<button type="button" class="act border-0" onclick={() => (bench.notice = undefined)}
				>Close</button
			>
		</div>
	{/if}
</div>

<style>
	.notice {
		position: fixed;
		z-index: 40;
		left: 24px;
		bottom: 12px;
		display: flex;
		align-items: center;
		gap: 12px;
		max-width: min(600px, calc(100vw - 24px));
		padding: 4px 8px 4px 16px;
		background: var(--card);
		border: 2px solid var(--ink);
		border-left: 8px solid var(--holds);
		font-weight: 600;
	}
	.kept {
		border-left-color: var(--tight);
	}
	.problem {
		border-left-color: var(--stops);
	}
	@media (max-width: 899px) {
		.notice {
			left: 12px;
			right: 12px;
		}
	}
</style>

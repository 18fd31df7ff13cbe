<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One line to the person, with its way back. It stays until the next one or until it is closed. */
	const bench = getWorkbench();
	const notice = $derived(bench.notice);
	const KINDS = { done: 'alert-success', kept: 'alert-warning', problem: 'alert-error' };
</script>

<div role="status" aria-live="polite" class="no-print toast toast-start z-40">
	{#if notice}
		<div class="alert {KINDS[notice.kind]} flex font-semibold" data-testid="notice">
			<span class="grow py-2">{notice.text}</span>
			{#if notice.undo}
				<button type="button" class="btn btn-xl" onclick={notice.undo}
					>Undo <kbd class="kbd kbd-sm">Z</kbd></button
				>
			{/if}
			{#if notice.redo}
				<button type="button" class="btn btn-xl" onclick={notice.redo}>Do it again</button>
			{/if}
			<button type="button" class="btn btn-ghost" onclick={() => (bench.notice = undefined)}
				>Close</button
			>
		</div>
	{/if}
</div>

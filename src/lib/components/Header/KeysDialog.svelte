<script lang="ts">
	import { KEY_HELP } from '$lib/state/keys';

	let {
		open,
		close,
		on,
		toggle
	}: { open: boolean; close: () => void; on: boolean; toggle: () => void } = $props();
	let dialog = $state<HTMLDialogElement>();

	$effect(() => {
		if (open) dialog?.showModal();
		else dialog?.close();
	});
</script>

<dialog bind:this={dialog} onclose={close} aria-labelledby="keys-title" class="keys">
	<h2 id="keys-title" class="h mb-2 text-[20px]">Keys</h2>
	<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
		{#each KEY_HELP as [key, what] (key)}
			<dt><kbd class="key inline-block">{key}</kbd></dt>
			<dd>{what}</dd>
		{/each}
	</dl>
	<label class="mt-3 flex min-h-11 items-center gap-3">
		<input type="checkbox" class="size-6" checked={on} onchange={toggle} /> Single keys are on
	</label>
	<button type="button" class="act mt-3" onclick={close}>Close</button>
</dialog>

<style>
	.keys {
		margin: auto;
		padding: 20px 24px;
		background: var(--sheet);
		color: var(--ink);
		border: 2.5px solid var(--ink);
		border-radius: 3px;
	}
</style>

<script lang="ts">
	import Check from '$lib/components/Fields/Check.svelte';
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

<dialog bind:this={dialog} onclose={close} aria-labelledby="keys-title" class="modal">
	<div class="modal-box">
		<h2 id="keys-title" class="h mb-2 text-[1.25rem]">Keys</h2>
		<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
			{#each KEY_HELP as [key, what] (key)}
				<dt><kbd class="kbd inline-block kbd-sm">{key}</kbd></dt>
				<dd>{what}</dd>
			{/each}
		</dl>
		<Check {on} set={toggle}>Single keys are on</Check>
		<div class="modal-action"><button type="button" class="btn" onclick={close}>Close</button></div>
	</div>
</dialog>

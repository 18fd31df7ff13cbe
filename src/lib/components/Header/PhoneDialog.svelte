<script lang="ts">
	import OnAPhone from '$lib/components/Bench/OnAPhone.svelte';

	/** This very page, with bench and cut, on another screen. */
	let { open, close }: { open: boolean; close: () => void } = $props();
	let dialog = $state<HTMLDialogElement>();

	$effect(() => {
		if (open) dialog?.showModal();
		else dialog?.close();
	});
</script>

<dialog bind:this={dialog} onclose={close} aria-label="This cut on a phone" class="modal">
	<div class="modal-box">
		{#if open}<OnAPhone />{/if}
		<div class="modal-action"><button type="button" class="btn" onclick={close}>Close</button></div>
	</div>
</dialog>

<script lang="ts">
	import Check from '$lib/components/Fields/Check.svelte';
	import Tour from './Tour.svelte';
	import { GLOSSARY } from '$lib/components/Words/glossary';
	import { KEY_HELP } from '$lib/state/keys';

	/** What the trade's words mean, and which keys there are. */
	let {
		open,
		close,
		on,
		toggle
	}: { open: boolean; close: () => void; on: boolean; toggle: () => void } = $props();
	let dialog = $state<HTMLDialogElement>();
	let sought = $state('');
	let touring = $state(false);
	const plain = (text: string) => text.toLowerCase();
	const found = $derived(
		GLOSSARY.filter(({ word, also = '', means }) =>
			plain(`${word} ${also} ${means}`).includes(plain(sought.trim()))
		)
	);

	$effect(() => {
		if (open) dialog?.showModal();
		else dialog?.close();
	});
</script>

<dialog bind:this={dialog} onclose={close} aria-labelledby="words-title" class="modal">
	<div class="modal-box max-w-3xl">
		<h2 id="words-title" class="h mb-2 text-[1.25rem]">Words and keys</h2>
		{#if touring}
			<Tour end={() => (touring = false)} {close} />
		{:else}
			<p class="mb-2">
				<button type="button" class="btn" onclick={() => (touring = true)}
					>Tour: six stations in a minute</button
				>
			</p>
			<label class="sub block" for="sought">Find a word</label>
			<input
				id="sought"
				class="input w-full"
				type="search"
				autocomplete="off"
				bind:value={sought}
			/>
			<dl
				class="my-3 grid grid-cols-[repeat(auto-fill,minmax(16rem,1fr))] gap-x-5 gap-y-2"
				data-testid="glossary"
			>
				{#each found as { word, also, means } (word)}
					<div>
						<dt>
							<b>{word}</b>{#if also}&ensp;<span class="sub">{also}</span>{/if}
						</dt>
						<dd>{means}</dd>
					</div>
				{:else}
					<p>Nothing found for “{sought}”.</p>
				{/each}
			</dl>
			<p class="sub">Common practice, unless a standard is named.</p>
			<h3 class="h mt-4 mb-2">Keys</h3>
			<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
				{#each KEY_HELP as [key, what] (key)}
					<dt><kbd class="kbd inline-block kbd-sm">{key}</kbd></dt>
					<dd>{what}</dd>
				{/each}
			</dl>
			<Check {on} set={toggle}>Single keys are on</Check>
			<div class="modal-action">
				<button type="button" class="btn" onclick={close}>Close</button>
			</div>
		{/if}
	</div>
</dialog>

<script lang="ts">
	import { onMount } from 'svelte';
	import Upload from '@lucide/svelte/icons/upload';

	/** A button that asks for a file. The same file may be chosen again, after it was mended. */
	let {
		label,
		accept,
		take,
		name = label,
		big = false
	}: {
		/** What stands on the button. */
		label: string;
		accept: string;
		take: (file: File) => void;
		/** What it is called where its words do not say it alone. */
		name?: string;
		big?: boolean;
	} = $props();
	let input: HTMLInputElement;
	function taken() {
		const file = input.files?.[0];
		input.value = '';
		if (file) take(file);
	}
	// Chosen while the page's code was still on its way: nobody heard of it then.
	onMount(() => {
		if (input.files?.length) taken();
	});
</script>

<label class="btn relative {big ? 'justify-start btn-xl' : ''}">
	<Upload size={18} aria-hidden="true" />
	{label}
	<input
		bind:this={input}
		class="sr-only"
		type="file"
		{accept}
		aria-label={name}
		onchange={taken}
	/>
</label>

<script lang="ts">
	import Check from '$lib/components/Fields/Check.svelte';
	import { keepPicture } from '$lib/state/keepPicture';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Logs what was read, and keeps the picture beside it if the person wants. */
	let {
		photo,
		label,
		log,
		doubt = '',
		disabled = false
	}: {
		photo: PhotoReading;
		label: string;
		log: (opId: string) => Promise<boolean>;
		/** Why it can hardly be so; it is asked about first. */
		doubt?: string;
		disabled?: boolean;
	} = $props();
	const bench = getWorkbench();
	/** Only if the person wants it does the picture leave this device. */
	let keep = $state(false);
	let asked = $state(false);
	async function press(sure: boolean) {
		asked = !sure && doubt !== '';
		if (asked) return;
		await photo.logged(keep && ((opId) => keepPicture(bench, photo.file!, opId)), log);
	}
</script>

<button
	type="button"
	class="btn mt-3 btn-primary btn-xl"
	{disabled}
	onclick={() => void press(false)}>{label}</button
>
<Check bind:on={keep}>Keep the picture beside it</Check>
{#if asked && doubt}
	<p class="mt-2" role="alert">
		{doubt}
		<button type="button" class="btn" onclick={() => void press(true)}>It is so, log it</button>
	</p>
{/if}

<script lang="ts">
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
</script>

<label class="btn relative {big ? 'justify-start btn-xl' : ''}">
	<Upload size={18} aria-hidden="true" />
	{label}
	<input
		class="sr-only"
		type="file"
		{accept}
		aria-label={name}
		onchange={(e) => {
			const file = e.currentTarget.files?.[0];
			e.currentTarget.value = '';
			if (file) take(file);
		}}
	/>
</label>

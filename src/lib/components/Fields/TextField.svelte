<script lang="ts">
	/** One line of text; the reason for a refusal stands under it and the text stays. */
	let {
		label,
		value,
		most = Infinity,
		named = false,
		commit
	}: {
		label: string;
		value: string;
		/** Characters. */
		most?: number;
		/** It is a name, so it may not be empty. */
		named?: boolean;
		commit: (value: string) => string | undefined | Promise<string | undefined>;
	} = $props();
	const uid = $props.id();
	let typed = $state<string | undefined>();
	let error = $state<string | undefined>();

	function refused(text: string): string | undefined {
		const { length } = text.trim();
		if (named && length === 0) return 'It needs a name.';
		if (length > most) return `At most ${most} characters; these are ${length}.`;
	}
	async function take(text: string) {
		error = refused(text) ?? (await commit(text));
		typed = error ? text : undefined;
	}
</script>

<div>
	<label class="sub mb-0.5 block" for={uid}>{label}</label>
	<input
		id={uid}
		class="input w-full"
		class:input-error={error}
		type="text"
		autocomplete="off"
		value={typed ?? value}
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={error ? `${uid}-note` : undefined}
		onchange={(e) => take(e.currentTarget.value)}
	/>
	{#if error}
		<p
			id="{uid}-note"
			class="mt-1 text-[0.875rem] font-semibold"
			style:color="var(--stops)"
			role="alert"
		>
			{error}
		</p>
	{/if}
</div>

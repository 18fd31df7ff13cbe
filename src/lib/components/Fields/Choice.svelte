<script lang="ts" generics="T extends string | number">
	/** One of a few, as a row of segments; arrow keys move, as in any radio group. */
	let {
		label,
		options,
		value,
		choose,
		showLabel = false
	}: {
		label: string;
		/** `help`: one line that says what the choice means; that of the chosen one is shown. */
		options: readonly { value: T; label: string; help?: string }[];
		value: T;
		choose: (value: T) => void;
		showLabel?: boolean;
	} = $props();
	const uid = $props.id();
	const help = $derived(options.find((option) => option.value === value)?.help);
</script>

<div>
	{#if showLabel}<div class="sub mb-0.5" aria-hidden="true">{label}</div>{/if}
	<div class="join flex-wrap" role="radiogroup" aria-label={label}>
		{#each options as option (option.value)}
			<input
				type="radio"
				class="btn join-item grow"
				name={uid}
				aria-label={option.label}
				checked={option.value === value}
				aria-describedby={help ? `${uid}-help` : undefined}
				onchange={() => choose(option.value)}
			/>
		{/each}
	</div>
	{#if help}<p id="{uid}-help" class="sub mt-0.5" data-testid="help">{help}</p>{/if}
</div>

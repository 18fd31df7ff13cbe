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
		options: readonly { value: T; label: string }[];
		value: T;
		choose: (value: T) => void;
		showLabel?: boolean;
	} = $props();
	const uid = $props.id();
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
				onchange={() => choose(option.value)}
			/>
		{/each}
	</div>
</div>

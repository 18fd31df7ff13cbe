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
	{#if showLabel}<div class="sub mb-0.5" id="{uid}-label">{label}</div>{/if}
	<div class="seg" role="radiogroup" aria-label={label}>
		{#each options as option (option.value)}
			<label class:on={option.value === value}>
				<input
					type="radio"
					class="sr-only"
					name={uid}
					checked={option.value === value}
					onchange={() => choose(option.value)}
				/>{option.label}
			</label>
		{/each}
	</div>
</div>

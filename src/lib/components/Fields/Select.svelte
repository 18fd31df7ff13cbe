<script lang="ts" generics="T extends string | number">
	/** One of many. */
	let {
		label,
		options,
		value,
		choose,
		hideLabel = false
	}: {
		label: string;
		options: readonly { value: T; label: string }[];
		value: T;
		choose: (value: T) => void;
		hideLabel?: boolean;
	} = $props();
	const uid = $props.id();
</script>

<div>
	<label class={hideLabel ? 'sr-only' : 'sub mb-0.5 block'} for={uid}>{label}</label>
	<select
		id={uid}
		class="select w-full font-semibold"
		onchange={(e) => choose(options[e.currentTarget.selectedIndex]!.value)}
	>
		{#each options as option (option.value)}
			<option value={option.value} selected={option.value === value}>{option.label}</option>
		{/each}
	</select>
</div>

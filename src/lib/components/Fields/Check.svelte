<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A yes or no with its sentence; the whole line answers to a thumb. */
	let {
		on = $bindable(),
		set,
		children
	}: { on: boolean; set?: (on: boolean) => void; children: Snippet } = $props();
</script>

<label class="mt-2 flex min-h-11 cursor-pointer items-center gap-3">
	<input
		type="checkbox"
		class="checkbox checkbox-primary"
		bind:checked={on}
		onchange={(e) => set?.(e.currentTarget.checked)}
	/>
	<span>{@render children()}</span>
</label>

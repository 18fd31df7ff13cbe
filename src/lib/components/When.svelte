<script lang="ts" generics="Props extends Record<string, unknown> = Record<string, never>">
	import type { Component } from 'svelte';

	/** Something that is seldom there: fetched when it first is, and kept from then on. */
	let {
		on,
		load,
		props
	}: { on: boolean; load: () => Promise<{ default: Component<Props> }>; props?: Props } = $props();
	let Section = $state.raw<Component<Props> | undefined>();
	$effect(() => {
		if (on && !Section) void load().then((loaded) => (Section = loaded.default));
	});
</script>

{#if Section}<Section {...props!} />{/if}

<script lang="ts" generics="Props extends Record<string, unknown> = Record<string, never>">
	import type { Component } from 'svelte';
	import { theRest } from '$lib/dom/theRest';
	import { whenSeen } from '$lib/dom/whenSeen';

	/** A section below the first screen: fetched and drawn when it is seen, or once somebody is at it. */
	let {
		load,
		heightPx,
		props
	}: {
		load: () => Promise<{ default: Component<Props> }>;
		/** Room that is kept for it. */
		heightPx: number;
		props?: Props;
	} = $props();
	let Section = $state.raw<Component<Props> | undefined>();
	function come() {
		if (!Section) void load().then((loaded) => (Section = loaded.default));
	}
	$effect(() => void theRest().then(come));
</script>

<!-- Once it is there, what it draws lies in the page’s own grid. -->
<div
	class={Section ? 'contents' : undefined}
	style:min-height={Section ? undefined : `${heightPx}px`}
	{@attach whenSeen(come)}
>
	{#if Section}<Section {...props!} />{/if}
</div>

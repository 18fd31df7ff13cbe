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
		/** Room that is kept for it: on a desk and on a phone, so that nothing goes from under a thumb when it comes. */
		heightPx: readonly [deskPx: number, phonePx: number];
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
	class={Section ? 'contents' : 'room'}
	style:--desk="{heightPx[0]}px"
	style:--phone="{heightPx[1]}px"
	{@attach whenSeen(come)}
>
	{#if Section}<Section {...props!} />{/if}
</div>

<style>
	.room {
		min-height: var(--desk);
	}
	@media (max-width: 899px) {
		.room {
			min-height: var(--phone);
		}
	}
</style>

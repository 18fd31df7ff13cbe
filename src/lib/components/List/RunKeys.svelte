<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import Undo from '@lucide/svelte/icons/undo-2';
	import X from '@lucide/svelte/icons/x';
	import { singleKeys } from '$lib/dom/singleKeys';
	import type { DayListView } from '$lib/state/dayList.svelte';

	/** What is pressed with a glove on after each piece. */
	let { view, ready }: { view: DayListView; ready: boolean } = $props();
	const begun = $derived(view.pressed.startedMs !== undefined);
	$effect(() =>
		singleKeys({
			l: () => ready && (void view.tick('done'), true),
			f: () => ready && (void view.tick('failed'), true),
			h: () => begun && (void view.tick(view.pressed.paused ? 'on' : 'pause'), true),
			z: () => view.pressed.ticks.length > 0 && (void view.untick(), true)
		})
	);
</script>

<div class="keys">
	{#if !begun}
		<button
			type="button"
			class="go btn btn-primary"
			disabled={!ready}
			onclick={() => void view.tick('on')}><Play size={40} aria-hidden="true" /> Start</button
		>
	{:else}
		<button
			type="button"
			class="go btn btn-primary"
			disabled={!ready || view.pressed.paused}
			onclick={() => void view.tick('done')}
			><Check size={44} strokeWidth={3} aria-hidden="true" /> Done
			<kbd class="kbd kbd-sm">L</kbd></button
		>
	{/if}
	<button
		type="button"
		class="btn"
		disabled={!ready || !begun || view.pressed.paused}
		onclick={() => void view.tick('failed')}
		><X size={32} strokeWidth={3} aria-hidden="true" style="color: var(--stops)" />
		<span>Failed <kbd class="kbd kbd-sm">F</kbd></span></button
	>
	<button
		type="button"
		class="btn"
		disabled={!begun || !ready}
		onclick={() => void view.tick(view.pressed.paused ? 'on' : 'pause')}
		>{#if view.pressed.paused}<Play size={32} aria-hidden="true" /><span
				>Go on <kbd class="kbd kbd-sm">H</kbd></span
			>{:else}<Pause size={32} aria-hidden="true" /><span
				>Pause <kbd class="kbd kbd-sm">H</kbd></span
			>{/if}</button
	>
	<button
		type="button"
		class="btn"
		disabled={view.pressed.ticks.length === 0}
		onclick={() => void view.untick()}
		><Undo size={32} aria-hidden="true" /><span>Undo <kbd class="kbd kbd-sm">Z</kbd></span></button
	>
</div>

<style>
	.keys {
		display: grid;
		grid-template-columns: 2fr 1fr 1fr 1fr;
		gap: 10px;
	}
	.keys .btn {
		display: flex;
		flex-direction: column;
		height: 104px;
		font-size: 1.125rem;
	}
	.keys .go {
		flex-direction: row;
		gap: 12px;
		font-size: 2rem;
	}
	@media (max-width: 899px) {
		.keys {
			grid-template-columns: repeat(3, minmax(0, 1fr));
		}
		.keys .go {
			grid-column: 1 / -1;
		}
	}
</style>

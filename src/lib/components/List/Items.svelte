<script lang="ts">
	import { arcsOfPiece } from '$lib/core/list/inputs';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import type { ListItem } from '$lib/core/list/inputs';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import ItemFields from './ItemFields.svelte';
	import { clock, mindWords, minutes } from './words';

	/** The items in the order of the run: dragged, moved by keys, opened to be changed. */
	let { view }: { view: DayListView } = $props();
	const bench = getWorkbench();
	/** While one is dragged the order is the hand's. */
	let dragged = $state.raw<ListItem[] | undefined>();
	const items = $derived(dragged ?? view.inOrder);
	const startsAt = $derived(view.list?.startsAt ?? '08:00');
	const SHOWN = 60;
	let most = $state(SHOWN);
	const shown = $derived(items.slice(0, most));
	const runOf = (id: string) => view.run?.items.find((item) => item.id === id);
	const cannot = (id: string) => view.study?.cannot.find((one) => one.id === id);

	function consider(event: CustomEvent<DndEvent<ListItem>>) {
		dragged = event.detail.items;
	}
	function finish(event: CustomEvent<DndEvent<ListItem>>) {
		const ids = [...event.detail.items, ...items.slice(most)].map(({ id }) => id);
		dragged = undefined;
		view.reorder(ids);
	}
	function key(event: KeyboardEvent, id: string) {
		if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
		event.preventDefault();
		event.stopPropagation();
		view.move(id, event.key === 'ArrowUp' ? -1 : 1);
	}
	/** Why it stands where it stands. */
	function why(item: ListItem, k: number): string {
		const run = runOf(item.id);
		if (!run) return '';
		const names = item.after.flatMap((id) => view.itemOf(id)?.name ?? []);
		if (run.restS > 0) return `waits ${minutes(Math.max(60, run.restS))} in all`;
		const missing = item.after.flatMap((id) => (cannot(id) ? (view.itemOf(id)?.name ?? []) : []));
		if (missing.length) return `without ${missing.join(', ')}, which it comes after`;
		if (names.length) return `after ${names.join(', ')}`;
		if (item.on !== '') return `on ${item.on}`;
		if (run.change) return 'other parts: power off first';
		return k === 0 ? 'parts are in already' : 'same parts, no change';
	}
</script>

<section aria-labelledby="order-head" class="min-w-0">
	<h2 id="order-head" class="h">
		This order, and why <span class="sub font-normal"
			>drag<span class="by-keys"
				>, or <kbd class="kbd kbd-sm">Alt</kbd> <kbd class="kbd kbd-sm">↑</kbd>
				<kbd class="kbd kbd-sm">↓</kbd></span
			>; the finish moves with it</span
		>
	</h2>
	<ol
		use:dragHandleZone={{
			items: shown,
			flipDurationMs: 0,
			dropTargetStyle: {},
			zoneTabIndex: -1,
			zoneItemTabIndex: -1,
			autoAriaDisabled: true
		}}
		onconsider={consider}
		onfinalize={finish}
		aria-label="Items"
	>
		{#each shown as item, k (item.id)}
			{@const plan = view.planOf(item.id)}
			{@const run = runOf(item.id)}
			{@const no = cannot(item.id)}
			{@const mind = plan && mindWords(plan)}
			<li class:open={view.opened === item.id} class:no>
				<div class="row">
					<!-- By its number alone, so that a thumb that scrolls moves nothing. -->
					<span
						class="fig place"
						role="button"
						tabindex="0"
						use:dragHandle
						aria-label="Drag {item.name}, place {k + 1}"
						onkeydown={(e) => key(e, item.id)}>{k + 1}</span
					>
					<button
						type="button"
						class="what"
						aria-expanded={view.opened === item.id}
						onclick={() => (view.opened = view.opened === item.id ? undefined : item.id)}
						onkeydown={(e) => key(e, item.id)}
					>
						<b>{item.name}</b>
						<span class="sub"
							>{item.pieces}{arcsOfPiece(item) > 1
								? ` × ${arcsOfPiece(item)} cuts`
								: ''}{item.what === 'groove' ? ', gouge' : ''}</span
						>
					</button>
					<span class="set"
						>{#if no}<Mark verdict="stops" size={16} /> cannot be made{:else if plan}{bench.say(
								plan.outputA,
								'current'
							)}{plan.speedMmS === null ? '' : ` · ${bench.say(plan.speedMmS, 'speed')}`}{/if}</span
					>
					<span class="fig when"
						>{#if run}{clock(startsAt, run.startS)}–{clock(
								startsAt,
								run.endS
							)}{:else if !no}–{/if}</span
					>
					<span class="sub why">{why(item, k)}</span>
					<span class="moves">
						<button
							type="button"
							class="btn"
							aria-label="{item.name} earlier"
							disabled={k === 0}
							onclick={() => view.move(item.id, -1)}
							><ArrowUp size={18} aria-hidden="true" /></button
						>
						<button
							type="button"
							class="btn"
							aria-label="{item.name} later"
							disabled={k === items.length - 1}
							onclick={() => view.move(item.id, 1)}
							><ArrowDown size={18} aria-hidden="true" /></button
						>
					</span>
				</div>
				{#if no}<p class="because">{bench.sayAll(no.why)}</p>
				{:else if mind}<p class="mind"><Mark verdict="tight" size={16} />{mind}</p>{/if}
				{#if view.opened === item.id}<ItemFields {view} {item} />{/if}
			</li>
		{/each}
	</ol>
	{#if items.length > most}
		<button type="button" class="btn mt-2" onclick={() => (most += 200)}
			>Show more: {items.length - most} are below</button
		>
	{/if}
</section>

<style>
	ol {
		margin-top: 4px;
		outline: none;
	}
	li {
		border-top: 1px solid var(--rule);
		background: var(--sheet);
	}
	li.open {
		background: var(--arc-wash);
	}
	.row {
		display: grid;
		grid-template-columns: 44px minmax(0, 1.5fr) minmax(0, 1.2fr) 128px minmax(0, 1.3fr) 100px;
		align-items: center;
		gap: 0 8px;
		min-height: 48px;
	}
	.place {
		font-size: 1.4375rem;
		line-height: 44px;
		text-align: center;
		cursor: grab;
		touch-action: none;
	}
	.what {
		min-height: 44px;
		text-align: left;
	}
	.what b {
		overflow-wrap: anywhere;
	}
	.set {
		display: flex;
		align-items: center;
		gap: 4px;
	}
	.when {
		font-size: 1.25rem;
		white-space: nowrap;
	}
	.no b {
		text-decoration: line-through;
	}
	.because,
	.mind {
		padding: 0 8px 8px 52px;
	}
	.because {
		font-weight: 600;
		color: var(--stops);
	}
	.mind {
		display: flex;
		gap: 8px;
		align-items: baseline;
	}
	.moves {
		display: flex;
		gap: 4px;
	}
	.moves .btn {
		width: 44px;
		padding: 0;
	}
	@media (max-width: 899px) {
		.row {
			grid-template-columns: 44px minmax(0, 1fr) auto;
			padding: 4px 0;
		}
		.set,
		.why {
			grid-column: 2 / 4;
		}
		.when {
			grid-column: 2;
		}
		.moves {
			grid-column: 3;
			grid-row: 1;
		}
		.because,
		.mind {
			padding-left: 44px;
		}
	}
</style>

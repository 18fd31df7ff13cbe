<script lang="ts">
	import { goto } from '$app/navigation';
	import { CUSTOMER_MOST } from '$lib/core/list/inputs';
	import { NAME_MOST } from '$lib/core/quantity/within';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Hours from './Hours.svelte';

	/** Which list it is, what it is called, and when it is worked on. */
	let { view }: { view: DayListView } = $props();
	const bench = getWorkbench();
	const list = $derived(view.list);
	const archived = $derived(view.lists.find(({ id }) => id === view.id)?.archived ?? false);
	let renaming = $state(false);
</script>

<div class="bar">
	<label class="flex items-center gap-2"
		><span class="sub">List</span>
		<select
			class="select w-auto max-w-64 font-bold"
			onchange={(e) => void goto(`/job?bench=${bench.benchId}&list=${e.currentTarget.value}`)}
		>
			{#if !list}<option value="">none yet</option>{/if}
			{#each view.lists as one (one.id)}
				<option value={one.id} selected={one.id === view.id}
					>{one.name}{one.archived ? ' (put away)' : ''}</option
				>
			{/each}
		</select></label
	>
	<button
		type="button"
		class="btn"
		onclick={() => view.createEmpty(`List ${view.lists.length + 1}`)}>New list</button
	>
	{#if list}
		<button type="button" class="btn" onclick={() => view.copy()}>Copy</button>
		<button
			type="button"
			class="btn"
			aria-expanded={renaming}
			onclick={() => (renaming = !renaming)}>Name, hours, parts</button
		>
		<button type="button" class="btn" disabled={!view.canUndo} onclick={() => view.undo()}
			>Undo <kbd class="kbd kbd-sm">Z</kbd></button
		>
	{/if}
</div>
{#if list && renaming}
	<div class="grid gap-3 border-b border-[var(--rule)] px-6 py-3 sm:grid-cols-2 lg:grid-cols-4">
		<TextField
			label="List"
			value={list.name}
			most={NAME_MOST}
			named
			commit={(name) => void view.edit((l) => ({ ...l, name }))}
		/>
		<TextField
			label="Customer"
			value={list.customer}
			most={CUSTOMER_MOST}
			commit={(customer) => void view.edit((l) => ({ ...l, customer }))}
		/>
		<Hours {view} {list} />
		<QuantityField
			label="A change of parts takes"
			quantity="time"
			value={list.changeS}
			range={[0, 3600]}
			commit={(changeS) => view.edit((l) => ({ ...l, changeS: changeS ?? 0 }))}
		/>
		<p>
			<a class="btn" href="/api/lists/{view.id}/calendar" download>Calendar file</a>
			<button type="button" class="btn" onclick={() => void view.archive(!archived)}
				>{archived ? 'Take it out again' : 'Put it away'}</button
			>
		</p>
	</div>
{/if}

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 8px;
		padding: 8px 24px;
		border-bottom: 1px solid var(--rule);
	}
	@media (max-width: 899px) {
		.bar {
			padding: 8px 12px;
		}
	}
</style>

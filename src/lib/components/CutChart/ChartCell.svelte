<script lang="ts">
	import {
		DomainError,
		METAL_IDS,
		METALS,
		parseQuantity,
		type ChartRow,
		type Quantity
	} from '$lib/core';
	import { CHART_SPEC, type ChartField } from '$lib/formats/chartFields';
	import { showAgain } from '$lib/state/showAgain';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One cell of the grid: a metal to pick, or a quantity in any unit. A refused text stays as typed. */
	let {
		row,
		field,
		name,
		commit
	}: {
		row: ChartRow;
		field: ChartField;
		/** "Speed, row 3" */
		name: string;
		commit: (value: unknown) => string | undefined;
	} = $props();
	const bench = getWorkbench();
	const uid = $props.id();
	const spec = $derived(CHART_SPEC[field]);
	let typed = $state<string | undefined>();
	let error = $state<string | undefined>();
	const value = $derived(row[field]);
	const shown = $derived(
		typeof value === 'number' ? bench.sayEntered(value, spec.quantity as Quantity) : ''
	);

	function take(text: string) {
		typed = error = undefined;
		if (text === shown) return;
		if (spec.optional && text.trim() === '') error = commit(null);
		else {
			try {
				error = commit(
					parseQuantity(text, {
						quantity: spec.quantity as Quantity,
						units: bench.units,
						gauge: METALS[row.metal].gauge,
						label: spec.label
					})
				);
			} catch (problem) {
				if (!(problem instanceof DomainError)) throw problem;
				error = `${problem.info.allowed} is accepted`;
			}
		}
		if (error) typed = text;
	}
</script>

{#if field === 'metal'}
	<select
		class="cell select select-ghost"
		aria-label={name}
		onchange={(e) => void commit(METAL_IDS[e.currentTarget.selectedIndex])}
	>
		{#each METAL_IDS as id (id)}
			<option value={id} selected={id === row.metal}>{METALS[id].label}</option>
		{/each}
	</select>
{:else}
	<input
		class="cell fig input input-ghost"
		class:input-error={error}
		type="text"
		autocomplete="off"
		aria-label={name}
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={error ? `${uid}-error` : undefined}
		value={typed ?? shown}
		onchange={(e) => {
			take(e.currentTarget.value);
			showAgain(e.currentTarget, () => typed ?? shown);
		}}
	/>
	{#if error}<p id="{uid}-error" class="error" role="alert">{error}</p>{/if}
{/if}

<style>
	.cell {
		width: 100%;
		min-width: 72px;
		padding-inline: 8px 4px;
		font-size: 1.125rem;
	}
	select.cell {
		min-width: 128px;
		padding-right: 28px;
		font-size: 1rem;
	}
	.error {
		padding: 0 8px 4px;
		font-size: 0.8125rem;
		font-weight: 600;
		color: var(--stops);
	}
</style>

<script lang="ts">
	import Trash from '@lucide/svelte/icons/trash-2';
	import {
		createPaginatedRowModel,
		createSortedRowModel,
		createTable,
		rowPaginationFeature,
		rowSortingFeature,
		sortFn_alphanumeric,
		sortFn_basic,
		tableFeatures,
		type ColumnDef
	} from '@tanstack/svelte-table';
	import { METALS, type ChartRow } from '$lib/core';
	import { CHART_FIELDS, CHART_SPEC } from '$lib/formats/chartFields';
	import type { ChartDraft } from '$lib/state/chartDraft.svelte';
	import ChartCell from './ChartCell.svelte';

	/** The chart as a grid that is typed in. Sorting only changes what is seen. */
	let { draft }: { draft: ChartDraft } = $props();
	const ROWS = 15;

	const features = tableFeatures({
		rowSortingFeature,
		sortedRowModel: createSortedRowModel(),
		sortFns: { basic: sortFn_basic, alphanumeric: sortFn_alphanumeric },
		rowPaginationFeature,
		paginatedRowModel: createPaginatedRowModel()
	});
	const columns: ColumnDef<typeof features, ChartRow>[] = CHART_FIELDS.map((field) => ({
		id: field,
		header: CHART_SPEC[field].label,
		accessorFn: (row: ChartRow) =>
			field === 'metal' ? METALS[row.metal].label : (row[field] ?? undefined),
		sortFn: field === 'metal' ? ('alphanumeric' as const) : ('basic' as const),
		sortUndefined: 'last' as const,
		sortDescFirst: false
	}));
	const table = createTable({
		features,
		columns,
		get data() {
			return draft.rows;
		},
		initialState: { pagination: { pageIndex: 0, pageSize: ROWS } },
		autoResetPageIndex: false
	});
	const ARROWS = { asc: '↑', desc: '↓' } as const;
	const SORTED = { asc: 'ascending', desc: 'descending' } as const;
	const page = $derived(table.atoms.pagination.get().pageIndex);
	const pages = $derived(Math.max(1, Math.ceil(draft.rows.length / ROWS)));
</script>

<div class="relative overflow-x-auto" role="region" aria-label="Rows of the chart">
	<table class="grid-table table">
		<thead>
			{#each table.getHeaderGroups() as group (group.id)}
				<tr>
					<th scope="col" class="sub">row</th>
					{#each group.headers as header (header.id)}
						{@const sorted = header.column.getIsSorted()}
						<th scope="col" aria-sort={sorted ? SORTED[sorted] : 'none'}>
							<button
								type="button"
								class="head"
								onclick={(e) => header.column.getToggleSortingHandler()?.(e)}
								>{header.column.columnDef.header}{sorted ? ` ${ARROWS[sorted]}` : ''}</button
							>
						</th>
					{/each}
					<th><span class="sr-only">Remove</span></th>
				</tr>
			{/each}
		</thead>
		<tbody>
			{#each table.getRowModel().rows as row (row.id)}
				<tr class:rising={draft.rising.includes(row.index)}>
					<th scope="row" class="sub">{row.index + 1}</th>
					{#each CHART_FIELDS as field (field)}
						<td>
							<ChartCell
								row={row.original}
								{field}
								name="{CHART_SPEC[field].label}, row {row.index + 1}"
								commit={(value) => draft.set(row.index, field, value)}
							/>
						</td>
					{/each}
					<td>
						<button
							type="button"
							class="btn btn-ghost px-3"
							aria-label="Remove row {row.index + 1}"
							onclick={() => draft.remove(row.index)}><Trash size={18} aria-hidden="true" /></button
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if pages > 1}
	<div class="mt-2 flex items-center gap-3">
		<button
			type="button"
			class="btn"
			disabled={page === 0}
			onclick={() => table.setPageIndex(page - 1)}>Rows before</button
		>
		<span class="sub">page {page + 1} of {pages}</span>
		<button
			type="button"
			class="btn"
			disabled={page + 1 >= pages}
			onclick={() => table.setPageIndex(page + 1)}>Rows after</button
		>
	</div>
{/if}
{#if draft.rising.length}
	<p class="mt-2 font-semibold" style:color="var(--spark-ink)" data-testid="rising">
		Row {draft.rising.map((i) => i + 1).join(', ')}: faster than the thinner plate of the same
		metal, nozzle and amps. Is that right?
	</p>
{/if}

<style>
	.grid-table {
		border-collapse: collapse;
	}
	.grid-table :is(td, thead th) {
		border: 1px solid var(--rule);
		padding: 0;
	}
	.grid-table tbody th {
		padding: 0 6px;
		font-weight: 400;
	}
	.head {
		width: 100%;
		min-height: 44px;
		padding: 0 8px;
		font-size: 0.875rem;
		font-weight: 700;
		text-align: left;
		color: var(--ink);
		cursor: pointer;
	}
	.rising {
		background: var(--spark-wash);
	}
</style>

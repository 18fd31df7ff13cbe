<script lang="ts">
	import {
		createTable,
		rowPaginationFeature,
		rowSortingFeature,
		tableFeatures,
		type ColumnDef,
		type PaginationState,
		type SortingState,
		type Updater
	} from '@tanstack/svelte-table';
	import Pencil from '@lucide/svelte/icons/pencil';
	import { cutWords, entryWords, together } from '$lib/components/Wear/words';
	import { tallyOf } from '$lib/core';
	import { LOG_SHOWN } from '$lib/formats/bodies/records';
	import { dayAndTime, dayAndYear, dayOf } from '$lib/formats/days';
	import { LOG_SORTS, NEWEST_FIRST, type FoundPage } from '$lib/formats/logFound';
	import type { KeptPicture } from '$lib/formats/pictures';
	import type { LogView } from '$lib/state/logView.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What was found, a page of it. The server puts it in order and parts it into pages. */
	interface Props {
		view: LogView;
		/** The row that is being corrected. */
		opened: number | undefined;
		open: (id: number) => Promise<void>;
		/** What is read first of another page: sums, and why it did not come. */
		top: HTMLElement | undefined;
	}
	let { view, opened, open, top }: Props = $props();
	const bench = getWorkbench();
	type Row = FoundPage['entries'][number];

	const features = tableFeatures({ rowSortingFeature, rowPaginationFeature });
	const sortable = (id: string) => LOG_SORTS.some((by) => by === id);
	const columns: ColumnDef<typeof features, Row>[] = (
		[
			['at', 'When'],
			['what', 'What'],
			['length', 'Run'],
			['arc', 'Arc'],
			['for', 'What for']
		] as const
	).map(([id, header]) => ({
		id,
		header,
		accessorFn: (row: Row) => row.id,
		enableSorting: sortable(id),
		// The newest, the longest first.
		sortDescFirst: true
	}));
	const next = <T,>(change: Updater<T>, now: T): T =>
		change instanceof Function ? change(now) : change;
	const table = createTable({
		features,
		columns,
		get data() {
			return view.page.entries;
		},
		getRowId: (row: Row) => String(row.id),
		manualSorting: true,
		manualPagination: true,
		enableSortingRemoval: false,
		enableMultiSort: false,
		autoResetPageIndex: false,
		get rowCount() {
			return view.page.found.count;
		},
		state: {
			get sorting(): SortingState {
				return [{ id: view.order.by, desc: view.order.down }];
			},
			get pagination(): PaginationState {
				return { pageIndex: view.index, pageSize: LOG_SHOWN };
			}
		},
		onSortingChange: (change) => {
			const [first] = next(change, table.atoms.sorting.get());
			const by = LOG_SORTS.find((one) => one === first?.id);
			void view.sort(by && first ? { by, down: first.desc } : NEWEST_FIRST);
		},
		onPaginationChange: (change) => {
			const { pageIndex } = next(change, table.atoms.pagination.get());
			void view.turn(pageIndex).then(() => top?.scrollIntoView());
		}
	});
	const ARROWS = { asc: '↑', desc: '↓' } as const;
	const SORTED = { asc: 'ascending', desc: 'descending' } as const;
	const byTime = $derived(view.order.by === 'at');
	const first = $derived(view.index * LOG_SHOWN + 1);
	const year = (row: Row) => dayOf(new Date(row.at)).slice(0, 4);

	const whatOf = ({ entry }: Row) =>
		entry.kind === 'cut'
			? `${cutWords(entry, bench)}, ${bench.say(entry.outputA, 'current')}, ${entry.start}`
			: entryWords(entry, bench);
	const runOf = ({ entry }: Row) =>
		entry.kind === 'cut' || entry.kind === 'groove' ? bench.say(entry.lengthMm, 'length') : '';
	const arcOf = ({ entry }: Row) => {
		const { arcMs } = tallyOf(entry);
		return arcMs > 0 ? bench.say(arcMs / 1000, 'time') : '';
	};

	/** Number of the picture that is kept beside an entry. */
	let kept = $state.raw<Record<number, number>>({});
	$effect(() => {
		const ids = view.page.entries.map(({ id }) => id);
		if (ids.length === 0) return;
		void fetch(`/api/pictures?bench=${bench.benchId}&entries=${ids.join(',')}`)
			.then((answer) => (answer.ok ? answer.json() : { pictures: [] }))
			.then(({ pictures }: { pictures: KeptPicture[] }) => {
				kept = Object.fromEntries(pictures.map(({ id, logId }) => [logId, id]));
			})
			// The log is read without them.
			.catch(() => {});
	});
</script>

<table class="table">
	<thead>
		{#each table.getHeaderGroups() as group (group.id)}
			<tr>
				{#each group.headers as { id, column } (id)}
					{@const sorted = column.getIsSorted()}
					{#if column.getCanSort()}
						<th scope="col" class={id} aria-sort={sorted ? SORTED[sorted] : 'none'}>
							<button
								type="button"
								class="head"
								onclick={(e) => column.getToggleSortingHandler()?.(e)}
								>{column.columnDef.header}<span aria-hidden="true"
									>{sorted ? ARROWS[sorted] : '↕'}</span
								></button
							>
						</th>
					{:else}
						<th scope="col" class={id}>{column.columnDef.header}</th>
					{/if}
				{/each}
				<th><span class="sr-only">Correct</span></th>
			</tr>
		{/each}
	</thead>
	<tbody>
		{#each table.getRowModel().rows as { original: one }, i (one.id)}
			{#if byTime && (i === 0 || year(one) !== year(view.page.entries[i - 1]!))}
				<tr><th colspan="6" class="fig text-left text-[1.25rem]">{year(one)}</th></tr>
			{/if}
			<tr class:open={one.id === opened}>
				<td class="at">{byTime ? dayAndTime(one.at) : dayAndYear(dayOf(new Date(one.at)))}</td>
				<td>
					{together(whatOf(one))}
					{#if kept[one.id]}
						<a class="link" href="/api/pictures/{kept[one.id]}" target="_blank" rel="noreferrer"
							>picture</a
						>
					{/if}
					{#if one.was}<br /><span class="sub">was <s>{entryWords(one.was.entry, bench)}</s></span
						>{/if}
					{#if one.whatFor || one.who}<span class="sub narrow"
							>{[one.whatFor, one.who].filter(Boolean).join(', ')}</span
						>{/if}
				</td>
				<td class="length">{runOf(one)}</td>
				<td class="arc">{arcOf(one)}</td>
				<td class="for"
					>{one.whatFor ?? ''}{#if one.who}<br /><span class="sub">{one.who}</span>{/if}</td
				>
				<td
					><button
						type="button"
						class="btn btn-ghost underline"
						aria-label="Correct: {entryWords(one.entry, bench)}, {dayAndTime(one.at)}"
						onclick={() => void open(one.id)}
						><span class="wide">Correct</span><Pencil
							size={20}
							class="narrow"
							aria-hidden="true"
						/></button
					></td
				>
			</tr>
		{/each}
	</tbody>
</table>
<nav class="mt-2 flex flex-wrap items-center gap-3" aria-label="Pages of the log">
	<span class="sub" aria-live="polite"
		>{first} to {first + view.page.entries.length - 1} of {view.page.found.count}</span
	>
	{#if table.getPageCount() > 1}
		<button
			type="button"
			class="btn print:hidden"
			disabled={!table.getCanPreviousPage()}
			onclick={() => table.previousPage()}>Page before</button
		>
		<button
			type="button"
			class="btn print:hidden"
			disabled={!table.getCanNextPage()}
			onclick={() => table.nextPage()}>Page after</button
		>
	{/if}
</nav>

<style>
	.head {
		display: inline-flex;
		align-items: center;
		gap: 4px;
		min-width: 44px;
		min-height: 44px;
		font-weight: 700;
		color: var(--ink);
		cursor: pointer;
	}
	.table .for {
		padding-left: 24px;
	}
	:is(td, th):is(.length, .arc) {
		text-align: right;
		white-space: nowrap;
	}
	tr.open {
		outline: 3px solid var(--arc);
	}
	/* Not by a class of its own: the icon is another component's. */
	@media (min-width: 900px) {
		.table :global(.narrow) {
			display: none;
		}
		.at {
			white-space: nowrap;
		}
	}
	@media (max-width: 899px) {
		.arc,
		.for,
		.wide {
			display: none;
		}
		.table :is(td, th) {
			padding-inline: 4px;
		}
		.sub.narrow {
			display: block;
		}
		.table .btn {
			width: 44px;
			padding: 0;
		}
	}
</style>

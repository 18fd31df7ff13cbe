<script lang="ts">
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import type { ListReading } from '$lib/formats/listCsv';
	import { newItem, type DayListView } from '$lib/state/dayList.svelte';
	import { newOpId } from '$lib/state/ids';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Ways onto the list: the planned cut, the planned groove, a file, a card from the shelf. */
	let { view }: { view: DayListView } = $props();
	const bench = getWorkbench();
	let found = $state.raw<(ListReading & { file: string }) | undefined>();
	let problem = $state('');
	const bad = $derived(new Set(found?.messages.map(({ row }) => row)).size);

	async function read(file: File) {
		problem = '';
		try {
			const { readListCsv } = await import('$lib/formats/listCsv');
			const prefix = `f${newOpId().replaceAll('-', '').slice(0, 10)}-`;
			const { stored, benchId } = bench;
			found = {
				...readListCsv(await file.text(), { bench: stored.bench, benchId, prefix }),
				file: file.name
			};
		} catch {
			found = undefined;
			problem = 'The file could not be read.';
		}
	}
	function take() {
		if (!found) return;
		view.add(found.items);
		found = undefined;
	}
	const cardItem = (card: (typeof bench.cards)[number]) =>
		view.add([
			newItem({
				id: view.newId(),
				name: card.name.slice(0, 60),
				what: card.what,
				search: card.search,
				pieces: 1
			})
		]);
</script>

<section aria-label="Add to the list" class="mt-3">
	<p class="flex flex-wrap items-center gap-2">
		<button type="button" class="btn" onclick={() => view.addPlanned('cut')}
			>Add the planned cut: {bench.say(bench.cut.thicknessMm, 'thickness')}, {bench.say(
				bench.cut.lengthMm,
				'length'
			)} <kbd class="kbd kbd-sm">+</kbd></button
		>
		{#if bench.cut.gouge.asked}
			<button type="button" class="btn" onclick={() => view.addPlanned('groove')}
				>Add the planned groove</button
			>
		{/if}
		<FileButton
			label="A cut list (CSV)"
			accept=".csv,.txt,.tsv,text/csv,text/plain"
			take={(file) => void read(file)}
		/>
		{#if bench.cards.length}
			<label class="flex items-center gap-2"
				><span class="sub">A card</span>
				<select
					class="select w-auto"
					onchange={(e) => {
						const card = bench.cards.find(({ id }) => id === e.currentTarget.value);
						e.currentTarget.value = '';
						if (card) cardItem(card);
					}}
				>
					<option value="">from the shelf</option>
					{#each bench.cards as card (card.id)}<option value={card.id}>{card.name}</option>{/each}
				</select></label
			>
		{/if}
	</p>
	{#if problem}<p class="mt-2 font-semibold" role="alert" style:color="var(--stops)">
			{problem}
		</p>{/if}
	{#if found}
		<div class="mt-2 border-2 border-[var(--ink)] p-3" data-testid="list-preview">
			<p>
				<b>{found.file}</b>: {found.items.length}
				{found.items.length === 1 ? 'item' : 'items'} can be taken{bad
					? `, ${bad} ${bad === 1 ? 'row is' : 'rows are'} left out`
					: ''}. Nothing is written yet.
			</p>
			<ul class="mt-1 text-[1rem]">
				{#each found.items.slice(0, 8) as item (item.id)}
					<li>{item.name} <span class="sub">{item.pieces} × {item.linesEach}</span></li>
				{/each}
				{#if found.items.length > 8}<li class="sub">and {found.items.length - 8} more</li>{/if}
			</ul>
			{#if found.messages.length}
				<ul class="mt-1 font-semibold" style:color="var(--stops)">
					{#each found.messages.slice(0, 12) as message, k (k)}
						<li>{message.row ? `Row ${message.row}: ` : ''}{message.text}</li>
					{/each}
				</ul>
			{/if}
			<p class="mt-2 flex gap-2">
				<button type="button" class="btn btn-primary" disabled={!found.items.length} onclick={take}
					>Take {found.items.length === 1 ? 'it' : 'them'}</button
				>
				<button type="button" class="btn" onclick={() => (found = undefined)}>Leave it</button>
			</p>
		</div>
	{/if}
</section>

<script lang="ts">
	import BookmarkPlus from '@lucide/svelte/icons/bookmark-plus';
	import { grooveTitle } from '$lib/components/Gouge/words';
	import { cutTitle } from './words';
	import { NAME_MOST } from '$lib/core/quantity/within';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { saveCard, shelveCard } from '$lib/state/shelf';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The shop's usual cards: each keeps everything it was planned from. */
	let { what = 'cut' }: { /** What stands on this page to be saved. */ what?: 'cut' | 'groove' } =
		$props();
	const bench = getWorkbench();
	const title = $derived(what === 'groove' ? grooveTitle(bench.cut.gouge, bench) : cutTitle(bench));
	const PAGES = {
		cut: { card: '/card', plan: '/setup' },
		groove: { card: '/card/gouge', plan: '/gouge' }
	} as const;
	let name = $state('');

	async function save() {
		if (await saveCard(bench, name || title, what)) name = '';
	}
</script>

<section aria-label="Shelf of cards">
	<h2 class="h">Shelf of cards</h2>
	<form
		class="mt-1 grid grid-cols-[1fr_auto] items-end gap-3"
		onsubmit={(e) => {
			e.preventDefault();
			void save();
		}}
	>
		<TextField
			label="Save this card as (empty: its own title)"
			value={name}
			most={NAME_MOST}
			commit={(text) => void (name = text.trim())}
		/>
		<button class="btn btn-primary"><BookmarkPlus size={20} aria-hidden="true" /> Save</button>
	</form>
	{#if bench.draft.edited}<p class="sub mt-1">
			The bench is edited and not saved: a card keeps the saved bench.
		</p>{/if}
	{#if bench.cards.length}
		<ul class="mt-2" data-testid="shelf">
			{#each bench.cards as card (card.id)}
				<li class="flex min-h-[52px] items-center gap-2 border-t border-[var(--rule)]">
					<a
						class="flex min-h-11 grow items-center font-semibold underline"
						href="{PAGES[card.what].card}?saved={card.id}"
						>{card.name}{#if card.what !== what}<span class="sub ml-3">for a {card.what}</span
							>{/if}</a
					>
					<a
						class="btn"
						href="{PAGES[card.what].plan}?{card.search}"
						aria-label="Plan {card.name} again">Plan again</a
					>
					<button
						type="button"
						class="btn"
						aria-label="Take {card.name} off the shelf"
						onclick={() => void shelveCard(bench, card, false)}>Take off</button
					>
				</li>
			{/each}
		</ul>
		<div class="mt-2 flex flex-wrap gap-2">
			<a class="btn" href="/card/shelf?bench={bench.benchId}">Print the shelf</a>
			<a class="btn" href="/api/cards?bench={bench.benchId}&as=csv" download="setting-cards.csv"
				>As CSV</a
			>
			<a class="btn" href="/api/cards?bench={bench.benchId}" download="setting-cards.json"
				>As JSON</a
			>
		</div>
	{:else}
		<p class="sub mt-2">Nothing on the shelf yet.</p>
	{/if}
</section>

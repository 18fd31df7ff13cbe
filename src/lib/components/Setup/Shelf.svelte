<script lang="ts">
	import BookmarkPlus from '@lucide/svelte/icons/bookmark-plus';
	import { cutTitle } from '$lib/components/Card/words';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { saveCard, shelveCard } from '$lib/state/shelf';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The shop's usual cards: each keeps everything it was planned from. */
	const bench = getWorkbench();
	let name = $state('');

	function take(text: string) {
		const trimmed = text.trim();
		if (trimmed.length > 60) return 'at most 60 characters';
		name = trimmed;
	}
	async function save() {
		if (await saveCard(bench, name || cutTitle(bench))) name = '';
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
		<TextField label="Save this card as (empty: its own title)" value={name} commit={take} />
		<button class="btn btn-primary"><BookmarkPlus size={20} aria-hidden="true" /> Save</button>
	</form>
	{#if bench.edited}<p class="sub mt-1">
			The bench is edited and not saved: a card keeps the saved bench.
		</p>{/if}
	{#if bench.cards.length}
		<ul class="mt-2" data-testid="shelf">
			{#each bench.cards as card (card.id)}
				<li class="card">
					<a
						class="flex min-h-11 grow items-center font-semibold underline"
						href="/card?saved={card.id}">{card.name}</a
					>
					<a class="btn" href="/setup?{card.search}" aria-label="Plan {card.name} again"
						>Plan again</a
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

<style>
	.card {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 52px;
		border-top: 1px solid var(--rule);
	}
</style>

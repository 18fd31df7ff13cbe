<script lang="ts">
	import ShelfCard from '$lib/components/Card/ShelfCard.svelte';
	import type { PageProps } from './$types';

	/** The whole shelf, four cards to an A4 sheet. */
	let { data }: PageProps = $props();
</script>

<svelte:head><title>Shelf of {data.name} · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<div class="no-print mb-4 flex flex-wrap gap-3">
		<a class="btn" href="/setup?bench={data.benchId}">Back to Setup</a>
		<button type="button" class="btn btn-primary" onclick={() => window.print()}
			>Print, four to an A4</button
		>
	</div>
	<h1 class="sr-only">Shelf of {data.name}</h1>
	{#if data.cards.length === 0}<p>
			Nothing on the shelf of {data.name} yet: save a card on Setup or on Gouge.
		</p>{/if}
	<div class="four">
		{#each data.cards as card (card.saved!.id)}
			<ShelfCard
				workbench={card.workbench}
				name={card.saved!.name}
				what={card.saved!.what}
				day={card.day}
			/>
		{/each}
	</div>
</main>

<style>
	/* Four times A6 is A4, lying. */
	@page {
		size: 297mm 210mm;
		margin: 0;
	}
	.four {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(148mm, max-content));
		gap: 4mm;
	}
	@media (max-width: 600px) {
		.four {
			grid-template-columns: 1fr;
		}
	}
	@media print {
		.four {
			grid-template-columns: 148mm 148mm;
			gap: 0;
		}
		.four > :global(*) {
			outline: 0.2mm dashed #000;
			break-inside: avoid;
		}
	}
</style>

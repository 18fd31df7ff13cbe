<script lang="ts">
	import { untrack } from 'svelte';
	import PaperRule from '$lib/components/Photo/PaperRule.svelte';
	import { CHECK_MM } from '$lib/core/photo/paperRule';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** A rule for a photo of a kerf, where no steel one may lie in the dirt. */
	let { data }: PageProps = $props();
	const bench = new Workbench(untrack(() => data.workbench));
	setWorkbench(bench);
	/** Spares: paper gets dirty. */
	const STRIPS = [1, 2, 3, 4];
</script>

<svelte:head><title>Paper rule · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<div class="no-print mb-4 flex flex-wrap items-end gap-3">
		<a class="btn" href="/photo?of=kerf&{bench.search}">Back to the photo</a>
		<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print</button>
	</div>
	<article class="page" aria-label="Paper rule" data-testid="paper-rule">
		<h1>Paper rule, for a photo of a kerf</h1>
		<ol>
			<li>Print at 100 %, not fitted to the page, on stiff paper. A4 or Letter.</li>
			<li>
				Measure a strip with a steel rule, from the line at 0 to the line at {CHECK_MM}. Type what
				it measures beside the photo: {CHECK_MM} mm or not, that is then the scale.
			</li>
			<li>
				Cut along the lines’ outer ends. Lay the strip flat on the plate, square across the slot.
			</li>
		</ol>
		{#each STRIPS as strip (strip)}<PaperRule />{/each}
		<footer>Damp paper grows. A strip that is wet, creased or scorched is thrown away.</footer>
	</article>
</main>

<style>
	.page {
		box-sizing: border-box;
		width: 190mm;
		max-width: 100%;
		padding: 10mm;
		background: #fff;
		color: #000;
		font-size: 4.4mm;
		overflow: hidden;
	}
	h1 {
		font-size: 7mm;
		font-weight: 700;
	}
	ol {
		list-style: decimal;
		padding-left: 7mm;
		margin: 3mm 0 6mm;
	}
	.page :global(svg) {
		margin-bottom: 9mm;
	}
	footer {
		font-size: 3.6mm;
	}
	@page {
		margin: 8mm;
	}
	@media (max-width: 600px) {
		.page {
			padding: 12px;
			font-size: 16px;
		}
		h1 {
			font-size: 24px;
		}
		footer {
			font-size: 14px;
		}
	}
</style>

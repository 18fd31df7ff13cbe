<script lang="ts">
	import { USUAL_BEVEL_DEG } from '$lib/core/photo/bevel';
	import type { Point } from '$lib/core/photo/ellipse';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Figure from './Figure.svelte';
	import Picture from './Picture.svelte';
	import Told from './Told.svelte';
	import { END_REFUSED } from './words';

	/** How far a cut edge is out of square, from a photo of the plate's end. */
	let { photo }: { photo: PhotoReading } = $props();
	const bench = getWorkbench();
	const answer = $derived(photo.told?.of === 'end' ? photo.told.end : undefined);
	const read = $derived(answer && 'read' in answer ? answer.read : undefined);
	const size = $derived(photo.size!);
	const way = ([from, to]: [Point, Point]) => `M${from.x} ${from.y}L${to.x} ${to.y}`;
	const deg = $derived(read?.bevelDeg.value ?? 0);
	const { squareSide } = $derived(bench.bench.torch);
	const usual = $derived(bench.say(USUAL_BEVEL_DEG, 'angle'));
	const meaning = $derived(
		read && Math.abs(deg) - 2 * read.bevelDeg.spread > USUAL_BEVEL_DEG
			? `More than the usual ${usual}: look at the bore, hold the torch square, and keep the good piece on the ${squareSide} of travel.`
			: `As square as a hand-held cut is: up to ${usual} is usual.`
	);
	const leans = $derived(
		Math.abs(deg) < (read?.bevelDeg.spread ?? 0)
			? ''
			: deg > 0
				? 'the top reaches further out'
				: 'the bottom reaches further out'
	);
</script>

{#snippet picture()}
	<Picture
		url={photo.url}
		{size}
		part={{ x: 0, y: 0, width: size.width, height: size.height }}
		words="The end of the plate as it was photographed"
	>
		{#snippet children(scale)}
			{#if read}
				{#each [read.plate, read.cut] as line, i (i)}
					<path d={way(line)} class="dark" stroke-width={6 * scale} />
					<path d={way(line)} class={i ? 'found' : 'scale'} stroke-width={3 * scale} />
				{/each}
			{/if}
		{/snippet}
	</Picture>
	{#if read}<p class="sub mt-1">One line along the plate, one along the cut.</p>{/if}
{/snippet}
{#snippet told()}
	<Figure
		name="Out of square"
		said={bench.say(Math.abs(deg), 'angle')}
		spread={bench.say(read!.bevelDeg.spread, 'angle')}
		more={leans}
	/>
	<p class="text-[1.125rem] font-semibold" data-testid="end-meaning">{meaning}</p>
	<p class="mt-3 flex flex-wrap gap-2">
		<a class="btn" href="/fault?{bench.search}&of=rough-edge">Find out why</a>
	</p>
{/snippet}
<Told
	testid="end-read"
	value={read?.bevelDeg.value}
	refused={answer && 'refused' in answer ? END_REFUSED[answer.refused] : undefined}
	about="Own model, checked on drawn plates of known angle. A camera that looks from aside takes its share: 10° of it up to one degree. How far an edge usually leans is common practice; a square is the judge."
	{picture}
	children={read && told}
/>

<script lang="ts">
	import type { Point } from '$lib/core/photo/ellipse';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Picture from './Picture.svelte';
	import { END_REFUSED } from './words';

	/** How far a cut edge is out of square, from a photo of the plate's end. */
	let { photo }: { photo: PhotoReading } = $props();
	const bench = getWorkbench();
	const answer = $derived(photo.told?.of === 'end' ? photo.told.end : undefined);
	const read = $derived(answer && 'read' in answer ? answer.read : undefined);
	const refused = $derived(answer && 'refused' in answer ? answer.refused : undefined);
	const size = $derived(photo.size!);
	const way = ([from, to]: [Point, Point]) => `M${from.x} ${from.y}L${to.x} ${to.y}`;
	const deg = $derived(read?.bevelDeg.value ?? 0);
	/** A hand-held plasma edge leans one to three degrees (common practice). */
	const USUAL_DEG = 3;
	const { squareSide } = $derived(bench.bench.torch);
	const meaning = $derived.by(() => {
		if (!read) return '';
		const sure = Math.abs(deg) - 2 * read.bevelDeg.spread;
		if (sure > USUAL_DEG)
			return `More than the usual ${bench.say(USUAL_DEG, 'angle')}: look at the bore, hold the torch square, and keep the good piece on the ${squareSide} of travel.`;
		return `As square as a hand-held cut is: up to ${bench.say(USUAL_DEG, 'angle')} is usual.`;
	});
	const leans = $derived(
		Math.abs(deg) < (read?.bevelDeg.spread ?? 0)
			? ''
			: deg > 0
				? 'the top reaches further out'
				: 'the bottom reaches further out'
	);
</script>

<div class="sides">
	<div>
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
						<path d={way(line)} class={i ? 'cut' : 'plate'} stroke-width={3 * scale} />
					{/each}
				{/if}
			{/snippet}
		</Picture>
		{#if read}<p class="sub mt-1">One line along the plate, one along the cut.</p>{/if}
	</div>
	<div aria-live="polite" data-testid="end-read" data-value={read?.bevelDeg.value}>
		{#if read}
			<p class="h">Out of square</p>
			<p class="fig word">
				{bench.say(Math.abs(deg), 'angle')}<span class="sub give"
					>give or take {bench.say(read.bevelDeg.spread, 'angle')}{leans && `, ${leans}`}</span
				>
			</p>
			<p class="text-[1.125rem] font-semibold" data-testid="end-meaning">{meaning}</p>
			<p class="mt-3 flex flex-wrap gap-2">
				<a class="btn" href="/fault?{bench.search}&of=rough-edge">Find out why</a>
			</p>
		{:else if refused}
			<p class="word refused">{END_REFUSED[refused].why}</p>
			<p class="mt-1 text-[1.125rem]">{END_REFUSED[refused].what}</p>
		{/if}
		<p class="sub mt-3">
			Own model, checked on drawn plates of known angle. A camera that looks from aside takes its
			share: 10° of it up to one degree. How far an edge usually leans is common practice; a square
			is the judge.
		</p>
	</div>
</div>

<style>
	.dark {
		stroke: rgb(0 0 0 / 0.6);
	}
	.plate {
		stroke: #ffd23f;
	}
	.cut {
		stroke: #3ff0ff;
	}
	.word {
		font-size: 2.75rem;
		line-height: 1.1;
	}
	.refused {
		font-size: 1.75rem;
		font-weight: 700;
	}
	.give {
		font-size: 1.125rem;
		margin-left: 12px;
	}
</style>

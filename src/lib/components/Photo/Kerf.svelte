<script lang="ts">
	import { METALS } from '$lib/core';
	import { kerfBeside, type Side } from '$lib/core/photo/kerf';
	import { logEntry } from '$lib/state/logbook';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Figure from './Figure.svelte';
	import Grip from './Grip.svelte';
	import Log from './Log.svelte';
	import Picture from './Picture.svelte';
	import Told from './Told.svelte';
	import { KERF_REFUSED } from './words';

	/** How wide a slot is, from a photo of it with a rule laid across. */
	let { photo, tickMm }: { photo: PhotoReading; tickMm: number } = $props();
	const bench = getWorkbench();
	const answer = $derived(photo.told?.of === 'kerf' ? photo.told.kerf : undefined);
	const read = $derived(answer && 'read' in answer ? answer.read : undefined);
	const size = $derived(photo.size!);
	const small = (mm: number) => bench.say(mm, 'small');

	/** Sides as a person moves them; asked about when they are let go. */
	let moved = $state.raw<{ left: Side; right: Side } | undefined>();
	const sides = $derived(moved ?? (read && { left: read.left, right: read.right }));
	const WHICH = ['left', 'right'] as const;
	function byHand() {
		const upright = (share: number): Side => [
			{ x: share * size.width, y: 0.15 * size.height },
			{ x: share * size.width, y: 0.6 * size.height }
		];
		moved = sides ?? { left: upright(0.45), right: upright(0.55) };
	}
	function put(which: 'left' | 'right', end: 0 | 1, x: number) {
		if (!moved) return;
		const side = moved[which];
		const to = { ...side[end], x };
		moved = { ...moved, [which]: end === 0 ? [to, side[1]] : [side[0], to] };
	}
	const way = ([from, to]: Side) => `M${from.x} ${from.y}L${to.x} ${to.y}`;

	const kerfMm = $derived(read?.kerfMm.value ?? 0);
	const metal = $derived(METALS[bench.cut.metal].label.toLowerCase());
	const planned = $derived(bench.plan.figures['setup.kerfMm']);
	const BESIDE = {
		wider: (mm: string) =>
			`Wider than the ${mm} that is planned with: a worn bore, a slow hand or a high torch widens it.`,
		narrower: (mm: string) => `Narrower than the ${mm} that is planned with.`,
		'as planned': (mm: string) => `As it is planned with: ${mm}.`
	};
	const differs = $derived(
		read && planned.value !== null
			? BESIDE[kerfBeside(read.kerfMm, planned.value)](small(planned.value))
			: ''
	);
	function log(opId: string) {
		const round = (mm: number) => Math.round(mm * 1000) / 1000;
		const entry = {
			kind: 'kerf' as const,
			metal: bench.cut.metal,
			kerfMm: round(kerfMm),
			spreadMm: round(read!.kerfMm.spread)
		};
		return logEntry(
			bench,
			entry,
			`Kerf of ${small(kerfMm)} taken; guide and template go by it.`,
			opId
		);
	}
</script>

{#snippet picture()}
	<Picture
		url={photo.url}
		{size}
		part={{ x: 0, y: 0, width: size.width, height: size.height }}
		words="The slot as it was photographed"
	>
		{#snippet children(scale)}
			{#if read}
				{#each read.ticks as { x, y }, i (i)}
					<circle cx={x} cy={y} r={4 * scale} class="scale" stroke-width={2 * scale} />
				{/each}
			{/if}
			{#if sides}
				{#each WHICH as which (which)}
					<path d={way(sides[which])} class="dark" stroke-width={5 * scale} />
					<path d={way(sides[which])} class="found" stroke-width={2.5 * scale} />
				{/each}
			{/if}
			{#if moved}
				{#each WHICH as which (which)}
					{#each [0, 1] as const as end (end)}
						<Grip
							at={moved[which][end]}
							{scale}
							label="{which === 'left' ? 'Left' : 'Right'} side, {end === 0 ? 'top' : 'bottom'}"
							moved={(to) => put(which, end, to.x)}
							done={() => moved && photo.ask({ of: 'kerf', tickMm, sides: moved })}
						/>
					{/each}
				{/each}
			{/if}
		{/snippet}
	</Picture>
	{#if read}<p class="sub mt-1">
			Dots: {read.ticks.length} lines of the rule, {small(tickMm)} apart, the scale. Two lines: the sides
			of the slot at its top.
		</p>{/if}
{/snippet}
{#snippet told()}
	<Figure name="Kerf, at the top" said={small(kerfMm)} spread={small(read!.kerfMm.spread)} />
	<p class="text-[1.125rem] font-semibold" data-testid="kerf-meaning">{differs}</p>
	<dl class="facts">
		<dt>For</dt>
		<dd>{metal}, the {bench.say(bench.bench.torch.fittedA, 'current')} nozzle</dd>
		<dt>Picture</dt>
		<dd>{Math.round(read!.pxPerMm)} pixels to the millimetre</dd>
	</dl>
	<Log {photo} label="Use this kerf" {log} />
{/snippet}
{#snippet hand()}
	{#if moved}
		<button
			type="button"
			class="btn"
			onclick={() => {
				moved = undefined;
				photo.ask({ of: 'kerf', tickMm });
			}}>As they were found</button
		>
	{:else if read}
		<button type="button" class="btn" onclick={byHand}>Lay the sides on by hand</button>
	{/if}
{/snippet}
<Told
	testid="kerf-read"
	value={read?.kerfMm.value}
	refused={answer && 'refused' in answer ? KERF_REFUSED[answer.refused] : undefined}
	about="Own model, checked on drawn slots of known width; the error is one standard deviation. The rule lies flat on the plate, so both are as far from the lens. A caliper or feelers in the slot are the judge."
	{picture}
	children={read && told}
	{hand}
/>

<script lang="ts">
	import { judgedBy, nextCut, readResult, suspectsOf } from '$lib/core';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { CAUSE_WORDS, correction } from '$lib/components/Read/words';
	import { SPARKS_READ_FROM_MM } from '$lib/core/speed/speed';
	import { TEST_CUT_RANGES } from '$lib/core/evidence/measured';
	import { yOn, type Line, type Lines } from '$lib/core/photo/strip';
	import { logTestCut, testCut } from '$lib/state/logbook';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Check from '$lib/components/Fields/Check.svelte';
	import Figure from './Figure.svelte';
	import Grip from './Grip.svelte';
	import Log from './Log.svelte';
	import Picture from './Picture.svelte';
	import Told from './Told.svelte';
	import { EDGE_REFUSED } from './words';

	/** Lag and dross of a cut, from a photo of its edge. */
	let { photo, thicknessMm }: { photo: PhotoReading; thicknessMm: number } = $props();
	const bench = getWorkbench();
	const answer = $derived(photo.told?.of === 'edge' ? photo.told.edge : undefined);
	const read = $derived(answer && 'read' in answer ? answer.read : undefined);
	const refused = $derived(answer && 'refused' in answer ? answer : undefined);
	const size = $derived(photo.size!);
	const whole = $derived({ x: 0, y: 0, width: size.width, height: size.height });

	/** Lines as a person moves them; asked about when they are let go. */
	let moved = $state.raw<Lines | undefined>();
	const lines = $derived(moved ?? read?.lines ?? refused?.lines);
	function byHand() {
		moved = lines ?? {
			top: { at: 0.3 * size.height, slope: 0 },
			bottom: { at: 0.7 * size.height, slope: 0 }
		};
	}
	const ENDS = ['left', 'right'] as const;
	const xOf = (end: 'left' | 'right') => (end === 'left' ? 0.06 : 0.94) * size.width;
	function put(which: 'top' | 'bottom', end: 'left' | 'right', y: number) {
		if (!lines) return;
		const other = end === 'left' ? 'right' : 'left';
		const far = yOn(lines[which], xOf(other));
		const slope = (y - far) / (xOf(end) - xOf(other));
		const line: Line = { slope, at: far - slope * xOf(other) };
		moved = { ...lines, [which]: line };
	}
	function ask() {
		if (!moved) return;
		const mid = size.width / 2;
		if (yOn(moved.bottom, mid) - yOn(moved.top, mid) > 12)
			photo.ask({ of: 'edge', thicknessMm, lines: moved });
	}
	const lineText = (line: Line) =>
		`M0 ${line.at.toFixed(1)}L${size.width} ${yOn(line, size.width).toFixed(1)}`;
	const trailText = $derived(
		read?.trail.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') ??
			''
	);

	let held = $state<number | null>(null);
	/** What a hand was to hold, which in sheet is less than the amps ask for. */
	const planned = $derived(bench.plan.figures['setup.handMmS'].value ?? 0);
	const heldMmS = $derived(held ?? planned);
	const DROSS_WORDS = {
		none: 'none',
		soft: 'thick, in lumps',
		hard: 'fine beads'
	} as const;
	/** Of thin sheet the lag says nothing of the speed, only dross does. */
	const sheet = $derived(thicknessMm < SPARKS_READ_FROM_MM);
	const lagDeg = $derived(
		read && !sheet
			? Math.min(Math.max(read.lagDeg.value, TEST_CUT_RANGES.lagDeg[0]), TEST_CUT_RANGES.lagDeg[1])
			: null
	);
	const reading = $derived(
		read &&
			readResult(
				{
					lagDeg,
					signs: {
						...(read.dross === 'soft' && { 'soft-dross': true }),
						...(read.dross === 'hard' && { 'hard-dross': true })
					}
				},
				suspectsOf(bench.plan)
			)
	);
	const best = $derived(reading?.beliefs[0]);
	const seen = $derived(
		read && {
			speedMmS: heldMmS,
			lagDeg,
			...(!sheet && { lagSpreadDeg: Math.round(10 * read.lagDeg.spread) / 10 }),
			dross: read.dross,
			judged: judgedBy(best!.cause),
			through: true
		}
	);
	const next = $derived(
		seen && heldMmS > 0 ? nextCut(bench.inputs, testCut(bench, seen)) : undefined
	);
	let counts = $state(true);
</script>

{#snippet picture()}
	<Picture url={photo.url} {size} part={whole} words="The cut edge as it was photographed">
		{#snippet children(scale)}
			{#if lines}
				{#each [lines.top, lines.bottom] as line, i (i)}
					<path d={lineText(line)} class="dark" stroke-width={5 * scale} />
					<path d={lineText(line)} class="scale" stroke-width={2.5 * scale} />
				{/each}
			{/if}
			{#if read && !moved}
				<path d={trailText} class="dark" stroke-width={7 * scale} />
				<path d={trailText} class="trail" stroke-width={4 * scale} />
			{/if}
			{#if moved}
				{#each ['top', 'bottom'] as const as which (which)}
					{#each ENDS as end (end)}
						<Grip
							at={{ x: xOf(end), y: yOn(moved[which], xOf(end)) }}
							{scale}
							label="{which === 'top' ? 'Top' : 'Bottom'} edge, {end}"
							moved={(to) => put(which, end, to.y)}
							done={ask}
						/>
					{/each}
				{/each}
			{/if}
		{/snippet}
	</Picture>
	<p class="sub mt-1">
		{#if lines}
			Two lines: top and bottom edge, {bench.say(thicknessMm, 'thickness')} apart, the scale.
			{#if read && !moved}The curve: how the lines of the cut trail.{/if}
		{:else}
			The edge lies across the picture, top edge up.
		{/if}
	</p>
{/snippet}
{#snippet told()}
	<Figure
		name="Lag, half way down"
		said={bench.say(read!.lagDeg.value, 'angle')}
		spread={bench.say(read!.lagDeg.spread, 'angle')}
	/>
	{#if sheet}<p class="sub">
			In sheet under {bench.say(SPARKS_READ_FROM_MM, 'small')} it tells nothing of the speed: go by dross
			and edge.
		</p>{/if}
	<p class="fig cause">{CAUSE_WORDS[best!.cause]}</p>
	<p class="text-[1.125rem] font-semibold" data-testid="edge-correction">
		{next ? correction(best!.cause, bench, { heldMmS, next }) : ''}
	</p>
	<dl class="facts">
		<dt>Dross</dt>
		<dd>
			{DROSS_WORDS[read!.dross]}{read!.dross === 'none'
				? ''
				: `, ${bench.say(read!.drossMm.value, 'small')} in the mean`}
		</dd>
		<dt>Bend</dt>
		<dd>{bench.say(read!.bendDeg.value, 'angle')} more below than above</dd>
		<dt>The torch went</dt>
		<dd>to the {read!.wentTo} of the picture</dd>
	</dl>
	<div class="mt-3 max-w-[220px]">
		<QuantityField
			label="Speed held"
			quantity="speed"
			optional
			placeholder={planned > 0 ? bench.say(planned, 'speed') : ''}
			value={held}
			range={TEST_CUT_RANGES.speedMmS}
			commit={(value) => void (held = value)}
		/>
	</div>
	<Log
		{photo}
		label="Log it as a test cut"
		disabled={!(heldMmS > 0)}
		log={(opId) => logTestCut(bench, seen!, counts, opId)}
	/>
	<Check bind:on={counts}
		>Counts for the wear of the parts; leave off if you logged the cut already</Check
	>
{/snippet}
{#snippet hand()}
	{#if moved}
		<button
			type="button"
			class="btn"
			onclick={() => {
				moved = undefined;
				photo.ask({ of: 'edge', thicknessMm });
			}}>As they were found</button
		>
	{:else}
		<button type="button" class="btn" onclick={byHand}>Lay the lines on by hand</button>
	{/if}
{/snippet}
<Told
	testid="edge-read"
	value={read?.lagDeg.value}
	refused={refused && EDGE_REFUSED[refused.refused]}
	about="Own model, checked on drawn edges of known lag. Lag of 15 to 30° is right (common practice); how bevelled the edge is cannot be seen from the front. It counts as a test cut by its own error, at most twice one read by eye."
	{picture}
	children={read && told}
	{hand}
/>

<style>
	.trail {
		fill: none;
		stroke: #ff5a36;
	}
	.cause {
		font-size: 2rem;
	}
</style>

<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import { fittedNozzle } from '$lib/core/torch/nozzle';
	import { boreAgainstLimit, OUT_OF_ROUND_MM } from '$lib/core/wear/nozzle';
	import { shrank } from '$lib/core/wear/readings';
	import { onEllipse, type Ellipse } from '$lib/core/photo/ellipse';
	import { LIMIT_PX_PER_MM, nozzleByHand } from '$lib/core/photo/nozzle';
	import { logEntry } from '$lib/state/logbook';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Figure from './Figure.svelte';
	import Grip from './Grip.svelte';
	import Log from './Log.svelte';
	import Picture from './Picture.svelte';
	import Told from './Told.svelte';
	import { NOZZLE_REFUSED } from './words';

	/** The bore of the nozzle in the torch, from a photo of its face. */
	let { photo, faceMm }: { photo: PhotoReading; faceMm: number } = $props();
	const bench = getWorkbench();
	const answer = $derived(photo.told?.of === 'nozzle' ? photo.told.nozzle : undefined);
	const read = $derived(answer && 'read' in answer ? answer.read : undefined);
	const refused = $derived(answer && 'refused' in answer ? answer : undefined);
	const size = $derived(photo.size!);

	/** Rings that a person laid on; they stand for those found. */
	let hand = $state.raw<{ face: Ellipse; bore: Ellipse } | undefined>();
	const found = $derived({
		face: read?.face ?? refused?.face,
		bore: read?.bore ?? refused?.bore
	});
	function byHand() {
		const middle = { x: size.width / 2, y: size.height / 2 };
		const wide = Math.min(size.width, size.height);
		const upright = (e: Ellipse | undefined, r: number): Ellipse => ({
			x: e?.x ?? middle.x,
			y: e?.y ?? middle.y,
			a: e ? (e.a + e.b) / 2 : r,
			b: e ? (e.a + e.b) / 2 : r,
			angle: 0
		});
		hand = { face: upright(found.face, 0.35 * wide), bore: upright(found.bore, 0.06 * wide) };
		still = { face: found.face ? about(hand.face, 1.35) : whole, bore: about(hand.bore, 3) };
	}
	const rings = $derived(
		hand ?? (found.face && found.bore ? (found as { face: Ellipse; bore: Ellipse }) : undefined)
	);
	const told = $derived(
		hand
			? { ...nozzleByHand(hand.face, hand.bore, faceMm), byHand: true }
			: read && { ...read, byHand: false }
	);

	const nozzle = $derived(fittedNozzle(bench.bench.torch));
	const { nozzle: worn } = $derived(bench.evidence.wear);
	const lastMm = $derived(worn.last && nozzle.boreMm + worn.last.grownUm / 1000);
	const small = (mm: number) => bench.say(mm, 'small');
	const oval = $derived(told ? told.longMm - told.shortMm : 0);
	/** A limit of a tenth of a millimetre is not judged by a picture that is coarser. */
	const coarse = $derived(told !== undefined && told.pxPerMm < LIMIT_PX_PER_MM);
	const verdict = $derived.by(() => {
		if (!told) return '';
		if (coarse)
			return `Come closer: this picture has ${Math.round(told.pxPerMm)} pixels to the millimetre, a limit of a tenth wants ${LIMIT_PX_PER_MM}. It is not logged from here.`;
		const against = boreAgainstLimit(told.longMm, told.boreMm.spread, nozzle.boreMm);
		const limit = small(against.limitMm);
		return {
			over: `Over ${limit}: change it.`,
			at: `At the limit of ${limit}, as far as a picture can tell: check it with a pin.`,
			within: `Change it at ${limit}.`
		}[against.stands];
	});
	const doubt = $derived(
		told && shrank(told.longMm, lastMm)
			? `It was ${small(lastMm!)} before, and parts do not grow back. Was another one put in? Then say so first, on Wear.`
			: ''
	);
	function log(opId: string) {
		const { longMm, shortMm, boreMm } = told!;
		const round = (mm: number) => Math.round(mm * 1000) / 1000;
		const isOval = oval > OUT_OF_ROUND_MM;
		const entry = {
			kind: 'bore' as const,
			boreMm: round(isOval ? longMm : boreMm.value),
			...(isOval && { acrossMm: round(shortMm) })
		};
		return logEntry(bench, entry, `Bore of ${small(entry.boreMm)} taken.`, opId);
	}
	type Shown = ComponentProps<typeof Picture>['part'];
	/** A square about a ring, inside the picture. */
	function about(e: Ellipse, times: number): Shown {
		const side = Math.min(2 * times * e.a, size.width, size.height);
		return {
			x: Math.min(Math.max(e.x - side / 2, 0), size.width - side),
			y: Math.min(Math.max(e.y - side / 2, 0), size.height - side),
			width: side,
			height: side
		};
	}
	/** Where the pictures look; by hand they hold still, or what is dragged would run away. */
	let still = $state.raw<{ face: Shown; bore: Shown } | undefined>();
	const whole = $derived({ x: 0, y: 0, width: size.width, height: size.height });
	const part = $derived(still?.face ?? (rings ? about(rings.face, 1.2) : whole));
	const close = $derived(still?.bore ?? (rings ? about(rings.bore, 2.2) : whole));
	const path = (e: Ellipse) =>
		Array.from({ length: 73 }, (_, i) => {
			const { x, y } = onEllipse(e, (i * Math.PI) / 36);
			return `${i ? 'L' : 'M'}${x.toFixed(2)} ${y.toFixed(2)}`;
		}).join('');
	/** Handles of a ring: its middle, its right and its lower side. */
	const RINGS = ['face', 'bore'] as const;
	function put(which: 'face' | 'bore', change: Partial<Ellipse>) {
		if (hand) hand = { ...hand, [which]: { ...hand[which], ...change } };
	}
</script>

{#snippet picture(shown: Shown, words: string, of: 'face' | 'bore')}
	<Picture
		url={photo.url}
		{size}
		part={shown}
		{words}
		pointed={hand ? undefined : (hint) => photo.ask({ of: 'nozzle', faceMm, hint })}
	>
		{#snippet children(scale)}
			{#if rings}
				{#each RINGS as which (which)}
					<path d={path(rings[which])} class="dark" stroke-width={5 * scale} />
					<path
						d={path(rings[which])}
						class={which === 'face' ? 'scale' : 'found'}
						stroke-width={2.5 * scale}
					/>
				{/each}
			{/if}
			{#if hand}
				{@const e = hand[of]}
				<Grip
					at={{ x: e.x, y: e.y - e.b }}
					{scale}
					label="Where the {of} is"
					moved={(to) => put(of, { x: to.x, y: to.y + e.b })}
				/>
				<Grip
					at={{ x: e.x + e.a, y: e.y }}
					{scale}
					label="How wide the {of} is"
					moved={(to) => put(of, { a: Math.max(3, to.x - e.x) })}
				/>
				<Grip
					at={{ x: e.x, y: e.y + e.b }}
					{scale}
					label="How tall the {of} is"
					moved={(to) => put(of, { b: Math.max(3, to.y - e.y) })}
				/>
			{/if}
		{/snippet}
	</Picture>
{/snippet}
{#snippet both()}
	<div class="two" class:hand>
		{@render picture(part, 'The nozzle as it was photographed', 'face')}
		{#if rings}{@render picture(close, 'Its bore, close up', 'bore')}{/if}
	</div>
	<p class="sub mt-1">
		{#if hand}
			Drag the handles, or move them with the arrow keys: the outer ring on the rim of the face, the
			inner one on the rim of the bore.
		{:else if rings}
			Outer ring: the face, {small(faceMm)}, the scale. Inner ring: the bore. Not there? Press the
			middle of the bore.
		{:else}
			If the bore is in it, press its middle.
		{/if}
	</p>
{/snippet}
{#snippet reading()}
	<Figure
		name="Bore{told!.byHand ? ', by hand' : ''}"
		said={small(told!.boreMm.value)}
		spread={small(told!.boreMm.spread)}
	/>
	<p class="text-[1.125rem] font-semibold" data-testid="bore-verdict">{verdict}</p>
	<dl class="facts">
		<dt>New</dt>
		<dd>{small(nozzle.boreMm)}</dd>
		{#if lastMm !== null}
			<dt>Measured last</dt>
			<dd>{small(lastMm)}</dd>
		{/if}
		<dt>Out of round</dt>
		<dd>
			{small(oval)}{oval > OUT_OF_ROUND_MM ? ': the arc wanders, one edge slants' : ''}
		</dd>
		{#if read && !told!.byHand}
			<dt>Off the middle</dt>
			<dd>{small(read.offsetMm.value)}</dd>
			<dt>Nick</dt>
			<dd>
				{read.nickMm ? `${small(read.nickMm.value)}: change it, the arc leans to it` : 'none seen'}
			</dd>
			<dt>Picture</dt>
			<dd>
				{Math.round(read.pxPerMm)} pixels to the millimetre, {Math.round(read.tiltDeg)}° aslant
			</dd>
		{/if}
	</dl>
	{#if !coarse}<Log {photo} label="Log the bore" {log} {doubt} />{/if}
{/snippet}
{#snippet hands()}
	{#if hand}
		<button type="button" class="btn" onclick={() => (hand = still = undefined)}
			>As it was found</button
		>
	{:else}
		<button type="button" class="btn" onclick={byHand}>Lay the rings on by hand</button>
	{/if}
{/snippet}
<Told
	testid="bore-read"
	value={told?.boreMm.value}
	refused={refused && NOZZLE_REFUSED[refused.refused]}
	about="Own model, checked on drawn nozzles of known size; the error is one standard deviation. The bore wears wide and oval; change at a tenth over, or {small(
		0.1
	)} (own rule). A pin gauge is the judge."
	picture={both}
	children={told && reading}
	hand={hands}
/>

<style>
	.two {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 8px;
	}
	@media (max-width: 899px) {
		.hand {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>

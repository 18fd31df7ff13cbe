<script lang="ts">
	import { nextCut, readResult, suspectsOf, type Cause } from '$lib/core';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { CAUSE_WORDS, correction } from '$lib/components/Read/words';
	import { TEST_CUT_RANGES } from '$lib/core/evidence/measured';
	import { yOn, type Line, type Lines } from '$lib/core/photo/edge';
	import { logTestCut, testCut } from '$lib/state/logbook';
	import type { PhotoReading } from '$lib/state/photo.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { keepPicture } from '$lib/state/keepPicture';
	import Check from '$lib/components/Fields/Check.svelte';
	import Grip from './Grip.svelte';
	import Picture from './Picture.svelte';
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
	const planned = $derived(bench.plan.figures['setup.speedMmS'].value ?? 0);
	const heldMmS = $derived(held ?? planned);
	const DROSS_WORDS = {
		none: 'none',
		soft: 'thick, in lumps',
		hard: 'fine beads'
	} as const;
	const lagDeg = $derived(
		read &&
			Math.min(Math.max(read.lagDeg.value, TEST_CUT_RANGES.lagDeg[0]), TEST_CUT_RANGES.lagDeg[1])
	);
	const reading = $derived(
		read &&
			readResult(
				{
					lagDeg: lagDeg!,
					signs: {
						...(read.dross === 'soft' && { 'soft-dross': true }),
						...(read.dross === 'hard' && { 'hard-dross': true })
					}
				},
				suspectsOf(bench.plan)
			)
	);
	const best = $derived(reading?.beliefs[0]);
	const JUDGED: Partial<Record<Cause, 'right' | 'slow' | 'fast'>> = {
		right: 'right',
		slow: 'slow',
		fast: 'fast'
	};
	const seen = $derived(
		read && {
			speedMmS: heldMmS,
			lagDeg: lagDeg!,
			lagSpreadDeg: Math.round(10 * read.lagDeg.spread) / 10,
			dross: read.dross,
			judged: JUDGED[best!.cause] ?? ('other' as const),
			through: true
		}
	);
	const next = $derived(
		seen && heldMmS > 0 ? nextCut(bench.inputs, testCut(bench, seen)) : undefined
	);
	/** Only if the person wants it does the picture leave this device. */
	let keep = $state(false);
	async function log() {
		if (!seen) return;
		const told = 'Taken as a test cut; the card goes by it.';
		await photo.logged(keep && ((opId) => keepPicture(bench, photo.file!, opId)), (opId) =>
			logTestCut(bench, seen, told, opId)
		);
	}
</script>

<div class="sides">
	<div>
		<Picture url={photo.url} {size} part={whole} words="The cut edge as it was photographed">
			{#snippet children(scale)}
				{#if lines}
					{#each [lines.top, lines.bottom] as line, i (i)}
						<path d={lineText(line)} class="dark" stroke-width={5 * scale} />
						<path d={lineText(line)} class="edge" stroke-width={2.5 * scale} />
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
	</div>
	<div aria-live="polite" data-testid="edge-read" data-value={read?.lagDeg.value}>
		{#if read && best}
			<p class="h">Lag, half way down</p>
			<p class="fig word">
				{bench.say(read.lagDeg.value, 'angle')}<span class="sub give"
					>give or take {bench.say(read.lagDeg.spread, 'angle')}</span
				>
			</p>
			<p class="fig cause">{CAUSE_WORDS[best.cause]}</p>
			<p class="text-[1.125rem] font-semibold" data-testid="edge-correction">
				{next ? correction(best.cause, bench, { heldMmS, next }) : ''}
			</p>
			<dl class="facts">
				<dt>Dross</dt>
				<dd>
					{DROSS_WORDS[read.dross]}{read.dross === 'none'
						? ''
						: `, ${bench.say(read.drossMm.value, 'small')} in the mean`}
				</dd>
				<dt>Bend</dt>
				<dd>{bench.say(read.bendDeg.value, 'angle')} more below than above</dd>
				<dt>The torch went</dt>
				<dd>to the {read.wentTo} of the picture</dd>
			</dl>
			<div class="mt-3 max-w-[220px]">
				<QuantityField
					label="Speed held"
					quantity="speed"
					optional
					placeholder={bench.say(planned, 'speed')}
					value={held}
					range={TEST_CUT_RANGES.speedMmS}
					commit={(value) => void (held = value)}
				/>
			</div>
			<button
				type="button"
				class="btn mt-3 btn-primary btn-xl"
				disabled={!(heldMmS > 0)}
				onclick={() => void log()}>Log it as a test cut</button
			>
			<Check bind:on={keep}>Keep the picture beside it</Check>
		{:else if refused}
			<p class="word refused">{EDGE_REFUSED[refused.refused].why}</p>
			<p class="mt-1 text-[1.125rem]">{EDGE_REFUSED[refused.refused].what}</p>
		{/if}
		<div class="mt-3 flex flex-wrap gap-2">
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
		</div>
		<p class="sub mt-3">
			Own model, checked on drawn edges of known lag. Lag of 15 to 30° is right (common practice);
			how bevelled the edge is cannot be seen from the front. It counts as a test cut by its own
			error, at most twice one read by eye.
		</p>
	</div>
</div>

<style>
	.dark {
		fill: none;
		stroke: rgb(0 0 0 / 0.6);
	}
	.edge {
		fill: none;
		stroke: #ffd23f;
	}
	.trail {
		fill: none;
		stroke: #ff5a36;
	}
	.word {
		font-size: 2.75rem;
		line-height: 1.1;
	}
	.cause {
		font-size: 2rem;
	}
	.refused {
		font-size: 1.75rem;
		font-weight: 700;
	}
	.give {
		font-size: 1.125rem;
		margin-left: 12px;
	}
	.facts {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 4px 16px;
		margin-top: 12px;
	}
	.facts dt {
		color: var(--ink2);
	}
</style>

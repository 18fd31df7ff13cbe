<script lang="ts">
	import type { Job } from '$lib/core/studies/job';
	import type { CheckAnswer, TemplateDrawing } from '$lib/workers/template.worker';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { START_NAMES } from '$lib/components/Cut/steps';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Cuts in their order, and what the corners come out as. */
	let {
		drawing,
		check,
		job
	}: { drawing: TemplateDrawing; check: CheckAnswer | undefined; job: Job } = $props();
	const bench = getWorkbench();
	/** Corners that come out alike are told once. */
	const corners = $derived(
		Object.values(
			Object.groupBy(drawing.corners, (c) =>
				[c.kind, c.drawnMm.toFixed(2), c.radiusMm.toFixed(2), c.remainsMm.toFixed(1)].join()
			)
		).map((alike) => ({ ...alike![0]!, count: alike!.length }))
	);
</script>

<section aria-label="Order of cutting" class="min-w-0 overflow-x-auto">
	<h2 class="h text-[18px]">Inside first, the part on the squarer side</h2>
	<ol class="mt-1 text-[16px]">
		{#each drawing.order.slice(0, 60) as o, i (i)}
			{@const cut = job.cuts[i]}
			<li
				class="flex min-h-[44px] flex-wrap items-center gap-x-3 border-t"
				style:border-color="var(--rule)"
			>
				<span class="fig w-8 text-[23px]">{i + 1}</span>
				<span class="w-20">{o.edge === 'hole' ? 'hole' : 'outside'}</span>
				<span class="w-40">{o.clockwise ? 'clockwise' : 'counter-clockwise'}</span>
				<span class="w-36">
					{cut && cut.start !== 'none' ? START_NAMES[cut.start] : 'no start goes through'}
				</span>
				<span class="fig w-24 text-[20px]">{cut ? bench.say(cut.lengthMm, 'length') : '–'}</span>
				<span class="fig w-20 text-[20px]">{bench.say(cut?.arcS ?? null, 'time')}</span>
				<span class="sub">
					{o.tight
						? 'no room to lead in: drill and start in the hole'
						: `lead in ${bench.say(o.leadMm, 'small')}`}
				</span>
			</li>
		{/each}
	</ol>
	{#if drawing.order.length > 60}<p class="sub">and {drawing.order.length - 60} more.</p>{/if}
</section>
<section aria-label="Corners and room" data-testid="corners">
	<h2 class="h text-[18px]">What comes out otherwise</h2>
	<ul class="mt-1 space-y-2 text-[16px]">
		{#each drawing.missing as m (m.index)}
			<li class="flex gap-2">
				<Mark verdict="stops" />
				<span>
					{m.why === 'no room'
						? `The shield has no room for a template ${m.edge === 'hole' ? 'in hole' : 'on outline'} ${m.index + 1}: take the other side, or the circle guide.`
						: `The template for outline ${m.index + 1} falls apart at a neck: take the other side.`}
				</span>
			</li>
		{/each}
		{#each check?.tooNarrow ?? [] as index (index)}
			<li class="flex gap-2">
				<Mark verdict="stops" />
				A neck or notch of outline {index + 1} is too narrow for the shield: see the coloured pieces.
				Take the other side, or cut it there freehand.
			</li>
		{/each}
		{#if drawing.crossing}
			<li class="flex gap-2">
				<Mark verdict="tight" />
				<span>
					The edges of {drawing.crossing} templates cross: one plate cannot carry them all. Make one for
					the holes and one for the outside, or take the waste side for the holes.
				</span>
			</li>
		{/if}
		{#if drawing.tooSmall}
			<li class="flex gap-2">
				<Mark verdict="stops" />
				{drawing.tooSmall} outline{drawing.tooSmall === 1 ? ' is' : 's are'} smaller than the kerf: drill.
			</li>
		{/if}
		{#each corners as c (c.kind + c.radiusMm + c.drawnMm + c.remainsMm)}
			<li class="flex gap-2">
				<Mark verdict="tight" />
				<span>
					{c.count}
					{c.kind === 'outside' ? 'outside' : 'inside'}
					{c.drawnMm > 0
						? `round${c.count === 1 ? '' : 's'} of ${bench.say(c.drawnMm, 'small')}`
						: `corner${c.count === 1 ? '' : 's'}`}
					come out with a radius of <b>{bench.say(c.radiusMm, 'small')}</b>:
					{bench.say(c.remainsMm, 'small')}
					{c.kind === 'outside'
						? 'is rounded off the tip. For a sharp one run off straight and start again.'
						: 'is left standing in the notch: grind or file it.'}
				</span>
			</li>
		{/each}
		{#if check && drawing.missing.length + check.tooNarrow.length + drawing.tooSmall + drawing.crossing + corners.length === 0}
			<li class="flex gap-2"><Mark verdict="holds" /> Everything comes out as drawn.</li>
		{/if}
	</ul>
	<p class="sub mt-2">
		The template must be thicker than the shield’s bearing height. The kerf tapers: the bottom edge
		lies a little off.
	</p>
</section>

<script lang="ts">
	import type { Job } from '$lib/core/studies/job';
	import type { TemplateInput } from '$lib/core/shape/template';
	import { faultWords, remedyWords } from '$lib/formats/templateWords';
	import type { CheckAnswer, TemplateDrawing } from '$lib/workers/template.worker';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { START_NAMES } from '$lib/components/Cut/steps';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Cuts in their order, and what the corners come out as. */
	let {
		drawing,
		check,
		job,
		asked
	}: {
		drawing: TemplateDrawing;
		check: CheckAnswer | undefined;
		job: Job;
		asked: Pick<TemplateInput, 'outside' | 'holes'>;
	} = $props();
	const bench = getWorkbench();
	/** A contour is called by its cut in the list beside. */
	const nameOf = (index: number) => {
		const cut = drawing.order.findIndex((o) => o.index === index);
		return cut < 0 ? `outline ${index + 1}` : `cut ${cut + 1}`;
	};
	const faults = $derived(faultWords(drawing.faults, nameOf));
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
	<h2 class="h text-[1.125rem]">Inside first, the part on the squarer side</h2>
	<ol class="mt-1 text-[1rem]">
		{#each drawing.order.slice(0, 60) as o, i (i)}
			{@const cut = job.cuts[i]}
			<li
				class="flex min-h-[44px] flex-wrap items-center gap-x-3 border-t"
				style:border-color="var(--rule)"
			>
				<span class="fig w-8 text-[1.4375rem]">{i + 1}</span>
				<span class="w-20">{o.edge === 'hole' ? 'hole' : 'outside'}</span>
				<span class="w-40">{o.clockwise ? 'clockwise' : 'counter-clockwise'}</span>
				<span class="w-36">
					{cut && cut.start !== 'none' ? START_NAMES[cut.start] : 'no start goes through'}
				</span>
				<span class="fig w-24 text-[1.25rem]">{cut ? bench.say(cut.lengthMm, 'length') : '–'}</span>
				<span class="fig w-20 text-[1.25rem]">{bench.say(cut?.arcS ?? null, 'time')}</span>
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
	<h2 class="h text-[1.125rem]">What comes out otherwise</h2>
	<ul class="mt-1 space-y-2 text-[1rem]">
		{#each faults as words (words)}
			<li class="flex gap-2"><Mark verdict="stops" /> <span>{words}</span></li>
		{/each}
		{#if faults.length && check}
			<li class="flex gap-2" data-testid="remedy">
				<Mark verdict={check.remedy ? 'tight' : 'stops'} />
				<b>{remedyWords(check.remedy, asked, nameOf)}</b>
			</li>
		{/if}
		{#each check?.tooNarrow ?? [] as index (index)}
			<li class="flex gap-2">
				<Mark verdict="stops" />
				<span
					>A neck or notch of {nameOf(index)} is too narrow for the shield: see the coloured pieces. Take
					the other side, or cut it there freehand.</span
				>
			</li>
		{/each}
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
		{#if check && faults.length + check.tooNarrow.length + corners.length === 0}
			<li class="flex gap-2"><Mark verdict="holds" /> Everything comes out as drawn.</li>
		{/if}
	</ul>
	<p class="sub mt-2">
		The template must be thicker than the shield’s bearing height. The kerf tapers: the bottom edge
		lies a little off.
	</p>
</section>

<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { circleShape, PLAN } from './guide';

	/** A circle guide from above: pivot, radius to set, kerf, which way round, where to lead in. */
	const bench = getWorkbench();
	const { circleOf, circleMm } = $derived(bench.cut);
	const hole = $derived(circleOf === 'hole');
	const shape = $derived(
		circleShape({
			circleOf,
			circleMm,
			kerfMm: bench.plan.figures['cut.kerfTopMm'].value!,
			radiusMm: bench.plan.figures['cut.offsetMm'].value!
		})
	);
	const [cx, cy] = [270, PLAN.height / 2];
	// Inside contours run counter-clockwise when the squarer edge is on the right.
	const clockwise = $derived(!hole === (bench.bench.torch.squareSide === 'right'));
	const torch = $derived({ x: cx + shape.torchPx * 0.866, y: cy - shape.torchPx * 0.5 });
</script>

<div class="flex flex-wrap items-center gap-x-8">
	<svg
		{@attach legible}
		viewBox="40 0 480 {PLAN.height}"
		class="block w-full max-w-[440px] flex-none"
		role="img"
		aria-label="Circle guide: {bench.sayFigure('cut.offsetMm')} from the pivot to the torch centre"
	>
		<Patterns prefix="circle" />
		<rect
			x="60"
			y="4"
			width="440"
			height={PLAN.height - 8}
			fill={hole ? 'none' : 'url(#circle-waste)'}
			stroke="var(--ink)"
			stroke-width="1.6"
		/>
		<circle
			{cx}
			{cy}
			r={shape.edgePx}
			fill={hole ? 'url(#circle-waste)' : 'var(--sheet)'}
			stroke="var(--arc)"
			stroke-width="2.6"
			stroke-dasharray="14 5 3 5"
		/>
		<circle
			{cx}
			{cy}
			r={shape.torchPx}
			fill="none"
			stroke="var(--ink)"
			stroke-opacity=".75"
			stroke-width={shape.kerfPx}
		/>
		<path d="M{cx} {cy}L{torch.x} {torch.y}" stroke="var(--brass)" stroke-width="9" />
		<path d="M{cx} {cy}L{torch.x} {torch.y}" stroke="var(--ink)" stroke-width="1.4" />
		<circle {cx} {cy} r="9" fill="var(--steel)" stroke="var(--ink)" stroke-width="2" />
		<circle {cx} {cy} r="2.5" fill="var(--ink)" />
		<circle
			cx={torch.x}
			cy={torch.y}
			r="24"
			fill="var(--steel)"
			fill-opacity=".9"
			stroke="var(--ink)"
			stroke-width="2.2"
		/>
		<circle cx={torch.x} cy={torch.y} r="7" fill="var(--arc)" />
		<g transform="translate({torch.x} {torch.y}) rotate({clockwise ? 60 : 240})">
			<path d="M30 0h34" stroke="var(--arc)" stroke-width="6" />
			<path d="M60 -13l24 13l-24 13Z" fill="var(--arc)" />
		</g>
		<circle cx={shape.leadX + cx} {cy} r="7" fill="none" stroke="var(--spark)" stroke-width="4" />
		<path
			d="M{shape.leadX + cx} {cy}L{cx - shape.torchPx} {cy}"
			stroke="var(--spark)"
			stroke-width="3"
			stroke-dasharray="5 4"
		/>
		<text x={cx} y={hole ? cy + 34 : 30} text-anchor="middle" font-weight="700" class="halo"
			>waste</text
		>
	</svg>
	<ul class="min-w-[260px] flex-1 list-disc space-y-1 pl-5 text-[1rem]">
		<li>
			Go <b>{clockwise ? 'clockwise' : 'counter-clockwise'}</b>: the squarer edge stays on the part.
		</li>
		<li>
			Start the arc at the small ring in the drawing, {hole ? 'inside' : 'outside'} the line, and lead
			in.
		</li>
		<li>
			The pivot stands in the {hole ? 'waste' : 'part'}: {hole
				? 'it drops with it'
				: 'its punch mark stays'}.
		</li>
	</ul>
</div>

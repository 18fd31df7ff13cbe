<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { guideShape, PLAN } from './guide';

	/** The plate from above: line, kerf, shield, straight edge and the distance to set. */
	const bench = getWorkbench();
	const torch = $derived(bench.bench.torch);
	const guided = $derived(bench.cut.guide === 'kept' || bench.cut.guide === 'waste');
	const rolling = $derived(bench.cut.guide === 'roller');
	const shape = $derived(
		guideShape({
			guide: bench.cut.guide,
			shieldRadiusMm: bench.plan.figures['cut.radiusMm'].value!,
			kerfMm: bench.plan.figures['cut.kerfTopMm'].value!,
			offsetMm: bench.plan.figures['cut.offsetMm'].value!
		})
	);
	const { lineY, left, right, torchX } = PLAN;
	const ruler = $derived(Math.min(shape.edgeY, shape.edgeFarY));
	const rulerHeight = $derived(Math.abs(shape.edgeFarY - shape.edgeY));
	// The part lies below, so travel to the right keeps it on the right hand.
	const toRight = $derived(torch.squareSide === 'right');
	const dimX = 520;
	const dimTop = $derived(Math.min(lineY, shape.edgeY));
	const dimBottom = $derived(Math.max(lineY, shape.edgeY));
</script>

<svg
	{@attach legible}
	viewBox="0 0 {PLAN.width} {PLAN.height}"
	class="block w-full"
	role="img"
	aria-label="Plan of the cut: {guided ? 'straight edge' : 'torch centre'} {bench.sayFigure(
		'cut.offsetMm'
	)} from the finished edge"
>
	<Patterns prefix="guide" />
	<path
		d="M{left} 8l90 -4l80 6l100 -5l110 5l120 -6l120 4V{lineY - shape.kerfPx}H{left}Z"
		fill="url(#guide-waste)"
		stroke="var(--ink)"
		stroke-width="1.4"
	/>
	<path
		d="M{left} {lineY}H{right}V284H{left}Z"
		fill="none"
		stroke="var(--ink)"
		stroke-width="2.4"
	/>
	<rect
		x={toRight ? left : torchX}
		y={lineY - shape.kerfPx}
		width={toRight ? torchX - left : right - torchX}
		height={shape.kerfPx}
		fill="var(--ink)"
	/>
	<path
		d="M{left} {lineY}H{right}"
		stroke="var(--arc)"
		stroke-width="2.6"
		stroke-dasharray="14 5 3 5"
	/>
	{#if guided}
		<rect
			x={left + 70}
			y={ruler}
			width="480"
			height={rulerHeight}
			fill="var(--brass)"
			stroke="var(--ink)"
			stroke-width="2"
		/>
		<text
			x={left + 310}
			y={ruler + rulerHeight / 2 + 5}
			text-anchor="middle"
			font-weight="600"
			style:fill="var(--on-brass)">straight edge, clamped</text
		>
		{#each [left + 96, left + 524] as x (x)}
			<rect
				x={x - 12}
				y={ruler + 6}
				width="24"
				height={rulerHeight + 6}
				fill="var(--steel2)"
				stroke="var(--ink)"
				stroke-width="2"
			/>
		{/each}
	{/if}
	<circle
		cx={torchX}
		cy={shape.centreY}
		r={shape.radiusPx}
		fill="var(--steel)"
		fill-opacity=".82"
		stroke="var(--ink)"
		stroke-width="2.4"
	/>
	<circle
		cx={torchX}
		cy={shape.centreY}
		r="20"
		fill="var(--copper2)"
		stroke="var(--ink)"
		stroke-width="1.6"
	/>
	<circle cx={torchX} cy={shape.centreY} r={Math.max(3, shape.kerfPx / 2)} fill="var(--arc)" />
	{#if rolling}
		{#each [-shape.radiusPx - 16, shape.radiusPx + 2] as dy (dy)}
			<rect
				x={torchX - 22}
				y={shape.centreY + dy}
				width="44"
				height="14"
				rx="5"
				fill="var(--brass)"
				stroke="var(--ink)"
				stroke-width="2"
			/>
		{/each}
	{/if}
	<g transform="translate({torchX} {shape.centreY}) scale({toRight ? 1 : -1} 1)">
		<path d="M{shape.radiusPx + 10} 0h54" stroke="var(--arc)" stroke-width="6" />
		<path d="M{shape.radiusPx + 58} -13l24 13l-24 13Z" fill="var(--arc)" />
	</g>
	{#if guided}
		<path
			d="M{dimX - 16} {lineY}h32M{dimX - 16} {shape.edgeY}h32"
			stroke="var(--ink)"
			stroke-width="1.2"
		/>
		<path
			d="M{dimX} {dimTop}V{dimBottom}M{dimX - 4} {dimTop + 6}l4 -6l4 6M{dimX - 4} {dimBottom -
				6}l4 6l4 -6"
			stroke="var(--ink)"
			stroke-width="1.4"
			fill="none"
		/>
		<text x={dimX + 14} y={(dimTop + dimBottom) / 2 + 15} class="fig halo" style:font-size="44px"
			>{bench.sayFigure('cut.offsetMm')}</text
		>
	{/if}
	<rect
		x={left + 30}
		y="20"
		width="100"
		height="34"
		fill="var(--sheet)"
		stroke="var(--ink)"
		stroke-width="1.4"
	/>
	<text x={left + 80} y="44" text-anchor="middle" font-weight="700">waste</text>
	<text x={left + 14} y="270" font-weight="700"
		>keep this: the squarer edge is on the {torch.squareSide}</text
	>
	{#each [[left - 30, '1', 'start'], [right + 30, '2', 'end']] as const as [x, n, word] (n)}
		{@const first = toRight ? n : n === '1' ? '2' : '1'}
		<circle cx={x} cy={lineY - 4} r="17" fill="var(--ink)" />
		<text
			{x}
			y={lineY + 3}
			text-anchor="middle"
			class="fig"
			style:font-size="max(22px, 13px * var(--k, 1))"
			style:fill="var(--sheet)">{first}</text
		>
		<text {x} y={lineY + 32} text-anchor="middle" font-weight="600"
			>{toRight ? word : word === 'start' ? 'end' : 'start'}</text
		>
	{/each}
</svg>
<p class="sub">
	Travel so that the part stays on your {torch.squareSide}; clamp on the piece that stays.
</p>

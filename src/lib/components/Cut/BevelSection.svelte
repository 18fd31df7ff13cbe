<script lang="ts">
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { bevelShape } from './guide';

	/** Across the cut: the guide's face at the bevel, the tilted torch, the slanted kerf. */
	const bench = getWorkbench();
	const value = (id: Parameters<typeof bench.sayFigure>[0]) => bench.plan.figures[id].value!;
	const guided = $derived(bench.cut.guide === 'kept' || bench.cut.guide === 'waste');
	const s = $derived(
		bevelShape({
			bevelDeg: bench.cut.bevelDeg,
			thicknessMm: bench.cut.layers * bench.cut.thicknessMm,
			radiusMm: value('cut.radiusMm'),
			faceMm: bench.bench.torch.faceRadiusMm,
			kerfMm: value('setup.kerfMm'),
			kerfTopMm: value('cut.kerfTopMm'),
			bottomShiftMm: value('cut.bottomShiftMm')
		})
	);
</script>

<svg
	{@attach legible}
	viewBox="0 0 420 190"
	class="block w-full max-w-[520px]"
	role="img"
	aria-label="Across the bevel: top and bottom edge lie {bench.sayFigure(
		'cut.bottomShiftMm'
	)} apart"
>
	<path d={s.left} fill="var(--faint)" stroke="var(--ink)" stroke-width="1.8" />
	<path d={s.right} fill="var(--steel)" stroke="var(--ink)" stroke-width="1.8" />
	<path d={s.kerf} fill="var(--arc)" />
	{#if guided}<path d={s.guide} fill="var(--brass)" stroke="var(--ink)" stroke-width="1.8" />{/if}
	<g transform="translate({s.axisX} {s.top}) rotate({s.tiltDeg})">
		<path d={s.shield} fill="var(--steel2)" stroke="var(--ink)" stroke-width="1.8" />
		<path d="M0 -106V0" stroke="var(--arc)" stroke-width="2" stroke-dasharray="8 4 2 4" />
	</g>
	{#if guided}<text x="14" y="182">guide side</text>{/if}
	<text x="406" y="182" text-anchor="end"
		>{guided ? 'the other side' : 'bottom edge lies this way'}</text
	>
</svg>

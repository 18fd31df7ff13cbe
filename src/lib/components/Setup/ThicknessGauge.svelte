<script lang="ts">
	import type { DragHandle } from '$lib/state/handle.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { flagPx, labelAtY, SECTION, sectionMarks } from './section';

	/** The rule beside the section, and the handle at the underside of the plate, which is hung on it. */
	interface Props {
		/** Depth that the drawing reaches, mm. */
		deepest: number;
		/** Underside of the plate in the drawing. */
		bottomY: number;
		grip: DragHandle['grip'];
		onkeydown: (event: KeyboardEvent) => void;
	}
	let { deepest, bottomY, grip, onkeydown }: Props = $props();
	const bench = getWorkbench();
	const { plateTopY: top, gaugeX: gx, leftX } = SECTION;
	const marks = $derived(sectionMarks(deepest, bench.units));
	const labelY = $derived(labelAtY(bottomY));
	const thickness = $derived(bench.say(bench.cut.thicknessMm, 'thickness'));
</script>

<rect
	x={gx}
	y={top - 14}
	width="44"
	height={SECTION.height - top + 10}
	fill="var(--card)"
	stroke="var(--ink)"
	stroke-width="1.5"
/>
<text x={gx + 22} y={top - 20} text-anchor="middle" class="dim"
	>{bench.units === 'metric' ? 'mm' : 'in'}</text
>
<path d={marks.long} stroke="var(--ink)" stroke-width="1.8" />
<path d={marks.short} stroke="var(--ink)" stroke-width="1.1" />
{#each marks.labels as { y, text }, i (i)}
	<text x={gx + 5} y={y + 5.5} class="tick">{text}</text>
{/each}
<line
	x1={gx + 44}
	x2={leftX + 12}
	y1={bottomY}
	y2={bottomY}
	stroke="var(--arc)"
	stroke-width="2.5"
/>
<g
	role="slider"
	tabindex="0"
	aria-label="Thickness"
	aria-orientation="vertical"
	aria-valuemin={0.5}
	aria-valuemax={deepest}
	aria-valuenow={bench.cut.thicknessMm}
	aria-valuetext={thickness}
	class="cursor-ns-resize"
	data-testid="thickness-handle"
	{onkeydown}
	onpointerdown={grip}
>
	<polygon
		points="{gx + 46},{bottomY} {gx + 60},{labelY - 24} {leftX - 12},{labelY - 24} {leftX -
			12},{labelY + 24} {gx + 60},{labelY + 24}"
		fill="var(--arc)"
	/>
	<g transform="translate({gx + 100} {labelY})">
		<rect x="-60" y="-42" width="124" height="84" fill="transparent" />
		<text
			y="10"
			text-anchor="middle"
			class="fig"
			style:font-size="max({flagPx(thickness)}px, 13px * var(--k, 1))"
			style:fill="var(--color-primary-content)">{thickness}</text
		>
	</g>
</g>

<script lang="ts">
	import { onDestroy } from 'svelte';
	import { thicknessStepMm, type FigureId, type Plan } from '$lib/core';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import TorchHead from '$lib/components/Drawing/TorchHead.svelte';
	import { lastShown } from '$lib/components/Drawing/lastShown';
	import { px } from '$lib/components/Drawing/px';
	import Sparks from '$lib/components/Drawing/Sparks.svelte';
	import { sparkPaths } from '$lib/components/Drawing/scatter';
	import { timedByHand } from '$lib/components/Words/pace';
	import { inSheet } from '$lib/components/Words/sheet';
	import { legible } from '$lib/dom/legible';
	import { stepsOfKey, DragHandle } from '$lib/state/handle.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import {
		deepestMm,
		labelAtY,
		SECTION,
		sectionShape,
		thicknessAt,
		type SectionShape
	} from './section';
	import ThicknessGauge from './ThicknessGauge.svelte';

	/** The cut from the side, plate to scale. The handle at the underside sets the thickness. */
	const bench = getWorkbench();
	const plan = $derived(bench.plan);
	const value = (id: FigureId) => plan.figures[id].value ?? 0;
	const through = $derived(plan.figures['setup.lineS'].value !== null);
	/**
	 * Nothing comes and goes under the hand: what does not part hides what is of the cut. By opacity, which
	 * unlike display and visibility asks nothing of what is inside; balloons are out of reach once it rests.
	 * What is straight is drawn by lines and polygons: their points, unlike a path, are no style.
	 */
	const [shown, hidden] = $derived(through ? [1, 0] : [0, 1]);
	const balloons = $derived(through || bench.dragging ? undefined : 'hidden');
	/** What the gauge reaches while a hand holds its handle: another scale would pull the handle from under it. */
	let heldMm = $state<number>();
	const deepest = $derived(
		heldMm ?? deepestMm(value('setup.severMm'), bench.cut.layers * bench.cut.thicknessMm)
	);
	const shape = $derived(
		sectionShape({
			thicknessMm: bench.cut.layers * bench.cut.thicknessMm,
			layers: bench.cut.layers,
			deepest,
			lagDeg: value('setup.lagDeg'),
			kerfMm: value('setup.kerfMm')
		})
	);
	const drawn = lastShown<{ plan: Plan; shape: SectionShape }>();
	/** Of the last cut that went through. */
	const cutting = $derived(drawn(through, { plan, shape }));
	const slot = $derived(cutting.shape);
	/** What falls straight down at any pace is no angle to go by. */
	const sheet = $derived(inSheet(cutting.plan));
	const { plateTopY: top, arcX: cx } = SECTION;
	const sparks = sparkPaths({ seed: 7, count: 46, lengthPx: 96, spreadRad: 0.34 });
	const labelY = $derived(labelAtY(shape.bottomY));

	let svg = $state<SVGSVGElement>();
	const stepMm = $derived(thicknessStepMm(bench.units));
	const inReach = (mm: number) =>
		Math.min(deepest / bench.cut.layers, Math.max(stepMm, Math.round(mm / stepMm) * stepMm));
	const handle = new DragHandle({
		svg: () => svg,
		axis: 'y',
		view: SECTION.height,
		began: () => {
			heldMm = deepest;
			bench.grip();
		},
		moved: (y) =>
			bench.dragCut({ thicknessMm: inReach(thicknessAt(y, deepest) / bench.cut.layers) }),
		ended: () => {
			heldMm = undefined;
			bench.release();
		}
	});
	// A drawing that goes away lets go.
	onDestroy(handle.release);
	function key(event: KeyboardEvent) {
		const steps = stepsOfKey(event);
		if (steps === undefined) return;
		bench.stepCut({ thicknessMm: inReach(bench.cut.thicknessMm + steps * stepMm) });
	}
</script>

<svg
	bind:this={svg}
	{@attach legible}
	viewBox="0 0 {SECTION.width} {SECTION.height}"
	class="block w-full touch-none"
	role="group"
	aria-label="Side section of the cut"
	onpointermove={handle.move}
	onpointerup={handle.release}
	onpointercancel={handle.release}
>
	<Patterns prefix="section" />
	{#if bench.cut.bevelDeg > 0}
		<text x={SECTION.rightX - 8} y={labelY + 22} text-anchor="end" class="dim"
			>on the slant {bench.sayFigure('setup.arcMm')}</text
		>
	{/if}
	<g opacity={hidden} aria-hidden={through}>
		<!-- No slot through what does not part. -->
		<polygon
			points={through
				? ''
				: `${SECTION.leftX + 20},${top} ${SECTION.rightX},${top} ${SECTION.rightX},${shape.bottomY} ${SECTION.leftX + 20},${shape.bottomY}`}
			fill="url(#section-steel)"
			stroke="var(--ink)"
			stroke-width="1.8"
		/>
		<text
			x={cx}
			y={through ? top : px((top + shape.bottomY) / 2) + 10}
			text-anchor="middle"
			class="fig halo"
			style:font-size="28px"
			style:fill="var(--stops)">does not go through</text
		>
	</g>
	<g opacity={shown} aria-hidden={!through}>
		<path d={slot.plateLeft} fill="var(--faint)" stroke="var(--ink)" stroke-width="1.8" />
		<path
			d={slot.lagLines}
			stroke="var(--steel-line)"
			stroke-width="1.2"
			fill="none"
			opacity=".75"
		/>
		<path d={slot.plateRight} fill="url(#section-steel)" stroke="var(--ink)" stroke-width="1.8" />
		<path d={slot.sheets} stroke="var(--ink)" stroke-width="1.8" fill="none" />
		<path d={slot.dross} fill="var(--steel-line)" />
		<Sparks {sparks} x={slot.exitX} y={slot.bottomY} turnDeg={slot.lagDeg} />
		<path d={slot.arc} fill="var(--arc)" />
	</g>
	<TorchHead x={cx} tip={top - 1} prefix="section" />
	<g class="roomy" fill="none" stroke="var(--ink)" stroke-width="1.2">
		<path d="M{cx + 66} {top - 119}h18" />
		<path d="M{cx - 14} {top - 31}L{cx - 70} {top - 57}h-14" />
		<path d="M{cx - 20} {top - 2}L{cx - 60} {top - 20}h-24" />
	</g>
	<text class="roomy" x={cx + 90} y={top - 114}
		>{plan.choices.flow === 'built-in'
			? 'its own air'
			: `inlet ${bench.sayFigure('setup.airBar')}, flowing`}</text
	>
	<text class="roomy" x={cx - 90} y={top - 52} text-anchor="end"
		>{bench.sayFigure('setup.nozzleA')} nozzle</text
	>
	<text class="roomy" x={cx - 90} y={top - 15} text-anchor="end"
		>{plan.choices.standoff === 'drag'
			? 'shield rests on the plate'
			: plan.choices.standoff === 'touch'
				? 'nozzle touches'
				: plan.choices.standoff === 'guide'
					? `stand-off guide, ${bench.sayFigure('setup.standoffMm')}`
					: `${bench.sayFigure('setup.standoffMm')} off`}</text
	>
	<g opacity={shown} aria-hidden={!through}>
		<path
			d={slot.arcCore}
			stroke="#fff"
			stroke-width="2.4"
			fill="none"
			stroke-linecap="round"
			opacity=".9"
		/>
		<g stroke="var(--ink)" stroke-width="1.4">
			<line
				x1={slot.exitX}
				x2={slot.exitX}
				y1={slot.bottomY}
				y2={slot.bottomY + slot.ray.length + 4}
				stroke-dasharray="5 4"
			/>
			<line x1={slot.exitX} y1={slot.bottomY} x2={slot.ray.x} y2={slot.ray.y} />
			<line x1={slot.exitX + 6} x2={cx + 62} y1={slot.lagY} y2={slot.lagY} />
		</g>
		<!-- Moved as one piece: text at a new place is laid out anew, a group that moves is not. -->
		<g transform="translate({cx} {slot.lagY})">
			<text x="68" y="9" class="fig halo" style:font-size="30px" style:fill="var(--spark-ink)"
				>{sheet ? '' : bench.sayFigure('setup.lagDeg', cutting.plan)}</text
			>
			<text x={sheet ? 68 : 116} y="6" class="halo"
				>{sheet ? 'sparks tell nothing' : 'sparks trail'}<tspan class="roomy"
					>{sheet ? '' : '\u00a0behind'}</tspan
				></text
			>
			<foreignObject
				x="244"
				y="-9"
				width="22"
				height="22"
				class="overflow-visible"
				visibility={balloons}><Balloon id="setup.lagDeg" /></foreignObject
			>
		</g>
		<path d="M{cx + 92} {top - 34}h104" stroke="var(--arc)" stroke-width="7" />
		<path d="M{cx + 190} {top - 50}l32 16l-32 16Z" fill="var(--arc)" />
		<text x={cx + 92} y={top - 52} class="fig" style:font-size="34px" style:fill="var(--arc)"
			>{bench.sayFigure('setup.speedMmS', cutting.plan)}</text
		>
		<text x={cx + 92} y={top - 10} class="dim roomy"
			>{timedByHand(cutting.plan) ? 'travel asked' : 'travel'}</text
		>
		<rect
			x={cx + 60}
			y={SECTION.kerfBoxY - 30}
			width="182"
			height="30"
			fill="var(--sheet)"
			stroke="var(--ink)"
			stroke-width="1.3"
		/>
		<text x={cx + 70} y={top + 28}>kerf {bench.sayFigure('setup.kerfMm', cutting.plan)}</text>
		<foreignObject
			x={cx + 214}
			y={top + 12}
			width="22"
			height="22"
			class="overflow-visible"
			visibility={balloons}><Balloon id="setup.kerfMm" /></foreignObject
		>
	</g>
	<ThicknessGauge {deepest} bottomY={shape.bottomY} grip={handle.grip} onkeydown={key} />
</svg>

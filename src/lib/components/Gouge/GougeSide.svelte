<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { sparkPaths } from '$lib/components/Drawing/scatter';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { GROOVE } from './groove';

	/** The first pass from the side: the angle is measured from the plate, the metal flies ahead. */
	const bench = getWorkbench();
	const angle = $derived(bench.cut.gouge.angleFromPlateDeg);
	const { width, height, topY: top, plateDepthPx } = GROOVE;
	const depth = 58;
	const ex = 176;
	const bottom = top + plateDepthPx;
	const sparks = sparkPaths({ seed: 5, count: 40, lengthPx: 130, spreadRad: 0.5 });
</script>

<svg
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full"
	role="img"
	aria-label="Gouging from the side at {angle}° from the plate"
>
	<Patterns prefix="gouge" />
	<path
		d="M8 {top + depth}H{ex - 34}C{ex - 14} {top + depth} {ex} {top + depth * 0.6} {ex +
			18} {top}H{width - 8}l-8 70l10 70l-2 72H8Z"
		fill="url(#gouge-steel)"
		stroke="var(--ink)"
		stroke-width="2"
	/>
	<path d="M8 {top}H{ex + 18}" stroke="var(--ink2)" stroke-width="1.3" stroke-dasharray="5 4" />
	<g
		transform="translate({ex + 16} {top - 4}) rotate(-104)"
		stroke="var(--spark)"
		stroke-linecap="round"
		fill="none"
	>
		{#each sparks as d, i (i)}<path {d} stroke-width={1.2 + i * 0.7} />{/each}
	</g>
	<g transform="translate({ex - 6} {top + depth * 0.55}) rotate({angle - 90})">
		<path d="M0 0V-46" stroke="var(--arc)" stroke-width="9" stroke-linecap="round" />
		<path d="M0 0V-46" stroke="#fff" stroke-width="2.6" stroke-linecap="round" />
		<path
			d="M-24 -166H24V-98L12 -48H-12L-24 -98Z"
			fill="var(--steel2)"
			stroke="var(--ink)"
			stroke-width="2"
		/>
	</g>
	<rect x="18" y={top + 112} width="116" height="66" fill="var(--sheet)" />
	<text x="28" y={top + 148} class="fig" style:font-size="40px">{bench.say(angle, 'angle')}</text>
	<text x="28" y={top + 168} class="dim">from the plate</text>
	<path
		d="M30 {top}V{top + depth}M26 {top + 6}l4 -6l4 6M26 {top + depth - 6}l4 6l4 -6"
		stroke="var(--ink)"
		stroke-width="1.4"
		fill="none"
	/>
	<text x="40" y={top + depth - 20} class="fig halo" style:font-size="25px"
		>{bench.sayFigure('gouge.depthPerPassMm')}</text
	>
	<path d="M{ex + 30} {top + 120}h84" stroke="var(--arc)" stroke-width="7" />
	<path d="M{ex + 108} {top + 104}l32 16l-32 16Z" fill="var(--arc)" />
	<rect x={ex + 26} y={top + 72} width="118" height="30" fill="var(--sheet)" />
	<text x={ex + 32} y={top + 96} class="fig" style:font-size="27px" style:fill="var(--arc)"
		>{bench.sayFigure('gouge.speedMmS')}</text
	>
	<text x="14" y={bottom + 20} class="dim">pass 1 from the side, not to scale</text>
</svg>

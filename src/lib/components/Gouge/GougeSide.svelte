<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import Sparks from '$lib/components/Drawing/Sparks.svelte';
	import { sparkPaths } from '$lib/components/Drawing/scatter';
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import GougeTorch from './GougeTorch.svelte';

	/** From the side: the angle is measured from the plate, the metal flies ahead and nobody stands there. */
	let { speedMmS }: { /** Of the string that is now. */ speedMmS: number | null } = $props();
	const bench = getWorkbench();
	const angle = $derived(bench.cut.gouge.angleFromPlateDeg);
	const [width, height, top, depth, ex] = [330, 300, 150, 44, 150] as const;
	const sparks = sparkPaths({ seed: 5, count: 40, lengthPx: 130, spreadRad: 0.5 });
</script>

<svg
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full"
	role="img"
	aria-label="From the side: torch at {angle}° from the plate, pushed; metal flies ahead"
>
	<Patterns prefix="gouge" />
	<path
		d="M8 {top + depth}H{ex - 34}C{ex - 14} {top + depth} {ex} {top + depth * 0.6} {ex +
			18} {top}H{width - 8}l-8 44l10 44l-2 22H8Z"
		fill="url(#gouge-steel)"
		stroke="var(--ink)"
		stroke-width="2"
	/>
	<path d="M8 {top}H{ex + 18}" stroke="var(--ink2)" stroke-width="1.3" stroke-dasharray="5 4" />
	<Sparks {sparks} x={ex + 16} y={top - 4} turnDeg={-104} />
	<GougeTorch x={ex - 6} y={top + depth * 0.55} leanDeg={angle - 90} />
	<g stroke="var(--stops)" stroke-width="3" fill="none">
		<circle cx={width - 34} cy={top - 66} r="9" />
		<path
			d="M{width - 34} {top - 57}v30m-14 -20h28m-14 20l-11 24m11 -24l11 24M{width - 58} {top -
				82}l48 78"
		/>
	</g>
	<text x={width - 12} y="22" text-anchor="end" font-weight="700" class="halo"
		>metal flies this way:</text
	>
	<text
		x={width - 12}
		y="42"
		text-anchor="end"
		font-weight="700"
		class="halo"
		style:fill="var(--stops)">nobody in front of it</text
	>
	<rect x="14" y={top + depth + 8} width="112" height="52" fill="var(--sheet)" />
	<text x="20" y={top + depth + 38} class="fig" style:font-size="36px"
		>{bench.say(angle, 'angle')}</text
	>
	<text x="20" y={top + depth + 55} class="dim">from the plate</text>
	<path d="M{ex + 40} {top + 34}h84" stroke="var(--arc)" stroke-width="7" />
	<path d="M{ex + 118} {top + 18}l32 16l-32 16Z" fill="var(--arc)" />
	<rect x={ex - 6} y={top + 58} width="172" height="34" fill="var(--sheet)" />
	<text x={ex} y={top + 84} class="fig" style:font-size="27px" style:fill="var(--arc)"
		>push{speedMmS === null ? '' : `, ${bench.say(speedMmS, 'speed')}`}</text
	>
	<text x="14" y={height - 6} class="dim">from the side, not to scale</text>
</svg>

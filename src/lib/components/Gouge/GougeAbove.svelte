<script lang="ts">
	import { onDestroy } from 'svelte';
	import { GOUGE_RANGES } from '$lib/core/gouge/inputs';
	import { legible } from '$lib/dom/legible';
	import { DragHandle, stepsOfKey } from '$lib/state/handle.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** From above: the strings in their order, all pushed the same way. */
	let { now }: { now: number } = $props();
	const bench = getWorkbench();
	const groove = $derived(bench.plan.groove!);
	const [width, height, left, right] = [330, 150, 34, 312] as const;
	/** One line each in its order; beside each other as they lie, where there is room. */
	const rows = $derived(
		[...groove.strings.keys()].sort(
			(i, k) => groove.strings[i]!.xMm - groove.strings[k]!.xMm || i - k
		)
	);
	const stepPx = $derived(Math.min(26, (height - 62) / Math.max(1, rows.length)));
	const yOf = (i: number) => 20 + (rows.indexOf(i) + 0.5) * stepPx;
	const shown = $derived(rows.length <= 12);
	const lengthMm = $derived(bench.cut.gouge.lengthMm ?? bench.cut.lengthMm);
	const [least, most] = GOUGE_RANGES.lengthMm;
	/** Steps of a length, mm. */
	const STEP_MM = 10;
	const to = (mm: number) => ({
		lengthMm: Math.min(most, Math.max(least, Math.round(mm / STEP_MM) * STEP_MM))
	});
	let svg = $state<SVGSVGElement>();
	/** The scale of the moment of the grip holds: the end goes with the hand. */
	let grip = $state.raw<{ pxPerMm: number; mm: number; at?: number } | undefined>();
	const endX = $derived(
		grip ? Math.min(width - 8, Math.max(left + 20, left + lengthMm * grip.pxPerMm)) : right
	);
	const handle = new DragHandle({
		svg: () => svg,
		axis: 'x',
		view: width,
		began: () => {
			grip = { pxPerMm: (right - left) / lengthMm, mm: lengthMm };
			bench.grip();
		},
		moved: (x) => {
			grip = { at: x, ...grip! };
			bench.dragGouge(to(grip.mm + (x - grip.at!) / grip.pxPerMm));
		},
		ended: () => {
			grip = undefined;
			bench.release();
		}
	});
	// A drawing that goes away lets go.
	onDestroy(handle.release);
	function key(event: KeyboardEvent) {
		const steps = stepsOfKey(event);
		if (steps === undefined) return;
		bench.stepGouge(to(lengthMm + steps * STEP_MM));
	}
</script>

<svg
	bind:this={svg}
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full touch-none"
	role="group"
	onpointermove={handle.move}
	onpointerup={handle.release}
	onpointercancel={handle.release}
	aria-label="From above: all strings are pushed the same way"
>
	<rect
		x="6"
		y="14"
		width={width - 12}
		height={height - 56}
		fill="var(--steel2)"
		stroke="var(--ink)"
	/>
	{#each groove.strings.keys() as i (i)}
		<path
			d="M{left} {yOf(i)}H{endX - 10}m-8 -6l10 6l-10 6"
			fill="none"
			stroke={i === now ? 'var(--arc)' : i < now ? 'var(--sheet)' : 'var(--ink)'}
			stroke-width={i === now ? 5 : shown ? 2.4 : 1.2}
			stroke-dasharray={i > now ? '7 5' : undefined}
		/>
		{#if shown || i === now}
			<text x="20" y={yOf(i) + 6} text-anchor="middle" font-weight="700">{i + 1}</text>
		{/if}
	{/each}
	<text x="10" y={height - 16} class="dim">from above</text>
	<g
		role="slider"
		tabindex="0"
		aria-label="Length"
		aria-orientation="horizontal"
		aria-valuemin={least}
		aria-valuemax={most}
		aria-valuenow={lengthMm}
		aria-valuetext={bench.say(lengthMm, 'length')}
		class="cursor-ew-resize"
		onkeydown={key}
		onpointerdown={handle.grip}
	>
		<path d="M{endX} 14V{height - 40}" stroke="var(--arc)" stroke-width="3" />
		<rect x={width - 150} y={height - 40} width="144" height="36" fill="var(--arc)" />
		<text
			x={width - 78}
			y={height - 13}
			text-anchor="middle"
			class="fig"
			style:font-size="24px"
			style:fill="var(--color-primary-content)">{bench.say(lengthMm, 'length')} long</text
		>
	</g>
</svg>

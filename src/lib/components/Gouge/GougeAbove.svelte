<script lang="ts">
	import { legible } from '$lib/dom/legible';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** From above: the strings in their order, all pushed the same way. */
	let { now }: { now: number } = $props();
	const bench = getWorkbench();
	const groove = $derived(bench.plan.groove!);
	const [width, height, left, right] = [330, 132, 34, 312] as const;
	/** One line each in its order; beside each other as they lie, where there is room. */
	const rows = $derived(
		[...groove.strings.keys()].sort(
			(i, k) => groove.strings[i]!.xMm - groove.strings[k]!.xMm || i - k
		)
	);
	const stepPx = $derived(Math.min(26, (height - 40) / Math.max(1, rows.length)));
	const yOf = (i: number) => 20 + (rows.indexOf(i) + 0.5) * stepPx;
	const shown = $derived(rows.length <= 12);
</script>

<svg
	{@attach legible}
	viewBox="0 0 {width} {height}"
	class="block w-full"
	role="img"
	aria-label="From above: {groove.strings.length} strings, pushed the same way"
>
	<rect
		x="6"
		y="14"
		width={width - 12}
		height={height - 36}
		fill="var(--steel2)"
		stroke="var(--ink)"
	/>
	{#each groove.strings.keys() as i (i)}
		<path
			d="M{left} {yOf(i)}H{right - 10}m-8 -6l10 6l-10 6"
			fill="none"
			stroke={i === now ? 'var(--arc)' : i < now ? 'var(--sheet)' : 'var(--ink)'}
			stroke-width={i === now ? 5 : shown ? 2.4 : 1.2}
			stroke-dasharray={i > now ? '7 5' : undefined}
		/>
		{#if shown || i === now}
			<text x="20" y={yOf(i) + 6} text-anchor="middle" font-weight="700">{i + 1}</text>
		{/if}
	{/each}
	<text x="10" y={height - 6} class="dim"
		>from above, {bench.say(bench.cut.gouge.lengthMm ?? bench.cut.lengthMm, 'length')} long</text
	>
</svg>

<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import type { CheckAnswer, TemplateDrawing } from '$lib/workers/template.worker';

	/** Part, template and torch path to one scale, with starts in their order and corners that come out wrong. */
	let {
		drawing,
		check,
		label
	}: { drawing: TemplateDrawing; check: CheckAnswer | undefined; label: string } = $props();
	const pad = $derived(
		0.06 *
			Math.max(
				drawing.bounds.maxX - drawing.bounds.minX,
				drawing.bounds.maxY - drawing.bounds.minY
			) +
			12
	);
	const width = $derived(drawing.bounds.maxX - drawing.bounds.minX + 2 * pad);
	const height = $derived(drawing.bounds.maxY - drawing.bounds.minY + 2 * pad);
	/** Millimetres to one of six hundred parts of the drawing: marks keep their size. */
	const u = $derived(Math.max(width / 1.6, height) / 430);
</script>

<svg
	viewBox="{drawing.bounds.minX - pad} {-drawing.bounds.maxY - pad} {width} {height}"
	class="block max-h-[max(320px,calc(100vh-390px))] w-full"
	role="img"
	aria-label={label}
>
	<Patterns prefix="template" />
	<path d={drawing.part} fill="var(--steel)" fill-rule="evenodd" fill-opacity=".55" />
	<path d={check?.lost ?? ''} fill="var(--stops)" />
	<path d={check?.left ?? ''} fill="var(--spark)" />
	<path
		d={drawing.part}
		fill="none"
		stroke="var(--ink)"
		stroke-width="2"
		vector-effect="non-scaling-stroke"
	/>
	{#each drawing.templates as d, i (i)}
		<path
			{d}
			fill="none"
			stroke="var(--brass-ink, var(--copper))"
			stroke-width="4"
			vector-effect="non-scaling-stroke"
			data-testid="template"
		/>
	{/each}
	<path
		d={drawing.torch}
		fill="none"
		stroke="var(--arc)"
		stroke-width="2"
		stroke-dasharray="9 4 2 4"
		vector-effect="non-scaling-stroke"
	/>
	{#each drawing.corners as c, i (i)}
		<g transform="translate({c.at.x} {-c.at.y}) scale({u})">
			<circle
				r="11"
				fill="none"
				stroke={c.kind === 'outside' ? 'var(--stops)' : 'var(--spark-ink)'}
				stroke-width="2.4"
			/>
		</g>
	{/each}
	{#each drawing.order.slice(0, 60) as o, i (i)}
		<path
			d="M{o.start.x} {-o.start.y}L{o.meets.x} {-o.meets.y}"
			stroke="var(--arc)"
			stroke-width="2.6"
			vector-effect="non-scaling-stroke"
		/>
		<path
			transform="translate({o.meets.x} {-o.meets.y}) rotate({-o.headingDeg}) scale({u})"
			d="M6 -8l18 8l-18 8Z"
			fill="var(--arc)"
		/>
		<g transform="translate({o.start.x} {-o.start.y}) scale({u})">
			<circle r="11" fill="var(--ink)" />
			<text
				y="5.5"
				text-anchor="middle"
				class="fig"
				style:font-size="16px"
				style:fill="var(--sheet)">{i + 1}</text
			>
		</g>
	{/each}
</svg>

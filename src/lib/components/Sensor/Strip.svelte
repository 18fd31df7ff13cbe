<script lang="ts">
	import { lasts } from '$lib/components/List/words';
	import type { ArcLineView } from '$lib/state/arcLine.svelte';

	/** The last hour as the sensor saw it: arcs, failed starts, lamp, and where nobody knows. */
	let { line }: { line: ArcLineView } = $props();
	let width = $state(700);
	const SHOWN_MS = 3_600_000;
	const H = 76;
	const toMs = $derived(line.state?.serverMs ?? 0);
	const x = (ms: number) => Math.min(width, Math.max(0, width * (1 - (toMs - ms) / SHOWN_MS)));
	const spans = $derived(
		(line.state?.lately ?? []).filter(({ seen }) => seen.toMs >= toMs - SHOWN_MS)
	);
	const arcs = $derived(line.arcs.filter((arc) => arc.toMs >= toMs - SHOWN_MS));
	const failed = $derived(spans.filter(({ seen }) => seen.kind === 'failed'));
	const others = $derived(spans.filter(({ seen }) => seen.kind === 'gap' || seen.kind === 'lamp'));
	const TICKS_MIN = [45, 30, 15, 0];
	const clockOf = (ms: number) => new Date(ms).toTimeString().slice(0, 5);
	const said = $derived(
		`In the last hour ${arcs.length} arcs, ${lasts(arcs.reduce((sum, arc) => sum + (arc.toMs - arc.fromMs) / 1000, 0))} of arc, ${failed.length} failed ${failed.length === 1 ? 'start' : 'starts'}.`
	);
</script>

<div bind:clientWidth={width} class="mt-4">
	<p class="sub">{said}</p>
	<svg {width} height={H} role="img" aria-label={said}>
		<defs>
			<pattern id="unseen" width="8" height="8" patternUnits="userSpaceOnUse">
				<path d="M0 8L8 0" stroke="var(--ink2)" stroke-width="1.2" />
			</pattern>
		</defs>
		{#each others as { id, seen } (id)}
			<rect
				x={x(seen.fromMs)}
				y="6"
				width={Math.max(2, x(seen.toMs) - x(seen.fromMs))}
				height="44"
				fill={seen.kind === 'gap' ? 'url(#unseen)' : 'var(--spark-wash)'}
			/>
		{/each}
		<line x1="0" x2={width} y1="28" y2="28" stroke="var(--ink)" stroke-width="2" />
		{#each arcs as arc (arc.fromMs)}
			<rect
				x={x(arc.fromMs)}
				y="10"
				width={Math.max(1.5, x(arc.toMs) - x(arc.fromMs))}
				height="36"
				fill="var(--arc)"
			/>
		{/each}
		{#each failed as { id, seen } (id)}
			<path
				d="M{x(seen.fromMs) - 6} 22l12 12m0 -12l-12 12"
				stroke="var(--stops)"
				stroke-width="3.5"
			/>
		{/each}
		{#each TICKS_MIN as min (min)}
			{@const at = toMs - min * 60_000}
			<line x1={x(at)} x2={x(at)} y1="50" y2="56" stroke="var(--ink)" />
			<text x={x(at)} y="71" text-anchor={min === 0 ? 'end' : 'middle'}>{clockOf(at)}</text>
		{/each}
	</svg>
</div>

<style>
	svg {
		display: block;
	}
	text {
		font-family: var(--font-figure);
		font-stretch: 75%;
		font-size: 16px;
		fill: var(--ink);
	}
</style>

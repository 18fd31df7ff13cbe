<script lang="ts">
	import type { LaidPlate } from '$lib/core/list/layout';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One plate to scale, with what is marked where; measured from its lower left corner. */
	let {
		view,
		laid,
		nth,
		trimMm
	}: { view: DayListView; laid: LaidPlate; nth: number; trimMm: number } = $props();
	const bench = getWorkbench();
	let measured = $state(420);
	const width = $derived(Math.max(40, measured));
	const scale = $derived(width / laid.plate.widthMm);
	const height = $derived(laid.plate.heightMm * scale);
	const nameOf = (id: string) => view.itemOf(id)?.name ?? '';
	/** One line a part and place on paper; on the screen the drawing tells them apart by number. */
	const numbers = $derived([...new Set(laid.laid.map(({ id }) => id))]);
	const mm = (value: number) => bench.saySide(value);
	const y = (rect: { yMm: number; heightMm: number }) =>
		(laid.plate.heightMm - rect.yMm - rect.heightMm) * scale;
	const words = $derived(
		numbers
			.map((id) => `${laid.laid.filter((one) => one.id === id).length} × ${nameOf(id)}`)
			.join(', ')
	);
</script>

<figure bind:clientWidth={measured}>
	<figcaption>
		<b>{nth}. {laid.plate.name}</b>
		{mm(laid.plate.widthMm)} × {mm(laid.plate.heightMm)}
		<span class="sub">{Math.round(laid.yieldShare * 100)} %; {words}</span>
	</figcaption>
	<svg
		viewBox="0 0 {width} {height}"
		{width}
		{height}
		role="img"
		aria-label="{laid.plate.name}: {words}"
	>
		<rect
			x="1"
			y="1"
			width={width - 2}
			height={height - 2}
			fill="var(--paper)"
			stroke="var(--ink)"
			stroke-width="2"
		/>
		{#if trimMm > 0}
			<rect
				x={trimMm * scale}
				y={trimMm * scale}
				width={(laid.plate.widthMm - 2 * trimMm) * scale}
				height={(laid.plate.heightMm - 2 * trimMm) * scale}
				fill="none"
				stroke="var(--ink2)"
				stroke-dasharray="4 3"
			/>
		{/if}
		{#each laid.laid as part, k (k)}
			<rect
				x={part.xMm * scale}
				y={y(part)}
				width={part.widthMm * scale}
				height={part.heightMm * scale}
				fill="var(--arc-wash)"
				stroke="var(--ink)"
				stroke-width="1"
			/>
			{#if part.widthMm * scale > 18 && part.heightMm * scale > 16}
				<text
					x={(part.xMm + part.widthMm / 2) * scale}
					y={y(part) + (part.heightMm * scale) / 2 + 5}
					text-anchor="middle">{numbers.indexOf(part.id) + 1}</text
				>
			{/if}
		{/each}
		{#each laid.offcuts.slice(0, 6) as off, k (k)}
			{#if off.widthMm * scale > 70 && off.heightMm * scale > 18}
				<text
					x={(off.xMm + off.widthMm / 2) * scale}
					y={y(off) + (off.heightMm * scale) / 2 + 5}
					text-anchor="middle"
					class="off">keep</text
				>
			{/if}
		{/each}
	</svg>
	<ol class="sub">
		{#each numbers as id, k (id)}
			{@const one = laid.laid.find((p) => p.id === id)!}
			<li>{k + 1}: {nameOf(id)}, {mm(one.widthMm)} × {mm(one.heightMm)}</li>
		{/each}
	</ol>
	{#if laid.offcuts[0]}
		<p class="sub">
			Keep {laid.offcuts
				.slice(0, 3)
				.map(({ widthMm, heightMm }) => `${mm(widthMm)} × ${mm(heightMm)}`)
				.join(', ')}.
		</p>
	{/if}
	<table class="marks">
		<thead><tr><th>Mark</th><th>from left</th><th>from below</th><th>to</th></tr></thead>
		<tbody>
			{#each laid.laid as part, k (k)}
				<tr
					><td>{numbers.indexOf(part.id) + 1} {nameOf(part.id)}</td><td>{mm(part.xMm)}</td><td
						>{mm(part.yMm)}</td
					><td>{mm(part.xMm + part.widthMm)}, {mm(part.yMm + part.heightMm)}</td></tr
				>
			{/each}
		</tbody>
	</table>
</figure>

<style>
	svg {
		display: block;
		max-width: 100%;
		margin: 4px 0;
	}
	text {
		font-size: 14px;
		font-weight: 700;
		fill: var(--ink);
	}
	.off {
		font-weight: 500;
		fill: var(--ink2);
	}
	.marks {
		display: none;
	}
	@media print {
		figure {
			break-inside: avoid;
			margin-bottom: 8mm;
		}
		.marks {
			display: table;
			width: 100%;
			font-size: 10pt;
		}
		.marks th {
			text-align: left;
		}
	}
</style>

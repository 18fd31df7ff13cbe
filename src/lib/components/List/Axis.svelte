<script lang="ts">
	import type { DayListView } from '$lib/state/dayList.svelte';
	import type { ListRun } from '$lib/core/studies/list/runTypes';
	import { CUTTER_LIMIT_C } from '$lib/core/studies/list/runTold';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import {
		AXIS_LEFT_PX as LEFT,
		arcBars,
		axisOf,
		clockTicks,
		tracePath,
		traceRows,
		type TraceRow
	} from './axis';
	import { clock, lasts } from './words';

	/** One axis of time for arc, parts, rests, tank, breaker and heat. */
	let { view, run }: { view: DayListView; run: ListRun } = $props();
	const bench = getWorkbench();
	const ROW_NAMES = { tank: 'Tank', breaker: 'Breaker', heat: 'Cutter heat' };
	let width = $state(1180);
	const scale = $derived(axisOf(run, width));
	const { x, plot, nights, pauses } = $derived(scale);
	const startsAt = $derived(view.list?.startsAt ?? '08:00');
	const times = $derived(clockTicks(run, scale));
	const noteOf = ({ of, worst }: TraceRow) =>
		of === 'tank'
			? `low ${bench.say(worst, 'pressure')}`
			: of === 'breaker'
				? `${Math.round(100 * worst)} %${run.mayTrip ? ', may trip' : ' of a trip'}`
				: `${bench.say(worst, 'temperature')} of ${bench.say(CUTTER_LIMIT_C, 'temperature')}`;
	const rows = $derived(
		traceRows(run.trace).map((row) => ({
			...row,
			name: ROW_NAMES[row.of],
			note: noteOf(row)
		}))
	);
	const ROW = 50;
	const TOP = 92;
	const height = $derived(TOP + rows.length * ROW + 26);
	const bars = $derived(arcBars(run, x));
	const room = (item: ListRun['items'][number]) => x(item.endS) - x(item.startS);
	const name = (id: string) => view.itemOf(id)?.name ?? '';
	const fits = (text: string, px: number) => text.length * 8.2 <= px - 6;
	const said = $derived(
		`Arcs of ${run.items.length} items from ${clock(startsAt, 0)} to ${clock(startsAt, run.endS)}, ${run.changes} changes of parts, ${run.rests.length} rests; ${rows.map((row) => `${row.name}: ${row.note}`).join('; ')}.`
	);
	/** Where many rests stand close, the longest speak. */
	const restsShown = $derived(
		[...run.rests]
			.sort((a, b) => b.restS - a.restS)
			.slice(0, 6)
			.sort((a, b) => a.atS - b.atS)
	);
</script>

<div class="axis" bind:clientWidth={width} data-testid="axis">
	<svg {width} {height} role="img" aria-label={said}>
		{#each run.items as item, k (item.id)}
			<rect
				x={x(item.startS)}
				y="34"
				width={room(item)}
				height={height - 60}
				fill={k % 2 ? 'none' : 'var(--paper)'}
			/>
			<line x1={x(item.startS)} x2={x(item.startS)} y1="4" y2={height - 26} stroke="var(--rule)" />
			<text x={x(item.startS) + 4} y="15" class="name"
				>{fits(name(item.id), room(item))
					? name(item.id)
					: fits(String(k + 1), room(item))
						? k + 1
						: ''}</text
			>
			{#if fits(`${item.pieces} pieces`, room(item))}
				<text x={x(item.startS) + 4} y="31" class="note"
					>{item.pieces} {item.pieces === 1 ? 'piece' : 'pieces'}</text
				>
			{/if}
		{/each}
		<text x="0" y="56" class="row">Arc</text>
		<text x="0" y="72" class="note">{lasts(run.items.reduce((s, i) => s + i.arcS, 0))}</text>
		<line x1={LEFT} x2={LEFT + plot} y1="60" y2="60" stroke="var(--ink)" stroke-width="2.5" />
		{#each bars as bar (bar.from)}
			<rect x={bar.from} y="46" width={bar.to - bar.from} height="28" fill="var(--arc)" />
		{/each}
		{#each run.items.filter((i) => i.change) as item (item.id)}
			{@const w = Math.max(16, ((view.list?.changeS ?? 0) / scale.openS) * plot)}
			<rect
				x={x(item.startS)}
				y="44"
				width={w}
				height="32"
				fill="var(--card)"
				stroke="var(--ink)"
				stroke-width="2"
			/>
			{#if w > 42}<text x={x(item.startS) + w / 2} y="65" text-anchor="middle" class="note ink"
					>parts</text
				>{/if}
		{/each}
		{#each rows as row, r (row.name)}
			{@const y = TOP + r * ROW}
			<text x="0" y={y + 16} class="row">{row.name}</text>
			<text x="0" y={y + 32} class="note">{row.note}</text>
			<line
				x1={LEFT}
				x2={LEFT + plot}
				y1={y + (ROW - 12) * (1 - row.stops)}
				y2={y + (ROW - 12) * (1 - row.stops)}
				stroke="var(--stops)"
				stroke-width="1.5"
				stroke-dasharray="6 4"
			/>
			<path
				d={tracePath(row, run.trace.timeS, scale, { topPx: y, heightPx: ROW - 12 })}
				fill="none"
				stroke="var(--ink)"
				stroke-width="1.75"
			/>
		{/each}
		{#each pauses as one (one.onAtS)}
			{@const w = x(one.onAtS) - x(one.onAtS - one.breakS)}
			<rect
				x={x(one.onAtS) - w}
				y="40"
				width={w}
				height={height - 64}
				fill="var(--sheet)"
				stroke="var(--ink2)"
				stroke-dasharray="4 3"
			/>
			{#if w > 44}<text x={x(one.onAtS) - w / 2} y="65" text-anchor="middle" class="note"
					>break</text
				>{/if}
		{/each}
		{#each nights as one (one.onAtS)}
			<line
				x1={x(one.onAtS)}
				x2={x(one.onAtS)}
				y1="36"
				y2={height - 24}
				stroke="var(--ink)"
				stroke-width="5"
			/>
			<text x={x(one.onAtS) - 6} y="48" text-anchor="end" class="note">night</text>
		{/each}
		{#each restsShown as rest (rest.atS)}
			<g transform="translate({x(rest.atS + rest.restS / 2)} 60)">
				<path
					d="M-10 -10L10 10V-10L-10 10Z"
					fill="var(--tight)"
					stroke="var(--ink)"
					stroke-width="1.5"
				/>
			</g>
		{/each}
		<line
			x1={LEFT}
			x2={LEFT + plot}
			y1={height - 24}
			y2={height - 24}
			stroke="var(--ink)"
			stroke-width="2"
		/>
		<line
			x1={x(run.endS)}
			x2={x(run.endS)}
			y1="36"
			y2={height - 24}
			stroke="var(--holds)"
			stroke-width="3"
		/>
		{#each times as s (s)}
			{#if x(run.endS) - x(s) > 50 || s === 0}
				<text x={x(s)} y={height - 6} text-anchor={s === 0 ? 'start' : 'middle'} class="time"
					>{clock(startsAt, s)}</text
				>
			{/if}
		{/each}
		<text x={x(run.endS)} y={height - 6} text-anchor="end" class="time strong"
			>{clock(startsAt, run.endS)}</text
		>
	</svg>
</div>

<style>
	.axis {
		margin: 8px 24px 0;
		overflow: hidden;
	}
	svg {
		display: block;
	}
	.name {
		font-weight: 700;
		font-size: 14px;
		fill: var(--ink);
	}
	.row {
		font-weight: 700;
		font-size: 15px;
		fill: var(--ink);
	}
	.note {
		font-size: 13px;
		fill: var(--ink2);
	}
	.ink {
		fill: var(--ink);
	}
	.time {
		font-family: var(--font-figure);
		font-stretch: 75%;
		font-size: 16px;
		fill: var(--ink);
	}
	.strong {
		font-weight: 700;
	}
	@media (max-width: 899px) {
		.axis {
			display: none;
		}
	}
</style>

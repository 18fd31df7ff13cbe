<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { clock, lasts, minutes, startWords } from './words';

	/** The whole list on one sheet: planned against real on the screen, boxes to tick on paper. */
	let { view }: { view: DayListView } = $props();
	const bench = getWorkbench();
	const SHOWN = 60;
	let most = $state(SHOWN);
	const startsAt = $derived(view.list?.startsAt ?? '08:00');
	const cannot = (id: string) => view.study?.cannot.some((one) => one.id === id);
	const real = (id: string) => view.real.find((one) => one.id === id);
	const total = $derived(
		view.real.reduce(
			(sum, one) => ({ planned: sum.planned + one.plannedS, real: sum.real + one.realS }),
			{ planned: 0, real: 0 }
		)
	);
	/** Handling that really took longer or shorter, by more than a few seconds. */
	const learnt = $derived(
		view.real.flatMap((one) => {
			const item = view.itemOf(one.id);
			const usualS = item?.handlingS ?? bench.settings.handlingS;
			return item &&
				one.handlingS !== null &&
				one.made >= 3 &&
				Math.abs(one.handlingS - usualS) >= 5
				? [{ one, item, usualS }]
				: [];
		})
	);
	const BOXES_MOST = 40;
</script>

<section aria-labelledby="real-head" class="print-sheet">
	<h2 id="real-head" class="h">
		<span class="paper-only"
			>{view.list?.name}{view.list?.customer ? `, ${view.list.customer}` : ''}; {bench.bench.name}.
		</span>Planned against real
		<span class="sub no-print font-normal">handling in it</span>
	</h2>
	<table class="w-full" data-testid="run-table">
		<thead>
			<tr
				><th>Item</th><th class="paper-only">Set it so</th><th>Plan</th><th class="no-print"
					>Real</th
				><th class="no-print">Adds up to</th></tr
			>
		</thead>
		<tbody>
			{#each view.inOrder.slice(0, most) as item (item.id)}
				{@const plan = view.planOf(item.id)}
				{@const r = real(item.id)}
				{@const run = view.run?.items.find((one) => one.id === item.id)}
				{@const done = view.pressed.counts[item.id]?.done ?? 0}
				{@const failed = view.pressed.counts[item.id]?.failed ?? 0}
				<tr class:now={view.current?.id === item.id}>
					<td
						>{#if done >= item.pieces}<Check
								size={18}
								strokeWidth={3.5}
								class="inline"
								aria-label="done"
							/>{/if}
						<b>{item.name}</b>
						<span class="sub"
							>{done} of {item.pieces}{failed ? `, ${failed} failed` : ''}{run
								? `; from ${clock(startsAt, run.startS)}`
								: ''}</span
						>
						<span class="paper-only boxes" aria-hidden="true"
							>{#each { length: Math.min(item.pieces, BOXES_MOST) }, k (k)}<i
								></i>{/each}{item.pieces > BOXES_MOST ? ` … ${item.pieces}` : ''}</span
						></td
					>
					<td class="paper-only"
						>{#if plan}{bench.say(plan.outputA, 'current')}, {plan.speedMmS === null
								? 'held still'
								: bench.say(plan.speedMmS, 'speed')}, guide {plan.offsetMm === null
								? 'by hand'
								: bench.say(plan.offsetMm, 'small')}, {startWords(plan.start)}, nozzle {bench.say(
								plan.nozzleA,
								'current'
							)}{run?.restS ? `; rests ${lasts(run.restS)}` : ''}{plan.mayTrip
								? '; the breaker may trip'
								: ''}{:else if cannot(item.id)}cannot be made here{/if}</td
					>
					<td class="fig num">{run ? lasts(run.endS - run.startS - run.breakS) : '–'}</td>
					<td class="fig num no-print">{r?.realS ? lasts(r.realS) : '–'}</td>
					<td class="num no-print"
						>{#if r && r.plannedS > 0}{Math.abs(r.realS - r.plannedS) < 5
								? 'as planned'
								: `${lasts(Math.abs(r.realS - r.plannedS))} ${r.realS > r.plannedS ? 'behind' : 'ahead'}`}{/if}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if view.inOrder.length > most}
		<button type="button" class="no-print btn mt-2" onclick={() => (most += 200)}
			>Show more: {view.inOrder.length - most} are below</button
		>
	{/if}
	{#if total.planned > 0}
		<p class="no-print mt-3 border-t-2 border-[var(--ink)] pt-2">
			<b>Where the time went.</b>
			What was made took {lasts(total.real)} where {lasts(total.planned)} were planned{Math.abs(
				total.real - total.planned
			) >= 60
				? `: ${minutes(total.real - total.planned)} ${total.real > total.planned ? 'more' : 'less'}`
				: ''}.
		</p>
	{/if}
	{#each learnt as { one, item, usualS } (one.id)}
		<p class="no-print mt-2 flex flex-wrap items-center gap-2">
			<span
				>Handling {item.name} takes you {lasts(one.handlingS!)}, not {lasts(usualS)}: the middle of {one.made}.</span
			>
			<button type="button" class="btn" onclick={() => view.learn(one)}
				>Plan and quote with it</button
			>
		</p>
	{/each}
</section>

<style>
	th {
		font-weight: 500;
		text-align: left;
		color: var(--ink2);
	}
	th:not(:first-child):not(.paper-only) {
		text-align: right;
	}
	td {
		padding: 6px 6px 6px 0;
		border-top: 1px solid var(--rule);
		vertical-align: top;
	}
	.num,
	th:not(:first-child) {
		padding-left: 12px;
	}
	.num {
		text-align: right;
		white-space: nowrap;
	}
	td.fig {
		font-size: 1.25rem;
	}
	.now td {
		background: var(--arc-wash);
	}
	.paper-only {
		display: none;
	}
	.boxes i {
		display: inline-block;
		width: 4mm;
		height: 4mm;
		margin: 0.5mm;
		border: 0.3mm solid #000;
	}
	@media print {
		.paper-only {
			display: revert;
		}
		.boxes {
			display: block;
		}
		.now td {
			background: none;
		}
		tr {
			break-inside: avoid;
		}
	}
</style>

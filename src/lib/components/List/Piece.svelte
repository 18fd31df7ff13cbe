<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { arcsOfPiece, type ListItem } from '$lib/core/list/inputs';
	import type { ItemPlan } from '$lib/core/studies/list/items';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { timeOfDay } from '$lib/state/ticks';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { breakBefore, restBefore } from './next';
	import { HELD_UP, lasts, mindWords, minutes, startWords } from './words';

	/** The piece that is made now: which, by when, at what, and whether to wait before it. */
	let { view, item, plan }: { view: DayListView; item: ListItem; plan: ItemPlan } = $props();
	const bench = getWorkbench();
	const made = $derived(view.pressed.counts[item.id]?.done ?? 0);
	const failed = $derived(view.pressed.counts[item.id]?.failed ?? 0);
	const finish = $derived(view.finish);
	const lateS = $derived(
		finish?.nowMs !== undefined && finish.plannedMs !== undefined
			? (finish.nowMs - finish.plannedMs) / 1000
			: undefined
	);
	const late = $derived(lateS !== undefined && lateS > 60);
	const run = $derived(view.liveStudy?.run ?? view.run);
	const rest = $derived(restBefore(run, item.id));
	const pause = $derived(breakBefore(run, item.id));
	const mind = $derived(mindWords(plan));
	/** Few enough to be drawn. */
	const DOTS_MOST = 24;
</script>

<p class="flex flex-wrap items-baseline gap-x-3">
	<b class="text-[1.375rem]">{item.name}</b>
	<span class="sub"
		>{item.paths.length
			? `${bench.say(plan.pieceLengthMm, 'length')} a piece`
			: `${bench.say(plan.pieceLengthMm / plan.arcs.length, 'length')} each`}{arcsOfPiece(item) > 1
			? `, ${arcsOfPiece(item)} cuts a piece`
			: ''}, {startWords(plan.start)}</span
	>
	{#if bench.waiting.length}
		<span class="ml-auto flex items-center gap-2 font-bold"
			><Mark verdict="not set" size={16} />no server: {bench.waiting.length} kept here</span
		>
	{/if}
</p>
<div class="figures">
	<p class="fig count" aria-live="polite">
		<span class="nth">{made + 1}</span>&#32;<span class="of">of {item.pieces}</span>
	</p>
	<div class="text-right">
		{#if finish?.nowMs !== undefined}
			<p class="fig by" data-testid="done-by">done by {timeOfDay(new Date(finish.nowMs))}</p>
			{#if lateS !== undefined}
				<p class="flex items-center justify-end gap-2 text-[1.125rem] font-bold">
					{#if Math.abs(lateS) < 60}<Mark verdict="holds" />as planned
					{:else}<Mark verdict={late ? 'tight' : 'holds'} />{minutes(lateS)}
						{late ? 'behind' : 'ahead'}{/if}
				</p>
			{/if}
		{:else if view.pressed.startedMs !== undefined}<p class="fig by">done by …</p>
		{:else}<p class="sub">Start, and the clock runs with you.</p>{/if}
	</div>
</div>
{#if item.pieces <= DOTS_MOST}
	<ol class="beads" aria-label="{made} of {item.pieces} done, {failed} failed">
		{#each { length: item.pieces }, k (k)}
			<li class:done={k < made} class:here={k === made}>
				{#if k < made}<Check
						size={18}
						strokeWidth={3.5}
						aria-hidden="true"
					/>{:else if k === made}{k + 1}{/if}
			</li>
		{/each}
	</ol>
{/if}
{#if mind}
	<p class="flex items-baseline gap-2"><Mark verdict="tight" size={16} />{mind}</p>
{/if}
{#if rest && !view.pressed.paused}
	<p class="rest" role="status">
		<Mark verdict="tight" size={24} /><b>Wait {lasts(rest.restS)} before this one</b>
		<span class="sub"
			>besides handling: {rest.because === 'air'
				? 'the tank fills'
				: rest.because === 'cooling'
					? 'the workpiece cools'
					: `${HELD_UP[rest.because]} wants it`}</span
		>
	</p>
{/if}
{#if pause && view.pressed.startedMs !== undefined && !view.pressed.paused}
	<p class="rest" role="status">
		<Mark verdict="not set" size={24} /><b
			>{pause.night ? 'The day is over' : 'Break'}: the next arc at {timeOfDay(
				new Date(view.pressed.startedMs + 1000 * pause.onAtS)
			)}</b
		>
		<span class="sub">{pause.night ? 'the rest goes on then' : 'it would not be over before'}</span>
	</p>
{/if}
<dl class="line">
	<div>
		<dt>Amps</dt>
		<dd class="fig">{bench.say(plan.outputA, 'current')}</dd>
	</div>
	<div>
		<dt>Travel</dt>
		<dd class="fig" style:color="var(--arc)">
			{plan.speedMmS === null ? 'hold still' : bench.say(plan.speedMmS, 'speed')}
		</dd>
	</div>
	<div>
		<dt>
			{item.what !== 'groove'
				? 'One cut takes'
				: plan.speedMmS === null
					? 'One spot'
					: 'First string'}
		</dt>
		<dd class="fig">{bench.say(plan.arcs[0]!.arcS, 'time')}</dd>
	</div>
	<div>
		<dt>Guide</dt>
		<dd class="fig">
			{plan.offsetMm === null ? 'by hand' : bench.say(plan.offsetMm, 'small')}
		</dd>
	</div>
	<div>
		<dt>Nozzle</dt>
		<dd class="fig">
			{bench.say(plan.nozzleA, 'current')}{plan.set.startsWith('gouge') ? ', gouge' : ''}
		</dd>
	</div>
</dl>

<style>
	.figures {
		display: flex;
		align-items: flex-end;
		justify-content: space-between;
		gap: 16px;
	}
	.count {
		line-height: 1;
	}
	.nth {
		font-size: 6.5rem;
		color: var(--arc);
	}
	.of {
		font-size: 3rem;
	}
	.by {
		font-size: 3.5rem;
		line-height: 1;
	}
	.beads {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin: 10px 0;
	}
	.beads li {
		display: grid;
		place-items: center;
		width: 32px;
		height: 32px;
		border: 2px dashed var(--ink2);
		border-radius: 50%;
	}
	.beads li.done {
		border: 0;
		background: var(--holds);
		color: var(--sheet);
	}
	.beads li.here {
		border: 3px solid var(--arc);
		font-weight: 800;
		color: var(--arc);
	}
	.rest {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 8px;
		padding: 8px 12px;
		margin: 8px 0;
		border: 2px solid var(--ink);
		font-size: 1.25rem;
	}
	.line {
		display: grid;
		grid-template-columns: repeat(5, minmax(0, 1fr));
		gap: 1px;
		margin: 8px 0 12px;
		border: 2px solid var(--ink);
		background: var(--ink);
	}
	.line div {
		padding: 6px 12px;
		background: var(--card);
	}
	.line dd {
		font-size: 1.9rem;
		line-height: 1.1;
		white-space: nowrap;
	}
	@media (max-width: 899px) {
		.nth {
			font-size: 4.5rem;
		}
		.of,
		.by {
			font-size: 2rem;
		}
		.line {
			grid-template-columns: repeat(3, minmax(0, 1fr));
		}
		.line div:last-child {
			grid-column: span 2;
		}
		.line dd {
			font-size: 1.4rem;
		}
	}
</style>

<script lang="ts">
	import { goto } from '$app/navigation';
	import Check from '@lucide/svelte/icons/check';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import Undo from '@lucide/svelte/icons/undo-2';
	import X from '@lucide/svelte/icons/x';
	import FirstPiece from '$lib/components/List/FirstPiece.svelte';
	import { arcsOfPiece } from '$lib/core/list/inputs';
	import Seen from '$lib/components/List/Seen.svelte';
	import RunTable from '$lib/components/List/RunTable.svelte';
	import { HELD_UP, lasts, minutes, startWords } from '$lib/components/List/words';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { getDayList } from '$lib/state/dayListContext';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What now, ahead or behind? */
	const bench = getWorkbench();
	const view = getDayList();
	const item = $derived(view.current);
	const plan = $derived(item && view.planOf(item.id));
	const made = $derived(item ? (view.counts[item.id]?.done ?? 0) : 0);
	const failed = $derived(item ? (view.counts[item.id]?.failed ?? 0) : 0);
	const begun = $derived(view.startedMs !== undefined);
	const finish = $derived(view.finish);
	const timeOf = (at: number) => new Date(at).toTimeString().slice(0, 5);
	const lateS = $derived(
		finish?.nowMs !== undefined && finish.plannedMs !== undefined
			? (finish.nowMs - finish.plannedMs) / 1000
			: undefined
	);
	const late = $derived(lateS !== undefined && lateS > 60);
	/** The rest that the plan puts before the piece that comes now. */
	const rest = $derived.by(() => {
		const run = view.liveStudy?.run ?? view.run;
		if (!run || 'trouble' in run || !item) return undefined;
		const [first] = run.rests;
		return first && first.id === item.id && first.piece === 1 ? first : undefined;
	});
	/** The plan has a break, or the night, before the piece that comes now. */
	const pause = $derived.by(() => {
		const run = view.liveStudy?.run ?? view.run;
		if (!run || 'trouble' in run || !item || view.startedMs === undefined) return undefined;
		const [first] = run.breaks;
		if (!first || first.doneBefore > 0 || first.id !== item.id) return undefined;
		return { night: first.night, onAt: view.startedMs + 1000 * first.onAtS };
	});
	const next = $derived(view.toDo.find(({ id }) => id !== item?.id));
	const nextPlan = $derived(next && view.planOf(next.id));
	const thenWords = $derived.by(() => {
		if (!next || !nextPlan || !plan) return 'nothing: it is the last.';
		if (nextPlan.set === plan.set) return `${next.name}, same parts.`;
		const kind = nextPlan.set.startsWith('gouge') ? 'gouging' : 'cutting';
		return `${next.name}: power off first, ${kind} parts for ${bench.say(nextPlan.nozzleA, 'current')} in.`;
	});
	const left = $derived(item ? view.left(item) : 0);
	/** Few enough to be drawn. */
	const DOTS_MOST = 24;
	const list = $derived(`${bench.search}&list=${view.id}`);

	$effect(() => view.follow());
	$effect(() =>
		singleKeys({
			l: () => item && (void view.tick('done'), true),
			f: () => item && (void view.tick('failed'), true),
			h: () => begun && (void view.tick(view.paused ? 'on' : 'pause'), true),
			z: () => view.ticks.length > 0 && (void view.untick(), true),
			p: () => (print(), true),
			q: () => (void goto(`/job/quote?${list}`), true)
		})
	);
</script>

<svelte:head><title>Run sheet · Steady Arc</title></svelte:head>

{#if !view.list || view.list.items.length === 0}
	<p class="p-6">
		There is nothing on this list. <a class="link" href="/job?{list}">To the list</a>
	</p>
{:else}
	<div class="run">
		<div class="now no-print" data-testid="run-now">
			{#if item && plan}
				<p class="flex flex-wrap items-baseline gap-x-3">
					<b class="text-[1.375rem]">{item.name}</b>
					<span class="sub"
						>{item.paths.length
							? `${bench.say(plan.pieceLengthMm, 'length')} a piece`
							: `${bench.say(plan.pieceLengthMm / plan.arcs.length, 'length')} each`}{arcsOfPiece(
							item
						) > 1
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
							<p class="fig by">done by {timeOf(finish.nowMs)}</p>
							{#if lateS !== undefined}
								<p class="flex items-center justify-end gap-2 text-[1.125rem] font-bold">
									{#if Math.abs(lateS) < 60}<Mark verdict="holds" />as planned
									{:else}<Mark verdict={late ? 'tight' : 'holds'} />{minutes(lateS)}
										{late ? 'behind' : 'ahead'}{/if}
								</p>
							{/if}
						{:else if begun}<p class="fig by">done by …</p>
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
				{#if rest && !view.paused}
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
				{#if pause && !view.paused}
					<p class="rest" role="status">
						<Mark verdict="not set" size={24} /><b
							>{pause.night ? 'The day is over' : 'Break'}: the next arc at {timeOf(pause.onAt)}</b
						>
						<span class="sub"
							>{pause.night ? 'the rest goes on then' : 'it would not be over before'}</span
						>
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
						<dt>{item.what === 'groove' ? 'First string' : 'One cut takes'}</dt>
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
			{:else if view.toDo.length === 0 && view.study}
				<h1 class="fig by">All done</h1>
				<p class="mt-2 text-[1.125rem]">
					{#if finish}Last piece at {timeOf(finish.lastMs)}.{/if} Planned against real stands beside;
					take what you learnt into the list.
				</p>
			{:else}
				<h1 class="fig by">Planning the list …</h1>
			{/if}
			<div class="keys">
				{#if !begun}
					<button
						type="button"
						class="go btn btn-primary"
						disabled={!item}
						onclick={() => void view.tick('on')}><Play size={40} aria-hidden="true" /> Start</button
					>
				{:else}
					<button
						type="button"
						class="go btn btn-primary"
						disabled={!item || view.paused}
						onclick={() => void view.tick('done')}
						><Check size={44} strokeWidth={3} aria-hidden="true" /> Done
						<kbd class="kbd kbd-sm">L</kbd></button
					>
				{/if}
				<button
					type="button"
					class="btn"
					disabled={!item || !begun || view.paused}
					onclick={() => void view.tick('failed')}
					><X size={32} strokeWidth={3} aria-hidden="true" style="color: var(--stops)" />
					<span>Failed <kbd class="kbd kbd-sm">F</kbd></span></button
				>
				<button
					type="button"
					class="btn"
					disabled={!begun || !item}
					onclick={() => void view.tick(view.paused ? 'on' : 'pause')}
					>{#if view.paused}<Play size={32} aria-hidden="true" /><span
							>Go on <kbd class="kbd kbd-sm">H</kbd></span
						>{:else}<Pause size={32} aria-hidden="true" /><span
							>Pause <kbd class="kbd kbd-sm">H</kbd></span
						>{/if}</button
				>
				<button
					type="button"
					class="btn"
					disabled={view.ticks.length === 0}
					onclick={() => void view.untick()}
					><Undo size={32} aria-hidden="true" /><span>Undo <kbd class="kbd kbd-sm">Z</kbd></span
					></button
				>
			</div>
			{#if item && plan}
				<p class="mt-3 text-[1.0625rem]">
					<b>Then</b>
					{left > 1 ? `${left - 1} more; ` : ''}{thenWords}
					{#if made === 0 && item.what === 'cut'}
						Measure the first piece before the second.
					{/if}
				</p>
				<Seen {view} {item} {plan} />
				{#if made > 0 && left > 0}<FirstPiece {view} {item} {plan} />{/if}
				{#if view.toDo.length > 1}
					<label class="mt-2 flex items-center gap-2"
						><span class="sub">Another item first</span>
						<select
							class="select w-auto"
							onchange={(e) => (view.chosen = e.currentTarget.value || undefined)}
						>
							<option value="">in order</option>
							{#each view.toDo.slice(0, 100) as one (one.id)}
								<option value={one.id} selected={view.chosen === one.id}>{one.name}</option>
							{/each}
						</select></label
					>
				{/if}
			{/if}
		</div>
		<div class="beside">
			<RunTable {view} />
			<p class="no-print mt-3 flex flex-wrap gap-2">
				<button type="button" class="btn" onclick={() => print()}
					>Print the sheet <kbd class="kbd kbd-sm">P</kbd></button
				>
				<a class="btn" href="/job?{list}">To the list</a>
				<a class="btn" href="/sensor?{bench.search}">Sensor</a>
				<a class="btn" href="/job/quote?{list}">Quote <kbd class="kbd kbd-sm">Q</kbd></a>
			</p>
		</div>
	</div>
{/if}

<style>
	.run {
		display: grid;
		grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
	}
	.now {
		padding: 12px 24px 20px;
		border-right: 2px solid var(--ink);
	}
	.beside {
		padding: 12px 24px 20px;
	}
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
	.keys {
		display: grid;
		grid-template-columns: 2fr 1fr 1fr 1fr;
		gap: 10px;
	}
	.keys .btn {
		display: flex;
		flex-direction: column;
		height: 104px;
		font-size: 1.125rem;
	}
	.keys .go {
		flex-direction: row;
		gap: 12px;
		font-size: 2rem;
	}
	@media (max-width: 899px) {
		.run {
			grid-template-columns: minmax(0, 1fr);
		}
		.now {
			padding: 8px 12px 16px;
			border-right: 0;
			border-bottom: 2px solid var(--ink);
		}
		.beside {
			padding: 8px 12px 20px;
		}
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
		.keys {
			grid-template-columns: repeat(3, minmax(0, 1fr));
		}
		.keys .go {
			grid-column: 1 / -1;
		}
	}
	@media print {
		.run {
			display: block;
		}
		.beside {
			padding: 0;
		}
	}
</style>

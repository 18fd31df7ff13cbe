<script lang="ts">
	import type { PausePlan, SessionTrace } from '$lib/core';
	import { defaultUnit } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { SupplyStudy } from '$lib/state/supplyStudy.svelte';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import SessionChart from './SessionChart.svelte';
	import { indexAt, tableRows, type ChartWords } from './sessionChart';
	import { pauseWords } from './words';

	/** The work in time: chart, a cursor that keys can move, the same as a table, and the pauses. */
	let { study }: { study: SupplyStudy } = $props();
	const bench = getWorkbench();
	const trace: SessionTrace | undefined = $derived(study.answer?.study.trace);
	const pauses: PausePlan | undefined = $derived(study.answer?.study.pauses);
	let wanted = $state(0);
	const endS = $derived(trace?.timeS.at(-1) ?? 0);
	const atS = $derived(Math.min(wanted, endS));
	const at = $derived(trace ? indexAt(trace, atS) : 0);

	const shown = (value: number, quantity: 'pressure' | 'temperature') =>
		Number(bench.show(value, quantity).text);
	const words: ChartWords = $derived({
		pressure: (bar) => shown(bar, 'pressure'),
		pressureUnit: defaultUnit('pressure', bench.units),
		temperature: (c) => shown(c, 'temperature'),
		temperatureUnit: defaultUnit('temperature', bench.units),
		time: (s) => bench.show(s, 'time').text,
		windowBar: [bench.bench.cutter.airMinBar, bench.bench.cutter.airMaxBar],
		limitC: 130
	});
	const cells = (t: SessionTrace, i: number) => [
		{ name: 'tank', text: t.tankBar ? bench.say(t.tankBar[i]!, 'pressure') : 'none' },
		{ name: 'inlet', text: bench.say(t.inletBar[i]!, 'pressure') },
		{
			name: 'breaker',
			text: `${bench.show(t.breakerLazy[i]!, 'share').text}–${bench.say(t.breakerTouchy[i]!, 'share')}`
		},
		{ name: 'cutter', text: bench.say(t.cutterC[i]!, 'temperature') },
		{ name: 'compressor', text: t.compressorOn[i] ? 'runs' : 'off' },
		{ name: 'arc', text: t.arc[i] ? 'on' : 'off' }
	];
</script>

<section aria-label="Session in time" class:old={study.stale}>
	<h2 class="flex flex-wrap items-baseline gap-x-3">
		<span class="h">In time</span>
		{#if trace?.limit}
			<b style:color="var(--stops)"
				>first limit {trace.limit.atS > 0 ? bench.say(trace.limit.atS, 'time') : 'at once'}: {trace
					.limit.word}</b
			>
		{:else if trace}
			<span class="sub">nothing stops in {bench.say(trace.untilS, 'time')}</span>
		{/if}
	</h2>
	{#if trace}
		<SessionChart {trace} {words} {atS} />
		<label class="sr-only" for="session-cursor">Time in the session</label>
		<input
			id="session-cursor"
			class="cursor-range range range-primary"
			style:--reach={trace.untilS > 0 ? endS / trace.untilS : 1}
			type="range"
			min="0"
			max={endS}
			step={Math.max(1, Math.round(endS / 240))}
			value={atS}
			aria-valuetext={`${bench.say(atS, 'time')}: ${cells(trace, at)
				.map((c) => `${c.name} ${c.text}`)
				.join(', ')}`}
			oninput={(e) => (wanted = Number(e.currentTarget.value))}
		/>
		<dl class="readout" data-testid="session-readout">
			<div>
				<dt class="sub">at</dt>
				<dd class="fig">{bench.say(atS, 'time')}</dd>
			</div>
			{#each cells(trace, at) as cell (cell.name)}
				<div>
					<dt class="sub">{cell.name}</dt>
					<dd class="fig">{cell.text}</dd>
				</div>
			{/each}
		</dl>
		{#if pauses}
			<p class="mt-2 font-semibold" data-testid="pauses">{pauseWords(pauses, bench)}</p>
			{#if pauses.ok && pauses.pauses.length}
				<Fold summary="The pauses, one by one">
					<ul class="grid max-h-48 grid-cols-2 overflow-y-auto text-[0.9375rem]">
						{#each pauses.pauses as pause (pause.beforeCut)}
							<li>
								before cut {pause.beforeCut}: {bench.say(pause.waitS, 'time')}
							</li>
						{/each}
					</ul>
				</Fold>
			{/if}
		{/if}
		<Fold summary="As a table">
			<div class="overflow-x-auto">
				<table class="table">
					<thead>
						<tr
							><th scope="col">time</th>{#each cells(trace, 0) as cell (cell.name)}<th scope="col"
									>{cell.name}</th
								>{/each}</tr
						>
					</thead>
					<tbody>
						{#each tableRows(trace) as row (row)}
							<tr>
								<th scope="row">{bench.say(trace.timeS[row]!, 'time')}</th>
								{#each cells(trace, row) as cell (cell.name)}<td>{cell.text}</td>{/each}
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
		</Fold>
	{:else}
		<!-- As tall as what comes in its place. -->
		<p class="sub h-[480px] max-[899px]:h-[535px]">working</p>
	{/if}
</section>

<style>
	.old {
		color: var(--ink2);
	}
	.cursor-range {
		width: calc((100% - 68px) * var(--reach));
		min-width: 120px;
		margin-left: 56px;
	}
	.readout {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		min-height: 44px;
	}
	.readout dd {
		font-size: 1.25rem;
	}
</style>

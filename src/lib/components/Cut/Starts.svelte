<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import { stateWord } from '$lib/components/Line/line';
	import State from '$lib/components/Marks/State.svelte';
	import { SPARKS_WORDS } from '$lib/core/safety/shade';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { START_NAMES, SPARKS_GO, type StartId } from './steps';
	import Steps from './Steps.svelte';

	/** How to get the arc into the plate: the start that was chosen in three poses, and what each costs. */
	const bench = getWorkbench();
	const { startMethod, starts } = $derived(bench.plan.choices);
	const state = $derived(bench.plan.stations.cut);
	const parts = $derived(bench.plan.figures['setup.speedMmS'].value !== null);
	const hasEdge = $derived(starts.some(({ method }) => method === 'edge'));
	const WAYS = [
		{
			value: 'edge',
			label: 'From an edge',
			help: 'The easiest on the parts, wherever the line meets an edge.'
		},
		{
			value: 'pierce',
			label: 'In the plate',
			help: 'Through the whole metal, tilted or straight by its thickness.'
		},
		{ value: 'hover', label: 'Hover', help: 'Straight down from a gap, out of the spatter.' },
		{
			value: 'drilled',
			label: 'Drilled hole',
			help: 'Where it is too thick to pierce: start inside a hole.'
		}
	] as const;
	/** What goes through when the start that was asked for does not. */
	const shown = $derived<StartId>(
		startMethod !== 'none' ? startMethod : hasEdge ? 'edge' : 'drilled'
	);
	/** A hole that was to start on an edge is shown as it is planned. */
	const chosen = $derived(
		hasEdge || bench.cut.start !== 'edge'
			? bench.cut.start
			: startMethod === 'drilled'
				? 'drilled'
				: 'pierce'
	);
	const VERDICT = { fits: 'holds', tight: 'tight', 'too thick': 'stops' } as const;
</script>

<section aria-label="Start">
	<div class="flex flex-wrap items-center gap-3">
		<h2 class="h text-[1.125rem]">
			{!parts
				? 'Too thick'
				: startMethod === 'none'
					? 'No such start goes through'
					: START_NAMES[shown]}
		</h2>
		<Choice
			label="Start"
			options={WAYS.filter(({ value }) => value !== 'edge' || hasEdge)}
			value={chosen}
			choose={(start) => bench.setCut({ start })}
		/>
		<State verdict={state.verdict} word={stateWord(state, bench)} />
	</div>
	{#if parts}
		{#if startMethod === 'none'}
			<p class="sub mt-2">What works instead: {START_NAMES[shown].toLowerCase()}.</p>
		{/if}
		<div class="mt-2 max-w-[600px]">
			<Steps start={shown} tilt={bench.settings.pierceTiltDeg} />
		</div>
		<p class="sub mt-1">{SPARKS_GO[shown]} They carry to {SPARKS_WORDS} (common practice).</p>
	{/if}
</section>
<section aria-label="What each start costs" class="grid content-start gap-2">
	<FigureList
		size={29}
		rows={[
			{ id: 'cut.throughS', none: 'not at all' },
			{ id: 'cut.startWearUm', name: 'Wears the electrode by' }
		]}
	/>
	<h2 class="h">Every way in at {bench.sayFigure('setup.currentA')}</h2>
	<div class="overflow-x-auto">
		<table class="table">
			<thead>
				<tr>
					<th>Start</th>
					<th>up to</th>
					<th>goes through in</th>
					<th>starts per electrode</th>
				</tr>
			</thead>
			<tbody>
				{#each starts as s (s.method)}
					<tr class="h-11">
						<th class="font-normal">
							<State verdict={VERDICT[s.fits]} word={START_NAMES[s.method]} />
						</th>
						<td class="fig text-[1.25rem]">{bench.say(s.limitMm, 'thickness')}</td>
						<td class="fig text-[1.25rem]">{bench.say(s.throughS, 'time')}</td>
						<td class="fig text-[1.25rem]">{bench.say(s.perLife, 'count')}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<p class="sub">
		Starts alone, without the arc that follows. A pilot arc that does not take costs one too.
	</p>
</section>

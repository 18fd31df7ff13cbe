<script lang="ts">
	import { METALS } from '$lib/core';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import Change from '$lib/components/Wear/Change.svelte';
	import Eats from '$lib/components/Wear/Eats.svelte';
	import LogButtons from '$lib/components/Wear/LogButtons.svelte';
	import Looked from '$lib/components/Wear/Looked.svelte';
	import PartLives from '$lib/components/Wear/PartLives.svelte';
	import Pit from '$lib/components/Wear/Pit.svelte';
	import { lifeOfFirst } from '$lib/components/Line/line';
	import Later from '$lib/components/Later.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import Stack from '$lib/components/Wear/Stack.svelte';
	import { entryWords, together } from '$lib/components/Wear/words';
	import { dayAndTime } from '$lib/formats/days';
	import { undoEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const figures = $derived(bench.plan.figures);
	const left = $derived(figures['wear.cutsLeft'].value);
	const band = $derived(figures['wear.cutsLeft'].band);
	const check = $derived(bench.plan.checks.find((c) => c.id === 'wear.cutsLeft')!);
	const used = $derived(bench.evidence.wear.electrode.total);
	const cutWords = $derived(
		`${bench.sayFigure('setup.lineMm')} of ${bench.say(bench.cut.thicknessMm, 'thickness')} ${METALS[bench.cut.metal].label.toLowerCase()}`
	);
	const part = $derived(check.part.toLowerCase());
	const answer = $derived.by(() => {
		if (check.verdict === 'stops') return `Change the ${part} before you cut.`;
		if (left === null)
			return `${bench.sayFigure(lifeOfFirst(bench.plan))} of the ${part} left. Such a cut does not go through.`;
		return `${left} such ${left === 1 ? 'cut' : 'cuts'} left. The ${part} goes first.`;
	});
	/** What the counter asks for, against what is left: in words, before it is cut. */
	const lasts = $derived.by(() => {
		const { cuts } = bench.counted;
		if (left === null || !band || cuts < 2) return undefined;
		if (cuts > left) return `${cuts} cuts are more than the ${left} left: change it first.`;
		if (cuts > band[0])
			return `${cuts} cuts may be more than it lasts: likely ${band[0]} to ${band[1]}.`;
		return `It lasts these ${cuts} cuts.`;
	});
</script>

<svelte:head><title>Wear · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="dots px-6 pt-2 pb-2 max-[899px]:px-3">
	<div class="flex flex-wrap items-center gap-x-6 gap-y-1">
		<h1 class="fig answer flex items-center gap-4">
			<Mark verdict={bench.plan.stations.wear.verdict} size={34} />
			<span data-testid="cuts-left" data-value={left}>{answer}</span>
		</h1>
		<p class="sub grow">
			{#if band && left !== null}likely {band[0]} to {band[1]}; a cut is {cutWords}{/if}
		</p>
		<a class="btn" href="/sensor?{bench.search}">Sensor</a>
		<a class="btn" href="/log?{bench.search}">The log</a>
	</div>
	<div class="axis"><Stack /></div>
	<PartLives />
	<p class="sub">
		{bench.partSet
			? `${bench.partSet.name}, in since ${dayAndTime(bench.partSet.fittedAt)}`
			: 'Nobody noted which pair is in'}: {used.starts} starts, {bench.say(used.arcMin, 'minutes')} of
		arc. Solid bar: worn by what was cut; hollow: usual, by eye.
	</p>
	<Findings station="wear" />
</div>
<div class="three">
	<div class="grid content-start gap-3"><Pit /><Looked /></div>
	<div>
		<Later load={() => import('$lib/components/Wear/History.svelte')} heightPx={[400, 380]} />
		<Eats />
	</div>
	<div class="grid content-start gap-3">
		<LogButtons />
		{#if lasts}<p data-testid="lasts">{lasts}</p>{/if}
		<Change />
		<section>
			<h2 class="h">Lately</h2>
			<ol class="text-[0.9375rem]" aria-label="Log">
				{#each bench.log.slice(0, 4) as line (line.id)}
					<li class="flex items-center gap-3 border-t" style:border-color="var(--rule)">
						<span class="sub w-28 flex-none">{dayAndTime(line.at)}</span>
						<span class="grow" class:line-through={line.undone}
							>{together(entryWords(line.entry, bench))}</span
						>
						{#if line.undone}
							<span class="sub">taken back</span>
						{:else}
							<button
								type="button"
								class="btn min-h-11 btn-ghost px-1 underline"
								aria-label="Take back: {entryWords(line.entry, bench)}"
								onclick={() => void undoEntry(bench, line.id)}>undo</button
							>
						{/if}
					</li>
				{:else}
					<li class="sub">Nothing yet: log 20 starts to narrow the band.</li>
				{/each}
			</ol>
		</section>
	</div>
</div>
<Stage
	when="after"
	id="drawer"
	title="In the drawer"
	answer="what lies there, when to order, and the shopping list"
	load={() => import('$lib/components/Wear/InDrawer.svelte')}
/>
<Stage
	when="after"
	id="care"
	title="Looking after it"
	answer="tank, gel, filter, o-rings, clamp: what is due, and a calendar file"
	load={() => import('$lib/components/Wear/Care.svelte')}
/>
<div class="below">
	<FigureList
		size={29}
		columns
		rows={[
			{ id: 'wear.metresLeft', name: 'Metres of such cuts' },
			{ id: 'wear.perCutUm' },
			{ id: 'wear.borePerCutUm' },
			{ id: 'wear.factor' }
		]}
	/>
</div>

<style>
	.answer {
		font-size: 2.75rem;
		min-height: 56px;
		white-space: normal;
	}
	.axis {
		max-width: 1232px;
	}
	.three {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr));
		gap: 28px;
		margin: 0 24px;
		padding: 10px 0 12px;
		border-top: 2px solid var(--ink);
	}
	@media (max-width: 1099px) {
		.three {
			grid-template-columns: minmax(0, 1fr);
			margin: 0 12px;
		}
		.three > :global(div:last-child) {
			order: -1;
		}
	}
</style>

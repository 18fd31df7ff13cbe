<script lang="ts">
	import { METALS } from '$lib/core';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import Cell from '$lib/components/Card/Cell.svelte';
	import DoDont from '$lib/components/Card/DoDont.svelte';
	import SettingCard from '$lib/components/Card/SettingCard.svelte';
	import GougeAbove from '$lib/components/Gouge/GougeAbove.svelte';
	import GougeSide from '$lib/components/Gouge/GougeSide.svelte';
	import GrooveSection from '$lib/components/Gouge/GrooveSection.svelte';
	import PickTarget from '$lib/components/Gouge/PickTarget.svelte';
	import Sizes from '$lib/components/Gouge/Sizes.svelte';
	import Strings from '$lib/components/Gouge/Strings.svelte';
	import Later from '$lib/components/Later.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import { stateWord } from '$lib/components/Line/line';
	import { grooveTitle } from '$lib/components/Gouge/words';
	import { isSpot } from '$lib/core/gouge/targets';
	import { logGroove } from '$lib/state/logGroove';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const { figures, groove } = $derived(bench.plan);
	const spot = $derived(isSpot(gouge.target));
	const station = $derived(bench.plan.stations.gouge);
	const metal = $derived(METALS[gouge.metal ?? bench.cut.metal].label.toLowerCase());
	const titleOf = (asked: typeof gouge) =>
		asked.asked ? `${grooveTitle(asked, bench)}, ${metal}` : 'Gouging';
	const title = $derived(titleOf(gouge));
	const strings = $derived(figures['gouge.strings'].value);
	const lengthMm = $derived(gouge.lengthMm ?? bench.cut.lengthMm);
	/** The string that is now; after the last one comes the grinder. */
	let step = $state(0);
	const now = $derived(Math.min(step, groove?.strings.length ?? 0));
	const travel = $derived.by(() => {
		const [slow, fast] = [figures['gouge.speedMmS'].value, figures['gouge.fastMmS'].value];
		if (slow === null || fast === null) return '';
		const [from, to] = [bench.show(slow, 'speed').text, bench.say(fast, 'speed')];
		return to.startsWith(`${from} `) ? to : `${from}–${to}`;
	});
	const nozzle = $derived(
		bench.plan.choices.gougeNozzle ? 'Gouging' : bench.say(bench.bench.torch.fittedA, 'current')
	);
</script>

<svelte:head><title>Gouge · {titleOf(bench.calmInputs.cut.gouge)} · Steady Arc</title></svelte:head>

<div class="gouge">
	<div class="dots left min-w-0">
		{#if gouge.asked}<Sizes />{:else}<PickTarget />{/if}
		{#if groove}
			<div class="drawings">
				<GrooveSection {now} />
				<div>
					<GougeSide speedMmS={groove.strings[now]?.speedMmS ?? null} />
					<GougeAbove {now} />
				</div>
			</div>
		{:else if gouge.asked && !spot}
			<div class="mt-2"><GougeSide speedMmS={null} /></div>
		{/if}
	</div>
	<div class="min-w-0">
		<SettingCard {title} label="Gouging card">
			{#snippet action()}<State
					verdict={station.verdict}
					word={stateWord(station, bench)}
				/>{/snippet}
			{#snippet figures()}
				{#if strings === null}
					<p class="fig text-[2.5rem]" data-testid="gouge-none">
						{gouge.asked ? 'Not as asked' : 'Nothing asked for yet'}
					</p>
				{:else}
					<div class="flex flex-wrap items-end gap-x-8 gap-y-3">
						<Fig id="gouge.currentA" size={92} />
						{#if !spot}
							<span class="fig text-[5.75rem]" data-testid="strings-count"
								>{strings}<span class="ml-2 text-[2.5rem]"
									>{strings === 1 ? 'string' : 'strings'}</span
								></span
							>
						{/if}
						<Fig id="gouge.pieceS" size={60} color="var(--arc)" />
					</div>
					<p class="mt-2">
						{#if spot}
							on each spot, torch upright; {gouge.pieces}
							{gouge.pieces === 1 ? 'piece' : 'pieces'}, {bench.sayFigure('gouge.jobMin')} of arc
						{:else}
							of arc for <b>{bench.say(lengthMm, 'length')}</b>{#if gouge.pieces > 1}, {gouge.pieces}
								pieces {bench.sayFigure('gouge.jobMin')}{/if}; {bench.sayFigure('gouge.piecesLeft')} such
							pieces left in the electrode
						{/if}
					</p>
				{/if}
			{/snippet}
			{#snippet cells()}
				{#if travel}<Cell
						name="Travel"
						id="gouge.speedMmS"
						value={travel}
						note="push, steady"
					/>{/if}
				<Cell
					name="Torch"
					value={spot ? 'upright' : bench.say(gouge.angleFromPlateDeg, 'angle')}
					note={spot ? 'small gap' : 'from the plate, small gap'}
				/>
				<Cell name="Nozzle (tip)" value={nozzle} note="cutter off, then swap" />
				<Cell
					name="Air"
					id="gouge.airBar"
					value={bench.sayFigure('gouge.airBar')}
					note="less than cutting, flowing"
				/>
			{/snippet}
			{#snippet notes()}
				<DoDont
					dos={[
						'Push: the metal flies ahead, clear the way',
						'Look at the bed after each string; brush it out',
						'Afterwards grind to bright metal; a crack is dye-checked before welding',
						`Shade ${bench.sayFigure('gouge.shade')}, leathers, ears`
					]}
					donts={[
						'Pull: slag folds back into the groove',
						'Steeper than 50°: it blows back',
						'Gouge over concrete, a closed vessel, or what burns within 11 m',
						'Weld without the preheat of the welding procedure'
					]}
				/>
			{/snippet}
		</SettingCard>
		{#if !gouge.asked}
			<p class="sub mt-2">Nobody has asked for a groove yet, so it judges nothing.</p>
		{:else}
			<p class="mt-2 flex flex-wrap items-center gap-2">
				{#if strings !== null}
					<button
						type="button"
						class="btn grow btn-primary btn-xl"
						onclick={() => void logGroove(bench)}
						>Log {gouge.pieces === 1 ? 'it' : `all ${gouge.pieces}`} as done</button
					>
					<a class="btn btn-xl" href="/card/gouge?{bench.search}">Print card</a>
					{#if groove}<a class="btn btn-xl" href="/practice?{bench.search}&for=groove">Practise</a
						>{/if}
					<a class="btn btn-xl" href="/checks?{bench.search}&for=groove">Checks</a>
				{/if}
				<button
					type="button"
					class="btn btn-xl"
					onclick={() => {
						bench.setGouge({ asked: false });
					}}>Not asked for</button
				>
			</p>
		{/if}
		<Findings station="gouge" />
	</div>
</div>
{#if bench.calmPlan.groove}
	<div class="below grid gap-6 desk:grid-cols-2">
		<Strings {now} go={(to) => (step = to)} />
		<Later load={() => import('$lib/components/Gouge/Choices.svelte')} heightPx={300} />
	</div>
{/if}
<Stage
	when="before"
	id="test-groove"
	title="Test groove"
	answer="one string on scrap makes strings and seconds yours"
	load={() => import('$lib/components/Gouge/TestGroove.svelte')}
/>
{#if groove}
	{@const string = groove.strings[Math.min(now, groove.strings.length - 1)]!}
	<Stage
		when="before"
		id="pace-groove"
		title="Dry run of string {Math.min(now, groove.strings.length - 1) + 1}"
		answer="{bench.say(string.speedMmS, 'speed')} on a beat, torch off"
		load={() => import('$lib/components/Setup/Pacer.svelte')}
		props={{
			paced: { speedMmS: string.speedMmS, lengthMm },
			hold: `Hold ${bench.say(gouge.angleFromPlateDeg, 'angle')} from the plate all along, and push.`
		}}
	/>
{/if}
<Stage
	when="after"
	id="read-groove"
	title="Read the groove"
	answer="what it looks like, and the one thing to change"
	load={() => import('$lib/components/Gouge/ReadGroove.svelte')}
/>
{#if strings !== null}
	<Stage
		when="besides"
		id="shelf"
		title="Shelf of cards"
		answer={bench.cards.length === 0 ? 'none kept yet' : `${bench.cards.length} kept`}
		load={() => import('$lib/components/Card/Shelf.svelte')}
		props={{ what: 'groove' }}
	/>
{/if}
<Stage
	when="besides"
	id="comes-from"
	title="What it comes from"
	answer="{bench.sayFigure('gouge.removalKgH')} thrown out while the arc burns"
	load={() => import('$lib/components/Gouge/ComesFrom.svelte')}
/>

<style>
	.gouge {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 548px;
		gap: 16px;
		padding: 12px 24px 8px;
	}
	.left {
		margin-left: -24px;
		padding-left: 24px;
	}
	.drawings {
		display: grid;
		grid-template-columns: minmax(0, 420fr) minmax(0, 300fr);
		gap: 8px;
		max-width: 720px;
		margin-top: 6px;
	}
	.below {
		margin: 0 24px;
		border-top: 2px solid var(--ink);
		padding: 8px 0;
	}
	@media (max-width: 1179px) {
		.gouge {
			grid-template-columns: minmax(0, 1fr);
		}
	}
	@media (max-width: 899px) {
		.gouge {
			padding: 8px 12px;
		}
		.below {
			margin: 0 12px;
		}
		.left {
			margin-left: 0;
			padding-left: 0;
		}
		.drawings {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>

<script lang="ts">
	import { METALS } from '$lib/core';
	import GougeAbove from '$lib/components/Gouge/GougeAbove.svelte';
	import GougeCard from '$lib/components/Gouge/GougeCard.svelte';
	import GougeSpot from '$lib/components/Gouge/GougeSpot.svelte';
	import GougeSide from '$lib/components/Gouge/GougeSide.svelte';
	import GrooveSection from '$lib/components/Gouge/GrooveSection.svelte';
	import PickTarget from '$lib/components/Gouge/PickTarget.svelte';
	import Sizes from '$lib/components/Gouge/Sizes.svelte';
	import Strings from '$lib/components/Gouge/Strings.svelte';
	import Later from '$lib/components/Later.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import { grooveTitle } from '$lib/components/Gouge/words';
	import { isSpot } from '$lib/core/gouge/targets';
	import { logGroove } from '$lib/state/logGroove';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const { figures, groove } = $derived(bench.plan);
	const spot = $derived(isSpot(gouge.target));
	const metal = $derived(METALS[gouge.metal ?? bench.cut.metal].label.toLowerCase());
	const titleOf = (asked: typeof gouge) =>
		asked.asked ? `${grooveTitle(asked, bench)}, ${metal}` : 'Gouging';
	const title = $derived(titleOf(gouge));
	const strings = $derived(figures['gouge.strings'].value);
	const lengthMm = $derived(gouge.lengthMm ?? bench.cut.lengthMm);
	/** The string that is now; after the last one comes the grinder. */
	let step = $state(0);
	const now = $derived(Math.min(step, groove?.strings.length ?? 0));
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
		{:else if gouge.asked}
			<div class="mt-2">
				{#if spot}<GougeSpot />{:else}<GougeSide speedMmS={null} />{/if}
			</div>
		{/if}
	</div>
	<div class="min-w-0">
		<GougeCard {title} />
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
				<button type="button" class="btn btn-xl" onclick={() => bench.setGouge({ asked: false })}
					>Not asked for</button
				>
			</p>
		{/if}
		<Findings station="gouge" />
	</div>
</div>
{#if bench.calmPlan.groove}
	<div class="below grid gap-6 desk:grid-cols-2">
		<Strings {now} go={(to) => (step = to)} />
		<Later load={() => import('$lib/components/Gouge/Choices.svelte')} heightPx={[358, 406]} />
	</div>
{/if}
{#if bench.plan.choices.gougeNozzle}
	<!-- Ordinary parts push no string. -->
	<Stage
		when="before"
		id="test-groove"
		title="Test groove"
		answer="one string on scrap makes {spot ? 'the' : 'strings and'} seconds yours"
		load={() => import('$lib/components/Gouge/TestGroove.svelte')}
	/>
{/if}
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
	title={spot ? 'Read the spot' : 'Read the groove'}
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
	answer={strings === null
		? 'sections, what stays, and where each number is from'
		: `${bench.sayFigure('gouge.removalKgH')} thrown out while the arc burns`}
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

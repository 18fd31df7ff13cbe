<script lang="ts">
	import Fold from '$lib/components/Fields/Fold.svelte';
	import Cautions from '$lib/components/Card/Cautions.svelte';
	import SetupCard from '$lib/components/Setup/SetupCard.svelte';
	import { toCheck, type ToCheck } from '$lib/components/Start/checks';
	import { checkFirst } from '$lib/core/studies/checkFirst';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The end of the first hour: the card, and what on it nobody has checked yet. */
	const bench = getWorkbench();
	const MOST = 3;
	const all = $derived(toCheck(checkFirst(bench.calmInputs), bench));
	const first = $derived(all.filter(({ matters }) => matters).slice(0, MOST));
	const rest = $derived(all.filter((one) => !first.includes(one)));
	const speed = $derived(bench.calmPlan.figures['setup.speedMmS']);
	const tested = $derived(speed.basis === 'T');
	const NUMBERS = ['nothing', 'one thing', 'two things', 'three things'];
	const title = $derived(
		bench.calmPlan.verdict === 'stops'
			? 'This does not work yet.'
			: first.length === 0
				? 'Your card stands. Cut on scrap first.'
				: `Your card stands. Check ${NUMBERS[first.length]} first.`
	);
	const limit = $derived(bench.calmPlan.firstLimit);
</script>

<svelte:head><title>What to check first · {bench.bench.name} · Steady Arc</title></svelte:head>

{#snippet row(one: ToCheck, place: number | undefined)}
	<li class="row" data-testid="check-first">
		{#if place}<span class="fig text-[2.25rem] leading-none" style:color="var(--arc)">{place}</span
			>{:else}<span></span>{/if}
		<div>
			<b>{one.title}</b> <span class="sub">typical, not yet checked</span>
			<p>{one.why}</p>
			<p class="sub">{one.how}</p>
		</div>
		<a
			class="btn btn-lg {place === 1 ? 'btn-primary' : ''}"
			href="/start?bench={bench.benchId}&ask={one.id}"
			aria-label="Type in: {one.title}">Type in</a
		>
	</li>
{/snippet}

<div class="px-6 pt-3 max-[899px]:px-3">
	<h1 class="fig text-[2.5rem] leading-none whitespace-normal">{title}</h1>
	{#if limit}
		<p class="mt-2 font-semibold" style:color="var(--stops)">
			{limit.part}: {limit.word}.
			<a class="underline" href="/{limit.station}?{bench.search}">See why, and what helps</a>
		</p>
	{/if}
	<div class="two">
		<SetupCard />
		<section aria-labelledby="check-first">
			<h2 id="check-first" class="h text-[1.25rem]">Check first</h2>
			<p class="sub">What moves the card most stands on top.</p>
			<ol class="mt-2">
				{#each first as one, i (one.id)}{@render row(one, i + 1)}{/each}
				{#if !tested && speed.value !== null}
					<li class="row" data-testid="check-test-cut">
						<span class="fig text-[2.25rem] leading-none" style:color="var(--arc)"
							>{first.length + 1}</span
						>
						<div>
							<b>A test cut on scrap</b>
							<p>
								{#if speed.band}The speed may lie anywhere from {bench.say(speed.band[0], 'speed')} to
									{bench.say(speed.band[1], 'speed')}.{/if} One cut, timed over a known length, narrows
								it.
							</p>
							<p class="sub">Same metal, same thickness, before the good plate.</p>
						</div>
						<a class="btn btn-lg" href="/setup?{bench.search}#test-cuts">Go there</a>
					</li>
				{/if}
			</ol>
			{#if rest.length}
				<div class="mt-3">
					<Fold summary="{rest.length} more that nobody has checked">
						<ul>
							{#each rest as one (one.id)}{@render row(one, undefined)}{/each}
						</ul>
					</Fold>
				</div>
			{/if}
			<div class="mt-3 flex flex-wrap gap-2 pb-4">
				<a class="btn btn-lg" href="/start?bench={bench.benchId}">Go through the answers</a>
				<a class="btn btn-lg" href="/supply?{bench.search}">Will the outlet do?</a>
				<a class="btn btn-lg" href="/benches?{bench.search}">Name it</a>
			</div>
		</section>
		<div class="cautions"><Cautions /></div>
	</div>
</div>

<style>
	.two {
		display: grid;
		grid-template-columns: 548px minmax(0, 1fr);
		grid-template-rows: auto 1fr;
		gap: 8px 24px;
		margin-top: 12px;
	}
	section {
		grid-column: 2;
		grid-row: 1 / 3;
	}
	.cautions {
		grid-column: 1;
		padding-bottom: 12px;
	}
	.row {
		display: grid;
		grid-template-columns: 2rem minmax(0, 1fr) auto;
		gap: 4px 14px;
		align-items: center;
		padding: 10px 0;
		border-top: 1.5px solid var(--rule);
	}
	@media (max-width: 1179px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
		section,
		.cautions {
			grid-column: 1;
			grid-row: auto;
		}
	}
	@media (max-width: 500px) {
		.row {
			grid-template-columns: 1.5rem minmax(0, 1fr);
		}
		.row > a {
			grid-column: 2;
			justify-self: start;
		}
	}
</style>

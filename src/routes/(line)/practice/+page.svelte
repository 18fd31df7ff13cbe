<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { MARKS_MM } from '$lib/core';
	import { lagDegFromRatio } from '$lib/core/speed/speed';
	import type { Stretch } from '$lib/core/practice/score';
	import { grooveTitle } from '$lib/components/Gouge/words';
	import { steadyMmS } from '$lib/core/gouge/removal';
	import { cutTitle } from '$lib/components/Card/words';
	import ScreenMatch from '$lib/components/Drawing/ScreenMatch.svelte';
	import Answer from '$lib/components/Practice/Answer.svelte';
	import Track from '$lib/components/Practice/Track.svelte';
	import { handWord } from '$lib/components/Setup/schools';
	import { inSheet } from '$lib/components/Words/sheet';
	import { Practice } from '$lib/state/practice.svelte';
	import { keepScreenScale, NOMINAL_PX_PER_MM, screenScale } from '$lib/state/screenScale';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The planned speed in the hand before it costs a nozzle: trace the line, the sparks answer. */
	const bench = getWorkbench();
	const practice = new Practice();
	let pxPerMm = $state(NOMINAL_PX_PER_MM);
	let matched = $state(false);
	let matching = $state(false);
	let still = $state(false);
	let roomPx = $state(0);

	const value = (id: Parameters<typeof bench.sayFigure>[0]) => bench.plan.figures[id].value ?? 0;
	/** From Gouge: its first string, pushed at its own pace. */
	const string = $derived(
		page.url.searchParams.get('for') === 'groove' ? bench.plan.groove?.strings[0] : undefined
	);
	const outruns = $derived(!string && handWord(bench.plan) === 'too fast');
	const planned = $derived(string?.speedMmS ?? value('setup.handMmS'));
	/** Where no hand keeps inside the window of the sparks, it holds its own pace steadily. */
	const range = $derived(
		string || outruns
			? steadyMmS(planned)
			: { lowMmS: value('setup.lagLowMmS'), highMmS: value('setup.lagHighMmS') }
	);
	const sheet = $derived(inSheet(bench.plan));
	const title = $derived(string ? grooveTitle(bench.cut.gouge, bench) : cutTitle(bench));
	const markMm = $derived(MARKS_MM[bench.units === 'metric' ? 'metric' : 'imperial'][1]);
	const lengthMm = $derived(
		Math.max(
			40,
			Math.min(
				(string && bench.cut.gouge.lengthMm) || bench.cut.lengthMm,
				Math.floor((roomPx - 56) / pxPerMm / markMm) * markMm
			)
		)
	);
	/** At the pace under the hand, or the one to hold, in whole degrees: finer ones are not seen, and cost a frame each. */
	const lagDeg = $derived.by(() => {
		const paceMmS = practice.running ? practice.speedMmS : planned;
		return paceMmS > 0 ? Math.round(lagDegFromRatio(paceMmS / value('setup.referenceMmS'))) : 1;
	});
	const word = $derived(
		!practice.running
			? ''
			: practice.speedMmS < range.lowMmS
				? 'slow'
				: practice.speedMmS > range.highMmS
					? 'fast'
					: 'right'
	);
	const WORST: Record<Stretch['what'], string> = {
		slow: 'too slow',
		fast: 'too fast',
		off: 'off the line'
	};

	onMount(() => {
		({ pxPerMm, matched } = screenScale());
		still = matchMedia('(prefers-reduced-motion: reduce)').matches;
		practice.restore();
	});
</script>

<svelte:head><title>Practise the line · {title} · Steady Arc</title></svelte:head>

<div class="px-6 pt-3 pb-4 max-[899px]:px-3">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-1">
		<h1 class="fig text-[2.5rem]">Practise the line</h1>
		<p class="sub grow" data-testid="to-hold">
			{title} at {bench.sayFigure(string ? 'gouge.currentA' : 'setup.currentA')}{#if planned > 0}:
				hold
				<b>{bench.say(planned, 'speed')}</b>{#if string}&ensp;and {bench.say(
						bench.cut.gouge.angleFromPlateDeg,
						'angle'
					)} from the plate{/if}, between {bench.say(range.lowMmS, 'speed')} and {bench.say(
					range.highMmS,
					'speed'
				)}{/if}.{#if outruns}&ensp;The amps ask for {bench.sayFigure('setup.speedMmS')}, more than a
				hand follows.{/if}
		</p>
		<button
			type="button"
			class="btn"
			aria-expanded={matching}
			onclick={() => (matching = !matching)}
			>{matched ? 'Screen matched to a rule' : 'Match the screen to a rule'}</button
		>
		<a class="btn" href="/{string ? 'gouge' : 'cut'}?{bench.search}"
			>Back to {string ? 'Gouge' : 'Cut'}</a
		>
	</div>
	{#if matching}
		<ScreenMatch
			{pxPerMm}
			match={(px) => {
				pxPerMm = px;
				matched = true;
				keepScreenScale(px);
			}}
		/>
	{/if}
	{#if planned > 0}
		<div class="mt-3" bind:clientWidth={roomPx}>
			<Track
				{practice}
				{lengthMm}
				{pxPerMm}
				{markMm}
				window={range}
				finish={() => practice.end(range)}
			/>
			<p class="sub mt-1">
				{matched ? 'True size' : 'About true size: match the screen first'}, {bench.say(
					lengthMm,
					'length'
				)}, a mark every {bench.say(markMm, 'small')}: {bench.say(lengthMm / planned, 'time')} in all.
				By keyboard: the space bar at each mark.
			</p>
		</div>
		<div class="mt-3 grid gap-6 sm:grid-cols-2">
			<section aria-label="Under the hand">
				<p class="fig live" data-word={word}>
					{practice.running ? bench.say(practice.speedMmS, 'speed') : bench.say(planned, 'speed')}
					<small>{word === 'right' ? 'inside' : word ? `too ${word}` : 'to hold'}</small>
				</p>
				{#if string}
					<p class="sub">Push, small gap: the metal flies ahead of the torch.</p>
				{:else if sheet}
					<p class="sub">In sheet sparks go straight down at any pace: go by the marks.</p>
				{:else}
					<Answer {lagDeg} {still} />
				{/if}
			</section>
			<section aria-label="Result" aria-live="polite" data-testid="practice-result">
				{#if practice.result}
					{@const r = practice.result}
					<p class="fig share">
						{bench.say(r.insideShare, 'share')} <small>of the line inside</small>
					</p>
					<dl class="mt-1 text-[1.0625rem]">
						<div class="row">
							<dt>Mean</dt>
							<dd class="fig">{bench.say(r.meanMmS, 'speed')}</dd>
						</div>
						<div class="row">
							<dt>Spread</dt>
							<dd class="fig">± {bench.say(r.spreadMmS, 'speed')}</dd>
						</div>
						<div class="row">
							<dt>Furthest beside the line</dt>
							<dd class="fig">{bench.say(r.offMm, 'small')}</dd>
						</div>
					</dl>
					<p class="mt-1 text-[1.0625rem] font-semibold">
						{#if r.worst}From {bench.say(r.worst.fromMm, 'length')} to {bench.say(
								r.worst.toMm,
								'length'
							)}: {WORST[r.worst.what]}.{:else}No stretch went wrong.{/if}
					</p>
				{:else if practice.tooShort}
					<p class="text-[1.0625rem]">Too short to tell: go on to the end of the line.</p>
				{:else}
					<p class="sub">
						Your run shows here: mean, spread, how much was inside, where it went wrong.
					</p>
				{/if}
				{#if practice.last && practice.best}
					<p class="sub mt-2" data-testid="practice-best">
						Best on this device {bench.say(practice.best.insideShare, 'share')} inside, ± {bench.say(
							practice.best.spreadMmS,
							'speed'
						)}; last {bench.say(practice.last.insideShare, 'share')}.
					</p>
				{/if}
			</section>
		</div>
	{:else}
		<p class="mt-4 text-[1.125rem]">
			Nothing to practise: this cut does not go through as planned.
			<a class="link" href="/setup?{bench.search}">Setup tells what would.</a>
		</p>
	{/if}
</div>

<style>
	/* What changes with every frame lays out nothing else. */
	.live {
		contain: strict;
		height: 76px;
		font-size: 3.75rem;
		color: var(--ink);
	}
	.live[data-word='right'] {
		color: var(--holds);
	}
	.live[data-word='fast'] {
		color: var(--stops);
	}
	.live[data-word='slow'] {
		color: var(--spark-ink);
	}
	small {
		font-size: 1.5rem;
	}
	.share {
		font-size: 3.75rem;
	}
	.row {
		display: flex;
		align-items: center;
		gap: 12px;
		border-top: 1px solid var(--rule);
		min-height: 44px;
	}
	.row dt {
		flex: 1;
	}
	.row dd {
		font-size: 1.6875rem;
	}
</style>

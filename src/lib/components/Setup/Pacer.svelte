<script lang="ts">
	import { onMount } from 'svelte';
	import Play from '@lucide/svelte/icons/play';
	import Square from '@lucide/svelte/icons/square';
	import { MARKS_MM, paceOf } from '$lib/core';
	import ScreenMatch from '$lib/components/Drawing/ScreenMatch.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import { Pacer } from '$lib/state/pacer.svelte';
	import { keepScreenScale, NOMINAL_PX_PER_MM, screenScale } from '$lib/state/screenScale';
	import { handWord } from './schools';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The dry run: power off, torch over the line, and the hand moves from mark to mark on the beat. */
	let {
		paced,
		hold
	}: {
		/** Another line than the planned cut. */
		paced?: { speedMmS: number; lengthMm: number };
		/** What the other hand is to mind. */
		hold?: string;
	} = $props();
	const bench = getWorkbench();
	const pacer = new Pacer();
	let pxPerMm = $state(NOMINAL_PX_PER_MM);
	let matched = $state(false);
	let matching = $state(false);
	let trackPx = $state(0);
	let still = $state(false);

	const speedMmS = $derived(paced?.speedMmS ?? bench.calmPlan.figures['setup.handMmS'].value ?? 0);
	const outruns = $derived(!paced && handWord(bench.calmPlan) === 'too fast');
	const lengthMm = $derived(
		paced?.lengthMm ?? bench.calmPlan.figures['setup.lineMm'].value ?? bench.cut.lengthMm
	);
	const pace = $derived(
		speedMmS > 0
			? paceOf({ speedMmS, lengthMm }, MARKS_MM[bench.units === 'metric' ? 'metric' : 'imperial'])
			: undefined
	);
	/** Whole marks of the line that the screen is wide enough for. */
	const shownMm = $derived(
		pace
			? Math.min(
					lengthMm,
					Math.max(pace.beatMm, Math.floor((trackPx - 24) / pxPerMm / pace.beatMm) * pace.beatMm)
				)
			: 0
	);
	const marks = $derived(
		pace
			? Array.from(
					{ length: Math.floor(shownMm / pace.beatMm + 1e-9) + 1 },
					(_, i) => i * pace.beatMm
				)
			: []
	);
	const alongMm = $derived(
		pace ? (still ? pacer.beat * pace.beatMm : Math.min(lengthMm, pacer.atS * speedMmS)) : 0
	);
	/** A line longer than the screen starts again from the left. */
	const markMm = $derived(
		pacer.done && alongMm >= lengthMm && lengthMm <= shownMm ? shownMm : alongMm % (shownMm || 1)
	);

	onMount(() => {
		({ pxPerMm, matched } = screenScale());
		still = matchMedia('(prefers-reduced-motion: reduce)').matches;
		// A pedal sends a space; what has the focus and takes it itself is left alone.
		const pedal = (event: KeyboardEvent) => {
			if (event.key !== ' ' || event.repeat || event.ctrlKey || event.metaKey || event.altKey)
				return;
			const on = event.target as HTMLElement;
			if (
				on.closest(
					'input:not([type="radio"]), textarea, select, button, a, summary, [role="slider"], dialog'
				)
			)
				return;
			if (!pace) return;
			event.preventDefault();
			pacer.toggle(pace);
		};
		window.addEventListener('keydown', pedal);
		return () => {
			window.removeEventListener('keydown', pedal);
			pacer.stop();
		};
	});
	function match(value: number) {
		pxPerMm = value;
		matched = true;
		keepScreenScale(value);
	}
</script>

<section aria-label="Pacer" class:flash={pacer.flash}>
	<div class="flex flex-wrap items-center gap-x-5 gap-y-2">
		<button
			type="button"
			class="btn min-w-36 btn-primary btn-xl"
			disabled={!pace}
			aria-pressed={pacer.running}
			onclick={() => pace && pacer.toggle(pace)}
		>
			{#if pacer.running}<Square size={22} aria-hidden="true" /> Stop{:else}<Play
					size={22}
					aria-hidden="true"
				/> Pace me{/if}
			<kbd class="kbd kbd-sm">space</kbd>
		</button>
		<p class="fig count" data-testid="pacer" role="timer">
			{#if pacer.countIn > 0}<span style:color="var(--spark-ink)">{pacer.countIn}</span>
			{:else if pacer.done}end{:else if pacer.running}{pacer.beat}<small>of {pace?.beats}</small>
			{:else}{pace ? bench.say(pace.totalS, 'time') : '–'}{/if}
		</p>
		<div class="grow">
			<h2 class="h">Dry run, torch off</h2>
			<p class="sub">
				{#if pace}{#if outruns}<b
							>No hand follows what the amps ask for: as fast as a hand goes, {bench.say(
								speedMmS,
								'speed'
							)}.</b
						>{/if} A mark every {bench.say(pace.beatMm, 'small')}, a beat every {bench.say(
						pace.beatS,
						'time'
					)}. Three to count in; a long tone at the end. A pedal that sends a space starts and stops
					it.{#if hold}
						<b>{hold}</b>{/if}{:else}Nothing to pace: it does not go through.{/if}
			</p>
		</div>
		<Choice
			label="Sound"
			options={[
				{ value: 'on', label: 'Sound', help: 'A tick at every mark.' },
				{ value: 'off', label: 'Light only', help: 'The light alone shows the pace.' }
			]}
			value={pacer.sound ? 'on' : 'off'}
			choose={(s) => (pacer.sound = s === 'on')}
		/>
		<button
			type="button"
			class="btn"
			aria-expanded={matching}
			onclick={() => (matching = !matching)}
			>{matched ? 'Screen matched to a rule' : 'Match the screen to a rule'}</button
		>
	</div>
	{#if matching}
		<ScreenMatch {pxPerMm} {match} />
	{/if}
	<div class="track" bind:clientWidth={trackPx}>
		{#if pace}
			<svg
				width={Math.max(1, shownMm * pxPerMm + 2)}
				height="56"
				class="overflow-visible"
				aria-hidden="true"
			>
				<path d="M1 40H{shownMm * pxPerMm + 1}" stroke="var(--ink)" stroke-width="2.5" />
				{#each marks as mm, i (mm)}
					<path
						d="M{mm * pxPerMm + 1} 40v{i % 5 === 0 ? -18 : -11}"
						stroke="var(--ink)"
						stroke-width={i % 5 === 0 ? 2 : 1.4}
					/>
				{/each}
				<g transform="translate({markMm * pxPerMm + 1} 40)">
					<path d="M0 0l-9 14h18Z" fill="var(--arc)" />
					<path d="M0 -24V0" stroke="var(--arc)" stroke-width="4" />
				</g>
			</svg>
			<p class="sub">
				{matched ? 'True size' : 'About true size'}{lengthMm > shownMm + 1e-6
					? `; the line is longer than the screen and starts again from the left every ${bench.say(shownMm, 'length')}`
					: ''}.
			</p>
		{/if}
	</div>
</section>

<style>
	section {
		padding: 8px 10px;
		border: 6px solid transparent;
	}
	.flash {
		border-color: var(--spark);
	}
	.count {
		min-width: 120px;
		font-size: 3.25rem;
	}
	.count small {
		margin-left: 6px;
		font-size: 1.4375rem;
	}
	.track {
		margin-top: 6px;
		padding-inline: 10px;
	}
	@media (max-width: 899px) {
		.count {
			min-width: 96px;
		}
	}
</style>

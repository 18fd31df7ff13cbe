<script lang="ts">
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import Cell from '$lib/components/Card/Cell.svelte';
	import DoDont from '$lib/components/Card/DoDont.svelte';
	import SettingCard from '$lib/components/Card/SettingCard.svelte';
	import When from '$lib/components/When.svelte';
	import {
		airWord,
		cutTitle,
		dosAndDonts,
		standoffWord,
		startWord
	} from '$lib/components/Card/words';
	import { timedByHand } from '$lib/components/Words/pace';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The setting card of the planned cut, to read from two metres. */
	const bench = getWorkbench();
	const words = $derived(dosAndDonts(bench, bench.calmPlan, bench.calmInputs.cut));
	const standoff = $derived(standoffWord(bench));
	const start = $derived(startWord(bench));
	const air = $derived(airWord(bench));
	const parts = $derived(bench.plan.figures['setup.speedMmS'].value !== null);
	/** Under the hand by opacity, which asks nothing of what is inside; from all who cannot see it once it rests. */
	const opacity = (shown: boolean) => (shown ? undefined : 0);
	const visibility = (shown: boolean) => (shown || bench.dragging ? undefined : 'hidden');
	const byHand = $derived(timedByHand(bench.plan));
</script>

<SettingCard title={cutTitle(bench)} label="Setting card">
	{#snippet action()}<a class="btn btn-ghost" href="/card?{bench.search}"
			>Print card <kbd class="kbd kbd-sm">P</kbd></a
		>{/snippet}
	{#snippet figures()}
		<div class="flex flex-wrap items-end gap-x-8 gap-y-3">
			<span class="big"><Fig id="setup.currentA" size={104} /></span>
			<!-- One over the other: nothing moves when it turns too thick under the hand. -->
			<span class="inline-grid items-end">
				<span class="big over" style:opacity={opacity(parts)} style:visibility={visibility(parts)}
					><Fig id="setup.speedMmS" size={104} color="var(--arc)" /></span
				>
				<span
					class="fig thick over"
					data-testid="too-thick"
					style:opacity={opacity(!parts)}
					style:visibility={visibility(!parts)}>too thick</span
				>
			</span>
		</div>
		<div class="mt-3 grid min-h-[53px] items-center">
			<div
				class="over flex items-baseline gap-2"
				style:opacity={opacity(parts)}
				style:visibility={visibility(parts)}
			>
				<span class="fig text-[2.75rem]" data-testid="line-seconds"
					>{bench.sayFigure('setup.lineS')}</span
				>
				<span
					>{#if bench.cut.guide === 'circle'}once round, <b>{bench.sayFigure('setup.lineMm')}</b
						>{:else}for your <b>{bench.say(bench.cut.lengthMm, 'length')}</b> line{/if}{#if byHand},
						at a hand’s <span class="whitespace-nowrap">{bench.sayFigure('setup.handMmS')}</span
						>{/if}</span
				>
			</div>
			{#if !parts && !bench.dragging}<div class="over">
					<When on load={() => import('./Elsewhere.svelte')} />
				</div>{/if}
		</div>
	{/snippet}
	{#snippet cells()}
		<Cell
			name="Nozzle (tip)"
			id="setup.nozzleA"
			value={bench.sayFigure('setup.nozzleA')}
			note="{bench.sayFigure('setup.boreMm')} bore"
		/>
		<Cell name="Air, flowing" id="setup.airBar" value={air.value} note={air.note} />
		<Cell name="Stand-off" id="setup.standoffMm" value={standoff.value} note={standoff.note} />
		<Cell name="Start" id="cut.rolledPierceMm" value={start.value} note={start.note} />
	{/snippet}
	{#snippet notes()}<DoDont {...words} />{/snippet}
</SettingCard>

<style>
	.over {
		grid-area: 1 / 1;
	}
	.thick {
		font-size: 4.125rem;
		line-height: 1.2;
		color: var(--stops);
	}
	@media (max-width: 899px) {
		.big {
			zoom: 0.72;
		}
	}
</style>

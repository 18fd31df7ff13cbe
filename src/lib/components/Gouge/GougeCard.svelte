<script lang="ts">
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import Cell from '$lib/components/Card/Cell.svelte';
	import DoDont from '$lib/components/Card/DoDont.svelte';
	import SettingCard from '$lib/components/Card/SettingCard.svelte';
	import { stateWord } from '$lib/components/Line/line';
	import State from '$lib/components/Marks/State.svelte';
	import { gougeAir } from './words';
	import { isLight, isSpot } from '$lib/core/gouge/targets';
	import { CLEAR_WORDS } from '$lib/core/safety/shade';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What is set for the groove, and how it is worked. */
	let { title }: { title: string } = $props();
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const { figures } = $derived(bench.plan);
	const spot = $derived(isSpot(gouge.target));
	const air = $derived(gougeAir(bench));
	const station = $derived(bench.plan.stations.gouge);
	const strings = $derived(figures['gouge.strings'].value);
	const travel = $derived.by(() => {
		const [slow, fast] = [figures['gouge.speedMmS'].value, figures['gouge.fastMmS'].value];
		if (slow === null || fast === null) return '';
		const [from, to] = [bench.show(slow, 'speed').text, bench.say(fast, 'speed')];
		return to.startsWith(`${from} `) ? to : `${from}–${to}`;
	});
	const nozzle = $derived.by(() => {
		if (bench.plan.choices.gougeNozzle) return { is: 'Gouging', note: 'cutter off, then swap' };
		return isLight(gouge.target)
			? { is: bench.say(bench.bench.torch.fittedA, 'current'), note: 'stays in: light touches' }
			: { is: 'Gouging', note: 'this bench has none' };
	});
</script>

<SettingCard {title} label="Gouging card">
	{#snippet action()}<State verdict={station.verdict} word={stateWord(station, bench)} />{/snippet}
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
						>{strings}<span class="ml-2 text-[2.5rem]">{strings === 1 ? 'string' : 'strings'}</span
						></span
					>
				{/if}
				<Fig id="gouge.pieceS" size={60} color="var(--arc)" />
			</div>
			<p class="mt-2">
				{#if spot}
					on each spot, torch upright{#if gouge.pieces > 1}; {gouge.pieces} pieces, {bench.sayFigure(
							'gouge.jobMin'
						)} of arc{/if}
				{:else}
					of arc for <b>{bench.say(gouge.lengthMm ?? bench.cut.lengthMm, 'length')}</b
					>{#if gouge.pieces > 1}, {gouge.pieces}
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
				long
			/>{/if}
		<Cell
			name="Torch"
			value={spot ? 'upright' : bench.say(gouge.angleFromPlateDeg, 'angle')}
			note={spot ? 'small gap' : 'from the plate, small gap'}
		/>
		<Cell name="Nozzle (tip)" value={nozzle.is} note={nozzle.note} />
		<Cell name="Air" id="gouge.airBar" value={air.value} note={air.note} />
	{/snippet}
	{#snippet notes()}
		<DoDont
			dos={[
				spot
					? 'Upright and short: the metal flies all round, clear the way'
					: 'Push: the metal flies ahead, clear the way',
				spot
					? 'Look at each spot; brush it out'
					: 'Look at the bed after each string; brush it out',
				'Afterwards grind to bright metal; a crack is dye-checked before welding',
				`Shade ${bench.sayFigure('gouge.shade')}, leathers, ears`
			]}
			donts={[
				...(spot
					? ['Lean the torch: it digs beside the spot']
					: ['Pull: slag folds back into the groove', 'Steeper than 50°: it blows back']),
				`Gouge over concrete, a closed vessel, or what burns within ${CLEAR_WORDS}`,
				'Weld without the preheat of the welding procedure'
			]}
		/>
	{/snippet}
</SettingCard>

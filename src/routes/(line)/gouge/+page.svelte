<script lang="ts">
	import { METALS } from '$lib/core';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import Cell from '$lib/components/Card/Cell.svelte';
	import DoDont from '$lib/components/Card/DoDont.svelte';
	import SettingCard from '$lib/components/Card/SettingCard.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import GougeSide from '$lib/components/Gouge/GougeSide.svelte';
	import GrooveSection from '$lib/components/Gouge/GrooveSection.svelte';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import { stateWord } from '$lib/components/Line/line';
	import { GOUGE_RANGES } from '$lib/core/gouge/groove';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const passes = $derived(bench.plan.figures['gouge.passes'].value!);
	const state = $derived(bench.plan.stations.gouge);
	const title = $derived(
		`${bench.show(gouge.depthMm, 'small').text} × ${bench.say(gouge.widthMm, 'small')} groove, ${METALS[bench.cut.metal].label.toLowerCase()}`
	);
	/** Between 30 and 50° from the plate: flatter is shallower, steeper deeper (common practice). */
	const ANGLE_HELP: Record<number, string> = {
		30: 'Flattest: wide and shallow.',
		35: 'Flat: shallower, easy to see.',
		40: 'One school’s angle for a groove.',
		45: 'The other school’s: deeper.'
	};
	const set = (field: 'depthMm' | 'widthMm') => (value: number | null) => {
		bench.setGouge({ [field]: value! });
		bench.settle();
	};
</script>

<svelte:head><title>Gouge · {title} · Steady Arc</title></svelte:head>

<div class="gouge">
	<div class="dots left">
		<div
			class="grid max-w-[680px] grid-cols-[1fr_1fr_auto] items-end gap-3 pb-1 max-[899px]:grid-cols-2"
		>
			<QuantityField
				label="Depth"
				quantity="small"
				value={gouge.depthMm}
				range={GOUGE_RANGES.depthMm}
				commit={set('depthMm')}
			/>
			<QuantityField
				label="Width"
				quantity="small"
				value={gouge.widthMm}
				range={GOUGE_RANGES.widthMm}
				commit={set('widthMm')}
			/>
			<Choice
				label="Torch from the plate"
				showLabel
				options={[30, 35, 40, 45].map((value) => ({
					value,
					label: `${value}°`,
					help: ANGLE_HELP[value]
				}))}
				value={gouge.angleFromPlateDeg}
				choose={(angleFromPlateDeg) => {
					bench.setGouge({ angleFromPlateDeg });
					bench.settle();
				}}
			/>
		</div>
		<div class="grid max-w-[700px] gap-2 desk:grid-cols-2"><GrooveSection /><GougeSide /></div>
	</div>
	<div>
		<SettingCard {title} label="Gouging card">
			{#snippet action()}<State verdict={state.verdict} word={stateWord(state, bench)} />{/snippet}
			{#snippet figures()}
				<div class="flex flex-wrap items-end gap-x-10 gap-y-3">
					<span class="fig text-[6.5rem]"
						>{passes}<span class="ml-2 text-[2.875rem]">{passes === 1 ? 'pass' : 'passes'}</span
						></span
					>
					<Fig id="gouge.passS" size={66} color="var(--arc)" />
				</div>
				<p class="mt-2">
					each, for your <b>{bench.say(bench.cut.lengthMm, 'length')}</b> line at {bench.sayFigure(
						'gouge.speedMmS'
					)}
				</p>
			{/snippet}
			{#snippet cells()}
				<Cell name="Amps" value="Full" note="wide, soft arc" />
				<Cell
					name="Nozzle (tip)"
					value={bench.plan.choices.gougeNozzle ? 'Gouging' : 'Ordinary'}
					note="swap with the power off"
				/>
				<Cell
					name="Air"
					id="gouge.airBar"
					value={bench.sayFigure('gouge.airBar')}
					note="less than cutting"
				/>
				<Cell
					name="Travel"
					id="gouge.speedMmS"
					value={bench.sayFigure('gouge.speedMmS')}
					note="push, small gap"
				/>
			{/snippet}
			{#snippet notes()}
				<DoDont
					dos={[
						'Push: the metal flies ahead, clear the way',
						'Look for pores after each pass',
						`Shade ${bench.sayFigure('setup.shade')}, leathers, ears`
					]}
					donts={[
						'Dig: over 50° it blows back',
						'Go deep in one pass',
						'Gouge over concrete or a closed vessel'
					]}
				/>
			{/snippet}
		</SettingCard>
		{#if !gouge.asked}
			<p class="mt-2 flex flex-wrap items-center gap-3">
				<span class="sub grow">Nobody has asked for this groove yet, so it judges nothing.</span>
				<button
					type="button"
					class="btn"
					onclick={() => {
						bench.setGouge({});
						bench.settle();
					}}>Plan this groove</button
				>
			</p>
		{/if}
		<Findings station="gouge" />
	</div>
</div>
<Stage
	when="besides"
	id="comes-from"
	title="What it comes from"
	answer="{bench.sayFigure('gouge.removalKgH')} taken out, at most {bench.sayFigure(
		'gouge.deepestPassMm'
	)} a pass"
	load={() => import('$lib/components/Gouge/ComesFrom.svelte')}
/>

<style>
	.gouge {
		display: grid;
		grid-template-columns: 1fr 548px;
		gap: 16px;
		padding: 12px 24px 8px;
	}
	.left {
		margin-left: -24px;
		padding-left: 24px;
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
		.left {
			margin-left: 0;
			padding-left: 0;
		}
	}
</style>

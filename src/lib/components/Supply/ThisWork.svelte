<script lang="ts">
	import { cutsInTenMin, restForRateS } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import { SHIFT_RANGES, WORK_RANGES } from '$lib/core/session/work';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The pattern of arc and rest, the weather, and what each limit makes of it. */
	const bench = getWorkbench();
	const told = [
		{ id: 'supply.tripEarliestS', none: 'never' },
		{ id: 'air.shortAtS', none: 'never' },
		{ id: 'cutter.lampS', none: 'never' },
		{ id: 'cutter.lampContinuousS', none: 'never' }
	] as const;
	const { work } = $derived(bench);
	const logged = $derived(bench.evidence.pattern);
	const USUAL_SHIFT = { hours: 8, spellMin: 110, breakMin: 15 };

	const set = (field: keyof typeof WORK_RANGES) => (value: number | null) =>
		bench.setWork({ [field]: field === 'cuts' ? Math.round(value!) : value! });
	const setRate = (value: number | null) => {
		const restS = value === null || !(value > 0) ? undefined : restForRateS(arcS, value);
		if (restS === undefined)
			return `so many do not fit: at most ${bench.say(cutsInTenMin(arcS, 0), 'count')}`;
		bench.setWork({ restS });
	};
	const setShift = (field: keyof typeof SHIFT_RANGES) => (value: number | null) =>
		bench.setWork({ shift: { ...work.shift!, [field]: value! } });
	const cutS = $derived(bench.plan.figures['setup.arcS'].value);
	/** Arc of the work as it is planned: of the cut, or as typed. */
	const arcS = $derived(work.by === 'cut' && cutS !== null ? cutS : work.arcS);
	function takeLogged() {
		bench.setWork({
			by: 'pattern',
			arcS: Math.max(1, logged!.arcS),
			restS: logged!.restS ?? work.restS
		});
	}
</script>

<section aria-label="This work">
	<h2 class="h">This work</h2>
	<div class="mt-1 flex flex-wrap gap-2">
		<Choice
			label="What is done"
			options={[
				{
					value: 'cut',
					label: 'the planned cut',
					help: 'The cut of Setup, again and again, with this pause between.'
				},
				{
					value: 'pattern',
					label: 'a pattern of its own',
					help: 'Seconds of arc and of pause that you type in.'
				}
			]}
			value={work.by}
			choose={(by) => bench.setWork({ by, arcS: Math.max(1, Math.min(3600, arcS)) })}
		/>
		<Choice
			label="How it goes on"
			options={[
				{
					value: 'over',
					label: 'over and over',
					help: 'Until something trips, lights or runs dry; or for ever.'
				},
				{
					value: 'shift',
					label: 'a shift with breaks',
					help: 'So many hours, with a break after each spell.'
				}
			]}
			value={work.shift ? 'shift' : 'over'}
			choose={(to) => bench.setWork({ shift: to === 'shift' ? USUAL_SHIFT : null })}
		/>
	</div>
	<div class="mt-2 grid grid-cols-3 gap-x-3 gap-y-2">
		{#if work.by === 'cut'}
			<div>
				<span class="label">Arc of one cut</span>
				<p class="fig flex min-h-[44px] items-center text-[1.5625rem]" data-testid="cut-arc">
					{bench.sayFigure('setup.arcS')}
				</p>
			</div>
		{:else}
			<QuantityField
				label="Arc on"
				quantity="time"
				value={work.arcS}
				range={WORK_RANGES.arcS}
				commit={set('arcS')}
			/>
		{/if}
		<QuantityField
			label="Pause"
			quantity="time"
			value={work.restS}
			range={WORK_RANGES.restS}
			commit={set('restS')}
		/>
		<QuantityField
			label="Cuts in 10 min"
			quantity="factor"
			value={cutsInTenMin(arcS, work.restS)}
			commit={setRate}
		/>
		<QuantityField
			label="Cuts to do"
			quantity="count"
			value={work.cuts}
			range={WORK_RANGES.cuts}
			commit={set('cuts')}
		/>
		<QuantityField
			label="Shop"
			quantity="temperature"
			value={work.shopC}
			range={WORK_RANGES.shopC}
			commit={set('shopC')}
		/>
		<QuantityField
			label="Humidity"
			quantity="share"
			value={work.humidity}
			range={WORK_RANGES.humidity}
			commit={set('humidity')}
		/>
		{#if work.shift}
			<QuantityField
				label="Shift"
				quantity="hours"
				value={work.shift.hours}
				range={SHIFT_RANGES.hours}
				commit={setShift('hours')}
			/>
			<QuantityField
				label="Break every"
				quantity="minutes"
				value={work.shift.spellMin}
				range={SHIFT_RANGES.spellMin}
				commit={setShift('spellMin')}
			/>
			<QuantityField
				label="for"
				quantity="minutes"
				value={work.shift.breakMin}
				range={SHIFT_RANGES.breakMin}
				commit={setShift('breakMin')}
			/>
		{/if}
	</div>
	{#if logged}
		<button type="button" class="btn mt-2" onclick={takeLogged}>
			As this bench has worked: {bench.say(logged.arcS, 'time')} arc{logged.restS === null
				? ''
				: `, ${bench.say(logged.restS, 'time')} pause`}
		</button>
	{/if}
	{#if work.by === 'cut' && cutS === null}
		<p class="sub mt-1">
			This cut does not go through, so Supply is planned with {bench.say(work.arcS, 'time')} of arc.
		</p>
	{/if}
	<div class="mt-2"><FigureList rows={told} /></div>
</section>

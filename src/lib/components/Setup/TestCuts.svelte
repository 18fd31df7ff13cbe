<script lang="ts">
	import { travelMmS } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Measured from '$lib/components/Supply/Measured.svelte';
	import { logTestCut } from '$lib/state/logbook';
	import { inSheet } from '$lib/components/Words/sheet';
	import { TEST_CUT_RANGES } from '$lib/core/evidence/measured';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A test cut goes before chart and model: what was held, and what sparks, dross or plate told. */
	const bench = getWorkbench();
	let by = $state<'seconds' | 'speed'>('seconds');
	let lengthMm = $state<number | null>(100);
	let seconds = $state<number | null>(null);
	let speedMmS = $state<number | null>(null);
	let told = $state<'well' | 'angle' | 'soft' | 'hard' | 'not'>('well');
	let lagDeg = $state<number | null>(null);

	const ways = [
		{
			value: 'seconds',
			label: 'Seconds',
			help: 'A marked length and a watch: the speed is worked out.'
		},
		{ value: 'speed', label: 'Speed', help: 'The speed itself, held by the pacer or a carriage.' }
	] as const;
	const sheet = $derived(inSheet(bench.plan));
	const TELLS = [
		{
			value: 'well',
			label: 'Cut well',
			help: 'Through, and the edge is what you wanted: a good speed.'
		},
		{
			value: 'angle',
			label: 'Spark angle',
			help: 'How far the sparks below trailed, from straight down.'
		},
		{ value: 'soft', label: 'Thick dross', help: 'Thick and soft, knocks off easily: too slow.' },
		{
			value: 'hard',
			label: 'Hard dross',
			help: 'A thin bead welded on, has to be ground: too fast.'
		},
		{ value: 'not', label: 'Not through', help: 'Sparks came back up: far too fast.' }
	] as const;
	const tells = $derived(TELLS.filter(({ value }) => !(sheet && value === 'angle')));
	const tell = $derived(sheet && told === 'angle' ? 'well' : told);
	const held = $derived(
		by === 'speed'
			? speedMmS
			: lengthMm !== null && seconds
				? travelMmS({ lengthMm, timeS: seconds })
				: null
	);
	const ready = $derived(held !== null && (tell !== 'angle' || lagDeg !== null));

	/** Under way: a second press is not a second cut. */
	let logging = $state(false);
	async function log() {
		if (!ready || logging) return;
		logging = true;
		const seen = {
			speedMmS: held!,
			lagDeg: tell === 'angle' ? lagDeg : null,
			dross: tell === 'soft' || tell === 'hard' ? tell : ('none' as const),
			through: tell !== 'not'
		};
		if (await logTestCut(bench, seen, false)) speedMmS = seconds = lagDeg = null;
		logging = false;
	}
</script>

<section aria-label="Test cuts">
	<h2 class="h">Test cut</h2>
	<p class="sub">
		Cut scrap of this metal at these amps. Mark a length, count the seconds, {sheet
			? 'look at the edge'
			: 'read the sparks'}. Two or three make the speed yours.
	</p>
	<form
		class="mt-2 grid grid-cols-2 items-end gap-3 sm:grid-cols-4"
		onsubmit={(e) => {
			e.preventDefault();
			void log();
		}}
	>
		<Choice label="You have" options={ways} value={by} choose={(way) => (by = way)} showLabel />
		{#if by === 'seconds'}
			<QuantityField
				label="Marked length"
				quantity="length"
				value={lengthMm}
				range={[10, 5000]}
				commit={(v) => void (lengthMm = v)}
			/>
			<QuantityField
				label="took"
				quantity="time"
				optional
				placeholder=""
				value={seconds}
				range={[0.3, 3600]}
				commit={(v) => void (seconds = v)}
			/>
		{:else}
			<QuantityField
				label="Speed held"
				quantity="speed"
				optional
				placeholder=""
				value={speedMmS}
				range={TEST_CUT_RANGES.speedMmS}
				commit={(v) => void (speedMmS = v)}
			/>
		{/if}
		{#if tell === 'angle'}
			<QuantityField
				label="Spark angle"
				quantity="angle"
				optional
				placeholder=""
				value={lagDeg}
				range={TEST_CUT_RANGES.lagDeg}
				commit={(v) => void (lagDeg = v)}
			/>
		{/if}
		<div class="col-span-full">
			<Choice label="It told" options={tells} value={tell} choose={(t) => (told = t)} />
		</div>
		<button class="btn col-span-2 btn-primary sm:col-span-4" disabled={!ready || logging}
			>Log this cut{held === null ? '' : `: ${bench.say(held, 'speed')}`}</button
		>
	</form>
	<Measured kind="test-cut" />
</section>

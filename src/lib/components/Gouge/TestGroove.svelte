<script lang="ts">
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { TEST_GROOVE_RANGES } from '$lib/core/gouge/removal';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { shareOf } from '$lib/core/gouge/calibrated';
	import { grooveKey } from '$lib/core/gouge/inputs';
	import { METALS } from '$lib/core';
	import { gougeNozzle } from '$lib/core/gouge/job';

	/** One string on scrap, measured: metal, shape and seconds become this nozzle’s and this hand’s own. */
	const bench = getWorkbench();
	const { gouge } = $derived(bench.cut);
	const metal = $derived(gouge.metal ?? bench.cut.metal);
	const outputA = $derived(bench.plan.figures['gouge.currentA'].value!);
	const angle = $derived(gouge.angleFromPlateDeg);
	const nozzleA = $derived(
		gougeNozzle(bench.bench, gouge.outputA)?.ratingA ?? bench.bench.torch.fittedA
	);
	const taken = $derived(bench.evidence.gouge[grooveKey(metal, nozzleA)]);
	const R = TEST_GROOVE_RANGES;
	let widthMm = $state<number | null>(null);
	let depthMm = $state<number | null>(null);
	let lengthMm = $state<number | null>(150);
	let seconds = $state<number | null>(null);
	let missing = $state(false);
	const angleFits = $derived(angle >= R.angleFromPlateDeg[0] && angle <= R.angleFromPlateDeg[1]);

	let logging = $state(false);
	async function log() {
		missing = widthMm === null || depthMm === null || lengthMm === null || seconds === null;
		if (missing || logging) return;
		logging = true;
		const took = await logEntry(
			bench,
			{
				kind: 'test-groove',
				metal,
				outputA,
				angleFromPlateDeg: angle,
				widthMm: widthMm!,
				depthMm: depthMm!,
				lengthMm: lengthMm!,
				seconds: seconds!
			},
			'Test groove taken; strings and seconds follow it.'
		);
		if (took) widthMm = depthMm = seconds = null;
		logging = false;
	}
</script>

<section aria-label="Test groove">
	<h2 class="h">Test groove</h2>
	<p>
		One string on scrap {METALS[metal].label.toLowerCase()}: {bench.say(outputA, 'current')}, {bench.say(
			angle,
			'angle'
		)} from the plate, pushed straight. Brush it out; width with a rule, depth with a gauge in its middle.
	</p>
	<form
		class="mt-2 grid grid-cols-2 items-end gap-2 sm:grid-cols-4"
		onsubmit={(e) => {
			e.preventDefault();
			void log();
		}}
	>
		<QuantityField
			label="Width"
			quantity="small"
			optional
			placeholder=""
			value={widthMm}
			range={R.widthMm}
			commit={(v) => void (widthMm = v)}
		/>
		<QuantityField
			label="Depth in its middle"
			quantity="small"
			optional
			placeholder=""
			value={depthMm}
			range={R.depthMm}
			commit={(v) => void (depthMm = v)}
		/>
		<QuantityField
			label="Length"
			quantity="length"
			optional
			placeholder=""
			value={lengthMm}
			range={R.lengthMm}
			commit={(v) => void (lengthMm = v)}
		/>
		<QuantityField
			label="took"
			quantity="time"
			optional
			placeholder=""
			value={seconds}
			range={R.seconds}
			commit={(v) => void (seconds = v)}
		/>
		<button class="btn col-span-full btn-primary btn-xl" disabled={!angleFits}
			>Take the test groove</button
		>
	</form>
	{#if missing}<p role="alert">Width, depth, length and seconds: all four are needed.</p>{/if}
	<p class="mt-1" data-testid="groove-taken">
		{#if taken}
			{taken.removal.n}
			{taken.removal.n === 1 ? 'groove' : 'grooves'} so far: {bench.say(
				shareOf(taken.removal),
				'share'
			)} of the metal and {bench.say(shareOf(taken.shape), 'share')} of the depth that the model expects.
			Both are taken in, the more the more of them there are.
		{:else}
			<span class="sub">None yet in this metal with this nozzle: the model speaks.</span>
		{/if}
	</p>
</section>

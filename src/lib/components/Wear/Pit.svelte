<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { fittedNozzle } from '$lib/core/torch/nozzle';
	import { OUT_OF_ROUND_MM } from '$lib/core/wear/nozzle';
	import { meanReading, shrank } from '$lib/core/wear/readings';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import Gauges from './Gauges.svelte';
	import { pitShape } from './stack';

	/** The pit in the electrode, and one field to tell what the gauge read. */
	const bench = getWorkbench();
	const pitMm = $derived(bench.plan.figures['wear.pitMm'].value!);
	const limitMm = $derived(bench.settings.pitLimitMm);
	const shape = $derived(pitShape(pitMm, limitMm));
	let pit = $state<number | null>(null);
	let bore = $state<number | null>(null);
	let across = $state<number | null>(null);
	/** Taken one by one; the mean of them is logged. */
	let readings = $state<number[]>([]);
	const mean = $derived(meanReading(pit === null ? readings : [...readings, pit]));
	const READINGS = 3;
	function readAgain() {
		missing = pit === null ? 'pit' : undefined;
		if (pit === null) return;
		readings = [...readings, pit];
		pit = null;
	}
	let asked = $state<'pit' | 'bore' | undefined>();
	/** A button that waited for the field would swallow the first press. */
	let missing = $state<'pit' | 'bore' | undefined>();
	const { electrode, nozzle } = $derived(bench.evidence.wear);
	const newMm = $derived(fittedNozzle(bench.bench.torch).boreMm);
	const lastPitMm = $derived(electrode.last && electrode.last.grownUm / 1000);
	const lastBoreMm = $derived(nozzle.last && newMm + nozzle.last.grownUm / 1000);

	async function log(what: 'pit' | 'bore', sure = false) {
		const nothing = what === 'pit' ? pit === null && readings.length === 0 : bore === null;
		missing = nothing ? what : undefined;
		if (missing) return;
		const value = what === 'pit' ? mean.meanMm : Math.max(bore!, across ?? 0);
		const before = what === 'pit' ? lastPitMm : lastBoreMm;
		if (!sure && shrank(value, before)) {
			asked = what;
			return;
		}
		asked = undefined;
		const entry =
			what === 'pit'
				? { kind: 'pit' as const, pitMm: value }
				: { kind: 'bore' as const, boreMm: bore!, ...(across !== null && { acrossMm: across }) };
		const told =
			what === 'pit'
				? `Pit of ${bench.say(value, 'small')} taken.`
				: `Bore of ${bench.say(bore, 'small')} taken.`;
		if (!(await logEntry(bench, entry, told))) return;
		if (what === 'pit') {
			pit = null;
			readings = [];
		} else bore = across = null;
	}
</script>

<section aria-label="Measured">
	<h2 class="flex items-center gap-3">
		<span class="h">Electrode pit</span><Fig id="wear.pitMm" size={29} />
	</h2>
	<svg
		viewBox="0 0 290 168"
		class="block w-full"
		role="img"
		aria-label="Pit {bench.sayFigure('wear.pitMm')} deep, change at {bench.say(limitMm, 'small')}"
	>
		<Patterns prefix="pit" />
		<path d="M10 40H174V166H10Z" fill="url(#pit-copper)" stroke="var(--ink)" stroke-width="2" />
		<rect x="66" y="40" width="52" height="126" fill="var(--ink)" />
		<path d="{shape.path}Z" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
		<path d="M92 12V{shape.pitY}" stroke="var(--steel-line)" stroke-width="5" />
		<rect
			x="72"
			y="6"
			width="40"
			height="16"
			fill="var(--steel2)"
			stroke="var(--ink)"
			stroke-width="1.8"
		/>
		<path
			d="M10 {shape.limitY}H200"
			stroke="var(--stops)"
			stroke-width="2.2"
			stroke-dasharray="7 4"
		/>
		<text x="206" y={shape.limitY - 2} font-weight="700" style:fill="var(--stops)">change</text>
		<text x="206" y={shape.limitY + 15} style:fill="var(--stops)"
			>at {bench.say(limitMm, 'small')}</text
		>
		<path
			d="M178 40h26M122 {shape.pitY}h82M196 40V{shape.pitY}"
			stroke="var(--ink)"
			stroke-width="1.3"
		/>
	</svg>
	<form
		class="mt-1 grid grid-cols-[1fr_auto] items-end gap-2"
		onsubmit={(e) => {
			e.preventDefault();
			void log('pit');
		}}
	>
		<QuantityField
			label="Depth gauge reads"
			quantity="small"
			optional
			placeholder=""
			value={pit}
			range={[0, 5]}
			commit={(v) => void (pit = v)}
		/>
		<button class="btn btn-primary">Log the pit</button>
	</form>
	<p class="mt-1 flex flex-wrap items-center gap-2" data-testid="readings">
		{#if readings.length < READINGS - 1}
			<button type="button" class="btn" onclick={readAgain}>Read it once more</button>
		{/if}
		{#if readings.length > 0}
			<span
				>{[...readings, ...(pit === null ? [] : [pit])]
					.map((mm) => bench.say(mm, 'small'))
					.join(', ')}: mean <b>{bench.say(mean.meanMm, 'small')}</b>, give or take {bench.say(
					mean.spreadMm,
					'small'
				)}</span
			>
			<button type="button" class="btn btn-ghost underline" onclick={() => (readings = [])}
				>start again</button
			>
		{/if}
	</p>
	{#if readings.length > 0 && mean.apart}
		<p role="alert">They lie too far apart for one pit: blow it clean, and read again.</p>
	{/if}
	<form
		class="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2"
		onsubmit={(e) => {
			e.preventDefault();
			void log('bore');
		}}
	>
		<QuantityField
			label="Drill or pin in the bore"
			quantity="small"
			optional
			placeholder=""
			value={bore}
			range={[0.3, 8]}
			commit={(v) => void (bore = v)}
		/>
		<QuantityField
			label="across it"
			quantity="small"
			optional
			placeholder="if oval"
			value={across}
			range={[0.3, 8]}
			commit={(v) => void (across = v)}
		/>
		<button class="btn btn-primary">Log the bore</button>
	</form>
	{#if bore !== null && across !== null && Math.abs(bore - across) > OUT_OF_ROUND_MM}
		<p class="mt-1">Out of round: the arc wanders and one edge slants. Change the nozzle.</p>
	{/if}
	{#if missing}
		<p class="mt-1" role="alert">
			{missing === 'pit'
				? 'Type what the depth gauge reads first.'
				: 'Type the drill or pin first.'}
		</p>
	{/if}
	<div class="flex flex-wrap items-center gap-3">
		<a class="btn" href="/photo?{bench.search}&of=nozzle">Bore from a photo</a>
	</div>
	<Fold summary="How to measure"><Gauges /></Fold>
	{#if asked}
		<p class="mt-1" role="alert">
			It was {bench.say(asked === 'pit' ? lastPitMm : lastBoreMm, 'small')} before, and parts do not grow
			back. Was another one put in? Then say so first.
			<button type="button" class="btn" onclick={() => void log(asked!, true)}
				>It is so, log it</button
			>
		</p>
	{/if}
</section>

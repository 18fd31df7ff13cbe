<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { pitShape } from './stack';

	/** The pit in the electrode, and one field to tell what the gauge read. */
	const bench = getWorkbench();
	const pitMm = $derived(bench.plan.figures['wear.pitMm'].value!);
	const limitMm = $derived(bench.settings.pitLimitMm);
	const shape = $derived(pitShape(pitMm, limitMm));
	let measured = $state<number | null>(null);

	async function log() {
		if (
			await logEntry(
				bench,
				{ kind: 'pit', pitMm: measured! },
				`Pit of ${bench.say(measured, 'small')} taken.`
			)
		)
			measured = null;
	}
</script>

<section aria-label="Electrode pit">
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
			void log();
		}}
	>
		<QuantityField
			label="Depth gauge reads"
			quantity="small"
			optional
			placeholder=""
			value={measured}
			commit={(v) => void (measured = v)}
		/>
		<button class="btn btn-primary" disabled={measured === null}>Log the pit</button>
	</form>
</section>

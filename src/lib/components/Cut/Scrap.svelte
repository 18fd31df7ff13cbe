<script lang="ts">
	import { scrapMm } from '$lib/core';
	import { SCRAP_KERF_MM } from '$lib/core/cut/guide';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Measured from '$lib/components/Supply/Measured.svelte';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One piece of scrap cut in two gives this torch's own kerf and shield radius. */
	const bench = getWorkbench();
	let wholeMm = $state<number | null>(100);
	let guideAtMm = $state<number | null>(50);
	let guideSideMm = $state<number | null>(null);
	let otherSideMm = $state<number | null>(null);
	const piece = $derived(
		wholeMm !== null && guideAtMm !== null && guideSideMm !== null && otherSideMm !== null
			? { wholeMm, guideAtMm, guideSideMm, otherSideMm }
			: undefined
	);
	const told = $derived(piece && scrapMm(piece));

	let slotMm = $state<number | null>(null);
	async function takeSlot() {
		const entry = { kind: 'kerf', metal: bench.cut.metal, kerfMm: slotMm! } as const;
		const told = `Kerf of ${bench.say(slotMm, 'small')} taken; guide and template go by it.`;
		if (await logEntry(bench, entry, told)) slotMm = null;
	}
	async function take() {
		const entry = { kind: 'scrap', metal: bench.cut.metal, ...piece! } as const;
		if (await logEntry(bench, entry, 'Scrap measured; kerf and shield radius go by it.')) {
			guideSideMm = otherSideMm = null;
		}
	}
</script>

<section aria-label="Kerf and shield radius from scrap">
	<h2 class="h text-[1.125rem]">Your own kerf and shield radius</h2>
	<ol class="mt-1 list-decimal pl-5 text-[0.9375rem]">
		<li>Measure a straight piece of scrap of this metal across.</li>
		<li>Clamp the straight edge on it, this far from one end; ride along it and cut it in two.</li>
		<li>Measure both pieces at the top edge.</li>
	</ol>
	<Measured kind="scrap" />
</section>
<section aria-label="The slot itself">
	<form
		class="mt-2 flex flex-wrap items-end gap-3"
		onsubmit={(e) => {
			e.preventDefault();
			void takeSlot();
		}}
	>
		<div class="w-44">
			<QuantityField
				label="Kerf in a slot, by caliper"
				quantity="small"
				optional
				value={slotMm}
				range={SCRAP_KERF_MM}
				commit={(v) => void (slotMm = v)}
			/>
		</div>
		<button class="btn" disabled={slotMm === null}>Use it</button>
		<a class="btn" href="/photo?{bench.search}&of=kerf">Kerf from a photo</a>
	</form>
</section>
<section aria-label="The scrap piece">
	<form
		class="mt-2 grid grid-cols-2 items-end gap-3 sm:grid-cols-4"
		onsubmit={(e) => {
			e.preventDefault();
			void take();
		}}
	>
		<QuantityField
			label="Whole"
			quantity="small"
			value={wholeMm}
			commit={(v) => void (wholeMm = v)}
		/>
		<QuantityField
			label="End to guide"
			quantity="small"
			value={guideAtMm}
			commit={(v) => void (guideAtMm = v)}
		/>
		<QuantityField
			label="Piece under the guide"
			quantity="small"
			value={guideSideMm}
			commit={(v) => void (guideSideMm = v)}
		/>
		<QuantityField
			label="Other piece"
			quantity="small"
			value={otherSideMm}
			commit={(v) => void (otherSideMm = v)}
		/>
		<button class="btn col-span-2 btn-primary" disabled={!piece}>Use this kerf</button>
	</form>
	<p class="sub mt-1" aria-live="polite">
		{#if told}It tells a kerf of <b>{bench.say(told.kerfMm, 'small')}</b> and a shield radius of
			<b>{bench.say(told.shieldRadiusMm, 'small')}</b>.{:else}Now planned with a kerf of {bench.sayFigure(
				'setup.kerfMm'
			)} and a shield radius of {bench.sayFigure('cut.radiusMm')}.{/if}
	</p>
</section>

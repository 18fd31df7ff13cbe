<script lang="ts">
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One test cut outranks every model: the speed that was held and, if read, the spark angle. */
	const bench = getWorkbench();
	let speedMmS = $state<number | null>(null);
	let lagDeg = $state<number | null>(null);

	async function log() {
		const { metal, thicknessMm } = bench.cut;
		const outputA = bench.plan.figures['setup.currentA'].value!;
		const entry = {
			kind: 'test-cut' as const,
			metal,
			thicknessMm,
			outputA,
			speedMmS: speedMmS!,
			lagDeg,
			through: true
		};
		if (await bench.logEntry(entry, 'Test cut taken; it goes before the model.'))
			speedMmS = lagDeg = null;
	}
</script>

<section aria-label="Test cut">
	<form
		class="grid grid-cols-2 items-end gap-3 sm:grid-cols-[1fr_1fr_auto]"
		onsubmit={(e) => {
			e.preventDefault();
			void log();
		}}
	>
		<QuantityField
			label="Test cut: speed you held"
			quantity="speed"
			optional
			placeholder=""
			value={speedMmS}
			commit={(v) => void (speedMmS = v)}
		/>
		<QuantityField
			label="Spark angle, if read"
			quantity="angle"
			optional
			placeholder="not read"
			value={lagDeg}
			commit={(v) => void (lagDeg = v)}
		/>
		<button class="act main" disabled={speedMmS === null}>Take it</button>
	</form>
</section>

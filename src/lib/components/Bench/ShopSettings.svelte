<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Schools of the shop: where practitioners differ, both are offered. */
	const bench = getWorkbench();
</script>

<section aria-label="Schools of this shop" class="grid gap-2">
	<h2 class="h">Schools of this shop</h2>
	<Choice
		label="Change the electrode at a pit of"
		showLabel
		options={[
			{ value: 1, label: '1.0 mm, cautious' },
			{ value: 1.5, label: '1.5 mm (1/16")' }
		]}
		value={bench.settings.pitLimitMm}
		choose={(pitLimitMm) => void bench.saveSettings({ pitLimitMm })}
	/>
	<Choice
		label="Rolled pierce, tilt from upright"
		showLabel
		options={[
			{ value: 20, label: '20°' },
			{ value: 30, label: '30°' },
			{ value: 45, label: '45°' }
		]}
		value={bench.settings.pierceTiltDeg}
		choose={(pierceTiltDeg) =>
			void bench.saveSettings({ pierceTiltDeg: pierceTiltDeg as 20 | 30 | 45 })}
	/>
</section>

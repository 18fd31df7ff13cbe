<script lang="ts">
	import type { Entry, Quantity } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What a meter, a gauge and a watch can tell goes before every model. */
	const bench = getWorkbench();
	type Kind = 'volts' | 'drain' | 'fill';
	let kind = $state<Kind>('volts');
	let values = $state<Record<string, number | null>>({});

	const TESTS: Record<
		Kind,
		{ label: string; how: string; fields: [string, string, Quantity, boolean?][] }
	> = {
		volts: {
			label: 'Volts',
			how: 'Meter at the cutter’s plug: read idle, then while cutting.',
			fields: [
				['idleV', 'Idle', 'voltage'],
				['arcV', 'Under arc', 'voltage'],
				['clampA', 'Clamp meter', 'current', true]
			]
		},
		drain: {
			label: 'Timed drain',
			how: 'Compressor off, air flowing without arc: time the tank gauge.',
			fields: [
				['fromBar', 'From', 'pressure'],
				['toBar', 'Down to', 'pressure'],
				['seconds', 'In', 'time']
			]
		},
		fill: {
			label: 'Timed fill',
			how: 'Nothing drawing air: time the compressor.',
			fields: [
				['fromBar', 'From', 'pressure'],
				['toBar', 'Up to', 'pressure'],
				['seconds', 'In', 'time']
			]
		}
	};
	const test = $derived(TESTS[kind]);
	const kinds = (Object.keys(TESTS) as Kind[]).map((value) => ({
		value,
		label: TESTS[value].label
	}));
	const complete = $derived(
		test.fields.every(([name, , , optional]) => optional || typeof values[name] === 'number')
	);
	const v = (name: string) => values[name]!;

	async function log() {
		const entry: Entry =
			kind === 'volts'
				? {
						kind,
						idleV: v('idleV'),
						arcV: v('arcV'),
						clampA: values.clampA ?? null,
						outputA: bench.plan.figures['setup.currentA'].value!
					}
				: { kind, fromBar: v('fromBar'), toBar: v('toBar'), seconds: v('seconds') };
		if (await bench.logEntry(entry, `${test.label} taken; it goes before the model.`)) values = {};
	}
</script>

<section aria-label="Measure it">
	<h2><span class="h">Measure it</span> <span class="sub">{test.how}</span></h2>
	<div class="mt-1">
		<Choice label="Test" options={kinds} value={kind} choose={(k) => ((kind = k), (values = {}))} />
	</div>
	<form
		class="mt-1 grid grid-cols-2 items-end gap-3 sm:grid-cols-4"
		onsubmit={(e) => {
			e.preventDefault();
			void log();
		}}
	>
		{#each test.fields as [name, label, quantity, optional] (kind + name)}
			<QuantityField
				{label}
				{quantity}
				optional
				placeholder={optional ? 'if you have one' : ''}
				value={values[name] ?? null}
				commit={(value) => void (values[name] = value)}
			/>
		{/each}
		<button class="act main" disabled={!complete}>Take it</button>
	</form>
</section>

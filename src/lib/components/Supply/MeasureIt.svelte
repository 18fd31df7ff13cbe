<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Measured from './Measured.svelte';
	import { DEVICES, entryOf, TESTS, type Device, type TestKind } from './tests';

	/** What a meter, a gauge and a watch can tell goes before every model. */
	const bench = getWorkbench();
	let kind = $state<TestKind>('volts');
	let values = $state<Record<string, number | null>>({});
	let device = $state<Device>('breaker');

	const test = $derived(TESTS.find((t) => t.kind === kind)!);
	const kinds = TESTS.map(({ kind: value, label }) => ({ value, label }));
	const complete = $derived(
		test.fields.every(({ name, optional }) => optional || typeof values[name] === 'number')
	);
	const note = $derived(kind === 'trip' && DEVICES.find((d) => d.value === device)!.note);

	async function log() {
		const { restS, shopC } = bench.work;
		const cutS = bench.work.by === 'cut' ? bench.plan.figures['setup.arcS'].value : null;
		const arcS = Math.max(1, Math.min(3600, cutS ?? bench.work.arcS));
		const outputA = bench.plan.figures['setup.currentA'].value!;
		const entry = entryOf(kind, values, { outputA, shopC, arcS, restS, device });
		if (await logEntry(bench, entry, `${test.label} taken; it goes before the model.`)) values = {};
	}
</script>

<section aria-label="Measure it">
	<h2 class="h">Measure it</h2>
	<div class="mt-1">
		<Select
			label="Test"
			hideLabel
			options={kinds}
			value={kind}
			choose={(k) => ((kind = k), (values = {}))}
		/>
	</div>
	<ol class="mt-2 list-decimal pl-5 text-[0.9375rem]">
		{#each test.steps as step (step)}<li>{step}</li>{/each}
	</ol>
	<form
		class="mt-2 grid grid-cols-2 items-end gap-3 sm:grid-cols-4"
		onsubmit={(e) => {
			e.preventDefault();
			void log();
		}}
	>
		{#if kind === 'trip'}
			<div class="col-span-2 sm:col-span-4">
				<Choice
					label="What tripped"
					options={DEVICES}
					value={device}
					choose={(d) => (device = d)}
				/>
			</div>
		{/if}
		{#each test.fields as f (kind + f.name)}
			<QuantityField
				label={f.label}
				quantity={f.quantity}
				optional={f.optional}
				placeholder={f.optional ? 'if you have it' : ''}
				value={values[f.name] ?? null}
				commit={(value) => void (values[f.name] = value)}
			/>
		{/each}
		<button class="btn btn-primary" disabled={!complete}>Log the reading</button>
	</form>
	<p class="sub mt-1">{note || test.gives}</p>
	<Measured />
</section>

<script lang="ts">
	import type { UnitSystem } from '$lib/core';
	import type { Region } from '$lib/core/answers/typical';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import Logo from '$lib/components/Header/Logo.svelte';
	import { rememberUnits } from '$lib/state/device';
	import type { StartPath } from '$lib/state/startPath.svelte';

	/** Which bench it is, and what this device and its wall speak. */
	let { path, name }: { path: StartPath; name: string } = $props();
	const bench = $derived(path.trial);
	const units = [
		{ value: 'metric', label: 'mm' },
		{ value: 'imperial', label: 'inch' },
		{ value: 'gauge', label: 'gauge' }
	] as const satisfies { value: UnitSystem; label: string }[];
	const regions = [
		{ value: 'iec', label: '230 / 400 V', help: 'Outlets of most of the world' },
		{ value: 'north-america', label: '120 / 240 V', help: 'Outlets of North America' }
	] as const satisfies { value: Region; label: string; help: string }[];
	function chooseUnits(to: UnitSystem) {
		bench.units = to;
		rememberUnits(to);
	}
</script>

<header class="bar">
	<span class="flex items-center gap-2"
		><Logo /><span class="fig text-[1.5rem]">Steady Arc</span></span
	>
	<b>{name}</b>
	<span class="grow"></span>
	{#if path.isNew}
		<Choice
			label="Outlets here"
			options={regions}
			value={path.region}
			choose={(to) => path.chooseRegion(to)}
		/>
	{/if}
	<Choice label="Units" options={units} value={bench.units} choose={chooseUnits} />
</header>

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 6px 16px;
		min-height: 52px;
		padding: 3px 24px;
		background: var(--paper);
		border-bottom: 2px solid var(--ink);
	}
	@media (max-width: 899px) {
		.bar {
			padding: 3px 12px;
		}
	}
</style>

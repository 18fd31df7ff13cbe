<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import Smartphone from '@lucide/svelte/icons/smartphone';
	import Menu from '@lucide/svelte/icons/menu';
	import List from '@lucide/svelte/icons/list';
	import ListChecks from '@lucide/svelte/icons/list-checks';
	import Wrench from '@lucide/svelte/icons/wrench';
	import type { UnitSystem } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import { rememberTheme, rememberUnits, type Theme } from '$lib/state/device';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import Logo from './Logo.svelte';

	let {
		theme,
		keys,
		phone,
		setTheme
	}: {
		theme: Theme;
		keys: () => void;
		phone: () => void;
		setTheme: (t: Theme) => void;
	} = $props();
	const bench = getWorkbench();
	let menu = $state(false);

	const units = [
		{ value: 'metric', label: 'mm' },
		{ value: 'imperial', label: 'inch' },
		{ value: 'gauge', label: 'gauge' }
	] as const satisfies { value: UnitSystem; label: string }[];
	const themes = [
		{ value: 'bench-day', label: 'Day' },
		{ value: 'hood-down', label: 'Dark' }
	] as const satisfies { value: Theme; label: string }[];

	function chooseUnits(next: UnitSystem) {
		bench.units = next;
		rememberUnits(next);
	}
	function chooseTheme(next: Theme) {
		setTheme(next);
		rememberTheme(next);
	}
	function chooseBench(id: string) {
		void goto(`${page.url.pathname}?bench=${id}`);
	}
</script>

<header class="no-print bar">
	<a href="/supply?{bench.search}" class="brand" aria-label="Steady Arc">
		<Logo /><span class="fig name">Steady Arc</span>
	</a>
	<label class="picker">
		<select
			id="bench-picker"
			class="select w-full max-w-55 font-bold"
			aria-label="Bench"
			onchange={(e) => chooseBench(e.currentTarget.value)}
		>
			{#each bench.benches as one (one.id)}
				<option value={one.id} selected={one.id === bench.benchId}>{one.name}</option>
			{/each}
		</select>
	</label>
	<a
		class="btn"
		href="/bench?{bench.search}"
		aria-current={page.url.pathname === '/bench' ? 'page' : undefined}
	>
		<Wrench size={18} aria-hidden="true" /><span class="max-[899px]:sr-only">This bench</span>
	</a>
	<a
		class="btn"
		href="/benches?{bench.search}"
		aria-current={page.url.pathname === '/benches' ? 'page' : undefined}
	>
		<List size={18} aria-hidden="true" /><span class="max-[899px]:sr-only">All benches</span>
	</a>
	<a
		class="btn"
		href="/job?{bench.search}"
		aria-current={page.url.pathname.startsWith('/job') ? 'page' : undefined}
	>
		<ListChecks size={18} aria-hidden="true" /><span class="max-[899px]:sr-only">Day’s list</span>
	</a>
	<button
		type="button"
		class="phone-only btn ml-auto"
		aria-expanded={menu}
		aria-controls="device-menu"
		onclick={() => (menu = !menu)}
	>
		<Menu size={22} aria-hidden="true" /><span class="sr-only">Units, theme, words and keys</span>
	</button>
	<div id="device-menu" class="device ml-auto" class:open={menu}>
		<Choice label="Units" options={units} value={bench.units} choose={chooseUnits} />
		<Choice label="Theme" options={themes} value={theme} choose={chooseTheme} />
		<button type="button" class="btn px-3" onclick={phone}
			><Smartphone size={20} aria-hidden="true" /><span class="sr-only">This cut on a phone</span
			></button
		>
		<button type="button" class="btn" onclick={keys}>Words <kbd class="kbd kbd-sm">?</kbd></button>
	</div>
</header>

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 4px 8px;
		min-height: 52px;
		padding: 3px 24px;
		background: var(--paper);
	}
	.brand {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 44px;
		color: var(--ink);
		text-decoration: none;
	}
	.name {
		font-size: 1.5625rem;
		font-stretch: 75%;
	}
	/* A long name is cut short before the rest of the bar goes to a second line. */
	.picker {
		flex: 1 1 5rem;
		min-width: 5rem;
		max-width: max-content;
	}
	.device {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
	.phone-only {
		display: none;
	}
	@media (max-width: 899px) {
		.bar {
			padding: 3px 12px;
			gap: 4px 6px;
		}
		.bar > .btn {
			padding-inline: 12px;
		}
		.name {
			display: none;
		}
		.phone-only {
			display: inline-flex;
		}
		.device {
			display: none;
			width: 100%;
			padding-bottom: 6px;
		}
		.device.open {
			display: flex;
		}
	}
</style>

<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { UnitSystem } from '$lib/core';
	import type { Region } from '$lib/core/answers/typical';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import Tour from '$lib/components/Header/Tour.svelte';
	import Logo from '$lib/components/Header/Logo.svelte';
	import FirstCut from '$lib/components/Start/FirstCut.svelte';
	import Plate from '$lib/components/Start/Plate.svelte';
	import Question from '$lib/components/Start/Question.svelte';
	import Road from '$lib/components/Start/Road.svelte';
	import { readStep } from '$lib/components/Start/asks';
	import { readBenchFile } from '$lib/formats/benchFile';
	import { rememberToured, rememberUnits } from '$lib/state/device';
	import { newOpId } from '$lib/state/ids';
	import { sendNow } from '$lib/state/outbox';
	import { StartPath, STEP_IDS } from '$lib/state/startPath.svelte';
	import { setWorkbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The first hour: what the label says, one question at a time; it ends on the card. */
	let { data }: PageProps = $props();
	const asked = STEP_IDS.find((id) => id === page.url.searchParams.get('ask'));
	const path = new StartPath(
		untrack(() => ({
			region: data.standing?.bench.supply.system ?? data.region,
			units: data.units,
			standing: data.standing,
			at: asked
		}))
	);
	const bench = path.trial;
	setWorkbench(bench);
	const say = bench.say.bind(bench);
	/** Whoever comes to an empty shop is shown around first; one press skips it for good on this device. */
	let touring = $state(untrack(() => !data.toured && data.others === 0));
	function endTour() {
		touring = false;
		rememberToured();
	}
	const place = $derived(STEP_IDS.indexOf(path.at) + 1);
	let panel = $state<HTMLElement>();
	onMount(() => path.resume(asked));

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

	/** The next question has the focus, so that a keyboard goes straight on. */
	let shown = untrack(() => path.at);
	$effect(() => {
		const at = path.at;
		if (at === shown) return;
		shown = at;
		void tick().then(() =>
			panel?.querySelector<HTMLElement>('input:not([type=file]), select')?.focus()
		);
	});
	function key(e: KeyboardEvent) {
		// No number begins with an N: in an empty field it is the answer.
		const typing =
			e.target instanceof HTMLInputElement && e.target.type === 'text' && e.target.value !== '';
		if (typing || e.ctrlKey || e.metaKey || e.altKey || path.at === 'cut') return;
		if (e.key === 'n' || e.key === 'N') {
			e.preventDefault();
			path.unknown(path.at);
		}
	}
	async function finish() {
		rememberUnits(bench.units);
		const address = await path.finish();
		if (address) await goto(address);
	}
	async function fromFile(file: File) {
		const found = readBenchFile(await file.text());
		if (!found.ok) {
			path.problem = found.problem.message;
			return;
		}
		const result = await sendNow<{ id: string }>({
			method: 'POST',
			path: '/api/benches',
			body: { opId: newOpId(), bench: found.bench }
		});
		if (result.outcome === 'done') await goto(`/bench?bench=${result.data.id}`);
		else path.problem = result.problem.message;
	}
	const some = $derived(path.count('to come') < STEP_IDS.length);
</script>

<svelte:head><title>Start · Steady Arc</title></svelte:head>
<svelte:window onkeydown={key} />

<div class="start">
	<header class="bar">
		<span class="flex items-center gap-2"
			><Logo /><span class="fig text-[1.5rem]">Steady Arc</span></span
		>
		<b>{path.isNew ? 'A new bench' : data.standing!.bench.name}</b>
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
	<main class="grid-main">
		<div class="question" bind:this={panel}>
			<p class="sub" aria-live="polite">Question {place} of {STEP_IDS.length}</p>
			{#key path.at}
				{#if path.at === 'cut'}
					<FirstCut {path} finish={() => void finish()} />
				{:else}
					<Question {path} id={path.at} />
				{/if}
			{/key}
			<div class="mt-2 flex flex-wrap gap-2">
				<button type="button" class="btn" disabled={place === 1} onclick={() => path.back()}
					>Back</button
				>
				{#if some}
					<button type="button" class="btn" disabled={path.busy} onclick={() => void finish()}
						>Show the card now</button
					>
				{/if}
				{#if path.resumed}
					<button type="button" class="btn btn-ghost" onclick={() => path.forget()}
						>Begin again</button
					>
				{/if}
			</div>
			{#if some}
				<section class="so-far" aria-label="Your card so far">
					<p><b>Your card so far</b> <span class="sub">{readStep(path, 'cut', say)}</span></p>
					{#if bench.plan.figures['setup.speedMmS'].value !== null}
						<p class="flex flex-wrap items-end gap-x-6">
							<Fig id="setup.currentA" size={44} balloon={false} />
							<Fig id="setup.speedMmS" size={44} color="var(--arc)" balloon={false} />
							{#if bench.plan.figures['setup.speedMmS'].band}
								{@const [least, most] = bench.plan.figures['setup.speedMmS'].band}
								<span class="sub"
									>{bench.show(least, 'speed').text} to {bench.say(most, 'speed')} until a test cut</span
								>
							{/if}
						</p>
					{:else}
						<p class="mt-1 font-semibold">Too thick for this cutter.</p>
					{/if}
				</section>
			{/if}
		</div>
		<div class="shown">
			{#if touring}
				<div class="mb-4 border-2 border-[var(--ink)] bg-[var(--card)] p-4">
					<Tour end={endTour} />
				</div>
			{/if}
			<Plate {path} />
			<Road {path} />
			<p class="sub mt-3">
				Press any point to go back to it. Your answers are kept on this device as you go: close it,
				come back tomorrow.
			</p>
			<div class="mt-3 flex flex-wrap items-center gap-3">
				{#if path.isNew}
					<FileButton
						label="A bench file instead"
						accept="application/json,.json"
						take={(file) => void fromFile(file)}
					/>
				{/if}
				{#if data.others > 0}<a class="btn btn-ghost" href="/benches">All benches</a>{/if}
			</div>
		</div>
	</main>
</div>

<style>
	.start {
		min-height: 100vh;
		background: var(--sheet);
	}
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
	.grid-main {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 456px;
		gap: 24px;
		padding: 16px 24px;
	}
	.question {
		grid-column: 2;
		grid-row: 1;
		padding-left: 20px;
		border-left: 3px solid var(--arc);
	}
	.shown {
		grid-column: 1;
		grid-row: 1;
	}
	.so-far {
		margin-top: 12px;
		padding: 10px 14px;
		border: 2px dashed var(--ink);
		background: var(--card);
	}
	@media (max-width: 899px) {
		.grid-main {
			grid-template-columns: minmax(0, 1fr);
			padding: 12px;
		}
		.bar {
			padding: 3px 12px;
		}
		.question,
		.shown {
			grid-column: 1;
			grid-row: auto;
		}
		.question {
			padding-left: 0;
			border-left: 0;
		}
	}
</style>

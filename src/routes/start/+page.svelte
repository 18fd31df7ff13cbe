<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import Tour from '$lib/components/Header/Tour.svelte';
	import FirstCut from '$lib/components/Start/FirstCut.svelte';
	import Header from '$lib/components/Start/Header.svelte';
	import Plate from '$lib/components/Start/Plate.svelte';
	import Question from '$lib/components/Start/Question.svelte';
	import Road from '$lib/components/Start/Road.svelte';
	import SoFar from '$lib/components/Start/SoFar.svelte';
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
	/** Whoever comes to an empty shop is shown around first; one press skips it for good on this device. */
	let touring = $state(untrack(() => !data.toured && data.others === 0));
	function endTour() {
		touring = false;
		rememberToured();
	}
	const place = $derived(STEP_IDS.indexOf(path.at) + 1);
	let panel = $state<HTMLElement>();
	onMount(() => path.resume(asked));

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
	<Header {path} name={path.isNew ? 'A new bench' : data.standing!.bench.name} />
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
				<SoFar {path} />
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
	@media (max-width: 899px) {
		.grid-main {
			grid-template-columns: minmax(0, 1fr);
			padding: 12px;
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

<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import HotWorkSheet from '$lib/components/Checks/HotWorkSheet.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { hotWork, type Watch } from '$lib/core/preflight/hotWork';
	import { keptWho } from '$lib/state/who';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** The sheet that hangs beside the work: who, where, what is clear, and until when somebody watches. */
	let { data }: PageProps = $props();
	const bench = new Workbench(untrack(() => data.workbench));
	setWorkbench(bench);
	let watch = $state<Watch>('nfpa51b');
	let workMin = $state(60);
	/** Now, once a clock is there; the server's is in another room. */
	let startMs = $state<number | undefined>();
	onMount(() => {
		startMs = Date.now();
		bench.who = keptWho();
	});
	const sheet = $derived(hotWork({ startMs: startMs ?? 0, workMin, watch }));
</script>

<svelte:head><title>Hot-work sheet · Steady Arc</title></svelte:head>

<main class="sheet min-h-screen p-4 print:min-h-0 print:p-0">
	<div class="no-print mb-4 flex flex-wrap items-end gap-3">
		<a class="btn" href="/checks?{bench.search}">Back to Checks</a>
		<div class="w-40">
			<QuantityField
				label="Work, rests included"
				quantity="minutes"
				value={workMin}
				range={[5, 720]}
				commit={(min) => void (workMin = min!)}
			/>
		</div>
		<Choice
			label="Fire watch"
			showLabel
			options={[
				{ value: 'nfpa51b', label: '60 min', help: 'After NFPA 51B, its 2019 edition and later.' },
				{ value: 'osha', label: '30 min', help: 'OSHA 1910.252 asks for half an hour at least.' }
			]}
			value={watch}
			choose={(w) => (watch = w)}
		/>
		<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print, A4</button>
	</div>
	<HotWorkSheet {sheet} {watch} started={startMs !== undefined} day={data.day} />
</main>

<style>
	@page {
		size: A4 portrait;
		margin: 0;
	}
</style>

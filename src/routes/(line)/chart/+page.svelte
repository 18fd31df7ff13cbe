<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { mergedRows, plateInput, type ChartRow } from '$lib/core';
	import ChartGrid from '$lib/components/CutChart/ChartGrid.svelte';
	import ChartImportPanel from '$lib/components/CutChart/ChartImport.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { ChartDraft } from '$lib/state/chartDraft.svelte';
	import { ChartImport } from '$lib/state/chartImport.svelte';
	import { saveChart } from '$lib/state/saveChart';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The machine's own cut chart: from a file or typed in, before the plate model in every plan. */
	const bench = getWorkbench();
	const found = new ChartImport();
	const draft = new ChartDraft(untrack(() => bench.chart?.rows ?? []));
	let name = $derived(bench.chartName);
	onMount(() => () => found.close());

	/** What a first row starts from: this machine at full amps in this metal. */
	const first = $derived<ChartRow>({
		metal: bench.cut.metal,
		outputA: plateInput(bench.bench)!.outputMaxA,
		nozzleA: bench.bench.torch.fittedA,
		thicknessMm: bench.cut.thicknessMm,
		speedMmS: Math.max(0.2, bench.plan.figures['setup.baseMmS'].value ?? 10),
		pressureBar: null,
		standoffMm: null,
		kerfMm: null,
		pierceMm: null,
		pierceS: null
	});

	/** Writes the rows; the notice takes it back in one gesture. */
	async function write(rows: ChartRow[], told: string): Promise<boolean> {
		const before = bench.chart?.rows ?? [];
		const became = await saveChart(bench, name, rows);
		if (became === 'refused') return false;
		draft.take(rows);
		if (became === 'kept') return true;
		const undo = () => void write(before, 'The old chart is back.');
		bench.notice = { kind: 'done', text: told, undo };
		return true;
	}
	async function take(how: 'replace' | 'add') {
		const fresh = found.reading!.rows;
		const rows = how === 'add' ? mergedRows(bench.chart?.rows ?? [], fresh) : fresh;
		if (await write(rows, `The chart has ${rows.length} rows now.`)) found.leave();
	}
	function rename(text: string) {
		const trimmed = text.trim();
		if (trimmed === '' || trimmed.length > 60) return '1 to 60 characters are accepted';
		name = trimmed;
		draft.edited = true;
	}
</script>

<svelte:head><title>Cut chart · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="px-6 pt-3 pb-4 max-[899px]:px-3">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<div class="grow">
			<h1 class="fig text-[2.875rem]">Cut chart</h1>
			<p class="sub">
				Of the {bench.bench.cutter.name}. Inside it the plan goes by the chart, letter C; outside it
				is carried over by the plate model and told so.
			</p>
		</div>
		<a class="btn" href="/setup?{bench.search}">Back to Setup</a>
		{#if bench.chart}<a
				class="btn"
				href="/api/charts/{bench.benchId}?as=csv"
				download="cut-chart.csv">As CSV</a
			>{/if}
	</div>
	<div class="mt-3"><ChartImportPanel {found} {take} /></div>
	<section aria-label="The chart" class="mt-4">
		<div class="flex flex-wrap items-end gap-3">
			<h2 class="h grow">
				{draft.rows.length === 0 ? 'No rows yet' : `${draft.rows.length} rows`}
			</h2>
			<div class="w-72"><TextField label="Chart is called" value={name} commit={rename} /></div>
			<button type="button" class="btn" onclick={() => draft.add(first)}>Add a row</button>
			<button
				type="button"
				class="btn"
				disabled={!draft.edited}
				onclick={() => draft.take(bench.chart?.rows ?? [])}>Undo the changes</button
			>
			<button
				type="button"
				class="btn btn-primary"
				disabled={!draft.edited}
				onclick={() => void write(draft.rows, 'Chart saved.')}>Save the chart</button
			>
		</div>
		{#if draft.rows.length}<div class="mt-2"><ChartGrid {draft} /></div>{/if}
	</section>
</div>

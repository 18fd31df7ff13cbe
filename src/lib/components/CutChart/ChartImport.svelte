<script lang="ts">
	import { METALS, type Quantity } from '$lib/core';
	import { unitOfColumn } from '$lib/formats/chartCsv';
	import { CHART_FIELDS, CHART_SPEC, type ChartField } from '$lib/formats/chartFields';
	import type { ChartImport } from '$lib/state/chartImport.svelte';
	import Check from '$lib/components/Fields/Check.svelte';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A chart file: which column is what, what was found, and what is wrong with it, before it is taken. */
	let { found, take }: { found: ChartImport; take: (how: 'replace' | 'add') => Promise<void> } =
		$props();
	const bench = getWorkbench();
	const PREVIEW = 8;
	const FIELDS = CHART_FIELDS.filter((field) => field !== 'metal');
	const rows = $derived(found.reading?.rows ?? []);
	const leftOut = $derived(new Set(found.errors.filter((m) => m.row > 1).map((m) => m.row)).size);

	/** A column brings the unit of its own header. */
	function choose(field: ChartField, column: number) {
		found.map(field, column, unitOfColumn(found.reading?.headers[column] ?? '', field));
	}
	const unitsOf = (field: ChartField, unit: string) => {
		const units = CHART_SPEC[field].units ?? [];
		return units.includes(unit) ? units : [unit, ...units];
	};
</script>

<section aria-label="Take a chart from a file">
	<h2 class="h">From a file</h2>
	<p class="sub">
		CSV with a header: metal, amps, thickness, speed; if it has them nozzle, pressure, stand-off,
		kerf, pierce height and time. Units in the header, decimal commas, any order.
	</p>
	<div class="mt-2">
		<FileButton
			label="Choose a file"
			name="Chart file"
			accept=".csv,.txt,.tsv,text/csv,text/plain"
			take={(file) => void found.open(file)}
		/>
	</div>
	{#if found.problem}<p class="mt-2 font-semibold" style:color="var(--stops)" role="alert">
			{found.problem}
		</p>{/if}
	{#if found.busy}
		<p class="sub mt-2">
			Reading {found.fileName}…
			<button type="button" class="btn" onclick={() => found.stopReading()}>Stop</button>
		</p>
	{/if}
	{#if found.reading}
		<div class="mt-3" aria-busy={found.busy} data-testid="chart-preview">
			<p>
				<b>{found.fileName}</b>: {rows.length}
				{rows.length === 1 ? 'row' : 'rows'} can be taken{leftOut
					? `, ${leftOut} are left out`
					: ''}. Nothing is written yet.
			</p>
			{#if found.reading.headers.length}
				<div class="map">
					{#each CHART_FIELDS as field (field)}
						{@const place = found.reading.mapping[field]}
						<div class="flex items-end gap-1">
							<label class="grow">
								<span class="sub"
									>{CHART_SPEC[field].label}{CHART_SPEC[field].optional ? '' : ' *'}</span
								>
								<select
									class="select w-full"
									onchange={(e) => choose(field, e.currentTarget.selectedIndex - 1)}
								>
									<option value="-1" selected={!place}>not in the file</option>
									{#each found.reading.headers as header, i (i)}
										<option value={i} selected={place?.column === i}
											>{header || `column ${i + 1}`}</option
										>
									{/each}
								</select>
							</label>
							{#if place && CHART_SPEC[field].units}
								{@const units = unitsOf(field, place.unit)}
								<select
									class="unit select"
									aria-label="Unit of {CHART_SPEC[field].label.toLowerCase()}"
									onchange={(e) =>
										found.map(field, place.column, units[e.currentTarget.selectedIndex]!)}
								>
									{#each units as unit (unit)}
										<option value={unit} selected={unit === place.unit}>{unit}</option>
									{/each}
								</select>
							{/if}
						</div>
					{/each}
				</div>
			{/if}
			{#if found.reading.messages.length}
				<ul class="messages" aria-label="What is wrong or odd" data-testid="chart-messages">
					{#each found.reading.messages as m, i (i)}
						<li class={m.kind}>
							<b
								>{m.kind === 'error' ? 'No' : 'Sure?'}{m.row > 0 ? ` · row ${m.row}` : ''}{m.column
									? `, ${m.column.toLowerCase()}`
									: ''}</b
							>: {m.text}
						</li>
					{/each}
				</ul>
			{/if}
			{#if found.reading.unused.length}
				<p class="sub mt-1">Not used: {found.reading.unused.join(', ')}.</p>
			{/if}
			{#if rows.length}
				<div class="mt-2 overflow-x-auto">
					<table class="table">
						<caption class="sub text-left"
							>The first {Math.min(PREVIEW, rows.length)} as they were read</caption
						>
						<thead>
							<tr>
								<th scope="col">Metal</th>
								{#each FIELDS as field (field)}<th scope="col">{CHART_SPEC[field].label}</th>{/each}
							</tr>
						</thead>
						<tbody>
							{#each rows.slice(0, PREVIEW) as row, i (i)}
								<tr>
									<td>{METALS[row.metal].label}</td>
									{#each FIELDS as field (field)}<td class="whitespace-nowrap"
											>{bench.sayEntered(row[field], CHART_SPEC[field].quantity as Quantity)}</td
										>{/each}
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
			{/if}
			{#if found.questions.length}
				<Check bind:on={found.looked}>
					<b
						>I have looked at the {found.questions.length === 1
							? 'question'
							: `${found.questions.length} questions`}: take them as they are</b
					>
				</Check>
			{/if}
			<div class="mt-2 flex flex-wrap gap-2">
				<button
					type="button"
					class="btn btn-primary"
					disabled={!found.ready}
					onclick={() => void take('replace')}
					>{bench.chart ? 'Put in place of the chart' : 'Use it as the chart'}</button
				>
				{#if bench.chart}
					<button type="button" class="btn" disabled={!found.ready} onclick={() => void take('add')}
						>Add to the chart</button
					>
				{/if}
				<button type="button" class="btn" onclick={() => found.leave()}>Leave it</button>
			</div>
		</div>
	{/if}
</section>

<style>
	.map {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
		gap: 8px;
		margin-top: 8px;
	}
	.unit {
		width: 92px;
		padding: 0 4px;
	}
	.messages {
		max-height: 260px;
		margin-top: 10px;
		overflow-y: auto;
		font-size: 0.9375rem;
	}
	.messages li {
		padding: 4px 10px;
		border-left: 6px solid var(--tight);
		background: var(--spark-wash);
	}
	.messages li.error {
		border-left-color: var(--stops);
		background: var(--stops-wash);
	}
</style>

<script lang="ts">
	import { BASIS_WORDS, NAMES, type FigureId } from '$lib/core';
	import { explain } from '$lib/core/plan/explain';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Every setting with its source, and the cautions, black on white. */
	let { of = 'cut' }: { of?: 'cut' | 'groove' } = $props();
	const bench = getWorkbench();
	const GROOVE: FigureId[] = [
		'gouge.currentA',
		'gouge.strings',
		'gouge.stringS',
		'gouge.pieceS',
		'gouge.speedMmS',
		'gouge.fastMmS',
		'gouge.widestMm',
		'gouge.removalKgH',
		'gouge.areaMm2',
		'gouge.standsMm',
		'gouge.keepMm',
		'gouge.leftMm',
		'gouge.slagG',
		'gouge.heatKJm',
		'gouge.airBar',
		'gouge.shade',
		'gouge.piecesLeft'
	];
	const CUT: FigureId[] = [
		'setup.currentA',
		'setup.baseMmS',
		'setup.referenceMmS',
		'setup.speedMmS',
		'setup.lineS',
		'setup.lagDeg',
		'setup.fastestMmS',
		'setup.nozzleA',
		'setup.airBar',
		'setup.workingBar',
		'setup.standoffMm',
		'setup.kerfMm',
		'cut.offsetMm',
		'setup.cleanMm',
		'setup.severMm',
		'setup.shade'
	];
	const rows = $derived(
		(of === 'cut' ? CUT : GROOVE).map((id) => ({
			id,
			label: NAMES[id].label,
			value: bench.sayFigure(id),
			basis: BASIS_WORDS[bench.plan.figures[id].basis],
			source: explain(bench.inputs, id).source
		}))
	);
	const findings = $derived(
		bench.said.findings.filter((f) => (of === 'cut') !== (f.station === 'gouge'))
	);
</script>

<section class="reasons" aria-label="Where the numbers come from">
	<p>
		Forecasts, not promises: check on scrap first. Local codes, and licensed trades where they ask
		for them, decide.
	</p>
	<table>
		<thead>
			<tr
				><th scope="col">Setting</th><th scope="col">Value</th><th scope="col">From</th><th
					scope="col">How</th
				></tr
			>
		</thead>
		<tbody>
			{#each rows as row (row.id)}
				<tr>
					<th scope="row">{row.label}</th>
					<td><b>{row.value}</b></td>
					<td>{row.basis}</td>
					<td>{row.source}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<ul>
		{#each bench.said.cautions as caution (caution.text)}<li>{caution.text}</li>{/each}
		{#each findings as finding, i (i)}<li>{bench.sayAll(finding)}</li>{/each}
	</ul>
</section>

<style>
	.reasons {
		max-width: 186mm;
		margin-top: 6mm;
		padding: 3mm;
		color: #000;
		background: #fff;
		font-size: 2.75mm;
		line-height: 1.2;
	}
	table {
		width: 100%;
		border-collapse: collapse;
	}
	tr {
		border-top: 0.2mm solid #000;
		break-inside: avoid;
	}
	:is(th, td) {
		padding: 0.4mm 2mm 0.4mm 0;
		text-align: left;
		vertical-align: top;
	}
	tbody th {
		font-weight: 400;
	}
	td:nth-child(2) {
		white-space: nowrap;
	}
	ul {
		margin-top: 1mm;
		columns: 2;
		column-gap: 5mm;
		padding-left: 5mm;
		list-style: disc;
	}
	p {
		margin-bottom: 1mm;
		font-weight: 700;
	}
	li {
		break-inside: avoid;
	}
	@media print {
		.reasons {
			margin-top: 3mm;
			padding: 0;
		}
	}
</style>

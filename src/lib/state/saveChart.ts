import type { ChartRow, Evidence } from '$lib/core';
import type { Workbench } from './workbench.svelte';
import { lookAgain, write } from './write';

/** Puts a whole cut chart in place of the one before; the notice tells what became of it. */
export async function saveChart(
	bench: Workbench,
	name: string,
	rows: ChartRow[]
): Promise<'done' | 'kept' | 'refused'> {
	const result = await write<{ hash: string | null; revision: number; evidence: Evidence }>(
		bench,
		{
			method: 'PUT',
			path: `/api/charts/${bench.benchId}`,
			body: { name, rows, revision: bench.revisions.chart },
			words: `Cut chart of ${rows.length} rows`
		},
		'Not saved yet: the chart is kept on this device and sent when the server answers.'
	);
	if (result.outcome === 'refused') {
		lookAgain(bench, result);
		return 'refused';
	}
	if (result.outcome !== 'done') return 'kept';
	const { hash, revision, evidence } = result.data;
	bench.chart = hash === null ? null : { hash, rows };
	bench.evidence = evidence;
	bench.stored = { ...bench.stored, chartName: name };
	bench.revised({ chart: revision });
	return 'done';
}

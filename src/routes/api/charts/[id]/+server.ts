import { PutChartSchema } from '$lib/formats/bodies/benches';
import { chartCsv } from '$lib/formats/chartCsv';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, file, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The cut chart of a bench, as JSON or, with ?as=csv, as a file. */
export const GET: RequestHandler = ({ params, url }) =>
	answer(() => {
		if (!store().benches.find(params.id)) unknown('bench', params.id);
		const found = store().charts.find(params.id);
		const rows = found?.chart.rows ?? [];
		if (url.searchParams.get('as') === 'csv') {
			return file(chartCsv(rows), 'text/csv; charset=utf-8', 'cut-chart.csv');
		}
		return {
			name: found?.name ?? 'Cut chart',
			revision: store().charts.revisionOf(params.id),
			rows
		};
	});

/** Puts the whole chart in place of the one before; gives the evidence as it stands against it. */
export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, PutChartSchema);
		const stored = store().benches.find(params.id) ?? unknown('bench', params.id);
		const at = new Date().toISOString();
		const { revision } = body;
		const result = store().charts.put({ ...body, revision, benchId: stored.id, at });
		if (result.outcome === 'stale') {
			const { name, rows } = body;
			return stale(
				'Somebody changed this cut chart in between. Nothing was overwritten.',
				result.theirs,
				{ name, rows }
			);
		}
		return {
			rows: body.rows.length,
			revision: result.revision,
			hash: store().charts.forPlan(stored.id)?.hash ?? null,
			evidence: evidenceOf(store(), stored)
		};
	});

import { PutChartSchema } from '$lib/formats/api';
import { chartCsv } from '$lib/formats/chartCsv';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The cut chart of a bench, as JSON or, with ?as=csv, as a file. */
export const GET: RequestHandler = ({ params, url }) =>
	answer(() => {
		if (!store().benches.find(params.id)) unknown('bench', params.id);
		const chart = store().charts.find(params.id) ?? { name: 'Cut chart', rows: [] };
		if (url.searchParams.get('as') !== 'csv') return chart;
		return new Response(chartCsv(chart.rows), {
			headers: {
				'content-type': 'text/csv; charset=utf-8',
				'content-disposition': 'attachment; filename="cut-chart.csv"'
			}
		});
	});

/** Puts the whole chart in place of the one before; gives the evidence as it stands against it. */
export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, PutChartSchema);
		const stored = store().benches.find(params.id) ?? unknown('bench', params.id);
		const at = new Date().toISOString();
		const { rows } = store().charts.put({ ...body, benchId: stored.id, at });
		return {
			rows,
			chart: store().charts.forPlan(stored.id),
			evidence: evidenceOf(store(), stored.id, stored.bench)
		};
	});

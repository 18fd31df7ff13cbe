import { store } from '$lib/server/current';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Rows of a chart by their hash: they never change, so a device asks for them once. */
export const GET: RequestHandler = ({ params, setHeaders }) =>
	answer(() => {
		const chart = store().charts.forPlan(params.id) ?? unknown('cut chart of bench', params.id);
		// Replaced a moment ago: the new one is sent, and is not kept under the old address.
		const asked = chart.hash === params.hash;
		setHeaders({ 'cache-control': asked ? 'private, max-age=31536000, immutable' : 'no-store' });
		return chart;
	});

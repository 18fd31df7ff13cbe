import { benchOf } from '$lib/server/pageData';
import { evidenceOf } from '$lib/server/planning';
import { SentChart } from '$lib/state/sent';
import { store } from '$lib/server/current';
import type { PageServerLoad } from './$types';

function chartOf(benchId: string) {
	const found = store().charts.find(benchId);
	return found ? new SentChart(benchId, found.chart.hash, found.chart.rows) : null;
}

/** The bench to set beside the one in use: the one asked for, else the next one in the shop. */
export const load: PageServerLoad = ({ url, cookies }) => {
	const all = store().benches.all();
	const mine = benchOf(store(), url, cookies);
	const asked = url.searchParams.get('with');
	const other =
		all.find((b) => b.id === asked && b.id !== mine?.id) ?? all.find((b) => b.id !== mine?.id);
	return {
		other: other && {
			id: other.id,
			bench: other.bench,
			evidence: evidenceOf(store(), other),
			chart: chartOf(other.id)
		}
	};
};

import { store } from '$lib/server/current';
import { answer } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Everything the shop owns, readable without this program. */
export const GET: RequestHandler = () =>
	answer(() => {
		const { benches, sets, log, settings, charts, cards, outlines } = store();
		const body = {
			format: 'steady-arc/shop',
			version: 1,
			benches: benches.all(),
			sets: benches.all().flatMap(({ id }) => sets.ofBench(id)),
			log: log.everything(),
			settings: settings.get().settings,
			charts: benches.all().flatMap(({ id }) => {
				const chart = charts.find(id);
				return chart ? [{ benchId: id, ...chart }] : [];
			}),
			cards: cards.everything(),
			outlines: outlines.list().map(({ id }) => outlines.find(id))
		};
		return new Response(JSON.stringify(body, null, '\t'), {
			headers: {
				'content-type': 'application/json',
				'content-disposition': 'attachment; filename="steady-arc-shop.json"'
			}
		});
	});

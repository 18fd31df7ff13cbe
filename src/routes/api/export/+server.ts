import { store } from '$lib/server/current';
import { answer } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Everything the shop owns, readable without this program. */
export const GET: RequestHandler = () =>
	answer(() => {
		const { benches, sets, log, settings } = store();
		const body = {
			format: 'steady-arc/shop',
			version: 1,
			benches: benches.all(),
			sets: benches.all().flatMap(({ id }) => sets.ofBench(id)),
			log: log.everything(),
			settings: settings.get().settings
		};
		return new Response(JSON.stringify(body, null, '\t'), {
			headers: {
				'content-type': 'application/json',
				'content-disposition': 'attachment; filename="steady-arc-shop.json"'
			}
		});
	});

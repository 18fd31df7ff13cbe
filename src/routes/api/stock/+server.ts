import { SaveStockSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { answer, readBody, stale, unknown } from '$lib/server/respond';
import { withUse } from '$lib/server/shopping';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		return {
			stock: store()
				.stock.ofBench(benchId)
				.map((one) => withUse(one, Date.now()))
		};
	});

export const PUT: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, SaveStockSchema);
		if (!store().benches.find(body.benchId)) unknown('bench', body.benchId);
		const result = store().stock.save({ ...body, at: new Date().toISOString() });
		if (result.outcome === 'stale') {
			return stale(
				`The drawer was counted in between: ${result.theirs.stock.count} are there. Nothing was changed.`,
				withUse(result.theirs, Date.now()),
				body.stock
			);
		}
		return withUse(store().stock.find(body.benchId, body.kind), Date.now());
	});

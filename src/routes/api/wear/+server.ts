import { store } from '$lib/server/current';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** What was read on the parts in the torch. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		return store().ledger.historyOf(benchId, store().sets.current(benchId));
	});

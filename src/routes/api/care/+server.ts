import { caredFor } from '$lib/core/studies/caredFor';
import { store } from '$lib/server/current';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** What is to be looked after on a bench, the soonest first. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		const stored = store().benches.find(benchId) ?? unknown('bench', benchId);
		return { care: store().care.due(benchId, caredFor(stored.bench.air), Date.now()) };
	});

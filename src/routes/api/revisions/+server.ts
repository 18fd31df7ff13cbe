import { store } from '$lib/server/current';
import { revisionsOf } from '$lib/server/pageData';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Whether anything has changed since a page was made: asked for often, so it is short. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (store().benches.revisionOf(benchId) === 0) unknown('bench', benchId);
		return { ...revisionsOf(store(), benchId), now: new Date().toISOString() };
	});

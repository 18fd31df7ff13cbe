import { store } from '$lib/server/current';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The day's lists of a bench: those in use first, the newest first. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		return {
			lists: store()
				.dayLists.ofBench(benchId)
				.map(({ list, ...row }) => ({ ...row, name: list.name, items: list.items.length }))
		};
	});

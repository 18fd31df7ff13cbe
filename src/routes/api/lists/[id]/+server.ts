import { ArchiveDayListSchema, SaveDayListSchema } from '$lib/formats/bodies/work';
import { store } from '$lib/server/current';
import { answer, readBody, stale, unknown } from '$lib/server/respond';
import type { SaveResult } from '$lib/server/dayLists';
import type { RequestHandler } from './$types';

function told(id: string, result: SaveResult, yours: unknown) {
	if (result.outcome === 'unknown') unknown('list', id);
	if (result.outcome === 'stale')
		return stale(
			'Somebody changed this list in between. Nothing was overwritten.',
			result.stored,
			yours
		);
	return result.stored;
}

/** One list, and what was ticked of it. */
export const GET: RequestHandler = ({ params }) =>
	answer(() => {
		const stored = store().dayLists.find(params.id) ?? unknown('list', params.id);
		return { ...stored, ...store().dayLists.ticked(params.id) };
	});

/** Saves a list over a known revision; 0 makes it. */
export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		if (!/^[\w-]{1,64}$/.test(params.id)) unknown('list', params.id);
		const { opId, benchId, revision, list } = await readBody(request, SaveDayListSchema);
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		const at = new Date().toISOString();
		const result = store().dayLists.save({ opId, id: params.id, benchId, revision, list, at });
		return told(params.id, result, list);
	});

/** Puts a list away, or takes it out again. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, revision, archived } = await readBody(request, ArchiveDayListSchema);
		const at = new Date().toISOString();
		const result = store().dayLists.archive({ opId, id: params.id, revision, archived, at });
		return told(params.id, result, { archived });
	});

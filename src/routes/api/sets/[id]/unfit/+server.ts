import { UnfitSetSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { answer, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, UnfitSetSchema);
		const at = new Date().toISOString();
		const result = store().sets.unfit({ ...body, id: params.id, at });
		if (result.outcome === 'unknown') unknown('pair', params.id);
		if (result.outcome === 'refused') {
			return stale(`${result.why} Nothing was changed.`, result.theirs, { id: params.id });
		}
		return { ok: true, revision: result.revision };
	});

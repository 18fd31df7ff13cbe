import { KeepOutlineSchema } from '$lib/formats/bodies/work';
import { store } from '$lib/server/current';
import { answer, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) =>
	answer(() => store().outlines.find(params.id) ?? unknown('outline', params.id));

export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, kept, revision } = await readBody(request, KeepOutlineSchema);
		const at = new Date().toISOString();
		const result = store().outlines.keep({ opId, id: params.id, kept, revision, at });
		if (result.outcome === 'unknown') unknown('outline', params.id);
		if (result.outcome === 'stale') {
			return stale('Somebody moved this outline in between. Nothing was changed.', result.theirs, {
				kept
			});
		}
		return { kept, revision: result.revision };
	});

import { KeepBenchSchema } from '$lib/formats/bodies/benches';
import { store } from '$lib/server/current';
import { answer, readBody, refuse, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, kept, revision } = await readBody(request, KeepBenchSchema);
		const at = new Date().toISOString();
		const result = store().benches.keep({ opId, id: params.id, kept, revision, at });
		if (result.outcome === 'unknown') unknown('bench', params.id);
		if (result.outcome === 'only')
			refuse(422, 'refused', 'This is the only bench. Make another one first.');
		if (result.outcome === 'stale') {
			const message = 'Somebody changed this bench in between. It was not moved.';
			return stale(message, result.stored, { kept });
		}
		return { kept, revision: result.revision };
	});

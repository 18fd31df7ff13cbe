import { SaveBenchSchema } from '$lib/formats/bodies/benches';
import { store } from '$lib/server/current';
import { answer, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) =>
	answer(() => store().benches.find(params.id) ?? unknown('bench', params.id));

export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, SaveBenchSchema);
		const result = store().benches.save({ ...body, id: params.id, at: new Date().toISOString() });
		if (result.outcome === 'unknown') unknown('bench', params.id);
		if (result.outcome === 'saved') return result.stored;
		const message = 'Somebody saved this bench in between. Nothing was overwritten.';
		return stale(message, result.stored, result.yours);
	});

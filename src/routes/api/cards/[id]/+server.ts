import { ShelveCardSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** One card with everything it was planned from. */
export const GET: RequestHandler = ({ params }) =>
	answer(() => store().cards.find(params.id) ?? unknown('card', params.id));

/** Takes a card off the shelf, or puts it back. */
export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, onShelf } = await readBody(request, ShelveCardSchema);
		const at = new Date().toISOString();
		if (!store().cards.shelve({ opId, id: params.id, onShelf, at })) unknown('card', params.id);
		return { id: params.id, onShelf };
	});

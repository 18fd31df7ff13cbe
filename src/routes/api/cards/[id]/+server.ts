import { ShelveCardSchema } from '$lib/formats/bodies/work';
import { store } from '$lib/server/current';
import { answer, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** One card with everything it was planned from. */
export const GET: RequestHandler = ({ params }) =>
	answer(() => store().cards.find(params.id) ?? unknown('card', params.id));

/** Takes a card off the shelf, or puts it back. */
export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, onShelf, revision } = await readBody(request, ShelveCardSchema);
		const at = new Date().toISOString();
		const result = store().cards.shelve({ opId, id: params.id, onShelf, revision, at });
		if (result.outcome === 'unknown') unknown('card', params.id);
		if (result.outcome === 'stale') {
			return stale('Somebody moved this card in between. Nothing was changed.', result.theirs, {
				onShelf
			});
		}
		return { id: params.id, onShelf, revision: result.revision };
	});

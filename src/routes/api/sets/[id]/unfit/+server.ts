import { UnfitSetSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { answer, readBody, refuse } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, UnfitSetSchema);
		const undone = store().sets.unfit({ ...body, id: params.id, at: new Date().toISOString() });
		if (!undone)
			refuse(409, 'refused', 'Cuts are already logged on these parts; take those back first.');
		return { ok: true };
	});

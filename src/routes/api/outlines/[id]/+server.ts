import { KeepOutlineSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) =>
	answer(() => store().outlines.find(params.id) ?? unknown('outline', params.id));

export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, KeepOutlineSchema);
		const at = new Date().toISOString();
		if (!store().outlines.keep({ ...body, id: params.id, at })) unknown('outline', params.id);
		return { kept: body.kept };
	});

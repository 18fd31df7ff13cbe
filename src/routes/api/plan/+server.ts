import { explain, plan } from '$lib/core';
import { PlanRequestSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, PlanRequestSchema);
		const inputs = requestedInputs(store(), body);
		const workings = (body.explain ?? []).map((id) => explain(inputs, id));
		return body.explain ? { ...plan(inputs), workings } : plan(inputs);
	});

import { fixesFor, solvedFor, studySession } from '$lib/core';
import { PlanRequestSchema } from '$lib/formats/bodies/planned';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The session in time, where pauses must go, what would fix it, and the sizes solved for. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const inputs = requestedInputs(store(), await readBody(request, PlanRequestSchema));
		return { ...studySession(inputs), fixes: fixesFor(inputs), solved: solvedFor(inputs) };
	});

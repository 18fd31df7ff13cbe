import { advise } from '$lib/core';
import { PlanRequestSchema } from '$lib/formats/bodies/planned';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Best amps for each aim, with the reason. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => ({
		advice: advise(requestedInputs(store(), await readBody(request, PlanRequestSchema)))
	}));

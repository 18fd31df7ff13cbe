import { CanCutSchema } from '$lib/formats/bodies/planned';
import { answersOf } from '$lib/server/canCut';
import { store } from '$lib/server/current';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(async () => ({ benches: answersOf(store(), await readBody(request, CanCutSchema)) }));

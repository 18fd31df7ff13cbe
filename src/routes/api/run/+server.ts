import { DEFAULT_CUT } from '$lib/core';
import { RunRequestSchema } from '$lib/formats/bodies/work';
import { store } from '$lib/server/current';
import { answered } from '$lib/server/respond';
import { inDrawer } from '$lib/server/dayListData';
import { heavily } from '$lib/server/heavy/pool';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** A list on a stored bench: each item's setting, order, rests, what it eats, what one change buys, the quote. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { benchId, list } = await readBody(request, RunRequestSchema);
		const base = requestedInputs(store(), { benchId, cut: DEFAULT_CUT });
		const job = { base, list, drawer: inDrawer(store(), benchId) };
		const body = new TextEncoder().encode(JSON.stringify(job));
		return answered(await heavily('run', body.buffer));
	});

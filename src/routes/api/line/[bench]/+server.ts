import { BatchSchema } from '$lib/core/arcline/batch';
import { LineRuleSchema } from '$lib/formats/bodies/benches';
import { lineState, settled } from '$lib/server/arcLineData';
import { store } from '$lib/server/current';
import { answer, readBody, refuse, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** A batch of readings from the sensor of this bench, with its token. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { arcLines } = store();
		const token = /^Bearer ([\w-]{20,100})$/.exec(request.headers.get('authorization') ?? '')?.[1];
		const line = arcLines.find(params.bench);
		// One answer for both: nobody learns by it which benches there are.
		if (!line || token === undefined || !arcLines.fits(params.bench, token))
			refuse(401, 'locked', 'This token fits no sensor of this bench: pair it anew on its page.');
		const nowMs = Date.now();
		const taken = arcLines.add(line, await readBody(request, BatchSchema), nowMs);
		settled(store(), params.bench, { nowMs, everyMs: 30_000 });
		return { ...taken, serverMs: nowMs };
	});

/** How the sensor stands, and what it offers to the log. */
export const GET: RequestHandler = ({ params }) =>
	answer(() => {
		if (!store().benches.find(params.bench)) unknown('bench', params.bench);
		const nowMs = Date.now();
		settled(store(), params.bench, { nowMs, everyMs: 700 });
		return lineState(store(), params.bench, nowMs);
	});

/** The rule by which it is taken, or the sensor let go. */
export const PUT: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { byRule, paired } = await readBody(request, LineRuleSchema);
		const { arcLines } = store();
		if (!arcLines.find(params.bench)) unknown('sensor of bench', params.bench);
		if (byRule !== undefined) arcLines.setRule(params.bench, byRule);
		if (paired === false) arcLines.unpair(params.bench);
		return lineState(store(), params.bench, Date.now());
	});

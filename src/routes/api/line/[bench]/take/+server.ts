import { completeEntry, MODEL_VERSION } from '$lib/core';
import { TakeSeenSchema } from '$lib/formats/bodies/benches';
import { lineState } from '$lib/server/arcLineData';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, refuse, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** What was seen goes into the log, or is left; or one such press is taken back. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, TakeSeenSchema);
		const benchId = params.bench;
		const stored = store().benches.find(benchId) ?? unknown('bench', benchId);
		const { arcLines } = store();
		const at = atLatestNow(body.at);
		const { opId } = body;
		const modelVersion = MODEL_VERSION;
		let outcome;
		if (body.kind === 'undo') {
			outcome = arcLines.giveBack({ opId, benchId, undoes: body.undoes, at, modelVersion });
		} else {
			const { who, whatFor } = body;
			const evidence = evidenceOf(store(), stored);
			const entries = body.entries.map((entry) => ({
				at,
				entry: completeEntry(stored.bench, evidence, entry),
				inputsHash: null,
				modelVersion,
				who,
				whatFor
			}));
			outcome = arcLines.take({ opId, benchId, ids: body.ids, entries });
		}
		if (outcome === 'gone')
			refuse(409, 'stale', 'Somebody took some of these already. Look again; nothing was written.');
		return {
			outcome,
			state: lineState(store(), benchId, Date.now()),
			evidence: evidenceOf(store(), stored)
		};
	});

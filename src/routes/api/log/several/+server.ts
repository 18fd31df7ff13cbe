import { completeEntry, MODEL_VERSION } from '$lib/core';
import { SeveralSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Appends what one gesture logs, in its order: all of it or none; again it adds nothing. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, SeveralSchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const evidence = evidenceOf(store(), stored);
		const at = atLatestNow(body.at);
		const results = store().log.appendAll(
			body.entries.map((entry, i) => ({
				opId: `${body.opId}-${i}`,
				benchId: body.benchId,
				at,
				entry: completeEntry(stored.bench, evidence, entry),
				inputsHash: body.inputsHash ?? null,
				modelVersion: MODEL_VERSION,
				who: body.who,
				whatFor: body.whatFor
			}))
		);
		return { ids: results.map(({ id }) => id), evidence: evidenceOf(store(), stored) };
	});

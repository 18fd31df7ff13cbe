import { completeEntry, MODEL_VERSION } from '$lib/core';
import { CorrectSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, notInFuture, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Puts another row in the place of one that was wrong; the old one stays in the record. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, CorrectSchema);
		const old = store().log.find(Number(params.id)) ?? unknown('log entry', params.id);
		const stored = store().benches.find(old.benchId)!;
		const result = store().log.correct(old.id, {
			opId: body.opId,
			at: body.at === undefined ? old.at : notInFuture(body.at, 'at'),
			// What the server filled in then belongs to that time.
			entry: completeEntry(stored.bench, evidenceOf(store(), stored), body.entry),
			inputsHash: old.inputsHash,
			modelVersion: MODEL_VERSION,
			who: body.who ?? old.who,
			whatFor: body.whatFor ?? old.whatFor
		});
		if (result.outcome === 'unknown') return unknown('log entry', params.id);
		if (result.outcome === 'gone') {
			return stale(
				'It was taken back or corrected in between. Nothing was changed.',
				{ id: old.id },
				{ id: old.id }
			);
		}
		return { ...result, evidence: evidenceOf(store(), stored) };
	});

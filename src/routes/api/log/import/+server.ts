import { completeEntry, MODEL_VERSION } from '$lib/core';
import { ImportLogSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, notInFuture, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Rows from a file into the log: all of them or none; the same file again adds nothing. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, ImportLogSchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const evidence = evidenceOf(store(), stored);
		const results = store().log.appendAll(
			body.rows.map((row, i) => ({
				opId: `${body.opId}-${i}`,
				benchId: body.benchId,
				at: notInFuture(row.at, `rows.${i}.at`),
				entry: completeEntry(stored.bench, evidence, row.entry),
				inputsHash: null,
				modelVersion: MODEL_VERSION,
				who: row.who,
				whatFor: row.whatFor
			}))
		);
		const logged = results.filter(({ outcome }) => outcome === 'logged').length;
		return { logged, already: results.length - logged, evidence: evidenceOf(store(), stored) };
	});

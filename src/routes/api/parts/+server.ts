import { randomUUID } from 'node:crypto';
import { NewPartSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Puts a nozzle, ring, cap or shield in; the one before is out then. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, NewPartSchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const result = store().parts.fit({ ...body, id: randomUUID(), at: atLatestNow(body.at) });
		if (result.outcome === 'stale') {
			const theirs = store().sets.fitted(body.benchId);
			return stale('Parts were changed in between. Nothing was changed.', theirs, {
				kind: body.kind
			});
		}
		const { part, revision } = result;
		return { part, revision, evidence: evidenceOf(store(), stored) };
	});

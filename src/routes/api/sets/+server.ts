import { randomUUID } from 'node:crypto';
import { NewSetSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, stale, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, NewSetSchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const result = store().sets.fit({ ...body, id: randomUUID(), at: atLatestNow(body.at) });
		if (result.outcome === 'stale') {
			const { set } = result.theirs;
			const there = set ? `${set.name} was put in` : 'The parts were taken out';
			return stale(`${there} in between. Nothing was changed.`, result.theirs, {
				name: body.name
			});
		}
		const { set, previousId, revision } = result;
		return { set, previousId, revision, evidence: evidenceOf(store(), stored) };
	});

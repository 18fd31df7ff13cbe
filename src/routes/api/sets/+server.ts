import { randomUUID } from 'node:crypto';
import { NewSetSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, NewSetSchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const previousId = store().sets.current(body.benchId)?.id ?? null;
		const set = store().sets.fit({
			...body,
			id: randomUUID(),
			at: body.at ?? new Date().toISOString()
		});
		return { set, previousId, evidence: evidenceOf(store(), stored.id, stored.bench) };
	});

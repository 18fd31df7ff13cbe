import { completeEntry, MODEL_VERSION } from '$lib/core';
import { NewEntrySchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		return { entries: store().log.ofBench(benchId) };
	});

/** Appends, and gives the evidence that now stands, so that the screen shows it at once. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, NewEntrySchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const result = store().log.append({
			opId: body.opId,
			benchId: body.benchId,
			setId: store().sets.current(body.benchId)?.id ?? null,
			at: body.at ?? new Date().toISOString(),
			entry: completeEntry(stored.bench, evidenceOf(store(), stored.id, stored.bench), body.entry),
			inputsHash: body.inputsHash ?? null,
			modelVersion: MODEL_VERSION
		});
		return { ...result, evidence: evidenceOf(store(), stored.id, stored.bench) };
	});

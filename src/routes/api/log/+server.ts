import { completeEntry, MODEL_VERSION } from '$lib/core';
import { LOG_PAGE, LOG_PAGE_MOST, NewEntrySchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, unknown, wholeNumber } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** A page of the log of a bench, newest first; `next` is the `before` of the page after it. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		const most = wholeNumber(url, 'limit', LOG_PAGE, LOG_PAGE_MOST);
		const before = wholeNumber(url, 'before', Number.MAX_SAFE_INTEGER);
		const entries = store().log.newest(benchId, most, before);
		return { entries, next: entries.length === most ? entries.at(-1)!.id : null };
	});

/** Appends, and gives the evidence that now stands, so that the screen shows it at once. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, NewEntrySchema);
		const stored = store().benches.find(body.benchId) ?? unknown('bench', body.benchId);
		const result = store().log.append({
			opId: body.opId,
			benchId: body.benchId,
			at: atLatestNow(body.at),
			entry: completeEntry(stored.bench, evidenceOf(store(), stored), body.entry),
			inputsHash: body.inputsHash ?? null,
			modelVersion: MODEL_VERSION,
			who: body.who,
			whatFor: body.whatFor
		});
		return { ...result, evidence: evidenceOf(store(), stored) };
	});

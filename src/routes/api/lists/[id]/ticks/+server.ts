import { completeEntry, MODEL_VERSION } from '$lib/core';
import { TickSchema } from '$lib/formats/bodies/work';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** One press on the run sheet, with what it writes into the log; or one that is taken back. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const body = await readBody(request, TickSchema);
		const { id: listId, benchId } = store().dayLists.find(params.id) ?? unknown('list', params.id);
		const stored = store().benches.find(benchId) ?? unknown('bench', benchId);
		const at = atLatestNow(body.at);
		if (body.kind === 'undo') {
			const { opId, undoes, early } = body;
			const outcome = store().dayLists.untick({
				opId,
				listId,
				undoes,
				at,
				modelVersion: MODEL_VERSION,
				early
			});
			if (outcome === 'unknown') unknown('tick', undoes);
			return {
				outcome,
				...store().dayLists.ticked(listId),
				evidence: evidenceOf(store(), stored)
			};
		}
		const { opId, item, kind, entry } = body;
		const outcome = store().dayLists.tick({
			opId,
			listId,
			item,
			kind,
			at,
			entry: entry && {
				opId: `${opId}-log`,
				benchId,
				at,
				entry: completeEntry(stored.bench, evidenceOf(store(), stored), entry),
				inputsHash: null,
				modelVersion: MODEL_VERSION,
				who: body.who,
				whatFor: body.whatFor
			}
		});
		return {
			outcome,
			...store().dayLists.ticked(listId),
			evidence: evidenceOf(store(), stored)
		};
	});

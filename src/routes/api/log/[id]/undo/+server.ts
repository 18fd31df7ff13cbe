import { MODEL_VERSION } from '$lib/core';
import { UndoSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, at } = await readBody(request, UndoSchema);
		const row = store().log.find(Number(params.id)) ?? unknown('log entry', params.id);
		const result = store().log.undo({
			opId,
			id: row.id,
			at: atLatestNow(at),
			modelVersion: MODEL_VERSION
		});
		return { ...result, evidence: evidenceOf(store(), store().benches.find(row.benchId)!) };
	});

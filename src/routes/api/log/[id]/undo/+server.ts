import { MODEL_VERSION } from '$lib/core';
import { UndoSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId, at } = await readBody(request, UndoSchema);
		const row = store().log.find(Number(params.id)) ?? unknown('log entry', params.id);
		const result = store().log.undo({
			opId,
			id: row.id,
			at: at ?? new Date().toISOString(),
			modelVersion: MODEL_VERSION
		});
		const stored = store().benches.find(row.benchId)!;
		return { ...result, evidence: evidenceOf(store(), stored.id, stored.bench) };
	});

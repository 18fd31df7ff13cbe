import { MODEL_VERSION } from '$lib/core';
import { UndoManySchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, atLatestNow, readBody, refuse, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Takes what one gesture wrote back together. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, at, ids } = await readBody(request, UndoManySchema);
		const rows = ids.map((id) => store().log.find(id) ?? unknown('log entry', String(id)));
		const { benchId } = rows[0]!;
		const strange = rows.findIndex((row) => row.benchId !== benchId);
		if (strange >= 0)
			refuse(400, 'bad-input', `ids.${strange}: an entry of the same bench as the first`);
		const results = store().log.undoAll({
			opId,
			ids,
			at: atLatestNow(at),
			modelVersion: MODEL_VERSION
		});
		return { results, evidence: evidenceOf(store(), store().benches.find(benchId)!) };
	});

import { UnfitPartSchema } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Takes a part out again that was put in by mistake; the one before is in again. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		const { opId } = await readBody(request, UnfitPartSchema);
		const at = new Date().toISOString();
		const result = store().parts.unfit({ opId, id: params.id, at });
		if (result.outcome === 'unknown') return unknown('part', params.id);
		const { benchId, revision } = result;
		return { revision, evidence: evidenceOf(store(), store().benches.find(benchId)!) };
	});

import { explain, NO_EVIDENCE, plan, type PlanInputs } from '$lib/core';
import { PlanRequestSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { evidenceOf } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, PlanRequestSchema);
		const stored = body.benchId === undefined ? undefined : store().benches.find(body.benchId);
		if (body.benchId !== undefined && !stored) unknown('bench', body.benchId);
		const bench = (body.bench ?? stored?.bench)!;
		const inputs: PlanInputs = {
			bench,
			cut: body.cut,
			evidence:
				body.evidence ?? (stored ? evidenceOf(store(), stored.id, stored.bench) : NO_EVIDENCE),
			work: body.work ?? bench.usual,
			settings: body.settings ?? store().settings.get().settings
		};
		const workings = (body.explain ?? []).map((id) => explain(inputs, id));
		return body.explain ? { ...plan(inputs), workings } : plan(inputs);
	});

import { explain } from '$lib/core/plan/explain';
import { filled } from '$lib/core';
import { spokenPlan } from '$lib/core/plan/said';
import { PlanRequestSchema } from '$lib/formats/bodies/planned';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, PlanRequestSchema);
		const inputs = requestedInputs(store(), body);
		const planned = spokenPlan(inputs);
		// Whoever asks by hand reads sentences; the values beside them stay in the core's units.
		const findings = planned.findings.map((finding) => ({
			...finding,
			text: filled(finding, { units: 'metric' })
		}));
		const workings = body.explain?.map((id) => explain(inputs, id));
		return { ...planned, findings, ...(workings && { workings }) };
	});

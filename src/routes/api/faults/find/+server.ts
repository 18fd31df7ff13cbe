import { filled, plan } from '$lib/core';
import { Finder } from '$lib/core/faults/finder';
import { knownOf } from '$lib/core/faults/known';
import { SHIPPED_FAULTS } from '$lib/core/faults/shipped';
import { FindFaultSchema } from '$lib/formats/bodies/planned';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** What it can be, and where to look next, by the file of faults that counts here. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, FindFaultSchema);
		const file = store().lists.faults.get().value ?? SHIPPED_FAULTS;
		if (!file.symptoms.some(({ id }) => id === body.symptom)) unknown('symptom', body.symptom);
		const inputs = body.plan && requestedInputs(store(), body.plan);
		const known = inputs ? knownOf(inputs, plan(inputs)) : [];
		const found = new Finder(file).find({ ...body, known: known.map(({ id }) => id) });
		return {
			...found,
			known: known.map(({ id, text }) => ({ id, text: filled(text, { units: 'metric' }) }))
		};
	});

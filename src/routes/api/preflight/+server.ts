import { filled, plan } from '$lib/core';
import { preflight } from '$lib/core/preflight/list';
import { ownItems } from '$lib/core/preflight/own';
import { PreflightRequestSchema } from '$lib/formats/bodies/planned';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** What is to be looked at before the arc, ours and then the shop's own. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, PreflightRequestSchema);
		const inputs = requestedInputs(store(), body.plan);
		const items = [
			...preflight(body.list, inputs, plan(inputs)),
			...ownItems(body.list, store().lists.checks.get().value)
		];
		return {
			items: items.map(({ ask, more, ...rest }) => ({
				...rest,
				ask: filled(ask, { units: 'metric' }),
				...(more && { more: filled(more, { units: 'metric' }) })
			}))
		};
	});

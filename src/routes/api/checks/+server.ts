import { SaveOwnChecksSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { answer, readBody, stale } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Checks that the shop asks besides ours. */
export const GET: RequestHandler = () =>
	answer(() => {
		const { revision, value } = store().lists.checks.get();
		return { revision, own: value };
	});

export const PUT: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, revision, own } = await readBody(request, SaveOwnChecksSchema);
		const at = new Date().toISOString();
		const result = store().lists.checks.save({ opId, revision, value: own, at });
		const stands = { revision: result.stored.revision, own: result.stored.value };
		if (result.outcome === 'saved') return stands;
		return stale(
			'Somebody changed the shop’s checks in between. Nothing was overwritten.',
			stands,
			own
		);
	});

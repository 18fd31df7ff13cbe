import { restoreFrom } from '$lib/server/current';
import { answer, refuse } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Puts a backup in the place of the store; the present one is kept aside. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const result = await restoreFrom(request.body);
		if (result.outcome === 'refused') {
			refuse(400, 'bad-input', `${result.why} Nothing was changed.`);
		}
		return result;
	});

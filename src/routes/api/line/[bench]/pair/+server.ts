import { randomBytes } from 'node:crypto';
import { PairSchema } from '$lib/formats/bodies/benches';
import { store } from '$lib/server/current';
import { answer, readBody, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** A new token for the sensor of this bench, told once; the one before no longer fits. */
export const POST: RequestHandler = ({ params, request }) =>
	answer(async () => {
		await readBody(request, PairSchema);
		if (!store().benches.find(params.bench)) unknown('bench', params.bench);
		const token = randomBytes(24).toString('base64url');
		store().arcLines.pair(params.bench, token, new Date().toISOString());
		return { token, path: `/api/line/${params.bench}` };
	});

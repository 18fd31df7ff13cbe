import { randomUUID } from 'node:crypto';
import { NewBenchSchema } from '$lib/formats/bodies/benches';
import { store } from '$lib/server/current';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(() => ({ benches: store().benches.all() }));

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, bench } = await readBody(request, NewBenchSchema);
		return store().benches.add({ opId, id: randomUUID(), bench, at: new Date().toISOString() });
	});

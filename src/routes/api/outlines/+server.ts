import { randomUUID } from 'node:crypto';
import { NewOutlineSchema } from '$lib/formats/api';
import { store } from '$lib/server/current';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(() => ({ outlines: store().outlines.list() }));

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, NewOutlineSchema);
		return store().outlines.add({ ...body, id: randomUUID(), savedAt: new Date().toISOString() });
	});

import { randomUUID } from 'node:crypto';
import { store } from '$lib/server/current';
import { heavy } from '$lib/server/heavy/pool';
import { answer, answered } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(() => ({ outlines: store().outlines.list() }));

export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const found = await heavy('outline', request);
		if (found.outcome !== 'outline') return answered(found);
		const { opId, name, contours } = found;
		const savedAt = new Date().toISOString();
		return store().outlines.add({ opId, name, contours, id: randomUUID(), savedAt });
	});

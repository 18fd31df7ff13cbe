import { heavy } from '$lib/server/heavy/pool';
import { answer, answered } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** A template as a file, or as plain data; nothing is kept. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => answered(await heavy('template', request)));

import { SaveSettingsSchema } from '$lib/formats/bodies/house';
import { store } from '$lib/server/current';
import { answer, readBody, stale } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(() => store().settings.get());

export const PUT: RequestHandler = ({ request }) =>
	answer(async () => {
		const body = await readBody(request, SaveSettingsSchema);
		const result = store().settings.save({ ...body, at: new Date().toISOString() });
		if (result.outcome === 'saved') return result.stored;
		const message = 'Somebody changed the settings in between. Nothing was overwritten.';
		return stale(message, result.stored, result.yours);
	});

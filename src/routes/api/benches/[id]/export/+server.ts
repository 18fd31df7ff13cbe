import { benchFile, benchFileName } from '$lib/formats/benchFile';
import { store } from '$lib/server/current';
import { answer, file, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) =>
	answer(() => {
		const stored = store().benches.find(params.id) ?? unknown('bench', params.id);
		const text = JSON.stringify(benchFile(stored.bench), null, '\t');
		return file(text, 'application/json', benchFileName(stored.bench));
	});

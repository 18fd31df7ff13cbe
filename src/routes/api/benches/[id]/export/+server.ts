import { benchFile, benchFileName } from '$lib/formats/benchFile';
import { store } from '$lib/server/current';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) =>
	answer(() => {
		const stored = store().benches.find(params.id) ?? unknown('bench', params.id);
		return new Response(JSON.stringify(benchFile(stored.bench), null, '\t'), {
			headers: {
				'content-type': 'application/json',
				'content-disposition': `attachment; filename="${benchFileName(stored.bench)}"`
			}
		});
	});

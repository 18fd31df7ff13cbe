import { store } from '$lib/server/current';
import { answer, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The picture itself: it never changes under its number. */
export const GET: RequestHandler = ({ params }) =>
	answer(() => {
		const jpeg = store().pictures.jpeg(Number(params.id)) ?? unknown('picture', params.id);
		return new Response(new Uint8Array(jpeg), {
			headers: {
				'content-type': 'image/jpeg',
				'x-content-type-options': 'nosniff',
				'cache-control': 'private, max-age=31536000, immutable'
			}
		});
	});

/** Lets it go; the entry stays. A second time is told as the first: it is gone. */
export const DELETE: RequestHandler = ({ params }) =>
	answer(() => ({ gone: true, was: store().pictures.drop(Number(params.id)) }));

import { shopFile } from '$lib/server/shopFile';
import { store } from '$lib/server/current';
import { answer, file } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Everything the shop owns, readable without this program; sent as it is read. */
export const GET: RequestHandler = () =>
	answer(() => file(shopFile(store()), 'application/json', 'steady-arc-shop.json'));

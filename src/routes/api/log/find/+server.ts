import { LOG_PAGE, LOG_PAGE_MOST } from '$lib/formats/bodies/records';
import { dayOf } from '$lib/formats/days';
import { orderOf } from '$lib/formats/logFound';
import { logQuery, QUERY_MOST } from '$lib/formats/logQuery';
import { store } from '$lib/server/current';
import { placeOf } from '$lib/server/logSearch';
import { answer, refuse, unknown, wholeNumber } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** What is found in the log of a bench, in the order asked for, a page at a time. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		const text = url.searchParams.get('q') ?? '';
		if (text.length > QUERY_MOST) refuse(400, 'bad-input', `q: at most ${QUERY_MOST} characters`);
		const asked = url.searchParams.get('before');
		const before = asked === null ? undefined : placeOf(asked);
		if (asked !== null && !before) refuse(400, 'bad-input', 'before: what `next` of a page said');
		const order = orderOf(url.searchParams.get('sort') ?? '-at');
		if (!order)
			refuse(400, 'bad-input', 'sort: at, length or arc; -at, -length, -arc: the most first');
		const most = wholeNumber(url, 'limit', LOG_PAGE, LOG_PAGE_MOST);
		const today = dayOf(new Date());
		return store().search.page(benchId, logQuery(text, today), most, before, order);
	});

import { dayOf } from '$lib/formats/days';
import { logQuery } from '$lib/formats/logQuery';
import { LOG_SHOWN } from '$lib/formats/bodies/records';
import { store } from '$lib/server/current';
import type { PageServerLoad } from './$types';

/** The first page of what the address asks for. */
export const load: PageServerLoad = async ({ url, parent }) => {
	const { workbench } = await parent();
	const text = (url.searchParams.get('q') ?? '').slice(0, 200);
	const today = dayOf(new Date());
	return {
		text,
		found: store().search.page(workbench.benchId, logQuery(text, today), LOG_SHOWN)
	};
};

import { DEFAULT_CUT } from '$lib/core';
import { store } from '$lib/server/current';
import { heavily } from '$lib/server/heavy/pool';
import type { LearntJob } from '$lib/server/heavy/work';
import { requestedInputs } from '$lib/server/planning';
import { answer, answered, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Lists that are looked back at, the newest. */
const LISTS_MOST = 12;

/** What the newest lists of a bench took: handling and failures by kind of item. */
export const GET: RequestHandler = ({ url }) =>
	answer(async () => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		const { dayLists } = store();
		const job: LearntJob = {
			base: requestedInputs(store(), { benchId, cut: DEFAULT_CUT }),
			lists: dayLists
				.ofBench(benchId)
				.map(({ id, list }) => ({ list, ticks: dayLists.ticks(id) }))
				.filter(({ ticks }) => ticks.length > 1)
				.slice(0, LISTS_MOST)
		};
		const body = new TextEncoder().encode(JSON.stringify(job));
		return answered(await heavily('learnt', body.buffer));
	});

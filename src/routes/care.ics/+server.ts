import { STOCK_NAMES } from '$lib/components/Wear/words';
import { caredFor } from '$lib/core/studies/caredFor';
import { careCalendar } from '$lib/formats/careCalendar';
import { store } from '$lib/server/current';
import { answer, file } from '$lib/server/respond';
import { withUse } from '$lib/server/shopping';
import type { RequestHandler } from './$types';

/** The shop's calendar: what is to be looked after, and when the last of a part goes. */
export const GET: RequestHandler = () =>
	answer(() => {
		const nowMs = Date.now();
		const benches = store()
			.benches.names()
			.flatMap(({ id }) => store().benches.find(id) ?? [])
			.map(({ id, bench: { name, air } }) => ({
				id,
				name,
				care: store().care.due(id, caredFor(air), nowMs),
				runsOut: store()
					.stock.ofBench(id)
					.filter(({ revision }) => revision > 0)
					.map((one) => withUse(one, nowMs))
					.flatMap(({ kind, drawer: { runsOutOn } }) =>
						runsOutOn === null ? [] : [{ part: STOCK_NAMES[kind], day: runsOutOn }]
					)
			}));
		return file(careCalendar(benches, nowMs), 'text/calendar; charset=utf-8', 'steady-arc.ics');
	});

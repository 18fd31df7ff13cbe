import { DEFAULT_CUT } from '$lib/core';
import { arcsOfPiece } from '$lib/core/list/inputs';
import { studyList } from '$lib/core/studies/list/run';
import { waysOf, type ListRun } from '$lib/core/studies/list/runTypes';
import { askedItems } from '$lib/formats/dayList';
import { dayOf } from '$lib/formats/days';
import { listCalendar } from '$lib/formats/listCalendar';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, file, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** More arcs are not planned while others wait: the file then tells the start alone. */
const ARCS_MOST = 400;
/** Where nobody knows how long it takes. */
const UNKNOWN_S = 3600;

/** From night to night. */
function daysOf({ breaks, endS }: ListRun): { fromS: number; toS: number }[] {
	const nights = breaks.filter(({ night }) => night);
	return [...nights, null].map((night, k) => ({
		fromS: nights[k - 1]?.onAtS ?? 0,
		toS: night?.fromS ?? endS
	}));
}

/** When the list runs, as a calendar file: `?day=2026-11-27`, else today by the server's clock. */
export const GET: RequestHandler = ({ params, url }) =>
	answer(() => {
		const { id, benchId, list } = store().dayLists.find(params.id) ?? unknown('list', params.id);
		const asked = url.searchParams.get('day') ?? '';
		const day =
			/^\d{4}-\d{2}-\d{2}$/.test(asked) && !Number.isNaN(Date.parse(asked))
				? asked
				: dayOf(new Date());
		const base = requestedInputs(store(), { benchId, cut: DEFAULT_CUT });
		const arcs = list.items.reduce((sum, item) => sum + item.pieces * arcsOfPiece(item), 0);
		const run =
			arcs > ARCS_MOST
				? null
				: studyList(base, list, askedItems(list, base.work), waysOf(list)).run;
		const text = listCalendar({
			id,
			name: list.name,
			bench: base.bench.name,
			day,
			startsAt: list.startsAt,
			spans: run && !('trouble' in run) ? daysOf(run) : [{ fromS: 0, toS: UNKNOWN_S }],
			words: list.items
				.slice(0, 40)
				.map(({ name, pieces }) => `${pieces} × ${name}`)
				.join('\n')
		});
		return file(text, 'text/calendar; charset=utf-8', 'days-list.ics');
	});

import { DEFAULT_CUT } from '$lib/core';
import { studyList } from '$lib/core/studies/list/run';
import { askedItems } from '$lib/formats/dayList';
import { listCalendar } from '$lib/formats/listCalendar';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, file, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** More arcs are not planned while others wait: the file then tells the start alone. */
const ARCS_MOST = 400;

/** When the list runs, as a calendar file: `?day=2026-11-27`, else today by the server's clock. */
export const GET: RequestHandler = ({ params, url }) =>
	answer(() => {
		const { id, benchId, list } = store().dayLists.find(params.id) ?? unknown('list', params.id);
		const asked = url.searchParams.get('day') ?? '';
		const day =
			/^\d{4}-\d{2}-\d{2}$/.test(asked) && !Number.isNaN(Date.parse(asked))
				? asked
				: new Date().toISOString().slice(0, 10);
		const base = requestedInputs(store(), { benchId, cut: DEFAULT_CUT });
		const arcs = list.items.reduce((sum, { pieces, linesEach }) => sum + pieces * linesEach, 0);
		const run =
			arcs > ARCS_MOST
				? null
				: studyList(base, list, askedItems(list, base.work), {
						order: list.order,
						handlingShare: 1,
						changeS: list.changeS
					}).run;
		const text = listCalendar({
			id,
			name: list.name,
			bench: base.bench.name,
			day,
			startsAt: list.startsAt,
			lastsS: run && !('trouble' in run) ? run.endS : null,
			words: list.items
				.slice(0, 40)
				.map(({ name, pieces }) => `${pieces} × ${name}`)
				.join('\n')
		});
		return file(text, 'text/calendar; charset=utf-8', 'days-list.ics');
	});

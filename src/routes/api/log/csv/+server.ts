import { csvLine, LOG_CSV_HEADER } from '$lib/formats/logCsv';
import { dayOf } from '$lib/formats/days';
import { logQuery } from '$lib/formats/logQuery';
import { store } from '$lib/server/current';
import { answer, file, unknown } from '$lib/server/respond';
import { streamed } from '$lib/server/streamed';
import type { RequestHandler } from './$types';

function* lines(benchId: string, text: string): Generator<string> {
	yield `${LOG_CSV_HEADER}\r\n`;
	const today = dayOf(new Date());
	for (const { at, entry, who, whatFor } of store().search.each(benchId, logQuery(text, today))) {
		yield `${csvLine({ at, entry, who: who ?? undefined, whatFor: whatFor ?? undefined })}\r\n`;
	}
}

/** What was found in the log of a bench, as CSV; sent as it is read. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		const { bench } = store().benches.find(benchId) ?? unknown('bench', benchId);
		const text = url.searchParams.get('q') ?? '';
		return file(streamed(lines(benchId, text)), 'text/csv; charset=utf-8', `${bench.name}-log.csv`);
	});

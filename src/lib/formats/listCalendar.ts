/** When a list runs, as an iCalendar file (RFC 5545): in no zone, by the clock of the shop. */
import ical from 'ical-generator';

export interface ListEvent {
	id: string;
	name: string;
	bench: string;
	/** Of the shop's own day, "2026-11-27" and "08:00". */
	day: string;
	startsAt: string;
	/** s from the start: one for each day. */
	spans: readonly { fromS: number; toS: number }[];
	words: string;
}

export function listCalendar({ id, name, bench, day, startsAt, spans, words }: ListEvent): string {
	const calendar = ical({
		name: 'Steady Arc: the day’s list',
		prodId: { company: 'Steady Arc', product: 'Steady Arc', language: 'EN' }
	});
	// A floating time: eight o'clock is eight o'clock wherever the file is read.
	const begin = Date.parse(`${day}T${startsAt}:00Z`);
	const floating = (ms: number) => new Date(ms + new Date(ms).getTimezoneOffset() * 60_000);
	for (const [k, { fromS, toS }] of spans.entries()) {
		const from = begin + 1000 * fromS;
		calendar.createEvent({
			id: `list-${id}${k === 0 ? '' : `-${k + 1}`}@steady-arc`,
			start: floating(from),
			end: floating(Math.max(from + 60_000, begin + 1000 * toS)),
			floating: true,
			summary: `${name}, ${bench}`,
			description: words
		});
	}
	return calendar.toString();
}

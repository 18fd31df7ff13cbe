/** When a list runs, as an iCalendar file (RFC 5545): in no zone, by the clock of the shop. */
import ical from 'ical-generator';

export interface ListEvent {
	id: string;
	name: string;
	bench: string;
	/** Of the shop's own day, "2026-11-27" and "08:00". */
	day: string;
	startsAt: string;
	/** s; null: nobody knows. */
	lastsS: number | null;
	words: string;
}

export function listCalendar({ id, name, bench, day, startsAt, lastsS, words }: ListEvent): string {
	const calendar = ical({
		name: 'Steady Arc: the day’s list',
		prodId: { company: 'Steady Arc', product: 'Steady Arc', language: 'EN' }
	});
	// A floating time: eight o'clock is eight o'clock wherever the file is read.
	const start = new Date(`${day}T${startsAt}:00Z`);
	const end = new Date(start.getTime() + 1000 * Math.max(60, lastsS ?? 3600));
	calendar.createEvent({
		id: `list-${id}@steady-arc`,
		start: new Date(start.getTime() + start.getTimezoneOffset() * 60_000),
		end: new Date(end.getTime() + end.getTimezoneOffset() * 60_000),
		floating: true,
		summary: `${name}, ${bench}`,
		description: words
	});
	return calendar.toString();
}

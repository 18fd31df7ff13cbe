/** What is to be looked after, and what to order, as an iCalendar file (RFC 5545). */
import ical, { ICalEventRepeatingFreq } from 'ical-generator';
import type { CareDue } from '$lib/core/care/care';
import { CARE_WORDS } from './careWords';
import { dayOf } from './days';

export interface CalendarBench {
	id: string;
	name: string;
	care: readonly CareDue[];
	/** Parts whose last one goes on a day. */
	runsOut: readonly { part: string; day: string }[];
}

/**
 * Whole days, in no zone: a drain is due wherever the calendar is read. What is late stands on today. An event
 * keeps its name (UID) for ever, so that a newer file takes the place of an older one.
 */
export function careCalendar(benches: readonly CalendarBench[], nowMs: number): string {
	const stamp = new Date(nowMs);
	const today = dayOf(stamp);
	const calendar = ical({
		name: 'Steady Arc: looking after the shop',
		prodId: { company: 'Steady Arc', product: 'Steady Arc', language: 'EN' }
	});
	for (const { id, name, care, runsOut } of benches) {
		for (const { kind, dueMs, everyDays } of care) {
			const { name: what, how } = CARE_WORDS[kind];
			const day = new Date(dueMs).toISOString().slice(0, 10);
			calendar.createEvent({
				id: `care-${kind}-${id}@steady-arc`,
				summary: `${what}, ${name}`,
				description: how,
				start: new Date(`${day < today ? today : day}T00:00:00Z`),
				allDay: true,
				stamp,
				repeating: { freq: ICalEventRepeatingFreq.DAILY, interval: everyDays }
			});
		}
		for (const { part, day } of runsOut) {
			calendar.createEvent({
				id: `runs-out-${part.toLowerCase().replace(/\W+/g, '-')}-${id}@steady-arc`,
				summary: `${part}: the last one goes about now, ${name}`,
				start: new Date(`${day < today ? today : day}T00:00:00Z`),
				allDay: true,
				stamp
			});
		}
	}
	// Lines for programs of one maker; a whole day says so by its date alone.
	return calendar.toString().replace(/^X-MICROSOFT-.*\r\n/gm, '');
}

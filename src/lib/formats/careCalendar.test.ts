import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { careDue } from '$lib/core/care/care';
import { careCalendar } from './careCalendar';

const NOW = Date.UTC(2026, 10, 26, 22, 40);
const due = (kind: 'drain' | 'filter', daysAgo: number, everyDays: number | null = null) =>
	careDue(
		kind,
		{ atMs: NOW - daysAgo * 24 * 3600 * 1000, everyDays, arcSinceH: 0 },
		{ nowMs: NOW, arcHPerDay: 0 }
	);

/** As another program reads it. */
function read(text: string) {
	const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
	return calendar.getAllSubcomponents('vevent').map((one) => {
		const event = new ICAL.Event(one);
		const rule = one.getFirstPropertyValue('rrule') as unknown as ICAL.Recur | null;
		return {
			uid: event.uid,
			summary: event.summary,
			day: event.startDate.toString(),
			allDay: event.startDate.isDate,
			every: rule && `${rule.freq} ${rule.interval}`
		};
	});
}

describe('the calendar of what is to be looked after', () => {
	const bench = {
		id: 'bay-2',
		name: 'Bay 2, gates; "wet", side\nslip',
		care: [due('drain', 4), due('filter', 100, 120)],
		runsOut: [{ part: 'Swirl ring', day: '2027-01-04' }]
	};

	it('is read by another program: whole days, their rhythm, a comma and a line break in a name', () => {
		const events = read(careCalendar([bench], NOW));
		expect(events).toEqual([
			{
				uid: 'care-drain-bay-2@steady-arc',
				summary: 'Drain the tank, Bay 2, gates; "wet", side\nslip',
				// Three days late: it stands on today.
				day: '2026-11-26',
				allDay: true,
				every: 'DAILY 1'
			},
			{
				uid: 'care-filter-bay-2@steady-arc',
				summary: 'Change the filter element, Bay 2, gates; "wet", side\nslip',
				day: '2026-12-16',
				allDay: true,
				every: 'DAILY 120'
			},
			{
				uid: 'runs-out-swirl-ring-bay-2@steady-arc',
				summary: 'Swirl ring: the last one goes about now, Bay 2, gates; "wet", side\nslip',
				day: '2027-01-04',
				allDay: true,
				every: null
			}
		]);
	});

	it('keeps the name of each event, so that a newer file takes the place of an older one', () => {
		const uids = (nowMs: number) => read(careCalendar([bench], nowMs)).map(({ uid }) => uid);
		expect(uids(NOW + 9e8)).toEqual(uids(NOW));
	});

	it('names nobody else’s program', () => {
		expect(careCalendar([bench], NOW)).not.toMatch(/MICROSOFT|GOOGLE|APPLE/i);
	});

	it('of a shop with nothing in it is a calendar all the same', () => {
		expect(read(careCalendar([], NOW))).toEqual([]);
	});
});

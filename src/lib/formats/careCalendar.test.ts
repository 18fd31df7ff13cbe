import ICAL from 'ical.js';
import { afterEach, describe, expect, it } from 'vitest';
import { careDue } from '$lib/core/care/care';
import { careCalendar } from './careCalendar';
import { dayMs } from './days';

const NOW = Date.UTC(2026, 10, 26, 22, 40);
const due = (kind: 'drain' | 'filter', daysAgo: number, everyDays: number | null = null) =>
	careDue(
		kind,
		{ atMs: NOW - daysAgo * 24 * 3600 * 1000, everyDays, arcSinceH: 0 },
		{ nowMs: NOW, arcHPerDay: 0, dayOf: dayMs }
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

afterEach(() => {
	process.env.TZ = 'UTC';
});

describe('the calendar of what is to be looked after', () => {
	it('stands on the day of the clock on the wall, where it is the next day already', () => {
		process.env.TZ = 'Asia/Tokyo';
		// Drained on the evening of the 26th in UTC, which is the morning of the 27th there: due on the 28th.
		const care = [due('drain', 0)];
		expect(care[0]).toMatchObject({ inDays: 1 });
		const [drain] = read(careCalendar([{ id: 'a', name: 'Bay 1', care, runsOut: [] }], NOW));
		expect(drain!.day).toBe('2026-11-28');
		// Two hours later by the clock it is done on the same day still.
		expect(due('drain', 1 / 24).inDays).toBe(1);
		process.env.TZ = 'America/New_York';
		expect(due('drain', 0.9).inDays).toBe(0);
	});

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

import { afterEach, describe, expect, it } from 'vitest';
import { dayAndTime, dayAndYear, dayOf, startOfDay } from './days';

const zone = process.env.TZ;
afterEach(() => {
	if (zone === undefined) delete process.env.TZ;
	else process.env.TZ = zone;
});

describe('a moment', () => {
	it('is told by the clock on the wall, in summer and in winter', () => {
		process.env.TZ = 'UTC';
		expect(dayAndTime('2026-11-24T11:20:00.000Z')).toBe('24 Nov 11:20');
		// UTC+1 in winter, UTC+2 in summer (time zone database).
		process.env.TZ = 'Europe/Amsterdam';
		expect(dayAndTime('2026-11-24T11:20:00.000Z')).toBe('24 Nov 12:20');
		expect(dayAndTime('2026-07-31T22:05:00Z')).toBe('1 Aug 00:05');
		// UTC−5 in winter.
		process.env.TZ = 'America/New_York';
		expect(dayAndTime('2026-01-01T02:03:00Z')).toBe('31 Dec 21:03');
	});
	it('that cannot be read stays as it was written', () => {
		expect(dayAndTime('last Tuesday')).toBe('last Tuesday');
	});
});

it('a day begins at midnight on the wall, also where the clocks were put forward', () => {
	process.env.TZ = 'Europe/Amsterdam';
	expect(startOfDay('2026-11-24')).toBe('2026-11-23T23:00:00.000Z');
	expect(startOfDay('2026-03-30')).toBe('2026-03-29T22:00:00.000Z');
	expect(dayOf(new Date('2026-11-23T23:00:00Z'))).toBe('2026-11-24');
	expect(dayOf(new Date('2026-11-23T22:59:59Z'))).toBe('2026-11-23');
	// No such day: nothing is found on it, and nothing breaks.
	expect(startOfDay('2026-02-31-x')).toBe('2026-02-31-x');
});

it('a day is the same day everywhere', () => {
	for (process.env.TZ of ['UTC', 'Pacific/Auckland', 'America/New_York'])
		expect(dayAndYear('2026-12-31'), process.env.TZ).toBe('31 Dec 2026');
	expect(dayAndYear('some day')).toBe('some day');
});

import { describe, expect, it } from 'vitest';
import type { ListRun } from '$lib/core/studies/list/runTypes';
import { AXIS_LEFT_PX, arcBars, axisOf, clockTicks, tracePath, traceRows } from './axis';

const HOUR = 3600;
const run = (over: Partial<ListRun>): ListRun => ({ items: [], breaks: [], ...over }) as ListRun;
const item = (...arcs: [number, number][]) =>
	({ arcs: arcs.map(([startS, endS]) => ({ startS, endS })) }) as ListRun['items'][number];
/** A night of 14 h from the sixth hour on. */
const NIGHT = { onAtS: 20 * HOUR, breakS: 14 * HOUR, night: true } as ListRun['breaks'][number];

describe('the axis of a list', () => {
	it('spans its width, and gives a night no room', () => {
		const { x, plot, openS, nights, pauses } = axisOf(
			run({ endS: 22 * HOUR, breaks: [NIGHT] }),
			1000
		);
		expect(openS).toBe(8 * HOUR);
		expect(x(0)).toBe(AXIS_LEFT_PX);
		expect(x(22 * HOUR)).toBeCloseTo(AXIS_LEFT_PX + plot, 9);
		// Before it and in it nothing moves on.
		expect(x(6 * HOUR)).toBeCloseTo(AXIS_LEFT_PX + (6 / 8) * plot, 9);
		expect(x(13 * HOUR)).toBeCloseTo(x(6 * HOUR), 9);
		expect(x(20 * HOUR)).toBeCloseTo(x(6 * HOUR), 9);
		expect([nights.length, pauses.length]).toEqual([1, 0]);
		// On a phone it is not drawn, and must not turn over.
		expect(axisOf(run({ endS: 60 }), 0).plot).toBeGreaterThan(0);
	});
	it('shows times of the clock as far apart as there is room, and none of the night', () => {
		const day = run({ endS: 22 * HOUR, breaks: [NIGHT] });
		const axis = axisOf(day, 1000);
		const ticks = clockTicks(day, axis);
		const places = ticks.map(axis.x);
		for (const [k, place] of places.slice(1).entries()) {
			// Two may stand at one place: the end of a day is the beginning of the next.
			if (place !== places[k]) expect(place - places[k]!).toBeGreaterThanOrEqual(71.9);
		}
		expect(ticks.filter((s) => s > 6 * HOUR && s < 20 * HOUR)).toEqual([]);
		expect(ticks).toContain(21 * HOUR);
		const week = run({ endS: 4000 * HOUR });
		expect(clockTicks(week, axisOf(week, 1000)).length).toBeLessThan(120);
	});
	it('draws arcs that touch as one bar, and the shortest as a pixel', () => {
		const work = run({ endS: 1000, items: [item([0, 100], [100.5, 200]), item([500, 500.01])] });
		const { x } = axisOf(work, AXIS_LEFT_PX + 8 + 500);
		const [first, second, ...more] = arcBars(work, x);
		expect(more).toEqual([]);
		expect(first).toEqual({ from: x(0), to: x(200) });
		expect(second!.to - second!.from).toBe(1);
	});
	it('has a row for what can stop, each with its worst; a bottle has no tank', () => {
		const trace = {
			timeS: [0, 1, 2],
			tankBar: [8, 6.2, 7],
			neededBar: 6,
			breaker: [0.1, 0.9, 0.4],
			cutterC: [30, 95, 60]
		};
		const rows = traceRows(trace);
		expect(rows.map(({ of, worst }) => [of, worst])).toEqual([
			['tank', 6.2],
			['breaker', 0.9],
			['heat', 95]
		]);
		for (const { values, stops } of rows) {
			expect(stops).toBeGreaterThan(0);
			expect(stops).toBeLessThan(1);
			expect(Math.max(...values)).toBeLessThanOrEqual(1);
		}
		// The tank stops below its line, the others above it.
		expect(rows[0]!.values.every((v) => v > rows[0]!.stops)).toBe(true);
		expect(rows[1]!.values.every((v) => v < rows[1]!.stops)).toBe(true);
		expect(traceRows({ ...trace, tankBar: null }).map(({ of }) => of)).toEqual(['breaker', 'heat']);
	});
	it('loses no dip where many arcs share a pixel, of a hundred thousand neither', () => {
		const many = 100_000;
		const values = Array.from({ length: many }, (_, k) => (k === 50_001 ? 0.1 : 0.9));
		const timeS = values.map((_, k) => k);
		const path = tracePath({ of: 'tank', values }, timeS, axisOf(run({ endS: many }), 1000), {
			topPx: 0,
			heightPx: 100
		});
		const heights = path
			.slice(1)
			.split('L')
			.map((point) => Number(point.split(' ')[1]));
		expect(heights.length).toBeLessThan(1000);
		expect(Math.max(...heights)).toBe(90);
		expect(heights.filter((y) => y === 90)).toHaveLength(1);
		expect(
			traceRows({ timeS, tankBar: values, neededBar: 0, breaker: values, cutterC: values })[0]
		).toMatchObject({ of: 'tank', worst: 0.1 });
	});
});

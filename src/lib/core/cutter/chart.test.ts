import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	chartGroups,
	chartSpeed,
	mergedRows,
	nearestPoint,
	nearestRow,
	risingRows,
	type Chart,
	type ChartRow
} from './chart';
import { curveAt, monotoneCurve } from './pchip';
import { outputPowerW } from './speed';

const row = (thicknessMm: number, speedMmS: number, over: Partial<ChartRow> = {}): ChartRow => ({
	metal: 'mild-steel',
	outputA: 45,
	nozzleA: 45,
	thicknessMm,
	speedMmS,
	pressureBar: null,
	standoffMm: null,
	kerfMm: null,
	pierceMm: null,
	pierceS: null,
	...over
});
const chartOf = (...rows: ChartRow[]): Chart => ({ hash: 'test', rows });
const at = (chart: Chart, thicknessMm: number, outputA = 45, nozzleA = 45) =>
	chartSpeed(chartGroups(chart, 'mild-steel'), { outputA, thicknessMm, nozzleA }, outputPowerW);

const STEEL = chartOf(row(3, 50), row(6, 22), row(12, 8));

describe('monotone interpolation', () => {
	const falling = fc
		.uniqueArray(fc.integer({ min: 1, max: 300 }), { minLength: 2, maxLength: 12 })
		.chain((x) =>
			fc.record({
				x: fc.constant([...x].sort((a, b) => a - b)),
				drops: fc.array(fc.double({ min: 0, max: 5, noNaN: true }), {
					minLength: x.length,
					maxLength: x.length
				})
			})
		)
		.map(({ x, drops }) => ({
			x,
			y: drops.map((_, i) => -drops.slice(0, i).reduce((s, d) => s + d, 0))
		}));

	it('passes through its points, never overshoots and never turns', () => {
		fc.assert(
			fc.property(falling, fc.double({ min: 0, max: 1, noNaN: true }), ({ x, y }, share) => {
				const curve = monotoneCurve(x, y);
				x.forEach((xi, i) => expect(curveAt(curve, xi)).toBeCloseTo(y[i]!, 9));
				for (let i = 1; i < x.length; i++) {
					const a = x[i - 1]! + share * (x[i]! - x[i - 1]!);
					const value = curveAt(curve, a);
					expect(value).toBeLessThanOrEqual(y[i - 1]! + 1e-9);
					expect(value).toBeGreaterThanOrEqual(y[i]! - 1e-9);
					expect(curveAt(curve, a + 1e-3)).toBeLessThanOrEqual(value + 1e-9);
				}
			})
		);
	});

	it('holds one point level and joins two by a straight line', () => {
		expect(curveAt(monotoneCurve([2], [7]), 5)).toBe(7);
		expect(curveAt(monotoneCurve([0, 10], [0, 5]), 4)).toBeCloseTo(2, 12);
	});
});

describe('the cut chart', () => {
	it('gives its own rows back, and something between for a thickness between', () => {
		expect(at(STEEL, 6)!.speedMmS).toBeCloseTo(22, 9);
		const between = at(STEEL, 8)!.speedMmS;
		expect(between).toBeLessThan(22);
		expect(between).toBeGreaterThan(8);
	});

	it('is never stretched: thinner, thicker, more amps or another nozzle find nothing', () => {
		expect(at(STEEL, 2.9)).toBeUndefined();
		expect(at(STEEL, 12.1)).toBeUndefined();
		expect(at(STEEL, 6, 50)).toBeUndefined();
		expect(at(STEEL, 6, 30)).toBeUndefined();
		expect(at(STEEL, 6, 45, 30)).toBeUndefined();
		expect(chartGroups(STEEL, 'copper')).toEqual([]);
	});

	it('goes between two amps of one nozzle by arc power, not by amps', () => {
		const chart = chartOf(row(6, 20, { outputA: 45 }), row(6, 10, { outputA: 35 }));
		const weight = (outputPowerW(40) - outputPowerW(35)) / (outputPowerW(45) - outputPowerW(35));
		expect(at(chart, 6, 40)!.speedMmS).toBeCloseTo(10 + 10 * weight, 9);
		expect(weight).not.toBeCloseTo(0.5, 3);
	});

	it('steps where the nozzle changes: rows of the other nozzle have no say', () => {
		const both = chartOf(...STEEL.rows, row(6, 60, { nozzleA: 30 }), row(3, 99, { nozzleA: 30 }));
		expect(at(both, 6)!.speedMmS).toBeCloseTo(22, 9);
		expect(at(both, 6, 45, 30)!.speedMmS).toBeCloseTo(60, 9);
	});

	it('takes rows without a nozzle for every nozzle, and the mean of two equal ones', () => {
		const chart = chartOf(row(6, 20, { nozzleA: null }), row(6, 24.2, { nozzleA: null }));
		expect(at(chart, 6, 45, 30)!.speedMmS).toBeCloseTo(Math.sqrt(20 * 24.2), 9);
	});

	it('falls with thickness inside a group whose rows fall', () => {
		fc.assert(
			fc.property(fc.double({ min: 3, max: 11.5, noNaN: true }), (mm) => {
				expect(at(STEEL, mm + 0.4)!.speedMmS).toBeLessThan(at(STEEL, mm)!.speedMmS);
			})
		);
	});

	it('lends kerf and pressure from a row close by only', () => {
		const chart = chartOf(row(6, 22, { kerfMm: 1.4 }));
		const near = (thicknessMm: number) =>
			nearestRow(chart, { metal: 'mild-steel', outputA: 45, thicknessMm, nozzleA: 45 })?.kerfMm;
		expect(near(6.5)).toBe(1.4);
		expect(near(12)).toBeUndefined();
	});

	it('takes new rows in place of the same ones and keeps the others', () => {
		const all = mergedRows(STEEL.rows, [row(6, 25), row(8, 15)]);
		expect(all.map((r) => [r.thicknessMm, r.speedMmS])).toEqual([
			[3, 50],
			[12, 8],
			[6, 25],
			[8, 15]
		]);
		expect(mergedRows([], STEEL.rows)).toEqual(STEEL.rows);
	});

	it('tells its nearest point for this nozzle when something lies outside', () => {
		const groups = chartGroups(STEEL, 'mild-steel');
		const point = nearestPoint(groups, { outputA: 40, thicknessMm: 20, nozzleA: 45 })!;
		expect(point.outputA).toBe(45);
		expect(point.thicknessMm).toBeCloseTo(12, 9);
		expect(point.speedMmS).toBeCloseTo(8, 9);
		expect(point.far).toBeCloseTo(Math.log(45 / 40) + Math.log(20 / 12), 9);
		expect(nearestPoint(groups, { outputA: 40, thicknessMm: 6, nozzleA: 30 })).toBeUndefined();
	});

	it('names rows whose speed rises with thickness inside their group only', () => {
		const rows = [row(6, 22), row(3, 10), row(8, 30, { outputA: 30 }), row(12, 8)];
		expect(risingRows(rows)).toEqual([0]);
		expect(risingRows(STEEL.rows)).toEqual([]);
	});
});

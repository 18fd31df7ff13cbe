import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chartReach, mergedRows, nearestRow, nearRows, risingRows } from './chart';
import { type Chart, type ChartRow } from './chartSchema';
import { speedLaw } from './speedLaw';

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
/** Travel by the law on an ordinary 45 A machine, mm/s. */
const at = (chart: Chart, thicknessMm: number, outputA = 45, nozzleA = 45) => {
	const rows = nearRows(chart, { metal: 'mild-steel', nozzleA, outputA, thicknessMm });
	const law = speedLaw({
		metal: { capacity: 1, thinSpeed: 1 },
		nozzleA,
		ratings: [{ nozzleA: 45, outputA: 45, cleanMm: 12, severMm: 22 }],
		chart: rows,
		readings: []
	});
	return law.at({ outputA, thicknessMm }).referenceMmMin / 60;
};
const reach = (chart: Chart, thicknessMm: number, outputA = 45, nozzleA = 45) =>
	chartReach(chart, { metal: 'mild-steel', nozzleA, outputA, thicknessMm });

const STEEL = chartOf(row(3, 50), row(6, 22), row(12, 8));

describe('the cut chart', () => {
	it('gives its own rows back to a hundredth, and something between for a thickness between', () => {
		for (const { thicknessMm, speedMmS } of STEEL.rows) {
			expect(Math.abs(at(STEEL, thicknessMm) / speedMmS - 1)).toBeLessThan(0.01);
		}
		expect(at(STEEL, 8)).toBeLessThan(22);
		expect(at(STEEL, 8)).toBeGreaterThan(8);
	});

	it('says where it does not reach: thinner, thicker, more amps, another nozzle, another metal', () => {
		expect(reach(STEEL, 6)).toBe('inside');
		for (const [mm, amps] of [
			[2.9, 45],
			[12.1, 45],
			[6, 50],
			[6, 30]
		] as const)
			expect(reach(STEEL, mm, amps)).toBe('outside');
		expect(reach(STEEL, 6, 45, 30)).toBe('outside');
		expect(chartReach(STEEL, { metal: 'copper', nozzleA: 45, outputA: 45, thicknessMm: 6 })).toBe(
			'none'
		);
		expect(chartReach(null, { metal: 'copper', nozzleA: 45, outputA: 45, thicknessMm: 6 })).toBe(
			'none'
		);
	});

	it('pulls less the further off, and hardly at all on another nozzle', () => {
		const slow = chartOf(...STEEL.rows.map((r) => ({ ...r, speedMmS: r.speedMmS * 0.7 })));
		const empty = chartOf();
		const pull = (mm: number, nozzleA = 45) =>
			Math.log(at(slow, mm, nozzleA, nozzleA) / at(empty, mm, nozzleA, nozzleA));
		expect(pull(6)).toBeLessThan(-0.3);
		expect(pull(1)).toBeGreaterThan(pull(3));
		expect(pull(6, 30)).toBe(0);
	});

	it('lies between two amps of one nozzle', () => {
		const chart = chartOf(row(6, 24, { outputA: 45 }), row(6, 16, { outputA: 35 }));
		expect(at(chart, 6, 40)).toBeGreaterThan(16);
		expect(at(chart, 6, 40)).toBeLessThan(24);
	});

	it('takes rows without a nozzle for every nozzle, and lies between two that differ', () => {
		const chart = chartOf(row(6, 20, { nozzleA: null }), row(6, 24.2, { nozzleA: null }));
		expect(at(chart, 6, 45, 30)).toBeCloseTo(Math.sqrt(20 * 24.2), 0);
	});

	it('falls with thickness inside a group whose rows fall', () => {
		fc.assert(
			fc.property(fc.double({ min: 3, max: 11.5, noNaN: true }), (mm) => {
				expect(at(STEEL, mm + 0.4)).toBeLessThan(at(STEEL, mm));
			})
		);
	});

	it('reads a long chart by the rows around the place alone, without a jump where they change', () => {
		const long = chartOf(
			...Array.from({ length: 200 }, (_, i) => 1 + i * 0.1).flatMap((mm) =>
				[30, 35, 40, 45].map((outputA) =>
					row(mm, 60 * (outputA / 45) ** 1.5 * mm ** -1.2, { outputA })
				)
			)
		);
		const rows = nearRows(long, {
			metal: 'mild-steel',
			nozzleA: 45,
			outputA: 42,
			thicknessMm: 6.04
		});
		// Of each amps beside, three on either side: 5.8 to 6.3 mm.
		expect(rows.map(({ outputA }) => outputA)).toEqual(
			[35, 40, 45].flatMap((outputA) => Array<number>(6).fill(outputA))
		);
		expect(rows.slice(0, 6).map((one) => Number(one.thicknessMm.toFixed(1)))).toEqual([
			5.8, 5.9, 6, 6.1, 6.2, 6.3
		]);
		for (let mm = 2; mm < 12; mm += 0.03) {
			expect(Math.abs(Math.log(at(long, mm + 0.03, 42) / at(long, mm, 42)))).toBeLessThan(0.05);
		}
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

	it('names rows whose speed rises with thickness inside their group only', () => {
		const rows = [row(6, 22), row(3, 10), row(8, 30, { outputA: 30 }), row(12, 8)];
		expect(risingRows(rows)).toEqual([0]);
		expect(risingRows(STEEL.rows)).toEqual([]);
	});
});

describe('speeds that rise with thickness', () => {
	const at = (
		metal: ChartRow['metal'],
		nozzleA: number | null,
		outputA: number,
		mm: number,
		v: number
	) => ({ metal, nozzleA, outputA, thicknessMm: mm, speedMmS: v }) as ChartRow;
	it('are found in their own group, in whatever order the rows were typed', () => {
		const rows = [
			at('stainless', 45, 45, 6, 10),
			at('mild-steel', 45, 45, 6, 30),
			at('mild-steel', null, 45, 4, 20),
			at('mild-steel', 45, 30, 4, 15),
			at('stainless', 45, 45, 4, 12),
			at('mild-steel', 65, 45, 4, 9),
			at('mild-steel', 45, 45, 4, 25),
			at('mild-steel', 65, 45, 6, 8),
			at('mild-steel', null, 45, 6, 18),
			at('mild-steel', 45, 30, 6, 12)
		];
		// Only 6 mm at 30 mm/s after 4 mm at 25 mm/s, of the same metal, nozzle and amps.
		expect(risingRows(rows)).toEqual([1]);
		expect(risingRows([...rows].reverse())).toEqual([8]);
	});
});

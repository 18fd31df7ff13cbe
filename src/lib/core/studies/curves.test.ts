import { expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { chartHash, type ChartRow } from '../index';
import { speedCurves } from './curves';

/** As far as the chart on Setup reads it. */
const row = (thicknessMm: number, speedMmS: number) =>
	({ metal: 'mild-steel', outputA: 45, nozzleA: 45, thicknessMm, speedMmS }) as ChartRow;

it('the chart on Setup ends the law at what the cutter is rated for: 500 mm/min clean, 125 severed', () => {
	// Travel by which cutters are rated (common practice): about 20 and 5 inches a minute.
	const { ratings, at, curves } = speedCurves(inputsOf());
	expect(ratings.map(({ speedMmS }) => Math.round(60 * speedMmS))).toEqual([500, 125]);
	expect(ratings[1]!.thicknessMm).toBeGreaterThan(ratings[0]!.thicknessMm);
	expect(curves.filter(({ chosen }) => chosen)).toHaveLength(1);
	expect(at.speedMmS).toBeGreaterThan(0);
});

it('the chart on Setup shows the rows of the shop’s own cut chart as they were typed', () => {
	const rows = [row(4, 45), row(8, 20)];
	const { chartRows } = speedCurves(inputsOf({ chart: { hash: chartHash(rows), rows } }));
	expect(chartRows).toEqual([
		{ thicknessMm: 4, speedMmS: 45, outputA: 45 },
		{ thicknessMm: 8, speedMmS: 20, outputA: 45 }
	]);
	expect(speedCurves(inputsOf()).chartRows).toEqual([]);
	// Another metal's rows are another law's.
	const stainless = rows.map((one): ChartRow => ({ ...one, metal: 'stainless' }));
	const both = [...stainless, ...rows];
	const shown = speedCurves(inputsOf({ chart: { hash: chartHash(both), rows: both } })).chartRows;
	expect(shown).toEqual(chartRows);
});

import { expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { chartHash, type ChartRow } from '../index';
import { speedCurves } from './curves';

/** As far as the chart on Setup reads it. */
const row = (thicknessMm: number, speedMmS: number) =>
	({ metal: 'mild-steel', outputA: 45, nozzleA: 45, thicknessMm, speedMmS }) as ChartRow;

it('the chart on Setup shows the rows of the shop’s own cut chart as they were typed', () => {
	const rows = [row(4, 45), row(8, 20)];
	const { chartRows } = speedCurves(inputsOf({ chart: { hash: chartHash(rows), rows } }));
	expect(chartRows).toEqual([
		{ thicknessMm: 4, speedMmS: 45, outputA: 45 },
		{ thicknessMm: 8, speedMmS: 20, outputA: 45 }
	]);
	expect(speedCurves(inputsOf()).chartRows).toEqual([]);
});

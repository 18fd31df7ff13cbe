import { expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { chartHash, type ChartRow } from '../index';
import { speedCurves } from './curves';

const row = (thicknessMm: number, speedMmS: number): ChartRow => ({
	metal: 'mild-steel',
	outputA: 45,
	nozzleA: 45,
	thicknessMm,
	speedMmS,
	pressureBar: null,
	kerfMm: null,
	standoffMm: null,
	pierceMm: null,
	pierceS: null
});

it('the chart on Setup shows the rows of the shop’s own cut chart as they were typed', () => {
	const rows = [row(4, 45), row(8, 20)];
	const { chartRows } = speedCurves(inputsOf({ chart: { hash: chartHash(rows), rows } }));
	expect(chartRows).toEqual([
		{ thicknessMm: 4, speedMmS: 45, outputA: 45 },
		{ thicknessMm: 8, speedMmS: 20, outputA: 45 }
	]);
	expect(speedCurves(inputsOf()).chartRows).toEqual([]);
});

import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { METAL_IDS, type ChartRow } from '$lib/core';
import {
	chartCsv,
	CHART_BYTES_MOST,
	guessMapping,
	neutral,
	readChartCsv,
	unitOfColumn
} from './chartCsv';
import { CHART_SPEC } from './chartFields';

/** Numbers as people write them, to a thousandth. */
const number = (min: number, max: number) =>
	fc.integer({ min: min * 1000, max: max * 1000 }).map((n) => n / 1000);
const maybe = (min: number, max: number) => fc.option(number(min, max));
const anyRow: fc.Arbitrary<ChartRow> = fc.record({
	metal: fc.constantFrom(...METAL_IDS),
	outputA: number(5, 500),
	nozzleA: maybe(5, 500),
	thicknessMm: number(0.2, 100),
	speedMmS: number(0.2, 500),
	pressureBar: maybe(0.5, 15),
	standoffMm: maybe(0, 20),
	kerfMm: maybe(0.2, 10),
	pierceMm: maybe(0, 30),
	pierceS: maybe(0, 30)
});
const messages = (text: string) =>
	readChartCsv(text).messages.map((m) => `${m.row} ${m.column} ${m.kind}: ${m.text}`);
const HEADER = 'metal,amps,thickness (mm),speed (mm/s)';

describe('a chart as CSV', () => {
	it('comes back as it went out', () => {
		fc.assert(
			fc.property(fc.array(anyRow, { minLength: 1, maxLength: 20 }), (rows) => {
				const reading = readChartCsv(chartCsv(rows));
				expect(reading.messages.filter((m) => m.kind === 'error')).toEqual([]);
				expect(reading.rows).toHaveLength(rows.length);
				reading.rows.forEach((row, i) => {
					for (const [key, value] of Object.entries(rows[i]!)) {
						const back = row[key as keyof ChartRow];
						if (typeof value === 'number') expect(back).toBeCloseTo(value, 9);
						else expect(back).toBe(value);
					}
				});
			})
		);
	});

	it('never throws, whatever the text, and every row it takes is inside what is accepted', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 400 }), (text) => {
				for (const whole of [text, `${HEADER}\n${text}`]) {
					const reading = readChartCsv(whole);
					expect(reading.rows.length + reading.messages.length).toBeGreaterThan(0);
					for (const row of reading.rows) {
						expect(row.speedMmS).toBeGreaterThanOrEqual(0.2);
						expect(row.thicknessMm).toBeLessThanOrEqual(100);
					}
				}
			})
		);
	});

	it.each([
		['bay-2-chart.csv', 24],
		['trolley-chart.csv', 8]
	])('reads the demo file %s without a word', (file, rows) => {
		const text = readFileSync(new URL(`../../../scripts/demo/${file}`, import.meta.url), 'utf8');
		const reading = readChartCsv(text);
		expect(reading.messages).toEqual([]);
		expect(reading.rows).toHaveLength(rows);
	});
});

describe('units, commas and headers', () => {
	it('takes the unit of the header, and that of a cell before it', () => {
		const text =
			'Material,Current (A),Plate (in),Feed (ipm)\nmild steel,45,1/4,47.24\nss,45,6mm,20 mm/s';
		const [a, b] = readChartCsv(text).rows;
		expect(a!.thicknessMm).toBeCloseTo(6.35, 9);
		// 47.24 in/min × 25.4 / 60.
		expect(a!.speedMmS).toBeCloseTo((47.24 * 25.4) / 60, 9);
		expect(b).toMatchObject({ metal: 'stainless', thicknessMm: 6, speedMmS: 20 });
	});

	it('reads mm/min, m/min, psi and gauge of the row’s own metal', () => {
		const text =
			'metal;amps;thickness;speed (mm/min);pressure [psi]\naluminium;45;16 ga;1200;80\nmild steel;45;16 ga;1200;80';
		const [aluminium, steel] = readChartCsv(text).rows;
		// Brown & Sharpe 16 is 0.0508 in, Manufacturers' Standard 16 is 0.0598 in.
		expect(aluminium!.thicknessMm).toBeCloseTo(0.0508 * 25.4, 2);
		expect(steel!.thicknessMm).toBeCloseTo(0.0598 * 25.4, 2);
		expect(steel!.speedMmS).toBeCloseTo(20, 9);
		expect(steel!.pressureBar).toBeCloseTo(5.516, 3);
	});

	it('reads a byte-order mark, decimal commas, blank rows and a column of remarks', () => {
		const reading = readChartCsv(
			'\uFEFFmetal;amps;thickness (mm);speed (mm/s);remarks\r\n\r\nmild steel;45;3,5;41,5;fine\r\n;;;;\r\n'
		);
		expect(reading.rows).toMatchObject([{ thicknessMm: 3.5, speedMmS: 41.5 }]);
		expect(reading.unused).toEqual(['remarks']);
		expect(reading.messages).toEqual([]);
	});

	it('keeps pierce height, pierce time and stand-off apart', () => {
		const mapping = guessMapping([
			'Metal',
			'Amps',
			'Thickness (mm)',
			'Speed (mm/s)',
			'Pierce height (mm)',
			'Pierce time (s)',
			'Torch height (mm)',
			'Nozzle (A)'
		]);
		expect(mapping).toMatchObject({
			pierceMm: { column: 4 },
			pierceS: { column: 5 },
			standoffMm: { column: 6 },
			nozzleA: { column: 7, unit: 'a' }
		});
	});

	it('a column taken by hand brings the unit of its own header', () => {
		expect(unitOfColumn('Vorschub (mm/min)', 'speedMmS')).toBe('mm/min');
		expect(unitOfColumn('Vorschub', 'speedMmS')).toBe('mm/s');
		const text = 'metal,amps,thickness (mm),Vorschub (mm/min)\nmild steel,45,6,1200';
		const mapping = {
			...guessMapping(['metal', 'amps', 'thickness (mm)']),
			speedMmS: { column: 3, unit: unitOfColumn('Vorschub (mm/min)', 'speedMmS') }
		};
		expect(readChartCsv(text, mapping).rows[0]!.speedMmS).toBeCloseTo(20, 9);
		for (const unit of CHART_SPEC.speedMmS.units!) {
			const at = { ...mapping, speedMmS: { column: 3, unit } };
			expect(readChartCsv(text.replace('1200', '20'), at).messages, unit).toEqual([]);
		}
	});

	it('takes a mapping that a person corrected before its own guess', () => {
		const text = 'a,b,c,d\nmild steel,45,6,22';
		expect(readChartCsv(text).rows).toEqual([]);
		const mapping = {
			metal: { column: 0, unit: '' },
			outputA: { column: 1, unit: 'a' },
			thicknessMm: { column: 2, unit: 'mm' },
			speedMmS: { column: 3, unit: 'mm/s' }
		};
		expect(readChartCsv(text, mapping).rows).toMatchObject([{ outputA: 45, thicknessMm: 6 }]);
	});
});

describe('bad charts are refused or questioned with the row named', () => {
	it.each([
		[
			'no speed column',
			'metal,amps,thickness\nmild steel,45,6',
			'1 Speed error: no column for speed'
		],
		['nothing', '', '0  error: There is no table in it'],
		['a header alone', HEADER, '0  error: There is no table in it'],
		['a metal nobody knows', `${HEADER}\ncheese,45,6,22`, '2 Metal error: a metal is wanted'],
		['a missing speed', `${HEADER}\nmild steel,45,6,`, '2 Speed error: nothing in this cell'],
		['a word', `${HEADER}\n\nmild steel,45,six,22`, '3 Thickness error'],
		[
			'an absurd speed',
			`${HEADER}\nmild steel,45,6,9000`,
			'2 Speed error: 0.2 to 500 mm/s is accepted, got 9000'
		],
		['amps of a welder of ships', `${HEADER}\nmild steel,9999,6,22`, '2 Amps error: 5 to 500 A'],
		['a formula', `${HEADER}\nmild steel,45,6,=A1*2`, '2 Speed error: a formula, not a value'],
		['a negative', `${HEADER}\nmild steel,45,-6,22`, '2 Thickness error'],
		[
			'speed that rises with thickness',
			`${HEADER}\nmild steel,45,6,22\nmild steel,45,8,30`,
			'3 Speed question: faster than the thinner plate above it'
		],
		[
			'a row given twice',
			`${HEADER}\nmild steel,45,6,22\nmild steel,45,6,23`,
			'3 Thickness question: the same metal, nozzle, amps and thickness as row 2'
		]
	])('%s', (_, text, told) => {
		expect(
			messages(text).some((m) => m.startsWith(told)),
			messages(text).join('\n')
		).toBe(true);
	});

	it('keeps the good rows beside the bad ones', () => {
		const { rows, rowNumbers } = readChartCsv(
			`${HEADER}\nmild steel,45,6,22\nmild steel,45,x,22\nmild steel,45,8,15`
		);
		expect(rows).toHaveLength(2);
		expect(rowNumbers).toEqual([2, 4]);
	});

	it('does not read 50 MB, and stops at ten thousand rows', () => {
		expect(messages('x'.repeat(CHART_BYTES_MOST + 1))[0]).toContain('at most 5 MB');
		const many = Array.from(
			{ length: 10_050 },
			(_, i) => `mild steel,45,${(1 + i * 0.001).toFixed(3)},${(90 - i * 0.005).toFixed(3)}`
		);
		const reading = readChartCsv([HEADER, ...many].join('\n'));
		expect(reading.rows).toHaveLength(10_000);
		expect(reading.messages.map((m) => m.text).join()).toContain('More than 10000 rows');
	});

	it('gives at most two hundred messages and says how many more', () => {
		const bad = Array.from({ length: 300 }, () => 'mild steel,45,6,').join('\n');
		const told = messages(`${HEADER}\n${bad}`);
		expect(told).toHaveLength(201);
		expect(told.at(-1)).toContain('and 100 more');
	});

	it('writes nothing that a spreadsheet would run', () => {
		for (const cell of ['=1+1', '+1', '-1', '@x', '\tx']) expect(neutral(cell)).toBe(`'${cell}`);
		expect(neutral('mild steel')).toBe('mild steel');
		expect(Papa.parse(chartCsv([])).data[0]).toContain('thickness (mm)');
	});
});

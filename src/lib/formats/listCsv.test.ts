import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { DayListSchema } from '../core/list/inputs';
import { askedItems } from './dayList';
import { readListCsv } from './listCsv';

const read = (text: string) => readListCsv(text, { bench: BAY_2, benchId: 'bay', prefix: 'f-' });

describe('a cut list from a file', () => {
	it('is read with its units, whatever the order of the columns', () => {
		const { items, messages } = read(
			'Part;Qty;Material;Thickness (in);Cut length (mm);Cuts each;Handling (s);Area (cm2)\nBar;24;mild steel;1/4;60,5;1;40;96\nPlate;16;Inox;0.25;300;4;;\n'
		);
		expect(messages).toEqual([]);
		expect(items).toMatchObject([
			{ name: 'Bar', pieces: 24, linesEach: 1, handlingS: 40, areaMm2: 9600 },
			{ name: 'Plate', pieces: 16, linesEach: 4, handlingS: null, areaMm2: null }
		]);
		const [bar, plate] = askedItems({ items }, BAY_2.usual);
		expect(bar!.cut).toMatchObject({ metal: 'mild-steel', lengthMm: 60.5 });
		expect(bar!.cut.thicknessMm).toBeCloseTo(6.35, 2);
		expect(plate!.cut).toMatchObject({ metal: 'stainless', lengthMm: 300 });
		expect(plate!.cut.thicknessMm).toBeCloseTo(6.35, 2);
	});

	it('asks about a row by its number, and takes the others', () => {
		const { items, messages } = read(
			'name,metal,thickness (mm),length (mm),pieces\nA,steel,6,300,4\nB,unobtainium,6,300,4\nC,steel,six,300,4\nD,steel,6,300,0\nE,steel,6,,2\n,,,,\nF,steel,6,300,two\n'
		);
		expect(items.map(({ name }) => name)).toEqual(['A']);
		expect(messages.map(({ row }) => row)).toEqual([3, 4, 5, 6, 8]);
		expect(messages.map(({ text }) => text).join(' ')).toMatch(
			/unobtainium.*six.*pieces.*Length.*two/s
		);
	});

	it('says what is missing from a file that is none', () => {
		expect(read('').messages[0]!.text).toContain('no table');
		expect(read('a,b\n1,2\n').messages[0]!.text).toMatch(/thickness, length, pieces/);
		expect(read('thickness,length,pieces\n,,\n').messages[0]!.text).toContain('only empty rows');
		expect(
			read(`thickness,length,pieces\n${'6,300,1\n'.repeat(200_000)}`).messages[0]!.text
		).toContain('larger');
		const many = read(`thickness,length,pieces\n${'6,300,1\n'.repeat(700)}`);
		expect(many.items).toHaveLength(500);
		expect(many.messages[0]!.text).toContain('500');
	});

	it('property: whatever comes, what is taken is a list, and nothing is thrown', () => {
		const cell = fc.oneof(
			fc.string({ maxLength: 12 }),
			fc.constantFrom('6', '300', '-1', '1e9', '=1+1', '"', 'steel', '1/4', '∞')
		);
		fc.assert(
			fc.property(
				fc.array(fc.array(cell, { minLength: 5, maxLength: 5 }), { maxLength: 6 }),
				(rows) => {
					const text = [
						'name,metal,thickness,length,pieces',
						...rows.map((row) => row.join(','))
					].join('\n');
					const { items } = read(text);
					expect(v.safeParse(DayListSchema, { name: 'x', items }).success).toBe(true);
				}
			)
		);
	});
});

import fc from 'fast-check';
import { unit } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { DomainError } from './errors';
import { say, sayFreeAir } from './format';
import { plateToCheck, sayToCheck } from './toCheck';
import { GAUGE_RANGE, gaugeFromThicknessIn, thicknessInFromGauge, type GaugeTable } from './gauge';
import { parseQuantity, type ParseContext } from './parse';
import { UNIT_SYSTEMS } from './systems';
import { ACCEPTED, CORE_UNIT, type Quantity } from './units';

const read = (text: string, quantity: Quantity, more: Partial<ParseContext> = {}) =>
	parseQuantity(text, { quantity, units: 'metric', ...more });

describe('what people type', () => {
	it.each([
		['6', 'thickness', 6],
		['6mm', 'thickness', 6],
		['6,5 mm', 'thickness', 6.5],
		['1/4', 'thickness', 6.35],
		['1/4"', 'thickness', 6.35],
		['1/4 in', 'thickness', 6.35],
		['1 1/4"', 'thickness', 31.75],
		['1-1/4 inch', 'thickness', 31.75],
		['1¼″', 'thickness', 31.75],
		['0.25"', 'thickness', 6.35],
		['.25 in', 'thickness', 6.35],
		['85 psi', 'pressure', 5.860543699],
		['5.5', 'pressure', 5.5],
		['5 cfm', 'flow', 141.58423296],
		['170', 'flow', 170],
		['10 m³/h', 'flow', 166.6666667],
		['25 ft', 'run', 7.62],
		["25'", 'run', 7.62],
		['20 ipm', 'speed', 8.4666667],
		['1325 mm/min', 'speed', 22.0833333],
		['2 min', 'time', 120],
		['70 °F', 'temperature', 21.1111111],
		['35 %', 'share', 0.35],
		['0.45 Ω', 'resistance', 0.45],
		['20 gal', 'volume', 75.70823568],
		// By NIST SP 811: a foot is 0.3048 m, a pound 0.45359237 kg, both exactly.
		['0.68 a pound', 'perMass', 1.4991434],
		['1.5 per kg', 'perMass', 1.5],
		['1 a foot', 'perLength', 3.2808399]
	] as const)('%s as %s', (text, quantity, expected) => {
		expect(read(text, quantity)).toBeCloseTo(expected, 6);
	});

	it('takes bare numbers in the units of the device', () => {
		expect(read('0.25', 'thickness', { units: 'imperial' })).toBeCloseTo(6.35);
		expect(read('80', 'pressure', { units: 'imperial' })).toBeCloseTo(5.5158, 3);
	});

	it('reads a gauge by the metal’s own table', () => {
		const gauge = (table: GaugeTable) => read('16 ga', 'thickness', { gauge: table });
		expect(gauge('steel')).toBeCloseTo(1.519, 3);
		expect(gauge('stainless')).toBeCloseTo(1.5875, 3);
		expect(gauge('galvanized')).toBeCloseTo(1.613, 3);
		expect(gauge('brown-sharpe')).toBeCloseTo(1.29, 2);
		expect(read('#16', 'thickness', { gauge: 'steel' })).toBeCloseTo(1.519, 3);
	});

	it.each([
		['', 'thickness', 'nothing'],
		['six', 'thickness', 'such as 6 mm, 1/4" or 16 ga'],
		['1/0', 'thickness', 'such as 6 mm'],
		['12 bar', 'run', 'a value in mm, cm, m'],
		['3 gauge', 'thickness', 'gauge 7 to 24'],
		['6 constructor', 'thickness', 'a value in mm'],
		['5 mm', 'current', 'a value in A, mA'],
		['5 mm', 'voltage', 'V, mV, kV'],
		['5 mm', 'resistance', 'Ω, mΩ'],
		['5 mm', 'apparentPower', 'VA, kVA'],
		['5 mm', 'power', 'W, kW, hp'],
		['5 mm', 'pressure', 'bar, psi, kPa, MPa'],
		['5 mm', 'flow', 'l/min, lpm, l/s, m³/h, m³/min, CFM'],
		['5 mm', 'volume', 'l, gal, m³, ft³'],
		['5 mm', 'area', 'mm², in²'],
		['5 mm', 'heat', 'kJ/m, kJ/mm, kJ/in'],
		['5 mm', 'kelvin', 'K'],
		['2 an hour', 'perMass', 'a number, a kilogram or a pound'],
		['much', 'perLength', 'such as 12 a metre']
	] as const)('refuses "%s" as %s with what is accepted', (text, quantity, told) => {
		const attempt = () => read(text, quantity, { gauge: 'steel' });
		expect(attempt).toThrow(DomainError);
		expect(attempt).toThrow(told);
	});

	it('never gives NaN or throws anything but the domain error, whatever is typed', () => {
		fc.assert(
			fc.property(
				fc.string(),
				fc.constantFrom(...(Object.keys(CORE_UNIT) as Quantity[])),
				(text, quantity) => {
					try {
						expect(Number.isFinite(read(text, quantity, { gauge: 'steel' }))).toBe(true);
					} catch (error) {
						expect(error).toBeInstanceOf(DomainError);
					}
				}
			)
		);
	});

	it('reads back what it wrote, in every system, to the digits shown', () => {
		const shown: Quantity[] = [
			'thickness',
			'run',
			'speed',
			'pressure',
			'flow',
			'current',
			'small',
			'length',
			'minutes',
			'perLength',
			'perMass'
		];
		fc.assert(
			fc.property(
				fc.double({ min: 0.6, max: 90, noNaN: true }),
				fc.constantFrom(...shown),
				fc.constantFrom(...UNIT_SYSTEMS),
				(value, quantity, units) => {
					const text = say(value, { quantity, units, gauge: 'steel' });
					const back = read(text, quantity, { units, gauge: 'steel' });
					// Writing it again gives the same text: the screen does not creep.
					expect(say(back, { quantity, units, gauge: 'steel' })).toBe(text);
				}
			)
		);
	});
	it('reads back what it wrote where one way of writing passes into another', () => {
		// A calliper into a rule, 32nds into 16ths, a rule into feet, millimetres into metres.
		for (const edgeMm of [6.35, 6.223, 25.4, 2000, 1998.6625, 1999.45]) {
			for (let offMm = -1.2; offMm <= 1.2; offMm += 0.005) {
				const mm = edgeMm + offMm;
				for (const quantity of ['length', 'small'] as const) {
					for (const units of UNIT_SYSTEMS) {
						const text = say(mm, { quantity, units, gauge: 'steel' });
						const back = read(text, quantity, { units, gauge: 'steel' });
						expect(say(back, { quantity, units, gauge: 'steel' }), `${mm} mm`).toBe(text);
					}
				}
			}
		}
	});
});

describe('minutes', () => {
	it('are seconds where they are less than one, and none only where there is none', () => {
		const minutes = (value: number) => say(value, { quantity: 'minutes', units: 'metric' });
		expect([0, 0.015, 0.9, 1, 12.34].map(minutes)).toEqual([
			'0 min',
			'0.9 s',
			'54 s',
			'1 min',
			'12.3 min'
		]);
	});
});

describe('what a metre takes', () => {
	it('is money: both zeros are written, thousandths below a tenth, and a foot where feet are used', () => {
		const metre = (value: number) => say(value, { quantity: 'perLength', units: 'metric' });
		expect(metre(3.5)).toBe('3.50 a metre');
		expect(metre(0.046)).toBe('0.046 a metre');
		expect(say(3.5, { quantity: 'perLength', units: 'imperial' })).toBe('1.07 a foot');
		expect(say(1.5, { quantity: 'perMass', units: 'gauge' })).toBe('0.68 a pound');
	});
	it('is read however "each" is written', () => {
		for (const typed of ['2 a kilogram', '2 a kg', '2 per kg', '2/kg'])
			expect(read(typed, 'perMass'), typed).toBe(2);
		for (const typed of ['3 a foot', '3 per ft', '3/ft', '3 per foot'])
			expect(read(typed, 'perLength'), typed).toBeCloseTo(9.8425, 4);
	});
});

describe('fractions of an inch', () => {
	it('are never further off than half a division of the rule that is read', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 6.4, max: 1990, noNaN: true }),
				fc.constantFrom('small' as const, 'length' as const),
				(mm, quantity) => {
					const text = say(mm, { quantity, units: 'imperial' });
					const perInch = quantity === 'small' ? 64 : mm < 25.4 ? 32 : 16;
					expect(Math.abs(read(text, quantity) - mm)).toBeLessThanOrEqual(
						25.4 / perInch / 2 + 1e-9
					);
					// In lowest terms: no 8/16.
					const fraction = /(\d+)\/(\d+)/.exec(text);
					if (fraction) expect(Number(fraction[1]) % 2).toBe(1);
				}
			)
		);
	});
	it('are left to decimals where a value is told as it was entered', () => {
		expect(say(300, { quantity: 'length', units: 'imperial', asEntered: true })).toBe('11.8 in');
		// A side of 2.503 m that is told in metres or feet is marked out wrong.
		const side = (units: (typeof UNIT_SYSTEMS)[number]) =>
			say(2503, { quantity: 'length', units, side: true });
		expect(UNIT_SYSTEMS.map(side)).toEqual(['2503 mm', '98 9/16 in', '98 9/16 in']);
		// The beginning of a scale.
		expect(say(0, { quantity: 'thickness', units: 'imperial' })).toBe('0 in');
		// A cubic foot is 28.317 l (NIST SP 811).
		expect([9099, 100].map((l) => sayFreeAir(l, 'imperial'))).toEqual(['321 ft³', '3.5 ft³']);
		expect([9099.4, null].map((l) => sayFreeAir(l, 'metric'))).toEqual(['9099 l', '–']);
	});
});

describe('what a pencil works out again', () => {
	it('has the digits for it, by the pound and the inch where those are used (1 lb is 0.45359237 kg)', () => {
		expect([sayToCheck(0.3589, 'metric'), sayToCheck(0.3589, 'imperial')]).toEqual([
			'0.359 mm',
			'0.0141 in'
		]);
		expect(plateToCheck(12.345, 1.6, 'metric')).toEqual({ mass: '12.35 kg', price: '1.60' });
		expect(plateToCheck(45.359237, 1.6, 'imperial')).toEqual({
			mass: '100.00 lb',
			price: '0.7257'
		});
		expect(plateToCheck(1, null, 'gauge')).toEqual({ mass: '2.20 lb', price: '?' });
		expect(plateToCheck(1, 1.625, 'metric').price).toBe('1.625');
	});
});

describe('units against another library', () => {
	const NAMES: Record<string, string> = {
		psi: 'psi',
		kpa: 'kPa',
		in: 'in',
		ft: 'ft',
		thou: 'mil',
		gal: 'gallon',
		hp: 'hp'
	};
	it.each([
		['pressure', 'psi', 'bar'],
		['pressure', 'kpa', 'bar'],
		['thickness', 'in', 'mm'],
		['thickness', 'ft', 'mm'],
		['thickness', 'thou', 'mm'],
		['volume', 'gal', 'liter'],
		['power', 'hp', 'W']
	] as const)('%s in %s agrees with mathjs', (quantity, key, target) => {
		expect(ACCEPTED[quantity][key]!.factor).toBeCloseTo(unit(1, NAMES[key]).toNumber(target), 6);
	});
});

describe('gauges', () => {
	it('are found again from their thickness in every table', () => {
		for (const table of ['steel', 'galvanized', 'stainless', 'brown-sharpe'] as const) {
			for (let gauge = GAUGE_RANGE.min; gauge <= GAUGE_RANGE.max; gauge++) {
				expect(gaugeFromThicknessIn(thicknessInFromGauge(gauge, table)!, table)).toBe(gauge);
			}
		}
	});

	it('follow the weights and the wire law that define them', () => {
		const weights = [
			7.5, 6.875, 6.25, 5.625, 5, 4.375, 3.75, 3.125, 2.8125, 2.5, 2.25, 2, 1.75, 1.5, 1.375, 1.25,
			1.125, 1
		];
		weights.forEach((weight, i) => {
			const gauge = 7 + i;
			expect(thicknessInFromGauge(gauge, 'steel')).toBeCloseTo(weight / 41.82, 3);
			expect(thicknessInFromGauge(gauge, 'galvanized')).toBeCloseTo((weight + 0.15625) / 41.82, 3);
			expect(thicknessInFromGauge(gauge, 'stainless')).toBeCloseTo(weight / 40, 3);
			expect(thicknessInFromGauge(gauge, 'brown-sharpe')).toBeCloseTo(
				0.005 * 92 ** ((36 - gauge) / 39),
				4
			);
		});
	});
});

describe('what people read', () => {
	it.each([
		[6.35, 'thickness', 'metric', '6.4 mm'],
		[6.35, 'thickness', 'imperial', '1/4 in'],
		[31.75, 'thickness', 'imperial', '1 1/4 in'],
		[1.519, 'thickness', 'gauge', '16 ga'],
		[22.0833, 'speed', 'metric', '22 mm/s'],
		[22.0833, 'speed', 'imperial', '52 in/min'],
		[418, 'time', 'metric', '6:58 min'],
		[3725, 'time', 'metric', '1:02:05 h'],
		[13.585, 'time', 'metric', '13.6 s'],
		[5.5, 'pressure', 'metric', '5.5 bar'],
		[11.25, 'small', 'metric', '11.3 mm'],
		[5400, 'length', 'metric', '5.4 m'],
		// As they are read off a tape: 300 mm lies 0.04 mm short of 11 13/16 in.
		[300, 'length', 'imperial', '11 13/16 in'],
		[304.8, 'length', 'imperial', '12 in'],
		[20, 'length', 'imperial', '25/32 in'],
		[10, 'length', 'imperial', '13/32 in'],
		[3, 'length', 'imperial', '0.12 in'],
		[11.25, 'small', 'imperial', '7/16 in'],
		[12, 'small', 'imperial', '15/32 in'],
		[1.5, 'small', 'imperial', '0.059 in'],
		[0.35, 'share', 'metric', '35 %'],
		[45, 'angle', 'metric', '45°']
	] as const)('%s as %s in %s', (value, quantity, units, text) => {
		expect(say(value, { quantity, units, gauge: 'steel' })).toBe(text);
	});
});

describe('every unit that is accepted', () => {
	it('reads one of itself as its factor, in every spelling of case', () => {
		for (const [quantity, table] of Object.entries(ACCEPTED) as [
			Quantity,
			(typeof ACCEPTED)[Quantity]
		][]) {
			for (const [key, { factor, offset = 0 }] of Object.entries(table)) {
				if (key === '"' || key === "'") continue;
				for (const text of [`1 ${key}`, `1${key}`, `1 ${key.toUpperCase()}`]) {
					expect(read(text, quantity), `${text} as ${quantity}`).toBeCloseTo(factor + offset, 9);
				}
			}
		}
	});

	it.each([
		['3 metres', 'run', 3],
		['5 amps', 'current', 5],
		['230 volts', 'voltage', 230],
		['2 minutes', 'time', 120],
		['90 litres', 'volume', 90],
		['100 psig', 'pressure', 6.894757],
		['6 bar(g)', 'pressure', 6],
		['30 degrees', 'angle', 30],
		['2 feet', 'run', 0.6096],
		['40 percent', 'share', 0.4]
	] as const)('takes the words of the shop: %s', (text, quantity, expected) => {
		expect(read(text, quantity)).toBeCloseTo(expected, 5);
	});
});

describe('a value in a table', () => {
	it('is said as it was entered, not as a hand would set it', () => {
		const speed = { quantity: 'speed', units: 'metric' } as const;
		expect(say(15.8, speed)).toBe('16 mm/s');
		expect(say(15.8, { ...speed, asEntered: true })).toBe('15.8 mm/s');
		expect(say(2.75, { ...speed, asEntered: true })).toBe('2.75 mm/s');
		expect(say(22, { ...speed, asEntered: true })).toBe('22 mm/s');
	});
});

import { describe, expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { DEFAULT_SETTINGS } from '../inputs/defaults';
import { plan } from '../plan/plan';

const PRICED = {
	...DEFAULT_SETTINGS,
	electrodePrice: 9,
	nozzlePrice: 7,
	labourPerH: 45,
	pricePerKwh: 0.32
};
const at = (over: Partial<typeof PRICED> | Record<string, null> = {}, cut = {}) =>
	plan(inputsOf({ settings: { ...PRICED, ...over } }, cut)).figures;

describe('what a metre costs', () => {
	it('is the sum of its items, and nothing while one of them has no price', () => {
		const all = at();
		const sum =
			all['cost.labourPerM'].value! +
			all['wear.costPerM'].value! +
			all['cost.powerPerM'].value! +
			all['cost.airPerM'].value!;
		expect(all['cost.totalPerM'].value).toBeCloseTo(sum, 12);
		for (const price of ['labourPerH', 'pricePerKwh', 'electrodePrice', 'nozzlePrice'] as const) {
			expect(at({ [price]: null })['cost.totalPerM'].value, price).toBeNull();
		}
		// What has a price is told all the same.
		expect(at({ labourPerH: null })['cost.powerPerM'].value).toBe(all['cost.powerPerM'].value);
	});

	it('is dearer with more handling, and shared by a longer line', () => {
		const handling = (handlingS: number, lengthMm: number) =>
			at({ handlingS }, { lengthMm })['cost.labourPerM'].value!;
		expect(handling(120, 300)).toBeGreaterThan(handling(60, 300));
		expect(handling(60, 3000)).toBeLessThan(handling(60, 300));
		// Sixty seconds at 45 an hour, once in a metre: 0.75 (worked by hand).
		expect(handling(60, 1000) - handling(0, 1000)).toBeCloseTo(0.75, 2);
	});
});

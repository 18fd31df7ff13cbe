import { describe, expect, it } from 'vitest';
import { BAY_2, inputsOf, TROLLEY } from '../../../../../tests/support/inputs';
import { workings } from '.';
import { arcSOf } from './travel';

describe('arc of a cut at other amps', () => {
	it.each([
		['Bay 2', BAY_2],
		['the trolley', TROLLEY]
	])('is what a plan at those amps says, on %s', (_, bench) => {
		const { evidence, settings, chart, cut: given } = inputsOf({ bench });
		const cut = { ...given, school: 'typed' as const, start: 'edge' as const, thicknessMm: 3 };
		const ask = { bench, chart, evidence, settings, cut, lineMm: cut.lengthMm };
		for (const typedA of [20, 23, 27]) {
			const planned = workings({ ...inputsOf({ bench }), cut: { ...cut, typedA } }).cutting;
			expect(planned.outputA).toBe(typedA);
			expect(arcSOf(ask, typedA)).toBeCloseTo(planned.arcS!, 9);
		}
		expect(arcSOf({ ...ask, cut: { ...cut, thicknessMm: 50 } }, 27)).toBeNull();
	});
});

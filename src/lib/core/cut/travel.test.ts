import { describe, expect, it } from 'vitest';
import { BAY_2, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { workings } from '../plan/workings';
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

	it('takes the time of a pierce from the chart, as the plan does', () => {
		const row = {
			metal: 'mild-steel' as const,
			thicknessMm: 3,
			nozzleA: 45,
			outputA: 45,
			speedMmS: 60,
			pressureBar: null,
			standoffMm: null,
			pierceMm: null,
			pierceS: 7,
			kerfMm: null
		};
		const chart = { hash: 'pierced', rows: [row] };
		const given = inputsOf({ bench: BAY_2, chart });
		const cut = {
			...given.cut,
			school: 'typed' as const,
			typedA: 45,
			start: 'pierce' as const,
			thicknessMm: 3
		};
		const planned = workings({ ...given, cut }).cutting;
		expect(planned.throughS).toBe(7);
		const ask = { ...given, cut, lineMm: cut.lengthMm };
		expect(arcSOf(ask, 45)).toBeCloseTo(planned.arcS!, 9);
		expect(arcSOf({ ...ask, chart: null }, 45)).toBeLessThan(7 + cut.lengthMm / 60);
	});
});

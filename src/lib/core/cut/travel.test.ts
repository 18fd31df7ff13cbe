import { describe, expect, it } from 'vitest';
import { BAY_2, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import type { Cut } from '../inputs/defaults';
import { workings } from '../plan/workings';
import { arcSOf } from './travel';

describe('seconds of a line', () => {
	const inSheet = (over: Partial<Cut>) =>
		workings(inputsOf({ bench: BAY_2 }, { school: 'full', lengthMm: 300, ...over })).cutting;

	it('are those of a hand where the amps ask for more than it follows (30 mm/s freehand, 50 along a guide, own)', () => {
		const kept = inSheet({ thicknessMm: 1, guide: 'kept' });
		expect(kept.speedMmS).toBeGreaterThan(100);
		expect(kept.lineS).toBeCloseTo(300 / 50, 9);
		expect(kept.arcS! - kept.throughS!).toBeCloseTo(300 / 50, 9);
		expect(inSheet({ thicknessMm: 1, guide: 'freehand' }).lineS).toBeCloseTo(300 / 30, 9);
	});

	it('never get fewer in thicker plate, whatever cuts it', () => {
		for (const guide of ['kept', 'freehand'] as const) {
			let beforeS = 0;
			for (let mm = 0.5; mm <= 20; mm += 0.25) {
				const { lineS, handMmS, lineMm } = inSheet({ thicknessMm: mm, guide });
				if (lineS === null) break;
				expect(lineS, `${guide} ${mm} mm`).toBeGreaterThanOrEqual(beforeS - 1e-9);
				expect(lineS * handMmS!).toBeCloseTo(lineMm, 6);
				beforeS = lineS;
			}
			expect(beforeS).toBeGreaterThan(15);
		}
	});
});

describe('arc of a cut at other amps', () => {
	it.each([
		['Bay 2', BAY_2],
		['the trolley', TROLLEY]
	])('is what a plan at those amps says, on %s', (_, bench) => {
		const { evidence, settings, chart, cut: given } = inputsOf({ bench });
		const cut = { ...given, school: 'typed' as const, start: 'edge' as const, thicknessMm: 3 };
		const ask = { bench, chart, evidence, settings, cut, lineMm: cut.lengthMm };
		// At 45 A a hand no longer follows in 3 mm.
		for (const typedA of bench === BAY_2 ? [20, 23, 27, 45] : [20, 23, 27]) {
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

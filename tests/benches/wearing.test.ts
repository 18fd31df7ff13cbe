/** What wear and money say on eight very different benches, over all metals and from 0.5 to 50 mm. */
import { describe, expect, it } from 'vitest';
import {
	DEFAULT_SETTINGS,
	METAL_IDS,
	NO_EVIDENCE,
	plan,
	type Bench,
	type Cut,
	type Evidence
} from '../../src/lib/core';
import { EIGHT } from '../support/eight';
import { NO_USE } from '../../src/lib/core/wear/electrode';
import { inputsOf } from '../support/inputs';

const THICKNESSES = [0.5, 1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50];
const SETTINGS = {
	...DEFAULT_SETTINGS,
	electrodePrice: 9,
	nozzlePrice: 7,
	labourPerH: 45,
	pricePerKwh: 0.3,
	bottlePrice: 40
};
const WORKED: Evidence = {
	...NO_EVIDENCE,
	wear: {
		...NO_EVIDENCE.wear,
		electrode: {
			...NO_EVIDENCE.wear.electrode,
			total: { ...NO_USE, starts: 80, arcMin: 20, loadMin: 20 }
		}
	}
};
const asked = (bench: Bench, cut: Partial<Cut>, evidence = WORKED) =>
	plan(inputsOf({ bench, settings: SETTINGS, evidence }, { start: 'edge', ...cut }));

describe.each(EIGHT.map((bench) => [bench.name, bench] as const))('%s', (_, bench) => {
	it('never says a number of a cut that does not go through, nor one below zero', () => {
		for (const metal of METAL_IDS) {
			for (const thicknessMm of THICKNESSES) {
				const { figures } = asked(bench, { metal, thicknessMm });
				const goes = figures['setup.arcS'].value !== null;
				for (const id of ['wear.cutsLeft', 'wear.metresLeft', 'cost.totalPerM'] as const) {
					const { value } = figures[id];
					if (goes) expect(value, `${id} ${metal} ${thicknessMm}`).toBeGreaterThanOrEqual(0);
					else expect(value, `${id} ${metal} ${thicknessMm}`).toBeNull();
				}
				const { value, band } = figures['wear.cutsLeft'];
				if (band) {
					expect(band[0]).toBeLessThanOrEqual(value!);
					expect(band[1]).toBeGreaterThanOrEqual(value!);
				}
			}
		}
	});

	it('at the same amps thicker is never more cuts and never cheaper, and the worker costs most', () => {
		for (const metal of ['mild-steel', 'stainless'] as const) {
			let before = { cuts: Infinity, cost: 0 };
			for (const thicknessMm of THICKNESSES) {
				const { figures } = asked(bench, { metal, thicknessMm, school: 'full' });
				const cost = figures['cost.totalPerM'].value;
				if (cost === null) break;
				const cuts = figures['wear.cutsLeft'].value!;
				expect(cuts, `${metal} ${thicknessMm}`).toBeLessThanOrEqual(before.cuts);
				expect(cost, `${metal} ${thicknessMm}`).toBeGreaterThanOrEqual(before.cost - 1e-9);
				// Common practice: labour usually decides.
				expect(figures['cost.labourPerM'].value!).toBeGreaterThan(cost / 2);
				before = { cuts, cost };
			}
		}
	});

	it('piercing every cut costs parts, and is never the cheaper way', () => {
		const edge = asked(bench, { thicknessMm: 3 }).figures;
		const pierced = asked(bench, { thicknessMm: 3, start: 'pierce' }).figures;
		expect(pierced['wear.perCutUm'].value!).toBeGreaterThan(edge['wear.perCutUm'].value!);
		expect(pierced['wear.costPerM'].value!).toBeGreaterThan(edge['wear.costPerM'].value!);
	});
});

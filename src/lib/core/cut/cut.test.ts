import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grooveAreaMm2, gougeSpeedMmS, passCount, passDepthMm } from '../gouge/groove';
import { removalEnergyJPerKg } from '../plan/workings/gouging';
import { METALS } from '../metal/metals';
import { shades } from '../safety/shade';
import { growthUm, NO_USE, PRIOR_SPREAD, wearFactor } from '../wear/electrode';
import { ladderA } from './amps';
import { circleRadiusMm, guideOffsetMm } from './guide';
import { easiestPierce, startCapacity } from './start';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('guides', () => {
	it('differ by exactly the kerf between the two sides, and lie about the shield radius', () => {
		fc.assert(
			fc.property(number(4, 20), number(0.5, 4), (radius, kerf) => {
				const [kept, waste] = [
					guideOffsetMm('kept', radius, kerf),
					guideOffsetMm('waste', radius, kerf)
				];
				expect(waste - kept).toBeCloseTo(kerf, 12);
				expect((waste + kept) / 2).toBeCloseTo(radius, 12);
			})
		);
	});

	it('leave a hole and a disc of the same drawn diameter a kerf apart', () => {
		expect(circleRadiusMm('disc', 100, 1.5) - circleRadiusMm('hole', 100, 1.5)).toBeCloseTo(
			1.5,
			12
		);
	});
});

describe('starts', () => {
	it('go from straight to rolled to edge to none as the plate thickens', () => {
		const capacity = startCapacity(12, 22);
		const starts = [3, 6, 6.1, 11, 11.1, 22, 22.1].map((t) => easiestPierce(t, capacity));
		expect(starts).toEqual(['pierce', 'pierce', 'rolled', 'rolled', 'edge', 'edge', 'none']);
	});
});

describe('the amps ladder', () => {
	it('never falls with thickness and starts at 20 A', () => {
		expect(ladderA(0.5)).toBe(20);
		fc.assert(
			fc.property(number(0.3, 40), (t) => {
				expect(ladderA(t + 0.5)).toBeGreaterThanOrEqual(ladderA(t));
			})
		);
	});
});

describe('gouging', () => {
	it('takes what it says: speed times section times density is the removal', () => {
		fc.assert(
			fc.property(number(1e-4, 2e-3), number(2000, 9000), number(1, 60), (kgS, density, area) => {
				expect(gougeSpeedMmS(kgS, density, area) * area * density * 1e-9).toBeCloseTo(kgS, 12);
			})
		);
	});

	it('goes deeper the steeper it is held, and in as many passes as the depth asks', () => {
		expect(passDepthMm(7, 45)).toBeGreaterThan(passDepthMm(7, 30));
		expect(passDepthMm(7, 45)).toBeCloseTo(0.44 * 7, 9);
		expect(passCount(0.9, 0.3)).toBe(3);
		expect(passCount(0.91, 0.3)).toBe(4);
		expect(grooveAreaMm2(6, 3)).toBe(12);
	});

	it('throws out aluminium with about the energy of steel a kilogram, copper with less', () => {
		expect(removalEnergyJPerKg(METALS['mild-steel'])).toBeCloseTo(1.28e6, 0);
		expect(removalEnergyJPerKg(METALS.copper)).toBeLessThan(1.28e6);
	});
});

describe('wear', () => {
	it('adds up start by start', () => {
		const use = { starts: 100, arcMin: 50, piercesRolled: 20, piercesStraight: 10 };
		expect(growthUm(use)).toBe(300 + 300 + 40 + 60);
		expect(growthUm(NO_USE)).toBe(0);
	});

	it('leans on the starting rates until there is much to go by', () => {
		expect(wearFactor(0, 0)).toEqual({ factor: 1, spread: PRIOR_SPREAD });
		const [few, many] = [wearFactor(200, 100), wearFactor(4000, 2000)];
		expect(few.factor).toBeLessThan(many.factor);
		expect(many.factor).toBeCloseTo(2, 0);
		expect(many.spread).toBeLessThan(few.spread);
	});
});

describe('filter shades', () => {
	it('never get lighter with more amps', () => {
		for (const system of ['north-america', 'iec'] as const) {
			fc.assert(
				fc.property(number(5, 390), (amps) => {
					expect(shades(amps + 10, system).advised).toBeGreaterThanOrEqual(
						shades(amps, system).advised
					);
				})
			);
		}
	});

	it('take the darker row at a shared bound and the European one only under IEC', () => {
		expect(shades(60, 'north-america').ansiLeast).toBe(8);
		expect(shades(65, 'north-america').advised).toBe(8);
		expect(shades(65, 'iec').advised).toBe(11);
		expect(shades(45, 'iec').european).toBe(0);
	});
});

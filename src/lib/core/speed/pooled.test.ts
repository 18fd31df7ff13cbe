import { describe, expect, it } from 'vitest';
import { lnPooled, thinToMm, type MetalFactors } from './pooled';

const LIMITS = { cleanMm: 12, severMm: 22 };
const STEEL: MetalFactors = { capacity: 1, thinSpeed: 1 };
const mmMin = (metal: MetalFactors, thicknessMm: number, outputA = 45) =>
	Math.exp(lnPooled(LIMITS, metal, { outputA, thicknessMm }));

describe('travel before a machine is known', () => {
	it('of steel is the law as it is written, worked by hand', () => {
		// 1500 bent by √(1 + 0.15²), 1500·3^1.5 = 7794 by √(1 + 0.7794²), and 1500·(30/45)^1.6 by √(1 + 0.0784²).
		expect(mmMin(STEEL, 6)).toBeCloseTo(1500 / Math.sqrt(1.0225), 6);
		expect(mmMin(STEEL, 2)).toBeCloseTo(6147, 0);
		expect(mmMin(STEEL, 6, 30)).toBeCloseTo(781.65, 1);
		// A quarter at the sever limit, and half of it half way there on logarithmic paper.
		expect(mmMin(STEEL, 22)).toBeCloseTo(mmMin(STEEL, 12) / 4, 6);
		expect(mmMin(STEEL, Math.sqrt(12 * 22))).toBeCloseTo(mmMin(STEEL, 12) / 2, 6);
		expect(mmMin(STEEL, 40)).toBeCloseTo(mmMin(STEEL, 22), 6);
	});

	it('of another metal is thin up to six tenths of its sever limit or of clean steel, never past three quarters', () => {
		const thin = (capacity: number) => thinToMm(LIMITS, { capacity, thinSpeed: 1 });
		expect(thin(0.9)).toBeCloseTo(0.6 * 0.9 * 22, 9);
		expect(thin(0.5)).toBeCloseTo(0.6 * 12, 9);
		expect(thin(0.3)).toBeCloseTo(0.75 * 0.3 * 22, 9);
	});

	it('of another metal keeps its share of steel while thin, and meets steel at its own sever limit', () => {
		const metal = { capacity: 0.5, thinSpeed: 1.3 };
		for (const mm of [1, 3, 7.2]) expect(mmMin(metal, mm) / mmMin(STEEL, mm)).toBeCloseTo(1.3, 9);
		expect(mmMin(metal, 11)).toBeCloseTo(mmMin(STEEL, 22), 6);
		// Straight in the logarithms between.
		expect(mmMin(metal, Math.sqrt(7.2 * 11))).toBeCloseTo(
			Math.sqrt(mmMin(metal, 7.2) * mmMin(metal, 11)),
			6
		);
		// A metal that is thin past the clean limit of steel falls with it.
		const soft = { capacity: 1.2, thinSpeed: 1.1 };
		expect(thinToMm(LIMITS, soft)).toBeGreaterThan(12);
		expect(mmMin(soft, 14) / mmMin(STEEL, 14)).toBeCloseTo(1.1, 9);
	});
});

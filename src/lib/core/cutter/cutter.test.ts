import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dutyShareAt, governingPair, ratedRiseK, riseAtK } from './duty';
import { firstCrossing, settledPeak } from '../session/node';
import { aimFactor, LAG_WINDOW_DEG, lagDegFromRatio, speedRatioFromLag } from '../speed/speed';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
describe('spark lag', () => {
	it('is 22.5° at the recommended speed and inverts', () => {
		expect(lagDegFromRatio(1)).toBeCloseTo(22.5, 12);
		fc.assert(
			fc.property(number(1, 75), (deg) => {
				expect(lagDegFromRatio(speedRatioFromLag(deg))).toBeCloseTo(deg, 9);
			})
		);
	});
});

describe('where an aim sits', () => {
	const place = { thicknessMm: 6, fastestOverReference: 1.4 };
	const at = (aim: Parameters<typeof aimFactor>[0], sparks: 'trailing' | 'straight' = 'trailing') =>
		aimFactor(aim, { ...place, sparks });

	it('rises from clean over sever to the fastest, and never past what parts', () => {
		expect(at('clean')).toBeCloseTo(1, 12);
		expect(at('clean')).toBeLessThan(at('cheapest'));
		expect(at('cheapest')).toBeLessThan(at('sever'));
		expect(at('sever')).toBeLessThan(at('fastest'));
		expect(at('fastest')).toBeLessThan(1.4);
	});

	it('closes with the window at the sever limit', () => {
		expect(aimFactor('fastest', { ...place, sparks: 'trailing', fastestOverReference: 1 })).toBe(1);
	});

	it('goes by the school of sparks: near straight down is slower, and inside its own window', () => {
		const deg = lagDegFromRatio(at('clean', 'straight'));
		expect(deg).toBeGreaterThan(LAG_WINDOW_DEG.straight[0]);
		expect(deg).toBeLessThan(LAG_WINDOW_DEG.straight[1]);
		expect(at('sever', 'straight')).toBe(at('sever'));
	});

	it('lets the second school fade out in sheet, where sparks tell nothing, without a cliff', () => {
		const thin = (thicknessMm: number) =>
			aimFactor('clean', { sparks: 'straight', thicknessMm, fastestOverReference: 1.4 });
		expect(thin(1)).toBe(1);
		for (let mm = 1; mm < 6; mm += 0.1) {
			expect(thin(mm + 0.1)).toBeLessThanOrEqual(thin(mm));
			expect(thin(mm + 0.1) / thin(mm)).toBeGreaterThan(0.95);
		}
	});
});

describe('duty cycle', () => {
	const pairs = [
		{ outputA: 45, dutyShare: 0.35 },
		{ outputA: 34, dutyShare: 0.6 },
		{ outputA: 27, dutyShare: 1 }
	];

	it('goes by the plate’s own pair at its amps, and by I²·X between', () => {
		for (const pair of pairs) {
			const own = governingPair(pairs, pair.outputA);
			expect(dutyShareAt(own, pair.outputA)).toBeCloseTo(pair.dutyShare, 12);
		}
		expect(dutyShareAt(governingPair(pairs, 40), 40)).toBeCloseTo(0.35 * (45 / 40) ** 2, 12);
		expect(dutyShareAt(governingPair(pairs, 20), 20)).toBe(1);
	});

	it('makes the rated cycle just reach the limit at 40 °C', () => {
		for (const { outputA, dutyShare } of pairs) {
			const peak = settledPeak({
				tauS: 300,
				onTarget: 40 + riseAtK({ outputA, dutyShare }, outputA),
				offTarget: 40,
				onS: 600 * dutyShare,
				offS: 600 * (1 - dutyShare),
				start: 40
			});
			expect(peak).toBeCloseTo(130, 6);
		}
	});

	it('lights the lamp later in a colder shop', () => {
		const lamp = (shopC: number) =>
			firstCrossing(
				{
					tauS: 300,
					onTarget: shopC + ratedRiseK(0.35),
					offTarget: shopC,
					onS: 1,
					offS: 0,
					start: shopC
				},
				130
			)!.atS;
		expect(lamp(5)).toBeGreaterThan(lamp(25));
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METALS, METAL_IDS } from '../metal/metals';
import { dutyShareAt, governingPair, ratedRiseK, riseAtK } from './duty';
import { firstCrossing, settledPeak } from '../session/node';
import {
	CLEAN_MM_MIN,
	lagDegFromRatio,
	metalLaw,
	SEVER_MM_MIN,
	speedMmMin,
	speedRatioFromLag,
	steelLaw,
	thicknessMmAtSpeed
} from './speed';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const ratings = fc.record({ clean: number(3, 30), over: number(1.3, 3) });

describe('the plate model', () => {
	it('passes through both ratings', () => {
		fc.assert(
			fc.property(ratings, ({ clean, over }) => {
				const law = steelLaw(clean, clean * over);
				expect(speedMmMin(law, 1, clean)).toBeCloseTo(CLEAN_MM_MIN, 6);
				expect(speedMmMin(law, 1, clean * over)).toBeCloseTo(SEVER_MM_MIN, 6);
			})
		);
	});

	it('slows with thickness, quickens with power, and inverts', () => {
		fc.assert(
			fc.property(ratings, number(0.4, 1), number(1, 20), ({ clean, over }, share, t) => {
				const law = steelLaw(clean, clean * over);
				const v = speedMmMin(law, share, t);
				expect(speedMmMin(law, share, t * 1.1)).toBeLessThan(v);
				expect(speedMmMin(law, share * 1.05, t)).toBeGreaterThan(v);
				expect(thicknessMmAtSpeed(law, share, v)).toBeCloseTo(t, 6);
			})
		);
	});

	it('gives every metal 500 mm/min at its capacity and its factor in thin sheet', () => {
		const steel = steelLaw(12, 22);
		for (const id of METAL_IDS) {
			const { capacity, thinSpeed } = METALS[id];
			const law = metalLaw(steel, 12, capacity, thinSpeed);
			expect(speedMmMin(law, 1, 12 * capacity), id).toBeCloseTo(CLEAN_MM_MIN, 9);
			expect(speedMmMin(law, 1, 0.5) / speedMmMin(steel, 1, 0.5), id).toBeCloseTo(thinSpeed, 1);
		}
	});

	it('lets thin aluminium go faster than steel though it does not go as thick', () => {
		const steel = steelLaw(12, 22);
		const aluminium = metalLaw(steel, 12, METALS.aluminium.capacity, METALS.aluminium.thinSpeed);
		expect(speedMmMin(aluminium, 1, 1.5)).toBeGreaterThan(speedMmMin(steel, 1, 1.5));
		expect(speedMmMin(aluminium, 1, 11)).toBeLessThan(speedMmMin(steel, 1, 11));
	});
});

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

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { altitudeFactor } from './altitude';
import { chokedFlowLpm, hoseSquareDropBar2, inletBarFor, outletBar } from './flow';
import { FREE_AIR_BAR } from '../quantity/units';
import { compressibility } from './bottle';
import {
	DELIVERED_OVER_DISPLACED,
	deliveryLine,
	deliveryLpm,
	pointsAround
} from '../session/delivery';
import { stageCoefficient } from './stages';
import { longestCut, pressureAfter, tankDeliveryLpm, timeTo, type Tank } from '../session/tank';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const hose = fc.record({ boreMm: number(5, 20), lengthM: number(1, 60), flowLpm: number(40, 400) });

describe('a hose', () => {
	it('loses what it loses, from whichever end one asks', () => {
		fc.assert(
			fc.property(hose, number(3, 9), (h, outBar) => {
				const drop = hoseSquareDropBar2(h);
				expect(outletBar(inletBarFor(outBar, drop), drop)).toBeCloseTo(outBar, 9);
			})
		);
	});

	it('loses more with length and flow, less with bore', () => {
		fc.assert(
			fc.property(hose, (h) => {
				const drop = hoseSquareDropBar2(h);
				expect(hoseSquareDropBar2({ ...h, lengthM: h.lengthM * 2 })).toBeCloseTo(2 * drop, 9);
				expect(hoseSquareDropBar2({ ...h, flowLpm: h.flowLpm * 1.2 })).toBeGreaterThan(drop);
				expect(hoseSquareDropBar2({ ...h, boreMm: h.boreMm + 1 })).toBeLessThan(drop);
			})
		);
	});

	it('stays within half and once of the handbook rule 450·q^1.85·L/(d⁵·p), which is for rougher pipe', () => {
		for (const [boreMm, lengthM, flowLpm, bar] of [
			[8, 10, 170, 7],
			[10, 20, 200, 7],
			[13, 30, 400, 8]
		] as const) {
			const p1 = bar + FREE_AIR_BAR;
			const ours = bar - outletBar(bar, hoseSquareDropBar2({ boreMm, lengthM, flowLpm }))!;
			const rule = (450 * (flowLpm / 60) ** 1.85 * lengthM) / (boreMm ** 5 * p1);
			expect(ours / rule).toBeGreaterThan(0.5);
			expect(ours / rule).toBeLessThan(1.05);
		}
	});

	it('passes no negative pressure: a choked hose is told as such', () => {
		expect(outletBar(5, 100)).toBeUndefined();
		expect(hoseSquareDropBar2({ boreMm: 8, lengthM: 10, flowLpm: 0 })).toBe(0);
	});
});

describe('free air', () => {
	it('flows through a bore with its area and the absolute pressure', () => {
		expect(chokedFlowLpm(2, 5) / chokedFlowLpm(1, 5)).toBeCloseTo(4, 9);
		const ratio = chokedFlowLpm(1, 7) / chokedFlowLpm(1, 5);
		expect(ratio).toBeCloseTo((7 + FREE_AIR_BAR) / (5 + FREE_AIR_BAR), 9);
	});

	it('thins with altitude: a tenth less at about 900 m, none at the sea', () => {
		expect(altitudeFactor(0)).toBe(1);
		expect(altitudeFactor(900)).toBeCloseTo(0.898, 2);
		expect(altitudeFactor(-400)).toBeGreaterThan(1);
	});
});

describe('delivery', () => {
	const points = [
		{ flowLpm: 220, atBar: 4 },
		{ flowLpm: 180, atBar: 7 },
		{ flowLpm: 90, atBar: 9 }
	];

	it('goes through every point of the plate, straight between, and never below nothing', () => {
		const line = deliveryLine(points);
		for (const { flowLpm, atBar } of points)
			expect(deliveryLpm(line, atBar)).toBeCloseTo(flowLpm, 9);
		expect(deliveryLpm(line, 5.5)).toBeCloseTo(200, 9);
		expect(deliveryLpm(line, 11)).toBeCloseTo(0, 9);
		expect(deliveryLpm(line, 15)).toBe(0);
	});

	it('is the share of what is displaced, and level from a single point', () => {
		const line = deliveryLine([{ flowLpm: 300, atBar: 7 }], DELIVERED_OVER_DISPLACED);
		expect(deliveryLpm(line, 2)).toBeCloseTo(195, 9);
		expect(deliveryLpm(line, 9)).toBeCloseTo(195, 9);
	});

	it('names the two points that speak at a pressure', () => {
		expect(pointsAround(points, 5).map((p) => p.atBar)).toEqual([4, 7]);
		expect(pointsAround(points, 8).map((p) => p.atBar)).toEqual([7, 9]);
		expect(pointsAround(points, 20).map((p) => p.atBar)).toEqual([7, 9]);
	});
});

describe('a filter', () => {
	it('loses what is stated at the stated flow, four times as much half clogged', () => {
		const clean = { kind: 'coalescing', lossBar: 0.1, atLpm: 200, loaded: 0 } as const;
		expect(stageCoefficient(clean) * 200 ** 2).toBeCloseTo(0.1, 12);
		expect(stageCoefficient({ ...clean, loaded: 0.5 })).toBeCloseTo(
			4 * stageCoefficient(clean),
			12
		);
	});
});

describe('a bottle', () => {
	it('holds less than pressure times volume by 4 to 8 % at 200 bar, about 10 to 12 % at 300 (handbook, from memory)', () => {
		expect(compressibility(0)).toBe(1);
		expect(compressibility(200)).toBeGreaterThan(1.04);
		expect(compressibility(200)).toBeLessThan(1.08);
		expect(compressibility(300)).toBeGreaterThan(1.1);
		expect(compressibility(300)).toBeLessThan(1.12);
	});
});

describe('a tank', () => {
	const tank: Tank = {
		line: deliveryLine([
			{ flowLpm: 200, atBar: 4 },
			{ flowLpm: 180, atBar: 5.6 },
			{ flowLpm: 160, atBar: 8 }
		]),
		cutInBar: 6,
		cutOutBar: 8,
		startBar: 8,
		volumeL: 90,
		leakLpm: 0
	};

	it('is reached and passed at the same moment by both forms of its law', () => {
		fc.assert(
			fc.property(
				number(-0.1, 0.1),
				number(0.0001, 0.02),
				number(2, 9),
				number(1, 400),
				(a, b, p0, t) => {
					const p = pressureAfter(p0, { a, b }, t);
					const back = timeTo(p, p0, { a, b });
					if (Math.abs(p - p0) > 1e-6 && Math.abs(p - a / b) > 1e-6) expect(back).toBeCloseTo(t, 3);
				}
			)
		);
	});

	it('lasts the longer the less is drawn, and for ever when the compressor keeps up', () => {
		expect(longestCut(tank, 260, 5).totalS).toBeLessThan(longestCut(tank, 220, 5).totalS);
		expect(longestCut(tank, tankDeliveryLpm(tank, 5) - 0.001, 5).totalS).toBe(Infinity);
		expect(longestCut(tank, 200, 8.5).totalS).toBe(0);
	});

	it('lasts less with a leak', () => {
		expect(longestCut({ ...tank, leakLpm: 20 }, 220, 5).totalS).toBeCloseTo(
			longestCut(tank, 240, 5).totalS,
			9
		);
	});
});

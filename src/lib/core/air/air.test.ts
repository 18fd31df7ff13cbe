import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { altitudeFactor } from './altitude';
import { chokedFlowLpm, FREE_AIR_BAR, hoseSquareDropBar2, inletBarFor, outletBar } from './flow';
import { deliveryLpm, longestCut, pressureAfter, timeTo, type Compressor } from './tank';

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

describe('a tank', () => {
	const c: Compressor = {
		q1Lpm: 200,
		p1Bar: 4,
		q2Lpm: 160,
		p2Bar: 8,
		cutInBar: 6,
		cutOutBar: 8,
		tankL: 90
	};

	it('is reached and passed at the same moment by both forms of its law', () => {
		fc.assert(
			fc.property(
				number(-0.1, 0.1),
				number(0.0001, 0.02),
				number(2, 9),
				number(1, 400),
				(a, b, p0, t) => {
					const p = pressureAfter(p0, a, b, t);
					const back = timeTo(p, p0, a, b);
					if (Math.abs(p - p0) > 1e-6 && Math.abs(p - a / b) > 1e-6) expect(back).toBeCloseTo(t, 3);
				}
			)
		);
	});

	it('lasts the longer the less is drawn, and for ever when the compressor keeps up', () => {
		expect(longestCut(c, 260, 5).totalS).toBeLessThan(longestCut(c, 220, 5).totalS);
		expect(longestCut(c, deliveryLpm(c, 5), 5).totalS).toBe(Infinity);
		expect(longestCut(c, 200, 8.5).totalS).toBe(0);
	});
});

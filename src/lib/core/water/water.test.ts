import fc from 'fast-check';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { absoluteHPa, dewPointC, mixingRatio, saturationHPa, SEA_LEVEL_HPA } from './humidity';
import { waterLine, type WaterInputs } from './line';

/** A general psychrometric library (ASHRAE Handbook, Hyland-Wexler), as an independent witness. */
const psychrolib = createRequire(import.meta.url)('psychrolib') as {
	SI: number;
	SetUnitSystem: (system: number) => void;
	GetSatVapPres: (tempC: number) => number;
	GetTDewPointFromVapPres: (tempC: number, vapourPa: number) => number;
	GetHumRatioFromRelHum: (tempC: number, share: number, pressurePa: number) => number;
};
psychrolib.SetUnitSystem(psychrolib.SI);

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const shop: WaterInputs = {
	flowLpm: 190,
	shopC: 25,
	humidity: 0.6,
	ambientHPa: SEA_LEVEL_HPA,
	tankRiseK: 5,
	tankBar: 7,
	tankL: 90,
	coolingM: 4,
	inletBar: 5.5,
	stages: [
		{ kind: 'trap', gelG: null },
		{ kind: 'desiccant', gelG: 800 }
	]
};
const any = fc.record({
	flowLpm: number(1, 800),
	shopC: number(1, 45),
	humidity: number(0.05, 1),
	tankRiseK: number(0, 30),
	tankBar: number(3, 12),
	coolingM: number(0, 30),
	inletBar: number(2, 7),
	kinds: fc.subarray(['trap', 'particulate', 'coalescing', 'cartridge', 'desiccant'] as const)
});
const lineOf = ({
	kinds,
	...over
}: { kinds: WaterInputs['stages'][number]['kind'][] } & Partial<WaterInputs>) =>
	waterLine({ ...shop, ...over, stages: kinds.map((kind) => ({ kind, gelG: 500 })) });

describe('water vapour, against a psychrometric library', () => {
	it.each([1, 5, 10, 15, 20, 25, 30, 35, 40, 45])('saturates at %d °C within 0.4 %%', (tempC) => {
		const theirs = psychrolib.GetSatVapPres(tempC) / 100;
		expect(Math.abs(saturationHPa(tempC) / theirs - 1)).toBeLessThan(0.004);
	});

	it.each([
		[20, 0.5],
		[25, 0.6],
		[30, 0.8],
		[10, 0.9]
	])('has its dew point at %d °C and %d within 0.1 K', (tempC, share) => {
		const vapourPa = share * psychrolib.GetSatVapPres(tempC);
		const theirs = psychrolib.GetTDewPointFromVapPres(tempC, vapourPa);
		expect(Math.abs(dewPointC(share * saturationHPa(tempC)) - theirs)).toBeLessThan(0.1);
	});

	it.each([
		[20, 1, 8],
		[30, 1, 7.5],
		[25, 0.6, 1.01325]
	])('mixes at %d °C, %d, %d bar absolute within 0.5 %%', (tempC, share, bar) => {
		const theirs = psychrolib.GetHumRatioFromRelHum(tempC, share, bar * 1e5);
		expect(
			Math.abs(mixingRatio(share * saturationHPa(tempC), bar * 1000) / theirs - 1)
		).toBeLessThan(0.005);
	});
});

describe('the water of the line', () => {
	it('is all accounted for, to 1e-9', () => {
		fc.assert(
			fc.property(any, (i) => {
				const w = lineOf(i);
				const sum = w.tankGH + w.trapGH + w.gelGH + w.onwardGH;
				expect(Math.abs(sum - w.inhaledGH)).toBeLessThan(1e-9 * (1 + w.inhaledGH));
				for (const part of [w.tankGH, w.trapGH, w.gelGH, w.onwardGH, w.mistGH]) {
					expect(part).toBeGreaterThanOrEqual(-1e-12);
				}
			})
		);
	});

	it('never leaves more than saturated air at the trap carries, plus the mist', () => {
		fc.assert(
			fc.property(any, (i) => {
				const w = lineOf(i);
				const most =
					1000 * w.dryAirKgH * mixingRatio(saturationHPa(w.trapC), absoluteHPa(i.tankBar));
				expect(w.onwardGH - w.mistGH).toBeLessThanOrEqual(most + 1e-9);
			})
		);
	});

	it('is drier behind gel, behind a cooling length, and after expansion', () => {
		const plain = lineOf({ kinds: ['trap'] });
		expect(lineOf({ kinds: ['trap', 'desiccant'] }).dewC).toBeLessThan(plain.dewC - 10);
		expect(lineOf({ kinds: ['trap'], coolingM: 20 }).dewC).toBeLessThan(plain.dewC);
		expect(lineOf({ kinds: ['trap'], inletBar: 3 }).dewC).toBeLessThan(plain.dewC);
	});

	it('spends gel sooner in wetter air, and never without water', () => {
		const dry = lineOf({ kinds: ['trap', 'desiccant'], humidity: 0.05, shopC: 5 });
		const wet = lineOf({ kinds: ['trap', 'desiccant'], humidity: 1, shopC: 30 });
		expect(wet.gelH!).toBeLessThan(dry.gelH!);
		expect(lineOf({ kinds: ['trap'] }).gelH).toBeUndefined();
		expect(
			waterLine({ ...shop, stages: [{ kind: 'desiccant', gelG: null }] }).gelH
		).toBeUndefined();
	});

	it('a coalescing filter lets less mist through than a trap; neither dries', () => {
		const trap = lineOf({ kinds: ['trap'], tankRiseK: 20 });
		const coalescing = lineOf({ kinds: ['coalescing'], tankRiseK: 20 });
		expect(coalescing.mistGH).toBeLessThan(trap.mistGH);
		expect(coalescing.dewC).toBeCloseTo(trap.dewC, 9);
	});
});

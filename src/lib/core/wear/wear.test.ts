import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../../tests/support/eight';
import { inputsOf } from '../../../../tests/support/inputs';
import { fittedNozzle } from '../torch/nozzle';
import { NO_EVIDENCE } from '../inputs/defaults';
import { plan } from '../plan/plan';
import { said } from '../plan/said';
import { growthUm, nozzleLoad, NO_USE, RATES_UM, type Use } from './electrode';
import { whatEats } from './eats';
import { partForecast, type PartRecord } from './forecast';
import { livesFit, livesLeft, SHAPE_BELIEF } from './lives';
import { remainingLife } from '../solve/weibull';
import { boreLimitUm } from './nozzle';
import { fitRates, GAUGE_UM, growthSpread, KINDS, type MeasuredGrowth } from './rates';

const use = (over: Partial<Use>): Use => ({ ...NO_USE, ...over });
const A_CUT = use({ starts: 1, arcMin: 0.25, loadMin: 0.25 });
const NEW: PartRecord = { total: NO_USE, last: null, measured: [], lives: [] };
const OF = { starting: RATES_UM, gaugeUm: GAUGE_UM, limitUm: 1500, airFactor: 1, cutUse: A_CUT };
const forecast = (over: Partial<PartRecord>, of: Partial<typeof OF> = {}) =>
	partForecast({ ...NEW, ...over }, { ...OF, ...of });

describe('rates from measured pits', () => {
	it('are the starting rates until something was measured', () => {
		const none = fitRates([]);
		for (const kind of KINDS) expect(none.rates[kind]).toBeCloseTo(RATES_UM[kind], 9);
	});

	it('come to what the parts really did, when shops of very different work are measured', () => {
		// A shop whose starts cost half as much again and whose arc costs two thirds.
		const truth = { start: 4.5, arcMinute: 4, rolled: 3, straight: 9, pilotS: 0.5 };
		const works = [
			use({ starts: 250, loadMin: 20, piercesRolled: 20 }),
			use({ starts: 40, loadMin: 170 }),
			use({ starts: 120, loadMin: 40, piercesStraight: 60 }),
			use({ starts: 200, loadMin: 60, piercesRolled: 150 })
		];
		const measured = Array.from({ length: 12 }, (_, i): MeasuredGrowth => {
			const of = works[i % works.length]!;
			return { use: of, grownUm: growthUm(of, truth) };
		});
		const { rates } = fitRates(measured);
		expect(rates.start).toBeCloseTo(truth.start, 0);
		expect(rates.arcMinute).toBeCloseTo(truth.arcMinute, 0);
		for (const of of works)
			expect(Math.abs(growthUm(of, rates) / growthUm(of, truth) - 1)).toBeLessThan(0.12);
	});

	it('property: never below zero, and the more is measured the narrower they are', () => {
		const one = fc.record({
			grownUm: fc.integer({ min: 0, max: 2000 }),
			use: fc.record({
				starts: fc.integer({ min: 1, max: 400 }),
				arcMin: fc.integer({ min: 0, max: 100 }),
				loadMin: fc.integer({ min: 0, max: 100 }),
				pilotS: fc.integer({ min: 0, max: 100 }),
				piercesRolled: fc.integer({ min: 0, max: 100 }),
				piercesStraight: fc.integer({ min: 0, max: 100 })
			})
		});
		fc.assert(
			fc.property(fc.array(one, { minLength: 1, maxLength: 8 }), (measured) => {
				const all = fitRates(measured);
				const fewer = fitRates(measured.slice(1));
				KINDS.forEach((kind, i) => {
					expect(all.rates[kind]).toBeGreaterThanOrEqual(0);
					expect(all.covariance[i]![i]).toBeLessThanOrEqual(fewer.covariance[i]![i]! + 1e-12);
				});
			}),
			{ numRuns: 100 }
		);
	});

	it('one gauge reading moves them a little, ten alike move them most of the way', () => {
		const twice: MeasuredGrowth = { use: use({ starts: 200, loadMin: 66 }), grownUm: 2000 };
		const of = (n: number) =>
			growthUm(A_CUT, fitRates(new Array<MeasuredGrowth>(n).fill(twice)).rates);
		const start = growthUm(A_CUT);
		expect(of(1)).toBeGreaterThan(start * 1.3);
		expect(of(1)).toBeLessThan(of(10));
		expect(of(10) / start).toBeCloseTo(2, 0);
		expect(growthSpread(fitRates([twice]), A_CUT)).toBeLessThan(growthSpread(fitRates([]), A_CUT));
	});
});

describe('a part', () => {
	it('lets one speak at a time: its own measurement, else those before it, else the rates', () => {
		const lives = [
			{ um: 900, worn: true },
			{ um: 1100, worn: true }
		];
		expect(forecast({}).speaks).toBe('model');
		expect(forecast({ lives }).speaks).toBe('lives');
		const last = { grownUm: 400, useSince: NO_USE };
		expect(forecast({ lives, last }).speaks).toBe('measured');
	});

	it('never measured, lasts about as long as those before it did, and less the older it is', () => {
		const lives = [900, 1000, 1100, 950, 1050].map((um) => ({ um, worn: true }));
		const left = (starts: number) =>
			forecast({ lives, total: use({ starts }) }).cutsLeft! * growthUm(A_CUT);
		expect(left(0)).toBeGreaterThan(800);
		expect(left(0)).toBeLessThan(1100);
		let before = Infinity;
		for (let starts = 0; starts <= 600; starts += 20) {
			expect(left(starts)).toBeLessThanOrEqual(before);
			before = left(starts);
		}
	});

	it('from few lives is told with a wider band than from many, and its middle lies in it at any age', () => {
		const lives = [700, 1000, 1300].map((um) => ({ um, worn: true }));
		const of = (n: number, starts: number) =>
			forecast({
				lives: Array.from({ length: n }, () => lives).flat(),
				total: use({ starts })
			});
		const wide = (n: number) => of(n, 0).band![1] / of(n, 0).band![0];
		expect(wide(1)).toBeGreaterThan(1.3 * wide(20));
		const fit = livesFit(lives)!;
		expect(livesLeft(fit, 0).bandUm[0]).toBeLessThan(remainingLife(fit, 0, 0.9));
		for (const starts of [0, 300, 900, 3000, 9000]) {
			const { cutsLeft, band } = of(1, starts);
			expect(band![0]).toBeLessThanOrEqual(cutsLeft!);
			expect(band![1]).toBeGreaterThanOrEqual(cutsLeft!);
		}
	});

	it('taken out lost or with its partner tells only that it came so far', () => {
		const worn = livesFit([
			{ um: 900, worn: true },
			{ um: 950, worn: true }
		])!;
		const alsoLost = livesFit([
			{ um: 900, worn: true },
			{ um: 950, worn: true },
			{ um: 940, worn: false }
		])!;
		expect(alsoLost.scale).toBeGreaterThan(worn.scale);
		expect(livesFit([{ um: 500, worn: false }])).toBeUndefined();
		// Two alike would make the shape grow without bound; the belief holds it.
		const alike = livesFit([
			{ um: 1000, worn: true },
			{ um: 1000, worn: true }
		])!;
		expect(alike.shape).toBeGreaterThan(SHAPE_BELIEF.shape);
		expect(alike.shape).toBeLessThan(4);
	});

	it('half the amps on its nozzle never shorten its life in starts or in arc minutes', () => {
		for (const arcMin of [0.05, 0.2, 1, 10]) {
			const at = (outputA: number) =>
				forecast(
					{},
					{
						cutUse: use({ starts: 1, arcMin, loadMin: arcMin * nozzleLoad(outputA, 45) })
					}
				).cutsLeft!;
			expect(at(22.5)).toBeGreaterThanOrEqual(at(45));
		}
	});

	it('is told in between of its band', () => {
		for (const starts of [0, 100, 300]) {
			const { cutsLeft, band } = forecast({ total: use({ starts }) });
			expect(band![0]).toBeLessThanOrEqual(cutsLeft!);
			expect(band![1]).toBeGreaterThanOrEqual(cutsLeft!);
		}
	});

	it('is changed at a tenth over the bore, at 0.1 mm at most', () => {
		expect(boreLimitUm(0.8)).toBeCloseTo(80, 9);
		expect(boreLimitUm(1.6)).toBe(100);
	});
});

describe('what eats the parts', () => {
	it('adds up to the whole, greatest first, and says nothing of what was not done', () => {
		const total = use({ starts: 100, arcMin: 30, loadMin: 30, piercesRolled: 10 });
		const eaten = whatEats({ ...NEW, total });
		expect(eaten.map(({ kind }) => kind)).toEqual(['start', 'arcMinute', 'rolled']);
		[0.6, 0.36, 0.04].forEach((share, i) => expect(eaten[i]!.share).toBeCloseTo(share, 9));
		expect(whatEats(NEW)).toEqual([]);
	});
});

describe('the pair', () => {
	const withWear = (wear: Partial<typeof NO_EVIDENCE.wear>) =>
		inputsOf({ evidence: { ...NO_EVIDENCE, wear: { ...NO_EVIDENCE.wear, ...wear } } });

	it('lasts as long as the one that goes first, which is named', () => {
		const wide = withWear({
			nozzle: {
				...NO_EVIDENCE.wear.nozzle,
				total: use({ starts: 150, arcMin: 50, loadMin: 50 }),
				last: { grownUm: 80, useSince: NO_USE }
			}
		});
		const { figures, checks } = plan(wide);
		expect(figures['wear.nozzleLeft'].value).toBeLessThan(figures['wear.electrodeLeft'].value!);
		expect(figures['wear.cutsLeft'].value).toBe(figures['wear.nozzleLeft'].value);
		expect(figures['wear.cutsLeft'].basis).toBe('T');
		expect(checks.find(({ id }) => id === 'wear.cutsLeft')!.part).toBe('Nozzle');
	});

	it('never measured, the nozzle goes with its electrode and says no number of its own', () => {
		const { figures, checks } = plan(
			withWear({
				nozzle: {
					...NO_EVIDENCE.wear.nozzle,
					total: use({ starts: 400, arcMin: 50, loadMin: 50, piercesStraight: 300 })
				}
			})
		);
		expect(figures['wear.nozzleLeft'].value).toBeNull();
		expect(figures['wear.cutsLeft'].value).toBe(figures['wear.electrodeLeft'].value);
		expect(checks.find(({ id }) => id === 'wear.cutsLeft')!.part).toBe('Electrode');
	});

	it('gauges the nozzle that is in the torch, whichever the cut is planned with', () => {
		let another = 0;
		for (const bench of EIGHT)
			for (const school of ['full', 'matched'] as const)
				for (const thicknessMm of [1.5, 6]) {
					const { figures } = plan(inputsOf({ bench }, { school, thicknessMm }));
					const { boreMm, ratingA } = fittedNozzle(bench.torch);
					expect(figures['wear.boreMm'].value, `${bench.name}, ${school}`).toBeCloseTo(boreMm, 9);
					if (figures['setup.nozzleA'].value !== ratingA) another++;
				}
		expect(another).toBeGreaterThan(3);
	});

	it('takes nothing for a start that does not go through', () => {
		const of = (thicknessMm: number) =>
			plan(inputsOf({}, { thicknessMm, start: 'pierce' })).figures['cut.startWearUm'].value;
		expect(of(6)).toBeGreaterThan(3);
		expect(of(20)).toBeNull();
	});

	it('warns when this electrode grows faster than the shop’s others, and names a reason', () => {
		const others = new Array<MeasuredGrowth>(8).fill({
			grownUm: 1000,
			use: use({ starts: 200, loadMin: 66 })
		});
		const of = (grownUm: number) =>
			said(
				withWear({
					electrode: {
						total: use({ starts: 100, arcMin: 33, loadMin: 33 }),
						last: { grownUm, useSince: NO_USE },
						measured: [{ grownUm, use: use({ starts: 100, loadMin: 33 }) }, ...others],
						lives: []
					}
				})
			).findings.filter(({ text }) => text.includes('as fast as'));
		expect(of(500)).toEqual([]);
		expect(of(900)).toHaveLength(1);
		expect(of(900)[0]!.text).toContain('Likely');
	});
});

describe('parts that are judged by eye', () => {
	const leftOf = (starts: object) => {
		const wear = { ...NO_EVIDENCE.wear, starts: { ...NO_EVIDENCE.wear.starts, ...starts } };
		const { figures } = plan(inputsOf({ evidence: { ...NO_EVIDENCE, wear } }));
		const of = (id: 'wear.oRingLeft' | 'wear.gougeNozzleLeft') => figures[id].value;
		return [of('wear.oRingLeft'), of('wear.gougeNozzleLeft')];
	};
	it('have what they usually last less what they did, never below none; not noted is no number', () => {
		expect(leftOf({})).toEqual([null, null]);
		expect(leftOf({ 'o-ring': 500, 'gouge-nozzle': 40 })).toEqual([1500, 260]);
		expect(leftOf({ 'o-ring': 2500, 'gouge-nozzle': 301 })).toEqual([0, 0]);
	});
});

import fc from 'fast-check';
import { filled } from '../figure/finding';
import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { FIGURE_IDS, NO_EVIDENCE, plan, type Bench, type Plan, type Said, type Work } from '..';
import { spokenPlan } from './said';
import { workings } from './workings';
import { BENCH } from '../stored/kinds';
import { conductorsFor } from '../circuit/conductors';
import { worstOn } from '../../components/Supply/rails';
import { PARTS } from '../../components/Bench/parts';
import { judge } from '../figure/verdict';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const planned = (
	change: (b: Bench) => unknown,
	work: Partial<Work> = {},
	from = BAY_2
): Plan & Said => spokenPlan(inputsOf({ bench: changed(change, from), work }));
const told = (p: Said) => p.findings.map((f) => filled(f, { units: 'metric' })).join('\n');
const check = (p: Plan, part: string) => p.checks.find((c) => c.part === part);
const onCutter = (b: Bench) => (b.supply.loads[0]!.on = b.supply.circuit);

describe('what hangs on the cutter’s circuit', () => {
	it('takes volts before the arc is lit, and heats the breaker', () => {
		const [alone, shared] = [planned(() => {}), planned(onCutter)];
		const drop = alone.figures['supply.sharedV'].value! - shared.figures['supply.sharedV'].value!;
		const sharedOhm =
			alone.figures['supply.resistanceOhm'].value! - alone.figures['supply.cordOhm'].value!;
		expect(drop).toBeCloseTo(9.5 * sharedOhm, 9);
		expect(shared.figures['supply.breakerPeak'].value!).toBeGreaterThan(
			alone.figures['supply.breakerPeak'].value!
		);
		expect(told(shared)).toContain('wants a circuit of its own');
	});

	it('a compressor there counts only while it runs: less than a load that is always on', () => {
		const work = { arcS: 60, restS: 60 };
		const peak = (when: 'always' | 'compressor') =>
			planned((b) => (onCutter(b), (b.supply.loads[0]!.when = when)), work).figures[
				'supply.breakerPeak'
			].value!;
		expect(peak('compressor')).toBeLessThanOrEqual(peak('always') + 1e-9);
	});

	it('a compressor there follows its own pressure switch: it comes and goes in the run', () => {
		const { run } = workings(inputsOf({ bench: changed(onCutter) })).session;
		expect(run!.lowestBar).toBeGreaterThan(0);
		expect(run!.lowestBar).toBeLessThan(BAY_2.air.compressor.cutOutBar);
		// On a circuit of its own nothing ties it to the breaker: closed forms tell it all.
		expect(workings(inputsOf({ bench: BAY_2 })).session.run).toBeUndefined();
	});
	it('does not count when the air comes from bottles', () => {
		const bottled = planned((b) => {
			onCutter(b);
			b.air.source = 'bottle';
			b.air.bottle = {
				gas: 'air',
				waterL: 50,
				count: 1,
				fillBar: 200,
				reserveBar: 10,
				outletBar: 7
			};
		});
		expect(bottled.figures['supply.sharedA'].value).toBe(0);
	});
});

describe('a motor that starts', () => {
	const start = (currentA: number, curve: 'B' | 'C' | 'D' = 'B') =>
		planned((b) => {
			b.supply.breaker.curve = curve;
			b.supply.loads = [
				{ name: 'grinder', on: b.supply.circuit, currentA, startMultiple: 6, when: 'always' }
			];
		});

	it('trips a B32 at once for certain from 160 A, may from 96 A (IEC 60898-1: 3 to 5 times)', () => {
		expect(start(5).figures['supply.magneticA'].value).toBe(96);
		expect(check(start(8), 'Switch-on')!.verdict).toBe('holds');
		expect(check(start(14), 'Switch-on')!.verdict).toBe('tight');
		expect(check(start(25), 'Switch-on')).toMatchObject({ verdict: 'stops', stopsAtS: 0 });
		expect(check(start(14, 'C'), 'Switch-on')!.verdict).toBe('holds');
		expect(told(start(14))).toContain('may trip at once');
	});
});

describe('a generator', () => {
	const on = (ratedVA: number, regulation = 0.08) =>
		planned((b) => (b.supply.generator = { ratedVA, ratedW: ratedVA, regulation }));

	it('is overloaded when the cutter and the shop ask more than its plate', () => {
		expect(check(on(20_000), 'Generator')!.verdict).toBe('holds');
		expect(check(on(5000), 'Generator')).toMatchObject({ verdict: 'stops', stopsAtS: 0 });
		expect(on(20_000).figures['supply.generatorShare'].value!).toBeGreaterThan(0.25);
	});

	it('carries the amps that are said to run on, and not one more', () => {
		const runsOnA = on(5000).figures['supply.runsOnA'].value!;
		expect(runsOnA).toBeLessThan(on(20_000).figures['supply.runsOnA'].value!);
		const bench = changed(
			(b) => (b.supply.generator = { ratedVA: 5000, ratedW: 5000, regulation: 0.08 })
		);
		const shareAt = (typedA: number) =>
			spokenPlan(inputsOf({ bench }, { school: 'typed', typedA })).figures['supply.generatorShare']
				.value!;
		expect(shareAt(runsOnA)).toBeLessThanOrEqual(1);
		expect(shareAt(runsOnA + 1)).toBeGreaterThan(1);
	});

	it('loses its regulation at full load', () => {
		const p = on(8000, 0.1);
		expect(p.figures['supply.serviceOhm'].value).toBeCloseTo((0.1 * 230 ** 2) / 8000, 12);
		expect(told(p)).toContain('continuous');
	});

	it('warns of motors that restart on the same set, where there are any', () => {
		const beside = (startMultiple: number) =>
			told(
				planned((b) => {
					b.supply.generator = { ratedVA: 8000, ratedW: 8000, regulation: 0.08 };
					b.supply.loads = b.supply.loads.map((load) => ({ ...load, startMultiple }));
				})
			);
		expect(beside(5)).toContain('let it run first');
		expect(beside(1)).not.toContain('let it run first');
	});
});

describe('bottles', () => {
	const bottled = (count: number, work: Partial<Work> = {}) =>
		planned((b) => {
			b.air.source = 'bottle';
			b.air.bottle = {
				gas: 'nitrogen',
				waterL: 50,
				count,
				fillBar: 200,
				reserveBar: 10,
				outletBar: 7
			};
		}, work);

	it('run empty when their gas is used up, post-flow included', () => {
		const p = bottled(1);
		const empty = check(p, 'Air')!;
		expect(empty).toMatchObject({ verdict: 'stops', word: 'bottles empty' });
		// 50 l from 200 to 10 bar over 1.01325 · 1.06 at 170 l/min, air on 29 of 34 s.
		const airS = ((50 * 190) / (1.01325 * 1.06)) * (60 / 170);
		expect(empty.stopsAtS!).toBeGreaterThan((airS * 34) / 29 - 34);
		expect(empty.stopsAtS!).toBeLessThan((airS * 34) / 29 + 34);
		expect(p.figures['air.bottleS'].value).toBeCloseTo((airS * 14) / 29, 6);
	});

	it('twice as many last twice as long, and nitrogen is warned of', () => {
		const [one, two] = [bottled(1), bottled(2)].map((p) => p.figures['air.bottleS'].value!);
		expect(two).toBeCloseTo(2 * one!, 6);
		expect(told(bottled(1))).toContain('Nitrogen');
	});
});

describe('water', () => {
	it('wet air is tight, not a stop, and says what is missing', () => {
		const p = planned((b) => {
			b.air.stages = [];
			b.air.coolingM = 0;
			b.air.tankRiseK = 15;
		});
		expect(check(p, 'Water')).toMatchObject({ verdict: 'tight', word: 'wet air' });
		expect(told(p)).toContain('fit a trap');
	});

	it('both schools on compressor oil are told, each where it applies', () => {
		expect(told(planned(() => {}))).toContain('coalescing filter');
		const oilFree = planned((b) => (b.air.compressor.oil = 'oil-free'), { arcS: 30, restS: 5 });
		expect(told(oilFree)).toContain('wears out');
	});

	it('below freezing it turns to ice', () => {
		expect(told(planned(() => {}, { shopC: -5 }))).toContain('ice');
	});
});

describe('words of safety and use', () => {
	it.each([
		[
			'a selector',
			(b: Bench) => ((b.cutter.voltageBy = 'selector'), b.cutter.inputs.push(b.cutter.inputs[0]!)),
			'selector to 230 V'
		],
		['an earth-fault device', (b: Bench) => (b.supply.earthFault = '5 mA'), 'Never bridge it'],
		[
			'displacement only',
			(b: Bench) => (b.air.compressor.rating = 'displaced'),
			'Displacement is not delivery'
		],
		[
			'a clogged cartridge',
			(b: Bench) => ((b.air.stages[0]!.kind = 'cartridge'), (b.air.stages[0]!.loaded = 0.7)),
			'do not drain themselves'
		],
		[
			'a compressor that never stops',
			(b: Bench) =>
				(b.air.compressor.points = [
					{ flowLpm: 200, atBar: 4 },
					{ flowLpm: 1, atBar: 8 }
				]),
			'never reaches its cut-out'
		]
	])('%s', (_, change, words) => {
		expect(told(planned(change))).toContain(words);
	});
	it('another clogged filter is changed too, without what cartridges alone do', () => {
		const [trap, ...rest] = BAY_2.air.stages;
		const stages = [
			{ ...trap!, kind: 'cartridge' as const, loaded: 0 },
			{ ...trap!, kind: 'particulate' as const, loaded: 0.7 },
			...rest
		];
		const of = (change: typeof stages) => told(planned((b) => (b.air.stages = change)));
		expect(of(stages)).toContain('half clogged or worse');
		expect(of(stages)).not.toContain('do not drain themselves');
		// One of several is enough.
		const both = stages.map((stage) => ({ ...stage, loaded: 0.7 }));
		expect(of(both)).toContain('do not drain themselves');
	});

	it('a breaker under the label is told with what surely holds and what may', () => {
		const result = spokenPlan(inputsOf({ bench: TROLLEY, work: { arcS: 60, restS: 20 } }));
		const { value: sure } = result.figures['supply.runsOnA'];
		expect(told(result)).toContain(
			sure === null ? 'nothing surely holds' : `${sure} A surely holds`
		);
		const small = plan(inputsOf({ bench: changed((b) => (b.supply.breaker.ratingA = 13)) }));
		expect(small.checks.find((c) => c.part === 'Breaker')!.verdict).not.toBe('holds');
	});

	it('no flow on the label: a lower bound, no verdict, and how to measure it; not three times the bore', () => {
		const untold = spokenPlan(inputsOf({ bench: changed((b) => (b.cutter.airFlowLpm = null)) }));
		const { value } = untold.figures['air.flowLpm'];
		expect(value).toBe(untold.figures['air.boreFlowLpm'].value);
		expect(untold.checks.find((c) => c.part === 'Air')).toMatchObject({ verdict: 'not set' });
		expect(untold.figures['setup.lineAirL'].value).toBeNull();
		expect(told(untold)).toContain('Measure it');
	});

	it('a built-in compressor shows no flow, tank or hose, and nothing of it is judged', () => {
		const own = plan(inputsOf({ bench: changed((b) => (b.air.source = 'built-in')) }));
		for (const id of FIGURE_IDS.filter((f) => f.startsWith('air.')))
			expect(own.figures[id].value, id).toBeNull();
		expect(own.checks.some((c) => c.part === 'Air' || c.part === 'Water')).toBe(false);
		expect(own.figures['setup.airBar'].value).toBeNull();
	});

	it('either end of the window is tight within the gauge’s own error, not a cliff; more is not better', () => {
		const air = (setPointBar: number) =>
			plan(inputsOf({ bench: changed((b) => (b.air.setPointBar = setPointBar)) })).checks.find(
				(c) => c.part === 'Air'
			)!;
		const { airMinBar, airMaxBar } = BAY_2.cutter;
		expect(air(airMinBar - 0.12).verdict).toBe('stops');
		expect(air(airMinBar - 0.05).verdict).toBe('tight');
		expect(air(airMinBar + 0.05).verdict).toBe('tight');
		expect(air(airMinBar + 0.3).verdict).toBe('holds');
		const third = air(airMinBar + (airMaxBar - airMinBar) / 3);
		expect(third.verdict).toBe('holds');
		expect(third.margin).toBeGreaterThan(0.99);
		expect(air(airMinBar + 0.7 * (airMaxBar - airMinBar)).margin).toBeLessThanOrEqual(1);
		expect(air(airMaxBar + 0.12)).toMatchObject({ verdict: 'stops', word: 'set too high' });
	});
});

describe('better never makes it worse, in the whole shop', () => {
	it('more cord never raises the voltage, with other loads on or off', () => {
		fc.assert(
			fc.property(number(0.5, 80), number(0.5, 15), fc.boolean(), (lengthM, more, shared) => {
				const volts = (m: number) =>
					planned((b) => {
						if (shared) onCutter(b);
						b.supply.cord!.lengthM = m;
					}).figures['supply.voltageV'].value!;
				expect(volts(lengthM + more)).toBeLessThan(volts(lengthM));
			}),
			{ numRuns: 60 }
		);
	});

	it('a thicker wire never trips sooner with a compressor on it', () => {
		const times = conductorsFor('iec')
			.slice(1)
			.map(
				(size) =>
					planned((b) => (onCutter(b), (b.supply.wire.size = size)), { arcS: 120, restS: 20 })
						.figures['supply.tripEarliestS'].value ?? Infinity
			);
		for (let i = 1; i < times.length; i++) expect(times[i]!).toBeGreaterThanOrEqual(times[i - 1]!);
	});

	it('a bigger tank never shortens the longest cut, leaks or not', () => {
		fc.assert(
			fc.property(number(5, 500), number(1.05, 3), (tankL, times) => {
				const longest = (l: number) =>
					planned((b) => {
						b.air.tankL = l;
						b.air.compressor.points = [
							{ flowLpm: 140, atBar: 4 },
							{ flowLpm: 120, atBar: 6 },
							{ flowLpm: 60, atBar: 9 }
						];
					}).figures['air.longestCutS'].value!;
				expect(longest(tankL * times)).toBeGreaterThanOrEqual(longest(tankL) - 1e-9);
			}),
			{ numRuns: 40 }
		);
	});
});

describe('benches at the edge of what can be', () => {
	it('a breaker smaller than what idles on it trips, whatever the amps', () => {
		const p = planned((b) => {
			b.supply.breaker.ratingA = 6;
			b.supply.loads = [
				{ name: 'heater', on: b.supply.circuit, currentA: 14, startMultiple: 1, when: 'always' }
			];
		});
		expect(check(p, 'Breaker')!.verdict).toBe('stops');
		expect(p.figures['supply.runsOnA'].value).toBeNull();
	});

	it('hardly any tank runs in short bursts only', () => {
		const p = planned((b) => {
			b.air.tankL = 0.5;
			b.air.compressor.points = [{ flowLpm: 60, atBar: 7 }];
		});
		expect(check(p, 'Air')!.stopsAtS!).toBeLessThan(2);
	});

	it('below sea level, at 100 % humidity and in frost there are figures and no NaN', () => {
		const p = planned((b) => (b.air.altitudeM = -400), { shopC: -15, humidity: 1 });
		expect(p.figures['air.altitudeFactor'].value!).toBeGreaterThan(1);
		expect(p.figures['water.dewC'].value!).toBeLessThan(-15);
		for (const c of p.checks) expect(Number.isFinite(c.margin), c.part).toBe(true);
	});

	it('a measured flow has a band, and more readings narrow it', () => {
		const width = (n: number) => {
			const spread = 7 / Math.sqrt(n);
			const evidence = { ...NO_EVIDENCE, flowLpm: { n, mean: 180, spread } };
			const [low, high] = plan(inputsOf({ evidence })).figures['air.flowLpm'].band!;
			return high - low;
		};
		expect(width(1)).toBeCloseTo(2 * 1.2816 * 7, 6);
		expect(width(4)).toBeCloseTo(width(1) / 2, 9);
		expect(plan(inputsOf()).figures['air.flowLpm'].band).toBeUndefined();
	});
});

describe('a start down through the plate', () => {
	// Straight down to 6 mm, rolled in to 11 mm, is what this cutter does (demo bench).
	it.each([
		['hover', 6, 'holds', 'hover'],
		['hover', 8, 'tight', 'hover'],
		['hover', 12, 'stops', 'edge start only'],
		['pierce', 6, 'holds', 'start'],
		['pierce', 10, 'tight', 'roll it in'],
		['edge', 12, 'holds', 'start']
	] as const)('%s on %s mm: %s', (start, thicknessMm, verdict, word) => {
		const { checks } = plan(inputsOf({}, { start, thicknessMm }));
		expect(checks.find(({ station }) => station === 'cut')).toMatchObject({ verdict, word });
	});
});

describe('verdicts agree everywhere', () => {
	it('checks, stations, figures and rails tell the same worst thing', () => {
		fc.assert(
			fc.property(
				number(5, 120),
				number(0, 60),
				number(5, 40),
				fc.boolean(),
				fc.constantFrom(BAY_2, TROLLEY),
				(arcS, restS, lengthM, shared, from) => {
					const p = planned(
						(b) => {
							if (shared) onCutter(b);
							b.supply.cord!.lengthM = lengthM;
						},
						{ arcS, restS },
						from
					);
					expect(judge(p.checks)).toMatchObject({
						verdict: p.verdict,
						stations: p.stations
					});
					for (const c of p.checks) expect(p.figures[c.id].verdict).toBe(c.verdict);
					expect([p.firstLimit, p.weakestLink].filter(Boolean).length).toBeLessThanOrEqual(1);
					const flagged = new Set(PARTS.map((part) => worstOn(part, p)).filter(Boolean));
					expect(flagged.size).toBeLessThanOrEqual(1);
				}
			),
			{ numRuns: 60 }
		);
	});
});

describe('a bench of version 1', () => {
	const old = {
		...BAY_2,
		supply: {
			system: 'iec',
			phases: 1,
			nominalV: 230,
			serviceOhm: null,
			breaker: { standard: 'iec60898', curve: 'C', ratingA: 32 },
			wire: { size: 'mm2-6', lengthM: 18, method: 'clipped' },
			receptacleA: 32,
			cord: { size: 'mm2-4', lengthM: 10 },
			otherLoadA: 3,
			ambientC: 20
		},
		cutter: { ...BAY_2.cutter, inrushA: undefined, voltageBy: undefined },
		torch: { ...BAY_2.torch, leadM: undefined, leadBoreMm: undefined },
		air: {
			compressor: { q1Lpm: 225, p1Bar: 4, q2Lpm: 190, p2Bar: 8, cutInBar: 6.5, cutOutBar: 8.5 },
			tankL: 90,
			altitudeM: 60,
			setPointBar: 5.5,
			filter: { lossBar: 0.08, atLpm: 200 },
			dryer: null,
			hose: { boreMm: 10, lengthM: 12, couplings: 2 }
		},
		usual: { arcS: 14, restS: 20, shopC: 18 }
	};
	const stored = JSON.parse(JSON.stringify(old)) as unknown;

	it('is brought to the present shape with everything that it held', () => {
		const read = BENCH.read(stored, 1);
		if (!read.ok) throw new Error(read.reason);
		const bench = read.value;
		expect(bench.air.compressor.points).toEqual([
			{ flowLpm: 225, atBar: 4 },
			{ flowLpm: 190, atBar: 8 }
		]);
		expect(bench.air.stages).toMatchObject([{ kind: 'trap', lossBar: 0.08 }]);
		expect(bench.supply.loads).toMatchObject([{ currentA: 3, when: 'always' }]);
		expect(bench.supply.cord).toEqual({
			size: 'mm2-4',
			lengthM: 10,
			kind: 'made-up',
			labelA: null
		});
	});

	it('one of this version comes back as it is; what is no bench, or of tomorrow, is refused with a reason', () => {
		expect(BENCH.read(BAY_2, BENCH.version)).toEqual({ ok: true, value: BAY_2 });
		for (const other of [null, 7, 'x', [], {}, { supply: 1 }, { supply: { loads: 3 } }]) {
			for (const version of [0, 1, 2, 3]) {
				expect(BENCH.read(other, version), JSON.stringify(other)).toMatchObject({ ok: false });
			}
		}
		const newer = BENCH.read(BAY_2, BENCH.version + 1);
		expect(newer).toMatchObject({ ok: false, reason: expect.stringContaining('Update') as string });
	});
});

describe('a delivery that was measured', () => {
	it('has the band of its factor: as large a share of the litres as of the factor (± 1.2816 σ, eight in ten)', () => {
		const deliveryFactor = { mean: 0.8, spread: 0.05, n: 3 };
		const evidence = { ...NO_EVIDENCE, deliveryFactor };
		const { value, band } = plan(inputsOf({ evidence })).figures['air.deliveryLpm'];
		expect(band![0] / value!).toBeCloseTo(1 - (1.2816 * 0.05) / 0.8, 3);
		expect(band![1] / value!).toBeCloseTo(1 + (1.2816 * 0.05) / 0.8, 3);
	});
});

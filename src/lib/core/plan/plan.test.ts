import { explain } from './explain';
import { REASONS } from './reasons';
import { evaluate } from 'mathjs';
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { some } from '../../../../tests/support/part';
import {
	DEFAULT_SETTINGS,
	FIGURE_IDS,
	DEFAULT_CUT,
	NO_EVIDENCE,
	plan,
	PlanInputsSchema,
	type Bench,
	type Chart,
	type Evidence,
	type PlanInputs
} from '..';
import { NO_USE } from '../wear/electrode';
import { inputsHash } from './plan';

const MEASURED: Evidence = {
	revision: 9,
	sourceV: { n: 2, mean: 233, spread: 1 },
	loopOhm: { n: 1, mean: 0.5, spread: 0.05, modelOhm: 0.45 },
	flowLpm: { n: 1, mean: 182, spread: 9 },
	deliveryFactor: { n: 1, mean: 0.9, spread: 0.05 },
	leakLpm: { n: 1, mean: 6, spread: 0.5 },
	powerRatio: { n: 2, mean: 1.06, spread: 0.02 },
	lineFactor: { n: 1, mean: 1.3, spread: 0.1 },
	heat: { n: 1, riseFactor: 1.1, tauS: 260 },
	trip: { n: 1, lowShare: 0.2, highShare: 0.6 },
	pattern: { starts: 30, arcS: 12, restS: null },
	speed: [
		{
			metal: 'mild-steel',
			nozzleA: 45,
			outputA: 45,
			thicknessMm: 6,
			kind: 'lag',
			lnMmMin: Math.log(1800),
			weight: 2
		}
	],
	scrap: {
		kerf: { 'mild-steel@45': { n: 1, mean: 1.7, spread: 0.3 } },
		radius: { n: 1, mean: 12.3, spread: 0.3 }
	},
	wear: {
		electrode: {
			total: {
				...NO_USE,
				starts: 60,
				arcMin: 12,
				loadMin: 11,
				piercesRolled: 3,
				piercesStraight: 4
			},
			last: {
				grownUm: 300,
				useSince: { ...NO_USE, starts: 20, arcMin: 4, loadMin: 4, piercesRolled: 1 }
			},
			measured: [{ grownUm: 300, use: { ...NO_USE, starts: 40, arcMin: 8, loadMin: 7 } }],
			lives: [{ um: 250, worn: false }]
		},
		nozzle: {
			total: { ...NO_USE, starts: 30, arcMin: 6, loadMin: 5, piercesRolled: 1 },
			last: { grownUm: 20, useSince: { ...NO_USE, starts: 10, arcMin: 2, loadMin: 2 } },
			measured: [{ grownUm: 20, use: { ...NO_USE, starts: 20, arcMin: 4, loadMin: 3 } }],
			lives: [
				{ um: 12, worn: false },
				{ um: 90, worn: true }
			]
		},
		starts: { ring: 60, cap: 900, shield: null, 'o-ring': 2100, 'gouge-nozzle': 40 }
	},
	gouge: {},
	checks: [{ item: 'gel', word: 'gel spent', station: 'supply', verdict: 'tight' }]
};

const inputs = inputsOf;
const bench = changed;

/** Two points of delivery, at 4 and 8 bar. */
function deliver(b: Bench, atFourLpm: number, atEightLpm: number): void {
	b.air.compressor.points = [
		{ flowLpm: atFourLpm, atBar: 4 },
		{ flowLpm: atEightLpm, atBar: 8 }
	];
}
const BOTTLES: Bench['air']['bottle'] = {
	gas: 'nitrogen',
	waterL: 50,
	count: 2,
	fillBar: 200,
	reserveBar: 15,
	outletBar: 7
};

const worn = (wear: Partial<Evidence['wear']>) =>
	inputs({ evidence: { ...NO_EVIDENCE, wear: { ...NO_EVIDENCE.wear, ...wear } } });
const PRICED = {
	...DEFAULT_SETTINGS,
	electrodePrice: 9,
	nozzlePrice: 7,
	labourPerH: 45,
	pricePerKwh: 0.32,
	bottlePrice: 42
};

/** Situations that together take every way to every figure. */
const SITUATIONS: Record<string, PlanInputs> = {
	'Bay 2': inputs(),
	'the electrode measured, the nozzle never': worn({
		electrode: { ...MEASURED.wear.electrode, lives: [] }
	}),
	'electrodes have lasted, the nozzle never measured': worn({
		electrode: {
			...NO_EVIDENCE.wear.electrode,
			total: { ...NO_USE, starts: 90 },
			lives: [{ um: 900, worn: true }]
		}
	}),
	'the nozzle measured as new, the electrode never': worn({
		electrode: { ...NO_EVIDENCE.wear.electrode, total: { ...NO_USE, starts: 300 } },
		nozzle: {
			...NO_EVIDENCE.wear.nozzle,
			last: { grownUm: 0, useSince: NO_USE },
			measured: [{ grownUm: 0, use: { ...NO_USE, starts: 10 } }]
		}
	}),
	'what it costs': inputs({ settings: PRICED }),
	'what it costs from bottles': inputs({
		settings: PRICED,
		bench: bench((b) => {
			b.air.source = 'bottle';
			b.air.bottle = BOTTLES;
		})
	}),
	'never measured, others have lasted': inputs({
		evidence: {
			...NO_EVIDENCE,
			wear: {
				electrode: {
					total: { ...NO_USE, starts: 90, arcMin: 20, loadMin: 20 },
					last: null,
					measured: [],
					lives: [
						{ um: 390, worn: false },
						{ um: 900, worn: true },
						{ um: 1100, worn: true },
						{ um: 300, worn: false }
					]
				},
				nozzle: {
					total: { ...NO_USE, starts: 90, arcMin: 20, loadMin: 20 },
					last: null,
					measured: [],
					lives: [
						{ um: 39, worn: false },
						{ um: 95, worn: true }
					]
				},
				starts: { ring: 90, cap: 90, shield: 90 }
			}
		}
	}),
	'Bay 2, measured': inputs({
		evidence: MEASURED,
		settings: { ...DEFAULT_SETTINGS, electrodePrice: 9, nozzlePrice: 7 }
	}),
	'trolley, matched amps': inputs({ bench: TROLLEY }, { school: 'matched', thicknessMm: 3 }),
	'typed amps, sever, waste side, pierce': inputs(
		{},
		{
			school: 'typed',
			typedA: 38,
			aim: 'sever',
			guide: 'waste',
			start: 'pierce',
			metal: 'stainless'
		}
	),
	'far too thick': inputs({}, { thicknessMm: 60 }),
	'no pause, hot': inputs({ work: { arcS: 600, restS: 0, shopC: 35 } }),
	'breaker trips': inputs({
		bench: bench((b) => {
			b.supply.breaker.ratingA = 10;
			b.supply.serviceOhm = 0.3;
		}),
		work: { arcS: 120, restS: 10, shopC: 20 }
	}),
	'cannot be delivered': inputs({
		bench: bench((b) => {
			b.supply.wire = { size: 'mm2-1', lengthM: 200, method: 'conduit' };
			b.supply.cord = null;
		})
	}),
	'air falls short while the compressor runs': inputs({
		bench: bench((b) => {
			deliver(b, 120, 90);
			b.air.stages = [];
		})
	}),
	'air falls short before cut-in': inputs({
		bench: bench((b) => {
			b.air.compressor.cutInBar = 4.9;
			b.air.tankL = 24;
		})
	}),
	'air short at once, hose chokes': inputs({
		bench: bench((b) => {
			b.air.hose = { boreMm: 3, lengthM: 40, couplings: 4 };
			b.cutter.airFlowLpm = 700;
		})
	}),
	'plate without flow, arc voltage printed, three phases': inputs({
		bench: bench((b) => {
			b.cutter.airFlowLpm = null;
			b.cutter.arcVoltageV = 105;
			b.supply.phases = 3;
			b.supply.nominalV = 400;
			b.cutter.inputs.push({
				voltageV: 400,
				phases: 3,
				inputMaxA: 9,
				inputEffA: 7,
				fuseA: 10,
				outputMaxA: 45,
				duty: [{ outputA: 45, dutyShare: 0.6 }]
			});
		})
	}),
	'plate without supply current': inputs({
		bench: bench((b) => {
			b.cutter.inputs[0]!.inputMaxA = null;
			b.cutter.powerFactor = 0.7;
		}, TROLLEY)
	}),
	'steady delivery, straight fall': inputs({
		bench: bench((b) => {
			deliver(b, 150, 150);
		}),
		work: { arcS: 40, restS: 5, shopC: 10 }
	})
};

Object.assign(SITUATIONS, {
	'compressor on the same breaker': inputs({
		bench: bench((b) => (b.supply.loads[0]!.on = b.supply.circuit)),
		work: { arcS: 60, restS: 20 }
	}),
	'a shift with breaks': inputs({ work: { shift: { hours: 8, spellMin: 110, breakMin: 15 } } }),
	'a shift, hot and hard': inputs({
		work: { arcS: 120, restS: 30, shopC: 35, shift: { hours: 4, spellMin: 60, breakMin: 10 } }
	}),
	'on bottles': inputs({
		bench: bench((b) => {
			b.air.source = 'bottle';
			b.air.bottle = BOTTLES;
		})
	}),
	'built-in compressor': inputs({ bench: bench((b) => (b.air.source = 'built-in')) }),
	'on a generator': inputs({
		bench: bench((b) => (b.supply.generator = { ratedVA: 8000, ratedW: 6400, regulation: 0.08 }))
	}),
	'only a displacement on the plate, one point': inputs({
		bench: bench((b) => {
			b.air.compressor.points = [{ flowLpm: 320, atBar: 7 }];
			b.air.compressor.rating = 'displaced';
		})
	}),
	'three points of delivery, kinked in the middle of the fall': inputs({
		bench: bench((b) => {
			b.air.compressor.points = [
				{ flowLpm: 160, atBar: 4 },
				{ flowLpm: 130, atBar: 5.5 },
				{ flowLpm: 60, atBar: 8 }
			];
		}),
		work: { arcS: 300, restS: 5 }
	}),
	'a lead that chokes': inputs({
		bench: bench((b) => {
			b.torch.leadBoreMm = 3;
			b.torch.leadM = 30;
			b.cutter.airFlowLpm = 500;
			b.air.hose.boreMm = 20;
		})
	}),
	'dry and cold: nothing falls out, no gel': inputs({
		bench: bench((b) => {
			b.air.stages = [];
			b.air.tankRiseK = 40;
			b.air.compressor.cutInBar = 0.5;
		}),
		work: { shopC: 5, humidity: 0.05 }
	})
});

const CHART: Chart = {
	hash: 'chart-a',
	rows: [
		[3, 50],
		[6, 22],
		[12, 8]
	].map(([thicknessMm, speedMmS]) => ({
		metal: 'mild-steel' as const,
		outputA: 45,
		nozzleA: 45,
		thicknessMm: thicknessMm!,
		speedMmS: speedMmS!,
		pressureBar: null,
		standoffMm: null,
		kerfMm: 1.4,
		pierceMm: null,
		pierceS: null
	}))
};
const tests = (n: number, missed: number[]): Evidence => {
	const at = { metal: 'mild-steel', nozzleA: 45, outputA: 45, thicknessMm: 6 } as const;
	return {
		...NO_EVIDENCE,
		speed: [
			...(n ? [{ ...at, kind: 'lag' as const, lnMmMin: Math.log(1250), weight: n }] : []),
			...missed.map((mmMin) => ({
				...at,
				kind: 'missed' as const,
				lnMmMin: Math.log(mmMin),
				weight: 1
			}))
		]
	};
};
Object.assign(SITUATIONS, {
	'regulator of its own, told, a groove asked for': inputs(
		{
			bench: bench((b) => {
				b.cutter.regulator = 'set';
				b.cutter.workingBar = 4.6;
			})
		},
		{ gouge: { ...DEFAULT_CUT.gouge, asked: true } }
	),
	'a fillet to come out, fewer amps, what must stay told': inputs(
		{},
		{
			gouge: {
				...DEFAULT_CUT.gouge,
				asked: true,
				target: 'fillet',
				outputA: 40,
				keepMm: 3,
				plateMm: 10,
				pieces: 4
			}
		}
	),
	'a back-gouge after test grooves': inputs(
		{
			evidence: {
				...NO_EVIDENCE,
				gouge: {
					'mild-steel 45': {
						removal: { n: 2, mean: 0.2, spread: 0.1 },
						shape: { n: 2, mean: -0.1, spread: 0.1 }
					}
				}
			}
		},
		{
			gouge: { ...DEFAULT_CUT.gouge, asked: true, target: 'back', depthMm: 5 },
			thicknessMm: 12
		}
	),
	'a pad to come off, lengths of its own': inputs(
		{},
		{
			gouge: {
				...DEFAULT_CUT.gouge,
				asked: true,
				target: 'facing',
				widthMm: 20,
				depthMm: 3,
				lengthMm: 150
			}
		}
	),
	'a small fillet, faster than a hand at full amps': inputs(
		{},
		{ gouge: { ...DEFAULT_CUT.gouge, asked: true, target: 'fillet', legMm: 3 } }
	),
	'tack welds': inputs(
		{},
		{
			gouge: {
				...DEFAULT_CUT.gouge,
				asked: true,
				target: 'tack',
				widthMm: 8,
				depthMm: 3,
				pieces: 12
			}
		}
	),
	'no regulator in it, a listed cord behind a plug fuse, a selector': inputs({
		bench: bench((b) => {
			b.cutter.regulator = 'none';
			b.supply.plugFuseA = 20;
			b.supply.cord = { size: 'mm2-2.5', lengthM: 5, kind: 'listed', labelA: 16 };
		})
	}),
	'nothing runs on': inputs({
		bench: bench((b) => {
			b.supply.breaker.ratingA = 6;
			b.cutter.outputMinA = 40;
		}),
		work: { arcS: 900, restS: 1, shopC: 45 }
	}),
	'the planned cut is the work': inputs({ work: { by: 'cut' } }),
	'steel past clean': inputs({}, { thicknessMm: 15 }),
	'copper, thick': inputs({}, { metal: 'copper', thicknessMm: 8 }),
	'by the chart': inputs({ chart: CHART }),
	'by the chart, tested': inputs({ chart: CHART, evidence: tests(2, []) }),
	'did not go through': inputs({ evidence: tests(1, [1700, 1800]) }),
	'outside the chart': inputs({ chart: CHART }, { thicknessMm: 20 }),
	'a chart with pressure and stand-off, no shield': inputs({
		bench: bench((b) => {
			b.torch.dragShield = false;
			b.cutter.regulator = 'set';
		}),
		chart: {
			...CHART,
			rows: CHART.rows.map((row) => ({ ...row, pressureBar: 5.1, standoffMm: 2 }))
		}
	}),
	'what the circuit carries': inputs({ bench: TROLLEY }, { school: 'circuit', thicknessMm: 3 }),
	'a hole on a circle guide, hovered': inputs(
		{},
		{ guide: 'circle', circleMm: 80, start: 'hover', bevelDeg: 15 }
	),
	'a disc on a circle guide, rolled': inputs(
		{},
		{ guide: 'circle', circleOf: 'disc', start: 'pierce', thicknessMm: 9 }
	),
	'a hole too thick to pierce, drilled': inputs({}, { guide: 'circle', thicknessMm: 14 }),
	'too thick to hover': inputs({}, { start: 'hover', thicknessMm: 14, guide: 'roller' }),
	'pierced straight': inputs({}, { start: 'pierce', thicknessMm: 3 }),
	'pierced by the chart': inputs(
		{ chart: { ...CHART, rows: CHART.rows.map((row) => ({ ...row, pierceS: 0.6 })) } },
		{ start: 'pierce', thicknessMm: 3 }
	),
	'a stack on a bevel, thin, faster than a hand': inputs(
		{},
		{ layers: 2, thicknessMm: 0.8, bevelDeg: 20, guide: 'freehand' }
	)
} satisfies Record<string, PlanInputs>);

describe('every working', () => {
	it.each(Object.entries(SITUATIONS))('gives what the plan says: %s', (_, given) => {
		const result = plan(given);
		for (const id of FIGURE_IDS) {
			const { value } = result.figures[id];
			const working = explain(given, id);
			const scope = Object.fromEntries(working.inputs.map((i) => [i.symbol, i.value]));
			const evaluated = evaluate(working.formula, scope) as unknown;
			if (value === null) {
				expect(evaluated, `${id}: ${working.formula} tells why there is none`).toBe(true);
			} else {
				const number = Number(evaluated);
				expect(
					Math.abs(number - value) <= 1e-9 + 1e-7 * Math.abs(value),
					`${id}: ${working.formula} = ${number}, the plan says ${value}`
				).toBe(true);
			}
		}
	});

	it('is taken at least once in these situations', () => {
		const taken = new Set<string>();
		for (const given of Object.values(SITUATIONS)) {
			const result = plan(given);
			for (const id of FIGURE_IDS) taken.add(`${id} ${result.figures[id].way}`);
		}
		const missing = FIGURE_IDS.flatMap((id) =>
			Object.keys(REASONS[id]).map((way) => `${id} ${way}`)
		).filter((way) => !taken.has(way));
		expect(missing).toEqual([]);
	});

	it('touches the plate bare up to the amps of its torch, those included, and stands off above', () => {
		const bare = (bareTouchA: number) =>
			plan(
				inputsOf({
					bench: changed((b) => Object.assign(b.torch, { dragShield: false, bareTouchA }))
				})
			);
		const { value: outputA } = bare(0).figures['setup.currentA'];
		expect(bare(outputA!).choices.standoff).toBe('touch');
		expect(bare(outputA! - 1).choices.standoff).toBe('gap');
	});

	it('names its source and says how far each input is to be trusted', () => {
		for (const id of FIGURE_IDS) {
			const working = explain(inputs({ evidence: MEASURED }), id);
			expect(working.source.length, id).toBeGreaterThan(5);
			for (const input of working.inputs)
				expect('ATCDSHRM', `${id} ${input.symbol}`).toContain(input.basis);
		}
	});
});

describe('measured beats modelled', () => {
	const modelled = plan(inputs());
	const measured = plan(inputs({ evidence: MEASURED }));

	it.each([
		['supply.sourceV'],
		['supply.resistanceOhm'],
		['air.flowLpm'],
		['air.deliveryLpm'],
		['setup.speedMmS'],
		['wear.pitMm'],
		['wear.boreMm'],
		['wear.factor']
	] as const)('%s carries the letter T and another value', (id) => {
		expect(modelled.figures[id].basis).not.toBe('T');
		expect(measured.figures[id].basis).toBe('T');
		expect(measured.figures[id].value).not.toBe(modelled.figures[id].value);
	});

	it('narrows the band of the speed with each test cut', () => {
		const width = (n: number) => {
			const evidence = tests(n, []);
			const [low, high] = plan(inputs({ evidence })).figures['setup.speedMmS'].band!;
			return Math.log(high / low);
		};
		expect(width(1)).toBeLessThan(width(0));
		expect(width(3)).toBeLessThan(width(1) * 0.95);
	});
});

describe('the plan', () => {
	it('is plain data', () => {
		const result = plan(inputs());
		expect(JSON.parse(JSON.stringify(result))).toEqual(result);
	});

	it('hashes alike whatever order the keys came in', () => {
		const shuffled = Object.fromEntries(Object.entries(inputs()).reverse());
		expect(inputsHash(v.parse(PlanInputsSchema, shuffled))).toBe(
			inputsHash(v.parse(PlanInputsSchema, inputs()))
		);
		expect(inputsHash(inputs({}, { thicknessMm: 6.1 }))).not.toBe(inputsHash(inputs()));
	});

	it('never gives NaN, and every null has a reason, whatever the bench', () => {
		const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
		fc.assert(
			fc.property(
				fc.record({
					thicknessMm: number(0.3, 100),
					ratingA: number(6, 125),
					lengthM: number(0.1, 500),
					tankL: number(1, 5000),
					q1: number(1, 5000),
					cutIn: number(0.5, 12),
					boreMm: number(3, 50),
					arcS: number(1, 3600),
					restS: number(0, 3600),
					shopC: number(-20, 50),
					humidity: number(0.05, 1),
					shares: fc.boolean(),
					source: fc.constantFrom('compressor' as const, 'bottle' as const, 'built-in' as const),
					shift: fc.constantFrom(null, { hours: 3, spellMin: 50, breakMin: 10 })
				}),
				(r) => {
					const given = inputs(
						{
							bench: bench((b) => {
								b.supply.breaker.ratingA = r.ratingA;
								b.supply.wire.lengthM = r.lengthM;
								b.air.tankL = r.tankL;
								b.air.hose.boreMm = r.boreMm;
								deliver(b, r.q1, r.q1 * 0.8);
								b.air.compressor.cutInBar = r.cutIn;
								b.air.compressor.cutOutBar = r.cutIn + 2;
								if (r.shares) b.supply.loads[0]!.on = b.supply.circuit;
								b.air.source = r.source;
								b.air.bottle = BOTTLES;
							}),
							work: {
								arcS: r.arcS,
								restS: r.restS,
								shopC: r.shopC,
								humidity: r.humidity,
								shift: r.shift
							}
						},
						{ thicknessMm: r.thicknessMm }
					);
					const result = plan(given);
					for (const id of FIGURE_IDS) {
						const { value } = result.figures[id];
						if (value !== null) expect(Number.isFinite(value), id).toBe(true);
					}
					for (const check of result.checks)
						expect(Number.isNaN(check.margin), check.id).toBe(false);
				}
			),
			{ numRuns: some(200) }
		);
	});
});

describe('what more of a thing does', () => {
	const volts = (lengthM: number) =>
		plan(inputs({ bench: bench((b) => (b.supply.cord!.lengthM = lengthM)) })).figures[
			'supply.voltageV'
		].value!;

	it('a longer cord never raises the voltage', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.1, max: 90, noNaN: true }), (m) => {
				expect(volts(m + 5)).toBeLessThan(volts(m));
			})
		);
	});

	it('a bigger tank never shortens the longest cut', () => {
		const longest = (tankL: number) =>
			plan(
				inputs({
					bench: bench((b) => {
						b.air.tankL = tankL;
						deliver(b, 120, 100);
					})
				})
			).figures['air.longestCutS'].value!;
		fc.assert(
			fc.property(fc.double({ min: 5, max: 900, noNaN: true }), (l) => {
				expect(longest(l * 1.3)).toBeGreaterThanOrEqual(longest(l));
			})
		);
	});

	it('the most amps that surely run on do, and the next ones do not; what may run is never less', () => {
		for (const b of [BAY_2, TROLLEY]) {
			for (const by of ['pattern', 'cut'] as const) {
				const work = { by, arcS: 60, restS: 30, shopC: 30 };
				const asked = inputs({ bench: b, work }, { lengthMm: 1500 });
				const { figures } = plan(asked);
				const runsOnA = figures['supply.runsOnA'].value;
				const mayA = figures['supply.mayRunOnA'].value;
				if (runsOnA !== null) expect(mayA).toBeGreaterThanOrEqual(runsOnA);
				for (let amps = b.cutter.outputMinA; amps <= b.cutter.inputs[0]!.outputMaxA; amps++) {
					const cut = { ...asked.cut, school: 'typed' as const, typedA: amps };
					const result = plan({ ...asked, cut });
					if (by === 'cut' && result.figures['setup.arcS'].value === null) continue;
					const electric = result.checks.filter((c) =>
						['supply.voltageV', 'supply.breakerPeak', 'cutter.peakC'].includes(c.id)
					);
					const stops =
						electric.some((c) => c.verdict === 'stops') ||
						result.figures['supply.tripEarliestS'].value !== null;
					if (amps === runsOnA) expect(stops, `${b.name} at ${amps} A`).toBe(false);
					if (amps > (runsOnA ?? 0)) expect(stops, `${b.name} at ${amps} A`).toBe(true);
				}
			}
		}
	});
});

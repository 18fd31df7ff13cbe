import { conductorLabel } from '../../circuit/conductors';
import type { Workings } from '../workings';
import { IDLE_A } from '../workings/electric';
import {
	given,
	several,
	single,
	stated,
	type FigureDef,
	type InputSource,
	type Way
} from './define';

const AMPACITY_SOURCE =
	'NEC Table 310.16 with 240.4(D), IEC 60364-5-52 Table B.52.2; cords NEC Table 400.5(A)(1), common ratings (from memory)';
const BREAKER_SOURCE =
	'One-node model through the published points of UL 489 and IEC 60898-1 (points from memory)';

const amps = 'setup.currentA' as const;
const nominal = given(
	'supply voltage, as wired',
	'voltage',
	'D',
	(w) => w.inputs.bench.supply.nominalV
);
const phase = given('1 for one phase, √3 for three', 'factor', 'S', (w) => w.wiring.phaseFactor);
const loop = given('conductors in the loop', 'count', 'S', (w) => w.wiring.loopConductors);
const other = given(
	'other loads on the breaker',
	'current',
	'D',
	(w) => w.inputs.bench.supply.otherLoadA
);
const idle = stated('fan and electronics between cuts', 'current', IDLE_A);
const arcS = given('arc', 'time', 'D', (w) => w.inputs.work.arcS);
const restS = given('pause', 'time', 'D', (w) => w.inputs.work.restS);

function heatInputs(curve: 'earliest' | 'latest'): Record<string, InputSource> {
	return {
		E: given(
			'heat towards which it goes, (I/In)²',
			'factor',
			'M',
			(w) => w.draw[curve].pattern.onTarget
		),
		F: given('the same between cuts', 'factor', 'M', (w) => w.draw[curve].pattern.offTarget),
		tau: given('time constant of the bimetal', 'time', 'M', (w) => w.wiring.curves[curve].tauS),
		trip: given(
			'heat at which it trips, (I/In)²',
			'factor',
			'S',
			(w) => w.wiring.curves[curve].tripHeat
		),
		t_on: arcS,
		t_off: restS
	};
}

const PEAK_FORMULA =
	'(E*(1 - exp(-t_on/tau)) + F*exp(-t_on/tau)*(1 - exp(-t_off/tau)))/(1 - exp(-(t_on + t_off)/tau))/trip';

function peak(curve: 'earliest' | 'latest', label: string): FigureDef {
	const steady = (w: Workings) => w.inputs.work.restS <= 0;
	return several(
		label,
		'share',
		(w) => w.draw[curve].peakShare,
		(w) => (steady(w) ? 'steady' : 'cyclic'),
		{
			cyclic: {
				basis: 'M',
				formula: PEAK_FORMULA,
				source: BREAKER_SOURCE,
				inputs: heatInputs(curve)
			},
			steady: { basis: 'M', formula: 'E/trip', source: BREAKER_SOURCE, inputs: heatInputs(curve) }
		}
	);
}

function tripTime(
	curve: 'earliest' | 'latest',
	label: string,
	peakId: 'supply.breakerPeak' | 'supply.breakerPeakLate'
): FigureDef {
	return several(
		label,
		'time',
		(w) => w.draw[curve].trip?.atS ?? null,
		(w) => (w.draw[curve].trip ? 'trips' : 'never'),
		{
			trips: {
				basis: 'M',
				formula: 't_0 + tau*log((E - theta_0)/(E - trip))',
				source: BREAKER_SOURCE,
				inputs: {
					...heatInputs(curve),
					t_0: given(
						'start of the cut in which it trips',
						'time',
						'M',
						(w) => w.draw[curve].trip!.phaseStartS
					),
					theta_0: given(
						'heat at that moment',
						'factor',
						'M',
						(w) => w.draw[curve].trip!.phaseStartLevel
					)
				}
			},
			never: { basis: 'M', formula: 'peak <= 1', source: BREAKER_SOURCE, inputs: { peak: peakId } }
		}
	);
}

const PLATE = 'Data plate: largest supply current, scaled by output power';
const wireFormula = 'loop*L*r/1000';
const CONDUCTOR_SOURCE =
	'ASTM B258 with 58 MS/m copper; IEC 60228 Tables 2 and 3 (from memory), at 75 or 70 °C';

function undeliverable(w: Workings): string {
	return w.draw.delivered.ok ? 'loaded' : 'impossible';
}
const impossible: Way = {
	basis: 'M',
	formula: 'V_0^2 < 4*S*R',
	source: 'Constant-power load: more than the line can pass at all',
	inputs: { V_0: 'supply.sourceV', S: 'supply.apparentVA', R: 'supply.resistanceOhm' }
};

export const SUPPLY_FIGURES = {
	'supply.sourceV': several(
		'Volts at the panel, idle',
		'voltage',
		(w) => w.wiring.sourceV,
		(w) => (w.inputs.evidence.sourceV ? 'measured' : 'nominal'),
		{
			nominal: {
				basis: 'D',
				formula: 'V_n',
				source: 'The circuit as wired',
				inputs: { V_n: nominal }
			},
			measured: {
				basis: 'T',
				formula: 'V_m',
				source: 'Read with the cutter idle',
				inputs: {
					V_m: given(
						'mean of your idle readings',
						'voltage',
						'T',
						(w) => w.inputs.evidence.sourceV!.mean
					)
				}
			}
		}
	),
	'supply.arcV': several(
		'Arc voltage',
		'voltage',
		(w) => w.draw.arcVoltageV,
		(w) => (w.inputs.bench.cutter.arcVoltageV === null ? 'conventional' : 'plate'),
		{
			conventional: {
				basis: 'S',
				formula: 'I <= 165 ? 80 + 0.4*I : 130 + 0.1*I',
				source: 'IEC 60974-1, conventional load voltage of plasma cutting (from memory)',
				inputs: { I: amps }
			},
			plate: {
				basis: 'D',
				formula: 'U_2',
				source: 'Data plate, U2',
				inputs: {
					U_2: given('arc voltage on the plate', 'voltage', 'D', (w) => w.draw.arcVoltageV)
				}
			}
		}
	),
	'supply.outputW': single('Power in the arc', 'power', (w) => w.draw.outputPowerW, {
		basis: 'S',
		formula: 'I*U_2',
		source: 'Product of current and voltage',
		inputs: { I: amps, U_2: 'supply.arcV' }
	}),
	'supply.apparentVA': several(
		'Drawn from the supply',
		'apparentPower',
		(w) => w.draw.apparentVA,
		(w) => (w.wiring.plate.inputMaxA === null ? 'estimated' : 'plate'),
		{
			plate: {
				basis: 'D',
				formula: 'k*V_p*I_1max*P/P_max',
				source: PLATE,
				inputs: {
					k: phase,
					V_p: given('input voltage on the plate', 'voltage', 'D', (w) => w.wiring.plate.voltageV),
					I_1max: given(
						'largest supply current on the plate',
						'current',
						'D',
						(w) => w.wiring.inputMaxA
					),
					P: 'supply.outputW',
					P_max: given('output power at full amps', 'power', 'S', (w) => w.draw.fullOutputPowerW)
				}
			},
			estimated: {
				basis: 'R',
				formula: 'P/(eta*PF)',
				source: 'The plate gives no supply current: efficiency and power factor as entered',
				inputs: {
					P: 'supply.outputW',
					eta: given('efficiency', 'factor', 'R', (w) => w.inputs.bench.cutter.efficiency),
					PF: given('power factor', 'factor', 'R', (w) => w.inputs.bench.cutter.powerFactor)
				}
			}
		}
	),
	'supply.serviceOhm': several(
		'Service up to the panel',
		'resistance',
		(w) => w.wiring.serviceOhm,
		(w) => (w.inputs.bench.supply.serviceOhm === null ? 'assumed' : 'entered'),
		{
			assumed: {
				basis: 'R',
				formula: 'R_s',
				source: 'Stated starting value; two voltage readings replace it',
				inputs: {
					R_s: given('usual service, there and back', 'resistance', 'R', (w) => w.wiring.serviceOhm)
				}
			},
			entered: {
				basis: 'D',
				formula: 'R_s',
				source: 'Entered on the bench',
				inputs: {
					R_s: given('service, there and back', 'resistance', 'D', (w) => w.wiring.serviceOhm)
				}
			}
		}
	),
	'supply.wireOhm': single('Wire, panel to receptacle', 'resistance', (w) => w.wiring.wireOhm, {
		basis: 'H',
		formula: wireFormula,
		source: CONDUCTOR_SOURCE,
		inputs: {
			loop,
			L: given('length one way', 'run', 'D', (w) => w.inputs.bench.supply.wire.lengthM),
			r: (w) => ({
				label: `Ω per km, ${conductorLabel(w.inputs.bench.supply.wire.size)}, hot`,
				quantity: 'factor',
				basis: 'H',
				value: w.wiring.wireOhmKm
			})
		}
	}),
	'supply.cordOhm': several(
		'Extension cord',
		'resistance',
		(w) => w.wiring.cordOhm,
		(w) => (w.inputs.bench.supply.cord ? 'cord' : 'none'),
		{
			cord: {
				basis: 'H',
				formula: wireFormula,
				source: CONDUCTOR_SOURCE,
				inputs: {
					loop,
					L: given('length one way', 'run', 'D', (w) => w.inputs.bench.supply.cord!.lengthM),
					r: given('Ω per km, hot', 'factor', 'H', (w) => w.wiring.cordOhmKm)
				}
			},
			none: { basis: 'D', formula: '0', source: 'No cord on this bench', inputs: {} }
		}
	),
	'supply.resistanceOhm': several(
		'Resistance up to the cutter',
		'resistance',
		(w) => w.wiring.resistanceOhm,
		(w) => (w.inputs.evidence.loopOhm ? 'measured' : 'model'),
		{
			model: {
				basis: 'M',
				formula: 'R_s + R_w + R_c',
				source: 'Service, wire and cord in series',
				inputs: { R_s: 'supply.serviceOhm', R_w: 'supply.wireOhm', R_c: 'supply.cordOhm' }
			},
			measured: {
				basis: 'T',
				formula: 'max(0.0001, R_m + R_now - R_then)',
				source: 'Volts idle and under arc; changes of wire or cord since then added',
				inputs: {
					R_m: given(
						'measured, there and back',
						'resistance',
						'T',
						(w) => w.inputs.evidence.loopOhm!.mean
					),
					R_now: given('the model, as wired now', 'resistance', 'M', (w) => w.wiring.modelOhm),
					R_then: given(
						'the model, as wired then',
						'resistance',
						'M',
						(w) => w.inputs.evidence.loopOhm!.modelOhm
					)
				}
			}
		}
	),
	'supply.voltageV': several(
		'Volts at the cutter, cutting',
		'voltage',
		(w) => (w.draw.delivered.ok ? w.draw.delivered.voltageV : null),
		undeliverable,
		{
			loaded: {
				basis: 'M',
				formula: '(V_0 + sqrt(V_0^2 - 4*S*R))/2',
				source: 'Constant-power load on a resistance: the more it sags, the more it draws',
				inputs: { V_0: 'supply.sourceV', S: 'supply.apparentVA', R: 'supply.resistanceOhm' }
			},
			impossible
		}
	),
	'supply.receptacleV': several(
		'Volts at the receptacle, cutting',
		'voltage',
		(w) => (w.draw.delivered.ok ? w.draw.receptacleV : null),
		undeliverable,
		{
			loaded: {
				basis: 'M',
				formula: 'V_0 - k*I_1*(R - R_c)',
				source: 'Ohm’s law up to the receptacle',
				inputs: {
					V_0: 'supply.sourceV',
					k: phase,
					I_1: 'supply.inputA',
					R: 'supply.resistanceOhm',
					R_c: 'supply.cordOhm'
				}
			},
			impossible
		}
	),
	'supply.dropShare': several(
		'Volts lost on the way',
		'share',
		(w) => (w.draw.delivered.ok ? w.draw.dropShare : null),
		undeliverable,
		{
			loaded: {
				basis: 'M',
				formula: '(V_0 - V)/V_0',
				source: 'NEC informational note: under 3 % branch, 5 % in all is advised (from memory)',
				inputs: { V_0: 'supply.sourceV', V: 'supply.voltageV' }
			},
			impossible
		}
	),
	'supply.inputA': several(
		'Amps drawn while cutting',
		'current',
		(w) => w.draw.inputA,
		undeliverable,
		{
			loaded: {
				basis: 'M',
				formula: 'S/(k*V)',
				source: 'Apparent power over the volts that are left',
				inputs: { S: 'supply.apparentVA', k: phase, V: 'supply.voltageV' }
			},
			impossible: {
				basis: 'M',
				formula: 'S/(k*V_0)',
				source: 'What it would draw with no loss; the circuit cannot deliver it',
				inputs: { S: 'supply.apparentVA', k: phase, V_0: 'supply.sourceV' }
			}
		}
	),
	'supply.effectiveA': single(
		'Heating current over the pattern',
		'current',
		(w) => w.draw.effectiveA,
		{
			basis: 'S',
			formula: 'sqrt((I_1 + I_o)^2*X + (I_0 + I_o)^2*(1 - X))',
			source: 'IEC 60974-1, I1eff (from memory), with the other loads added',
			inputs: {
				I_1: 'supply.inputA',
				I_o: other,
				I_0: idle,
				X: given('share of time with the arc on', 'share', 'D', (w) => w.wiring.onShare)
			}
		}
	),
	'supply.neededA': several(
		'Wire wanted at the plate’s duty',
		'current',
		(w) => w.draw.neededA,
		(w) => w.inputs.bench.supply.system,
		{
			'north-america': {
				basis: 'S',
				formula: 'm*I_1max',
				source: 'NEC Table 630.11(A), not motor-generator (from memory)',
				inputs: {
					m: given('multiplier for the duty cycle', 'factor', 'S', (w) => w.draw.dutyMultiplier),
					I_1max: given(
						'largest supply current on the plate',
						'current',
						'D',
						(w) => w.wiring.inputMaxA
					)
				}
			},
			iec: {
				basis: 'S',
				formula: 'sqrt(I_1^2*X + I_0^2*(1 - X))',
				source: 'IEC 60974-1, I1eff (from memory)',
				inputs: {
					I_1: 'supply.inputA',
					I_0: idle,
					X: given(
						'duty share on the plate at these amps',
						'share',
						'D',
						(w) => w.draw.plateDutyShare
					)
				}
			}
		}
	),
	'supply.wireCarriesA': single('Wire carries all day', 'current', (w) => w.wiring.wireCarriesA, {
		basis: 'H',
		formula: 'I_z',
		source: AMPACITY_SOURCE,
		inputs: {
			I_z: (w) => ({
				label: `${conductorLabel(w.inputs.bench.supply.wire.size)}, ${w.inputs.bench.supply.wire.method}`,
				quantity: 'current',
				basis: 'H',
				value: w.wiring.wireCarriesA
			})
		}
	}),
	'supply.cordCarriesA': several(
		'Cord carries all day',
		'current',
		(w) => (w.inputs.bench.supply.cord ? w.wiring.cordCarriesA : null),
		(w) => (w.inputs.bench.supply.cord ? 'cord' : 'none'),
		{
			cord: {
				basis: 'H',
				formula: 'I_z',
				source: AMPACITY_SOURCE,
				inputs: { I_z: given('rating of the cord', 'current', 'H', (w) => w.wiring.cordCarriesA) }
			},
			none: { basis: 'D', formula: 'true', source: 'No cord on this bench', inputs: {} }
		}
	),
	'supply.breakerA': single('Breaker, at its surroundings', 'current', (w) => w.wiring.breakerA, {
		basis: 'M',
		formula: 'I_n*sqrt(1 - (T - T_ref)/100)',
		source: 'Our own correction, about 0.5 % per kelvin from the standard’s reference temperature',
		inputs: {
			I_n: given(
				'rating on the breaker',
				'current',
				'D',
				(w) => w.inputs.bench.supply.breaker.ratingA
			),
			T: given('around the breaker', 'temperature', 'D', (w) => w.inputs.bench.supply.ambientC),
			T_ref: given('reference temperature', 'temperature', 'S', (w) =>
				w.inputs.bench.supply.breaker.standard === 'ul489' ? 40 : 30
			)
		}
	}),
	'supply.breakerPeak': peak('earliest', 'Breaker heat, touchiest'),
	'supply.breakerPeakLate': peak('latest', 'Breaker heat, laziest'),
	'supply.tripEarliestS': tripTime('earliest', 'May trip after', 'supply.breakerPeak'),
	'supply.tripLatestS': tripTime('latest', 'Will trip within', 'supply.breakerPeakLate'),
	'supply.runsOnA': several(
		'Most amps the circuit and cutter run on',
		'current',
		(w) => w.runsOnA ?? null,
		(w) => (w.runsOnA === undefined ? 'none' : w.firstFailingA === undefined ? 'full' : 'solved'),
		{
			solved: {
				basis: 'M',
				formula: 'I_fail - 1',
				source: 'Solved: whole amps, tried against breaker, volts and cutter heat for this pattern',
				inputs: {
					I_fail: given('lowest amps that something stops', 'current', 'M', (w) => w.firstFailingA!)
				}
			},
			full: {
				basis: 'M',
				formula: 'floor(I_max)',
				source: 'Solved: nothing stops it at full amps',
				inputs: {
					I_max: given('full amps on the plate', 'current', 'D', (w) => w.wiring.plate.outputMaxA)
				}
			},
			none: {
				basis: 'M',
				formula: 'I_fail <= ceil(I_min)',
				source: 'Solved: even the smallest setting is stopped',
				inputs: {
					I_fail: given(
						'lowest amps that something stops',
						'current',
						'M',
						(w) => w.firstFailingA!
					),
					I_min: given('smallest setting', 'current', 'D', (w) => w.inputs.bench.cutter.outputMinA)
				}
			}
		}
	)
} satisfies Record<string, FigureDef>;

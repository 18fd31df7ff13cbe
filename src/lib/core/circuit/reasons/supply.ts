import { reasonsFor, type Reason, type ReasonsOf } from '../../figure/reason';
import { IDLE_A } from '../../cutter/plate';
import type { CircuitView } from '../workings';
import type { SUPPLY_FIGURES } from '../figures/supply';

const { given, stated } = reasonsFor<CircuitView>();

const amps = 'setup.currentA' as const;
const nominal = given(
	'supply voltage, as wired',
	'voltage',
	'D',
	(w) => w.inputs.bench.supply.nominalV
);
const phase = given('1 for one phase, √3 for three', 'factor', 'S', (w) => w.wiring.phaseFactor);
const idle = stated('fan and electronics between cuts', 'current', IDLE_A);

const PLATE = 'Data plate: largest supply current, scaled by output power';
const impossible: Reason<CircuitView> = {
	formula: 'V_0^2 < 4*S*R',
	source: 'Constant-power load: more than the line can pass at all',
	inputs: { V_0: 'supply.sharedV', S: 'supply.apparentVA', R: 'supply.resistanceOhm' }
};

export const SUPPLY_REASONS = {
	'supply.sourceV': {
		nominal: {
			formula: 'V_n',
			source: 'The circuit as wired',
			inputs: { V_n: nominal }
		},
		measured: {
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
	},
	'supply.arcV': {
		conventional: {
			formula: 'I <= 165 ? 80 + 0.4*I : 130 + 0.1*I',
			source: 'IEC 60974-1, conventional load voltage of plasma cutting (from memory)',
			inputs: { I: amps }
		},
		plate: {
			formula: 'U_2',
			source: 'Data plate, U2',
			inputs: {
				U_2: given('arc voltage on the plate', 'voltage', 'D', (w) => w.draw.arcVoltageV)
			}
		}
	},
	'supply.outputW': {
		only: {
			formula: 'I*U_2',
			source: 'Product of current and voltage',
			inputs: { I: amps, U_2: 'supply.arcV' }
		}
	},
	'supply.apparentVA': {
		measured: {
			formula: 'r*S_m',
			source: 'Your clamp meter over what the plate gives, at the amps read and at all others',
			inputs: {
				r: given(
					'mean of your readings over the model',
					'factor',
					'T',
					(w) => w.inputs.evidence.powerRatio!.mean
				),
				S_m: given(
					'by the plate at these amps',
					'apparentPower',
					'D',
					(w) => w.draw.apparentVA / w.inputs.evidence.powerRatio!.mean
				)
			}
		},
		plate: {
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
			formula: 'P/(eta*PF)',
			source: 'The plate gives no supply current: efficiency and power factor as entered',
			inputs: {
				P: 'supply.outputW',
				eta: given('efficiency', 'factor', 'R', (w) => w.inputs.bench.cutter.efficiency),
				PF: given('power factor', 'factor', 'R', (w) => w.inputs.bench.cutter.powerFactor)
			}
		}
	},
	'supply.powerFactor': {
		only: {
			formula: 'P/(eta*S)',
			source:
				'Power in the arc over efficiency and apparent power; near 0.7 uncorrected, 0.95 to 0.99 corrected (common practice)',
			inputs: {
				P: 'supply.outputW',
				eta: given('efficiency', 'factor', 'R', (w) => w.inputs.bench.cutter.efficiency),
				S: 'supply.apparentVA'
			}
		}
	},
	'supply.voltageV': {
		loaded: {
			formula: '(V_0 + sqrt(V_0^2 - 4*S*R))/2',
			source: 'Constant-power load on a resistance: the more it sags, the more it draws',
			inputs: { V_0: 'supply.sharedV', S: 'supply.apparentVA', R: 'supply.resistanceOhm' }
		},
		impossible
	},
	'supply.receptacleV': {
		loaded: {
			formula: 'V_0 - k*I_1*(R - R_c)',
			source: 'Ohm’s law up to the receptacle',
			inputs: {
				V_0: 'supply.sharedV',
				k: phase,
				I_1: 'supply.inputA',
				R: 'supply.resistanceOhm',
				R_c: 'supply.cordOhm'
			}
		},
		impossible
	},
	'supply.dropShare': {
		loaded: {
			formula: '(V_0 - V)/V_0',
			source: 'NEC informational note: under 3 % branch, 5 % in all is advised (from memory)',
			inputs: { V_0: 'supply.sourceV', V: 'supply.voltageV' }
		},
		impossible
	},
	'supply.inputA': {
		loaded: {
			formula: 'S/(k*V)',
			source: 'Apparent power over the volts that are left',
			inputs: { S: 'supply.apparentVA', k: phase, V: 'supply.voltageV' }
		},
		impossible: {
			formula: 'S/(k*V_0)',
			source: 'What it would draw with no loss; the circuit cannot deliver it',
			inputs: { S: 'supply.apparentVA', k: phase, V_0: 'supply.sharedV' }
		}
	},
	'supply.effectiveA': {
		only: {
			formula: 'sqrt((I_1 + I_o)^2*X + (I_0 + I_o)^2*(1 - X))',
			source: 'IEC 60974-1, I1eff (from memory), with the other loads added',
			inputs: {
				I_1: 'supply.inputA',
				I_o: 'supply.sharedA',
				I_0: idle,
				X: given('share of time with the arc on', 'share', 'D', (w) => w.draw.onShare)
			}
		}
	},
	'supply.neededA': {
		'north-america': {
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
} satisfies ReasonsOf<typeof SUPPLY_FIGURES, CircuitView>;

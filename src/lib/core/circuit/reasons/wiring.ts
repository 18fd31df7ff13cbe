import { reasonsFor, type ReasonsOf } from '../../figure/reason';
import { conductorLabel } from '../conductors';
import type { CircuitView } from '../workings';
import type { WIRING_FIGURES } from '../figures/wiring';

const { given } = reasonsFor<CircuitView>();

const AMPACITY_SOURCE =
	'NEC Table 310.16 with 240.4(D), IEC 60364-5-52 Table B.52.2; cords NEC Table 400.5(A)(1), common ratings (from memory)';
const wireFormula = 'loop*L*r/1000';
const CONDUCTOR_SOURCE =
	'ASTM B258 with 58 MS/m copper; IEC 60228 Tables 2 and 3 (from memory), at 75 or 70 °C';
const loop = given('conductors in the loop', 'count', 'S', (w) => w.wiring.loopConductors);

/** What stands between the service and the cutter, and what it may carry. */
export const WIRING_REASONS = {
	'supply.serviceOhm': {
		generator: {
			formula: 'max(0.0001, r*V_n^2/S_g)',
			source: 'The resistance that loses the generator’s regulation at its full load',
			inputs: {
				r: given(
					'volts lost from idle to full load',
					'share',
					'D',
					(w) => w.inputs.bench.supply.generator!.regulation
				),
				V_n: given('voltage', 'voltage', 'D', (w) => w.inputs.bench.supply.nominalV),
				S_g: given(
					'generator',
					'apparentPower',
					'D',
					(w) => w.inputs.bench.supply.generator!.ratedVA
				)
			}
		},
		assumed: {
			formula: 'R_s',
			source: 'Stated starting value; two voltage readings replace it',
			inputs: {
				R_s: given('usual service, there and back', 'resistance', 'R', (w) => w.wiring.serviceOhm)
			}
		},
		entered: {
			formula: 'R_s',
			source: 'Entered on the bench',
			inputs: {
				R_s: given('service, there and back', 'resistance', 'D', (w) => w.wiring.serviceOhm)
			}
		}
	},
	'supply.wireOhm': {
		only: {
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
		}
	},
	'supply.cordOhm': {
		cord: {
			formula: wireFormula,
			source: CONDUCTOR_SOURCE,
			inputs: {
				loop,
				L: given('length one way', 'run', 'D', (w) => w.inputs.bench.supply.cord!.lengthM),
				r: given('Ω per km, hot', 'factor', 'H', (w) => w.wiring.cordOhmKm)
			}
		},
		none: { formula: '0', source: 'No cord on this bench', inputs: {} }
	},
	'supply.resistanceOhm': {
		model: {
			formula: 'R_s + R_w + R_c',
			source: 'Service, wire and cord in series',
			inputs: { R_s: 'supply.serviceOhm', R_w: 'supply.wireOhm', R_c: 'supply.cordOhm' }
		},
		measured: {
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
	},
	'supply.wireCarriesA': {
		only: {
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
		}
	},
	'supply.cordCarriesA': {
		cord: {
			formula: 'I_z',
			source: AMPACITY_SOURCE,
			inputs: { I_z: given('rating of the cord', 'current', 'H', (w) => w.wiring.cordCarriesA) }
		},
		none: { formula: 'true', source: 'No cord on this bench', inputs: {} }
	},
	'supply.nearestA': {
		only: {
			formula: 'min(I_n, I_f)',
			source: 'Breaker or plug fuse, whichever is less: it protects what comes after it',
			inputs: {
				I_n: given('breaker', 'current', 'D', (w) => w.inputs.bench.supply.breaker.ratingA),
				I_f: given(
					'fuse in the plug (none: as much as the breaker)',
					'current',
					'D',
					(w) => w.inputs.bench.supply.plugFuseA ?? w.inputs.bench.supply.breaker.ratingA
				)
			}
		}
	},
	'supply.inputEffA': {
		plate: {
			formula: 'I_e',
			source: 'I1eff on the label',
			inputs: { I_e: given('on the label', 'current', 'D', (w) => w.wiring.inputEffA) }
		},
		worked: {
			formula: 'I_e',
			source:
				'√(I1²·X + I0²·(1 − X)), largest over the duty pairs (IEC 60974-1), I1 in proportion to arc power',
			inputs: { I_e: given('largest over the pairs', 'current', 'S', (w) => w.wiring.inputEffA) }
		}
	}
} satisfies ReasonsOf<typeof WIRING_FIGURES, CircuitView>;

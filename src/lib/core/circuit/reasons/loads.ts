import { reasonsFor, type ReasonsOf } from '../../figure/reason';
import type { CircuitView } from '../workings';
import type { LOAD_FIGURES } from '../figures/loads';

const { given } = reasonsFor<CircuitView>();

const phase = given('1 for one phase, √3 for three', 'factor', 'S', (w) => w.wiring.phaseFactor);
const otherVA = given(
	'every other load of the shop',
	'apparentPower',
	'D',
	(w) => w.draw.generatorVA - w.draw.apparentVA
);
const generator = (w: CircuitView) => w.inputs.bench.supply.generator!;

/** What else hangs on the circuit, what a start asks of it, and a generator in its place. */
export const LOAD_REASONS = {
	'supply.sharedA': {
		only: {
			formula: 'I_a + I_c',
			source: 'Loads entered on the bench; all on at once, in phase, which is the worst',
			inputs: {
				I_a: given('on all the time', 'current', 'D', (w) => w.wiring.steadyA),
				I_c: given('with the compressor', 'current', 'D', (w) => w.wiring.compressorA)
			}
		}
	},
	'supply.sharedV': {
		only: {
			formula: 'V_0 - k*I_o*max(0, R - R_c)',
			source: 'Ohm’s law on the service and the wire that they share; the cord is the cutter’s own',
			inputs: {
				V_0: 'supply.sourceV',
				k: phase,
				I_o: 'supply.sharedA',
				R: 'supply.resistanceOhm',
				R_c: 'supply.cordOhm'
			}
		}
	},
	'supply.startA': {
		only: {
			formula: 'I_run + I_start',
			source:
				'Everything on this circuit running and the largest start on top; motors start at about six times (common practice)',
			inputs: {
				I_run: given(
					'running, the cutter at full amps',
					'current',
					'D',
					(w) => w.wiring.steadyA + w.wiring.compressorA + w.wiring.inputMaxA
				),
				I_start: (w) => ({
					label: `more, for ${w.wiring.startOf}`,
					quantity: 'current',
					basis: 'R',
					value: w.wiring.startA - w.wiring.steadyA - w.wiring.compressorA - w.wiring.inputMaxA
				})
			}
		}
	},
	'supply.magneticA': {
		iec60898: {
			formula: 'm*I_n',
			source: 'IEC 60898-1: B 3 to 5, C 5 to 10, D 10 to 20 times (from memory)',
			inputs: {
				m: given(
					'lower end of the band',
					'factor',
					'S',
					(w) => w.wiring.magneticA[0] / w.inputs.bench.supply.breaker.ratingA
				),
				I_n: given('rating', 'current', 'D', (w) => w.inputs.bench.supply.breaker.ratingA)
			}
		},
		ul489: {
			formula: 'm*I_n',
			source: 'UL 489 sets no band; small breakers from about 5 to 12 times (common practice)',
			inputs: {
				m: given(
					'lower end of the band',
					'factor',
					'R',
					(w) => w.wiring.magneticA[0] / w.inputs.bench.supply.breaker.ratingA
				),
				I_n: given('rating', 'current', 'D', (w) => w.inputs.bench.supply.breaker.ratingA)
			}
		}
	},
	'supply.generatorShare': {
		generator: {
			formula: 'max((S + S_o)/S_g, (min(S, P/eta) + S_o)/P_g)',
			source: 'Continuous VA and watts on its plate, every load of the shop counted',
			inputs: {
				S: 'supply.apparentVA',
				S_o: otherVA,
				S_g: given('generator', 'apparentPower', 'D', (w) => generator(w).ratedVA),
				P: 'supply.outputW',
				eta: given(
					'efficiency of the cutter',
					'factor',
					'R',
					(w) => w.inputs.bench.cutter.efficiency
				),
				P_g: given('generator', 'power', 'D', (w) => generator(w).ratedW)
			}
		},
		mains: { formula: 'true', source: 'On the mains', inputs: {} }
	}
} satisfies ReasonsOf<typeof LOAD_FIGURES, CircuitView>;

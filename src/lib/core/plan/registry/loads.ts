import type { Workings } from '../workings';
import { given, several, single, type FigureDef } from './define';

const phase = given('1 for one phase, √3 for three', 'factor', 'S', (w) => w.wiring.phaseFactor);
const otherVA = given(
	'every other load of the shop',
	'apparentPower',
	'D',
	(w) => w.draw.generatorVA - w.draw.apparentVA
);
const generator = (w: Workings) => w.inputs.bench.supply.generator!;

/** What else hangs on the circuit, what a start asks of it, and a generator in its place. */
export const LOAD_FIGURES = {
	'supply.sharedA': single(
		'Other loads on this circuit',
		'current',
		(w) => w.wiring.steadyA + w.wiring.compressorA,
		{
			basis: 'D',
			formula: 'I_a + I_c',
			source: 'Loads entered on the bench; all on at once, in phase, which is the worst',
			inputs: {
				I_a: given('on all the time', 'current', 'D', (w) => w.wiring.steadyA),
				I_c: given('with the compressor', 'current', 'D', (w) => w.wiring.compressorA)
			}
		}
	),
	'supply.sharedV': single('Volts with those on, cutter idle', 'voltage', (w) => w.wiring.sharedV, {
		basis: 'M',
		formula: 'V_0 - k*I_o*max(0, R - R_c)',
		source: 'Ohm’s law on the service and the wire that they share; the cord is the cutter’s own',
		inputs: {
			V_0: 'supply.sourceV',
			k: phase,
			I_o: 'supply.sharedA',
			R: 'supply.resistanceOhm',
			R_c: 'supply.cordOhm'
		}
	}),
	'supply.startA': single(
		'Most amps for a moment, as something starts',
		'current',
		(w) => w.wiring.startA,
		{
			basis: 'R',
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
	),
	'supply.magneticA': several(
		'May trip at once from',
		'current',
		(w) => w.wiring.magneticA[0],
		(w) => w.inputs.bench.supply.breaker.standard,
		{
			iec60898: {
				basis: 'S',
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
				basis: 'R',
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
		}
	),
	'supply.generatorShare': several(
		'Generator loaded to',
		'share',
		(w) => w.draw.generatorShare ?? null,
		(w) => (w.inputs.bench.supply.generator ? 'generator' : 'mains'),
		{
			generator: {
				basis: 'D',
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
			mains: { basis: 'D', formula: 'true', source: 'On the mains', inputs: {} }
		}
	)
} satisfies Record<string, FigureDef>;

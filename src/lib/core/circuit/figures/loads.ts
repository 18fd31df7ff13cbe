import { figuresFor } from '../../figure/define';
import type { CircuitView } from '../workings';

const { several, single } = figuresFor<CircuitView>();

/** What else hangs on the circuit, what a start asks of it, and a generator in its place. */
export const LOAD_FIGURES = {
	'supply.sharedA': single(
		'Other loads on this circuit',
		'current',
		(w) => w.wiring.steadyA + w.wiring.compressorA,
		'D'
	),
	'supply.sharedV': single(
		'Volts with those on, cutter idle',
		'voltage',
		(w) => w.wiring.sharedV,
		'M'
	),
	'supply.startA': single(
		'Most amps for a moment, as something starts',
		'current',
		(w) => w.wiring.startA,
		'R'
	),
	'supply.magneticA': several(
		'May trip at once from',
		'current',
		(w) => w.wiring.magneticA[0],
		(w) => w.inputs.bench.supply.breaker.standard,
		{ iec60898: 'S', ul489: 'R' }
	),
	'supply.generatorShare': several(
		'Generator loaded to',
		'share',
		(w) => w.draw.generatorShare ?? null,
		(w) => (w.inputs.bench.supply.generator ? 'generator' : 'mains'),
		{ generator: 'D', mains: 'D' }
	)
};

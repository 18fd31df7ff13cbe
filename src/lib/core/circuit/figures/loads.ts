import { figuresFor } from '../../figure/define';
import type { CircuitView } from '../workings';

const { several, single } = figuresFor<CircuitView>();

/** What else hangs on the circuit, what a start asks of it, and a generator in its place. */
export const LOAD_FIGURES = {
	'supply.sharedA': single((w) => w.wiring.steadyA + w.wiring.compressorA, 'D'),
	'supply.sharedV': single((w) => w.wiring.sharedV, 'M'),
	'supply.startA': single((w) => w.wiring.startA, 'R'),
	'supply.magneticA': several(
		(w) => w.wiring.magneticA[0],
		(w) => w.inputs.bench.supply.breaker.standard,
		{ iec60898: 'S', ul489: 'R' }
	),
	'supply.generatorShare': several(
		(w) => w.draw.generatorShare ?? null,
		(w) => (w.inputs.bench.supply.generator ? 'generator' : 'mains'),
		{ generator: 'D', mains: 'D' }
	)
};

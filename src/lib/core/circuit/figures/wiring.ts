import { figuresFor } from '../../figure/define';

import type { CircuitView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CircuitView>();

/** What stands between the service and the cutter, and what it may carry. */
export const WIRING_FIGURES = {
	'supply.serviceOhm': several(
		(w) => w.wiring.serviceOhm,
		(w) =>
			w.inputs.bench.supply.generator
				? 'generator'
				: w.inputs.bench.supply.serviceOhm === null
					? 'assumed'
					: 'entered',
		{ generator: 'D', assumed: 'R', entered: 'D' }
	),
	'supply.wireOhm': single((w) => w.wiring.wireOhm, 'H'),
	'supply.cordOhm': several(
		(w) => w.wiring.cordOhm,
		(w) => (w.inputs.bench.supply.cord ? 'cord' : 'none'),
		{ cord: 'H', none: 'D' }
	),
	'supply.resistanceOhm': banded(
		several(
			(w) => w.wiring.resistanceOhm,
			(w) => (w.inputs.evidence.loopOhm ? 'measured' : 'model'),
			{ model: 'M', measured: 'T' }
		),
		measuredBand(
			(w) => w.inputs.evidence.loopOhm,
			() => 1,
			(w) => w.wiring.resistanceOhm
		)
	),
	'supply.wireCarriesA': single((w) => w.wiring.wireCarriesA, 'H'),
	'supply.cordCarriesA': several(
		(w) => (w.inputs.bench.supply.cord ? w.wiring.cordCarriesA : null),
		(w) => (w.inputs.bench.supply.cord ? 'cord' : 'none'),
		{ cord: 'H', none: 'D' }
	),
	'supply.nearestA': single((w) => w.wiring.nearestA, 'D'),
	'supply.inputEffA': several(
		(w) => w.wiring.inputEffA,
		(w) => (w.wiring.plate.inputEffA === null ? 'worked' : 'plate'),
		{ plate: 'D', worked: 'S' }
	)
};

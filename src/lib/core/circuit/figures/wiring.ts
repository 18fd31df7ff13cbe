import { figuresFor } from '../../figure/define';

import type { CircuitView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CircuitView>();

/** What stands between the service and the cutter, and what it may carry. */
export const WIRING_FIGURES = {
	'supply.serviceOhm': several(
		'Service up to the panel',
		'resistance',
		(w) => w.wiring.serviceOhm,
		(w) =>
			w.inputs.bench.supply.generator
				? 'generator'
				: w.inputs.bench.supply.serviceOhm === null
					? 'assumed'
					: 'entered',
		{ generator: 'D', assumed: 'R', entered: 'D' }
	),
	'supply.wireOhm': single('Wire, panel to receptacle', 'resistance', (w) => w.wiring.wireOhm, 'H'),
	'supply.cordOhm': several(
		'Extension cord',
		'resistance',
		(w) => w.wiring.cordOhm,
		(w) => (w.inputs.bench.supply.cord ? 'cord' : 'none'),
		{ cord: 'H', none: 'D' }
	),
	'supply.resistanceOhm': banded(
		several(
			'Resistance up to the cutter',
			'resistance',
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
	'supply.wireCarriesA': single(
		'Wire carries all day',
		'current',
		(w) => w.wiring.wireCarriesA,
		'H'
	),
	'supply.cordCarriesA': several(
		'Cord carries all day',
		'current',
		(w) => (w.inputs.bench.supply.cord ? w.wiring.cordCarriesA : null),
		(w) => (w.inputs.bench.supply.cord ? 'cord' : 'none'),
		{ cord: 'H', none: 'D' }
	),
	'supply.nearestA': single(
		'Device nearest in front of the cord',
		'current',
		(w) => w.wiring.nearestA,
		'D'
	),
	'supply.inputEffA': several(
		'Effective current of the machine',
		'current',
		(w) => w.wiring.inputEffA,
		(w) => (w.wiring.plate.inputEffA === null ? 'worked' : 'plate'),
		{ plate: 'D', worked: 'S' }
	)
};

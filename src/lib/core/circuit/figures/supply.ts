import { figuresFor } from '../../figure/define';

import type { CircuitView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CircuitView>();

const undeliverable = (w: CircuitView) => (w.draw.delivered.ok ? 'loaded' : 'impossible');

export const SUPPLY_FIGURES = {
	'supply.sourceV': banded(
		several(
			(w) => w.wiring.sourceV,
			(w) => (w.inputs.evidence.sourceV ? 'measured' : 'nominal'),
			{ nominal: 'D', measured: 'T' }
		),
		measuredBand((w) => w.inputs.evidence.sourceV)
	),
	'supply.arcV': several(
		(w) => w.draw.arcVoltageV,
		(w) => (w.inputs.bench.cutter.arcVoltageV === null ? 'conventional' : 'plate'),
		{ conventional: 'S', plate: 'D' }
	),
	'supply.outputW': single((w) => w.draw.outputPowerW, 'S'),
	'supply.apparentVA': several(
		(w) => w.draw.apparentVA,
		(w) =>
			w.inputs.evidence.powerRatio
				? 'measured'
				: w.wiring.plate.inputMaxA === null
					? 'estimated'
					: 'plate',
		{ measured: 'T', plate: 'D', estimated: 'R' }
	),
	'supply.powerFactor': single(
		(w) => w.draw.outputPowerW / (w.inputs.bench.cutter.efficiency * w.draw.apparentVA),
		'M'
	),
	'supply.voltageV': several(
		(w) => (w.draw.delivered.ok ? w.draw.delivered.voltageV : null),
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.receptacleV': several(
		(w) => (w.draw.delivered.ok ? w.draw.receptacleV : null),
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.dropShare': several(
		(w) => (w.draw.delivered.ok ? w.draw.dropShare : null),
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.inputA': several((w) => w.draw.inputA, undeliverable, { loaded: 'M', impossible: 'M' }),
	'supply.effectiveA': single((w) => w.draw.effectiveA, 'S'),
	'supply.neededA': several(
		(w) => w.draw.neededA,
		(w) => w.inputs.bench.supply.system,
		{ 'north-america': 'S', iec: 'S' }
	)
};

import { figuresFor } from '../../figure/define';

import type { CircuitView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CircuitView>();

const undeliverable = (w: CircuitView) => (w.draw.delivered.ok ? 'loaded' : 'impossible');

export const SUPPLY_FIGURES = {
	'supply.sourceV': banded(
		several(
			'Volts at the panel, idle',
			'voltage',
			(w) => w.wiring.sourceV,
			(w) => (w.inputs.evidence.sourceV ? 'measured' : 'nominal'),
			{ nominal: 'D', measured: 'T' }
		),
		measuredBand((w) => w.inputs.evidence.sourceV)
	),
	'supply.arcV': several(
		'Arc voltage',
		'voltage',
		(w) => w.draw.arcVoltageV,
		(w) => (w.inputs.bench.cutter.arcVoltageV === null ? 'conventional' : 'plate'),
		{ conventional: 'S', plate: 'D' }
	),
	'supply.outputW': single('Power in the arc', 'power', (w) => w.draw.outputPowerW, 'S'),
	'supply.apparentVA': several(
		'Drawn from the supply',
		'apparentPower',
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
		'Power factor, as far as the amps tell',
		'factor',
		(w) => w.draw.outputPowerW / (w.inputs.bench.cutter.efficiency * w.draw.apparentVA),
		'M'
	),
	'supply.voltageV': several(
		'Volts at the cutter, cutting',
		'voltage',
		(w) => (w.draw.delivered.ok ? w.draw.delivered.voltageV : null),
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.receptacleV': several(
		'Volts at the receptacle, cutting',
		'voltage',
		(w) => (w.draw.delivered.ok ? w.draw.receptacleV : null),
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.dropShare': several(
		'Volts lost on the way',
		'share',
		(w) => (w.draw.delivered.ok ? w.draw.dropShare : null),
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.inputA': several(
		'Amps drawn while cutting',
		'current',
		(w) => w.draw.inputA,
		undeliverable,
		{ loaded: 'M', impossible: 'M' }
	),
	'supply.effectiveA': single(
		'Heating current over the pattern',
		'current',
		(w) => w.draw.effectiveA,
		'S'
	),
	'supply.neededA': several(
		'Wire wanted at the plate’s duty',
		'current',
		(w) => w.draw.neededA,
		(w) => w.inputs.bench.supply.system,
		{ 'north-america': 'S', iec: 'S' }
	)
};

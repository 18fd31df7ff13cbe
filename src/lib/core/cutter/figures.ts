import { figuresFor } from '../figure/define';

import type { CutterView } from './heat';

const { several, single } = figuresFor<CutterView>();

export const CUTTER_FIGURES = {
	'cutter.dutyShare': single('Rated duty at these amps', 'share', (w) => w.heat.dutyShare, 'D'),
	'cutter.riseK': several(
		'Would settle above the shop by',
		'kelvin',
		(w) => w.heat.riseK,
		(w) => (w.inputs.evidence.heat ? 'measured' : 'plate'),
		{ plate: 'M', measured: 'T' }
	),
	'cutter.peakC': several(
		'Cutter at its hottest',
		'temperature',
		(w) => w.session.cutter.peak,
		(w) => (w.session.cutter.from ? 'run' : w.inputs.work.restS > 0 ? 'cyclic' : 'steady'),
		{ cyclic: 'M', steady: 'M', run: 'M' }
	),
	'cutter.lampS': several(
		'Heat lamp comes on after',
		'time',
		(w) => w.session.cutter.crossing?.atS ?? null,
		(w) => (w.session.cutter.crossing ? 'lights' : 'never'),
		{ lights: 'M', never: 'M' }
	),
	'cutter.lampContinuousS': several(
		'Heat lamp, cutting without a pause',
		'time',
		(w) => w.heat.lampContinuous?.atS ?? null,
		(w) => (w.heat.lampContinuous ? 'lights' : 'never'),
		{ lights: 'M', never: 'M' }
	),
	'cutter.recoveryS': single('Then needs to cool', 'time', (w) => w.heat.recoveryS, 'M')
};

import { figuresFor } from '../figure/define';

import type { CutterView } from './heat';

const { several, single } = figuresFor<CutterView>();

export const CUTTER_FIGURES = {
	'cutter.dutyShare': single((w) => w.heat.dutyShare, 'D'),
	'cutter.riseK': several(
		(w) => w.heat.riseK,
		(w) => (w.inputs.evidence.heat ? 'measured' : 'plate'),
		{ plate: 'M', measured: 'T' }
	),
	'cutter.peakC': several(
		(w) => w.session.cutter.peak,
		(w) => (w.session.cutter.from ? 'run' : w.inputs.work.restS > 0 ? 'cyclic' : 'steady'),
		{ cyclic: 'M', steady: 'M', run: 'M' }
	),
	'cutter.lampS': several(
		(w) => w.session.cutter.crossing?.atS ?? null,
		(w) => (w.session.cutter.crossing ? 'lights' : 'never'),
		{ lights: 'M', never: 'M' }
	),
	'cutter.lampContinuousS': several(
		(w) => w.heat.lampContinuous?.atS ?? null,
		(w) => (w.heat.lampContinuous ? 'lights' : 'never'),
		{ lights: 'M', never: 'M' }
	),
	'cutter.recoveryS': single((w) => w.heat.recoveryS, 'M')
};

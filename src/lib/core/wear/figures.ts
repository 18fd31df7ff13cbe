import { figuresFor } from '../figure/define';

import type { WearView } from './workings';

const { banded, several, single } = figuresFor<WearView>();
const possible = (w: WearView) => (w.wearing.perCutUm === null ? 'none' : 'cut');

/** What a cut takes of the parts, and what is left of them. */
export const WEAR_FIGURES = {
	'cut.startWearUm': several(
		'This start takes',
		'microns',
		(w) => w.wearing.perStartUm,
		(w) => w.cutting.startMethod,
		{ edge: 'M', drilled: 'M', pierce: 'M', rolled: 'M', hover: 'M', none: 'M' }
	),
	'wear.factor': several(
		'This shop against the starting rates',
		'factor',
		(w) => w.wearing.factor,
		(w) => (w.inputs.evidence.wear.expectedUm > 0 ? 'measured' : 'prior'),
		{ prior: 'M', measured: 'T' }
	),
	'wear.pitMm': several(
		'Electrode pit now',
		'small',
		(w) => w.wearing.pitMm,
		(w) => (w.inputs.evidence.wear.lastPit ? 'measured' : 'model'),
		{ model: 'M', measured: 'T' }
	),
	'wear.load': single('Load on the nozzle', 'factor', (w) => w.wearing.load, 'M'),
	'wear.perCutUm': several('One such cut takes', 'microns', (w) => w.wearing.perCutUm, possible, {
		cut: 'M',
		none: 'M'
	}),
	'wear.cutsLeft': banded(
		several(
			'Such cuts left',
			'count',
			(w) => w.wearing.cutsLeft,
			(w) =>
				possible(w) === 'none' ? 'none' : w.inputs.evidence.wear.lastPit ? 'measured' : 'model',
			{ model: 'M', measured: 'T', none: 'M' }
		),
		(w) => w.wearing.band
	),
	'wear.metresLeft': several('Metres left', 'run', (w) => w.wearing.metresLeft, possible, {
		cut: 'M',
		none: 'M'
	}),
	'wear.costPerM': several(
		'Electrode and nozzle, a metre',
		'factor',
		(w) => w.wearing.costPerM,
		(w) => (possible(w) === 'none' ? 'none' : w.wearing.costPerM === null ? 'unpriced' : 'priced'),
		{ none: 'M', priced: 'M', unpriced: 'M' }
	)
};

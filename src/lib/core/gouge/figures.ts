import { figuresFor } from '../figure/define';

import type { GougeView } from './workings';

const { several, single } = figuresFor<GougeView>();

export const GOUGE_FIGURES = {
	'gouge.passes': single('Passes', 'count', (w) => w.gouging.passes, 'M'),
	'gouge.deepestPassMm': single(
		'One pass of this width goes',
		'small',
		(w) => w.gouging.deepestPassMm,
		'M'
	),
	'gouge.depthPerPassMm': single('Depth a pass', 'small', (w) => w.gouging.depthPerPassMm, 'M'),
	'gouge.areaMm2': single('Groove section', 'area', (w) => w.gouging.areaMm2, 'M'),
	'gouge.removalKgH': single('Metal thrown out', 'removal', (w) => w.gouging.removalKgH, 'M'),
	'gouge.speedMmS': single('Travel a pass', 'speed', (w) => w.gouging.speedMmS, 'M'),
	'gouge.passS': single('Seconds a pass', 'time', (w) => w.gouging.secondsPerPass, 'M'),
	'gouge.airBar': several(
		'Gouging air',
		'pressure',
		(w) => w.gouging.airBar,
		(w) => (w.gouging.airBar === null ? 'itself' : w.inputs.bench.cutter.regulator),
		{ none: 'R', set: 'R', itself: 'D' }
	)
};

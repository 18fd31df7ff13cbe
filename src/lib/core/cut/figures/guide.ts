import { figuresFor } from '../../figure/define';
import { THROUGH_BAND } from '../start';

import type { GuideWay } from '../guiding';

import type { CutView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CutView>();

const offset = (label: string, read: (w: CutView) => number, way: (w: CutView) => GuideWay) =>
	several(label, 'small', read, way, { kept: 'R', waste: 'R', hole: 'R', disc: 'R', centre: 'R' });

/** Where the guide goes, and the start. */
export const CUT_FIGURES = {
	'cut.radiusMm': banded(
		several(
			'Shield radius',
			'small',
			(w) => w.cutting.radiusMm,
			(w) => (w.cutting.measuredRadius ? 'measured' : 'bench'),
			{ bench: 'D', measured: 'T' }
		),
		measuredBand((w) => w.cutting.measuredRadius)
	),
	'cut.kerfTopMm': single('Kerf in the surface', 'small', (w) => w.cutting.kerfTopMm, 'R'),
	'cut.offsetMm': offset(
		'Distance to set',
		(w) => w.cutting.offsetMm,
		(w) => w.cutting.guideWay
	),
	'cut.otherSideMm': offset(
		'The same from the other side',
		(w) => w.cutting.otherSideOffsetMm,
		(w) => w.cutting.otherWay
	),
	'cut.forgottenMm': several(
		'Wrong by, when forgotten',
		'small',
		(w) => (w.inputs.cut.guide === 'circle' ? w.cutting.kerfTopMm : w.cutting.offsetMm),
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'edge'),
		{ edge: 'R', circle: 'R' }
	),
	'cut.wrongSideMm': several(
		'Wrong by, taken to the wrong side',
		'small',
		(w) => (w.inputs.cut.guide === 'circle' ? 2 : 1) * w.cutting.kerfTopMm,
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'edge'),
		{ edge: 'R', circle: 'R' }
	),
	'cut.bottomShiftMm': single('Bottom edge, across', 'small', (w) => w.cutting.bottomShiftMm, 'R'),
	'cut.bevelGapMm': single('Tilted shield stands off', 'small', (w) => w.cutting.bevelGapMm, 'S'),
	'cut.aimShiftMm': single('Nozzle beside the line', 'small', (w) => w.cutting.aimShiftMm, 'R'),
	'cut.straightPierceMm': single(
		'Straight pierce to',
		'thickness',
		(w) => w.cutting.start.straightMm,
		'R'
	),
	'cut.rolledPierceMm': single(
		'Rolled or hovered pierce to',
		'thickness',
		(w) => w.cutting.start.rolledMm,
		'R'
	),
	'cut.throughS': banded(
		several(
			'Through after about',
			'time',
			(w) => w.cutting.throughS,
			({ cutting: { startMethod, chartRow, throughS } }) =>
				throughS === null
					? 'none'
					: startMethod === 'pierce' && chartRow?.pierceS
						? 'chart'
						: startMethod,
			{ edge: 'M', drilled: 'M', pierce: 'M', rolled: 'M', hover: 'M', chart: 'C', none: 'R' }
		),
		({ cutting: { throughS } }) =>
			throughS === null ? undefined : [THROUGH_BAND[0] * throughS, THROUGH_BAND[1] * throughS]
	)
};

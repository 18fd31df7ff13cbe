import { figuresFor } from '../../figure/define';
import { THROUGH_BAND } from '../start';

import type { GuideWay } from '../guiding';

import type { CutView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CutView>();

const offset = (read: (w: CutView) => number, way: (w: CutView) => GuideWay) =>
	several(read, way, { kept: 'R', waste: 'R', hole: 'R', disc: 'R', centre: 'R' });

/** Where the guide goes, and the start. */
export const CUT_FIGURES = {
	'cut.radiusMm': banded(
		several(
			(w) => w.cutting.radiusMm,
			(w) => (w.cutting.measuredRadius ? 'measured' : 'bench'),
			{ bench: 'D', measured: 'T' }
		),
		measuredBand((w) => w.cutting.measuredRadius)
	),
	'cut.kerfTopMm': single((w) => w.cutting.kerfTopMm, 'R'),
	'cut.offsetMm': offset(
		(w) => w.cutting.offsetMm,
		(w) => w.cutting.guideWay
	),
	'cut.otherSideMm': offset(
		(w) => w.cutting.otherSideOffsetMm,
		(w) => w.cutting.otherWay
	),
	'cut.forgottenMm': several(
		(w) => (w.inputs.cut.guide === 'circle' ? w.cutting.kerfTopMm : w.cutting.offsetMm),
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'edge'),
		{ edge: 'R', circle: 'R' }
	),
	'cut.wrongSideMm': several(
		(w) => (w.inputs.cut.guide === 'circle' ? 2 : 1) * w.cutting.kerfTopMm,
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'edge'),
		{ edge: 'R', circle: 'R' }
	),
	'cut.bottomShiftMm': single((w) => w.cutting.bottomShiftMm, 'R'),
	'cut.bevelGapMm': single((w) => w.cutting.bevelGapMm, 'S'),
	'cut.aimShiftMm': single((w) => w.cutting.aimShiftMm, 'R'),
	'cut.straightPierceMm': single((w) => w.cutting.start.straightMm, 'R'),
	'cut.rolledPierceMm': single((w) => w.cutting.start.rolledMm, 'R'),
	'cut.throughS': banded(
		several(
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

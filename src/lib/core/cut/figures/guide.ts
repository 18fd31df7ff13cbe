import { figuresFor, type FigureDef } from '../../figure/define';
import type { Basis } from '../../figure/types';
import { THROUGH_BAND } from '../start';

import type { GuideWay } from '../guiding';

import type { CutView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CutView>();

/** Of a cut that there is: where the arc does not part, nothing is set, and nothing can be set wrong. */
const ofCut = <Way extends string>(
	read: (w: CutView) => number,
	way: (w: CutView) => Way,
	basis: Record<Way, Basis>
): FigureDef<CutView, Way | 'none'> => ({
	value: (w) => (w.cutting.parts ? read(w) : null),
	way: (w) => (w.cutting.parts ? way(w) : 'none'),
	basis: { ...basis, none: 'M' }
});
const offset = (read: (w: CutView) => number, way: (w: CutView) => GuideWay) =>
	ofCut(read, way, { kept: 'R', waste: 'R', hole: 'R', disc: 'R', centre: 'R' });
const guided = ({ inputs }: CutView) => (inputs.cut.guide === 'circle' ? 'circle' : 'edge');

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
	'cut.forgottenMm': ofCut(
		(w) => (guided(w) === 'circle' ? w.cutting.kerfTopMm : w.cutting.offsetMm),
		guided,
		{ edge: 'R', circle: 'R' }
	),
	'cut.wrongSideMm': ofCut((w) => (guided(w) === 'circle' ? 2 : 1) * w.cutting.kerfTopMm, guided, {
		edge: 'R',
		circle: 'R'
	}),
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

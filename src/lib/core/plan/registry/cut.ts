import { THROUGH_BAND, THROUGH_FACTOR } from '../../cut/start';
import { RATES_UM } from '../../wear/electrode';
import type { Workings } from '../workings';
import type { GuideWay } from '../../cut/guiding';
import {
	banded,
	given,
	measuredBand,
	several,
	single,
	stated,
	type FigureDef,
	type Way
} from './define';
import { t } from './cutShared';

const OFFSET_SOURCE =
	'Straight edge beside the finished top edge; the shield rides on it, on a bevel along a face at that angle';
const bevel = given('bevel', 'angle', 'D', (w) => w.inputs.cut.bevelDeg);
const diameter = given('finished diameter', 'length', 'D', (w) => w.inputs.cut.circleMm);

const OFFSET_WAYS: Record<GuideWay, Way> = {
	kept: {
		basis: 'R',
		formula: '(R - k/2)/cos(b*pi/180)',
		source: OFFSET_SOURCE,
		inputs: { R: 'cut.radiusMm', k: 'setup.kerfMm', b: bevel }
	},
	waste: {
		basis: 'R',
		formula: '(R + k/2)/cos(b*pi/180)',
		source: OFFSET_SOURCE,
		inputs: { R: 'cut.radiusMm', k: 'setup.kerfMm', b: bevel }
	},
	hole: {
		basis: 'R',
		formula: 'D/2 - k/2',
		source: 'From the pivot to the torch centre; the kerf lies inside a hole',
		inputs: { D: diameter, k: 'cut.kerfTopMm' }
	},
	disc: {
		basis: 'R',
		formula: 'D/2 + k/2',
		source: 'From the pivot to the torch centre; the kerf lies outside a disc',
		inputs: { D: diameter, k: 'cut.kerfTopMm' }
	},
	centre: {
		basis: 'R',
		formula: 'k/2',
		source: 'The torch centre runs beside the line, all of the kerf in the waste',
		inputs: { k: 'cut.kerfTopMm' }
	}
};
const offset = (
	label: string,
	read: (w: Workings) => number,
	way: (w: Workings) => GuideWay
): FigureDef => several(label, 'small', read, way, OFFSET_WAYS);

const RATE_SOURCE = 'Starting rates (own) until depths are measured';
const through = (method: keyof typeof THROUGH_FACTOR): Way => ({
	basis: 'M',
	formula: 'c*t/v',
	source:
		'Multiples of the time the travel takes over one thickness (own); sparks below say when, not the clock',
	inputs: {
		c: stated('thicknesses of travel', 'factor', THROUGH_FACTOR[method]),
		t,
		v: 'setup.referenceMmS'
	}
});
const startWear = (
	formula: string,
	more: Partial<Record<'c', ReturnType<typeof stated>>> = {}
): Way => ({
	basis: 'M',
	formula,
	source: RATE_SOURCE,
	inputs: { f: 'wear.factor', a: stated('a start', 'microns', RATES_UM.start), ...more }
});
const rolled = { c: stated('a rolled pierce, more', 'microns', RATES_UM.rolled) };

export const CUT_FIGURES = {
	'cut.radiusMm': {
		...several(
			'Shield radius',
			'small',
			(w) => w.cutting.radiusMm,
			(w) => (w.cutting.measuredRadius ? 'measured' : 'bench'),
			{
				bench: {
					basis: 'D',
					formula: 'R_b',
					source: 'As entered on this bench; measure across the shield',
					inputs: {
						R_b: given('on the bench', 'small', 'D', (w) => w.inputs.bench.torch.shieldRadiusMm)
					}
				},
				measured: {
					basis: 'T',
					formula: 'R_m',
					source: 'Mean of your scrap pieces: guide side less guide, plus half the kerf',
					inputs: { R_m: given('from scrap', 'small', 'T', (w) => w.cutting.radiusMm) }
				}
			}
		),
		band: measuredBand((w) => w.cutting.measuredRadius)
	},
	'cut.kerfTopMm': single('Kerf in the surface', 'small', (w) => w.cutting.kerfTopMm, {
		basis: 'R',
		formula: 'k/cos(b*pi/180)',
		source: 'A tilted torch cuts a slanted slot of the same width',
		inputs: { k: 'setup.kerfMm', b: bevel }
	}),
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
		{
			edge: {
				basis: 'R',
				formula: 'd',
				source: 'The part comes out wrong by the whole offset',
				inputs: { d: 'cut.offsetMm' }
			},
			circle: {
				basis: 'R',
				formula: 'k',
				source: 'Half the kerf on each side of the circle: the diameter is wrong by a kerf',
				inputs: { k: 'cut.kerfTopMm' }
			}
		}
	),
	'cut.wrongSideMm': several(
		'Wrong by, taken to the wrong side',
		'small',
		(w) => (w.inputs.cut.guide === 'circle' ? 2 : 1) * w.cutting.kerfTopMm,
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'edge'),
		{
			edge: {
				basis: 'R',
				formula: 'k',
				source: 'The two offsets differ by the kerf',
				inputs: { k: 'cut.kerfTopMm' }
			},
			circle: {
				basis: 'R',
				formula: '2*k',
				source: 'A hole cut at the radius of a disc: a kerf on each side of the circle',
				inputs: { k: 'cut.kerfTopMm' }
			}
		}
	),
	'cut.bottomShiftMm': single('Bottom edge, across', 'small', (w) => w.cutting.bottomShiftMm, {
		basis: 'R',
		formula: 't*tan(b*pi/180)',
		source: 'The slant of the bevel over the whole thickness',
		inputs: {
			t: given(
				'thickness, all sheets',
				'thickness',
				'D',
				(w) => w.inputs.cut.layers * w.inputs.cut.thicknessMm
			),
			b: bevel
		}
	}),
	'cut.bevelGapMm': single('Tilted shield stands off', 'small', (w) => w.cutting.bevelGapMm, {
		basis: 'S',
		formula: 'r*tan(b*pi/180)',
		source:
			'The rim of the bearing face touches first; along the axis; 3 mm is the most (common practice)',
		inputs: {
			r: given(
				'radius of the bearing face',
				'small',
				'D',
				(w) => w.inputs.bench.torch.faceRadiusMm
			),
			b: bevel
		}
	}),
	'cut.aimShiftMm': single('Nozzle beside the line', 'small', (w) => w.cutting.aimShiftMm, {
		basis: 'R',
		formula: 's*tan(b*pi/180)',
		source: 'A tilted arc lands beside the nozzle by stand-off times the slant',
		inputs: { s: 'setup.standoffMm', b: bevel }
	}),
	'cut.straightPierceMm': single(
		'Straight pierce to',
		'thickness',
		(w) => w.cutting.start.straightMm,
		{
			basis: 'R',
			formula: 't_c/2',
			source: 'Half of the clean rating (common practice)',
			inputs: { t_c: 'setup.cleanMm' }
		}
	),
	'cut.rolledPierceMm': single(
		'Rolled or hovered pierce to',
		'thickness',
		(w) => w.cutting.start.rolledMm,
		{
			basis: 'R',
			formula: 't_s/2',
			source: 'Half of the sever rating with a roll (common practice)',
			inputs: { t_s: 'setup.severMm' }
		}
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
			{
				edge: through('edge'),
				drilled: through('drilled'),
				pierce: through('pierce'),
				rolled: through('rolled'),
				hover: through('hover'),
				chart: {
					basis: 'C',
					formula: 's_c',
					source: 'Nearest row of your cut chart',
					inputs: {
						s_c: given('pierce time of that row', 'time', 'C', (w) => w.cutting.chartRow!.pierceS!)
					}
				},
				none: {
					basis: 'R',
					formula: 't > t_s',
					source: 'No start of this kind goes through',
					inputs: {
						t,
						t_s: given('this start, to', 'thickness', 'R', ({ cutting: { start, parts } }) =>
							parts ? start.rolledMm : start.severMm
						)
					}
				}
			}
		),
		({ cutting: { throughS } }) =>
			throughS === null ? undefined : [THROUGH_BAND[0] * throughS, THROUGH_BAND[1] * throughS]
	),
	'cut.startWearUm': several(
		'This start takes',
		'microns',
		(w) => w.wearing.perStartUm,
		(w) => w.cutting.startMethod,
		{
			edge: startWear('f*a'),
			drilled: startWear('f*a'),
			pierce: startWear('f*(a + c)', {
				c: stated('a straight pierce, more', 'microns', RATES_UM.straight)
			}),
			rolled: startWear('f*(a + c)', rolled),
			hover: startWear('f*(a + c)', rolled),
			none: startWear('f*a')
		}
	)
} satisfies Record<string, FigureDef>;

import { reasonsFor, type Reason, type ReasonsOf } from '../../figure/reason';
import { THROUGH_FACTOR } from '../start';
import type { GuideWay } from '../guiding';
import { t, TOO_THICK } from './shared';
import type { CutView } from '../workings';
import type { CUT_FIGURES } from '../figures/guide';

const { given, stated } = reasonsFor<CutView>();

const OFFSET_SOURCE =
	'Straight edge beside the finished top edge; the shield rides on it, on a bevel along a face at that angle';
const bevel = given('bevel', 'angle', 'A', (w) => w.inputs.cut.bevelDeg);
const diameter = given('finished diameter', 'length', 'A', (w) => w.inputs.cut.circleMm);

const OFFSET_WAYS: Record<GuideWay | 'none', Reason<CutView>> = {
	none: TOO_THICK,
	kept: {
		formula: '(R - k/2)/cos(b*pi/180)',
		source: OFFSET_SOURCE,
		inputs: { R: 'cut.radiusMm', k: 'setup.kerfMm', b: bevel }
	},
	waste: {
		formula: '(R + k/2)/cos(b*pi/180)',
		source: OFFSET_SOURCE,
		inputs: { R: 'cut.radiusMm', k: 'setup.kerfMm', b: bevel }
	},
	hole: {
		formula: 'D/2 - k/2',
		source: 'From the pivot to the torch centre; the kerf lies inside a hole',
		inputs: { D: diameter, k: 'cut.kerfTopMm' }
	},
	disc: {
		formula: 'D/2 + k/2',
		source: 'From the pivot to the torch centre; the kerf lies outside a disc',
		inputs: { D: diameter, k: 'cut.kerfTopMm' }
	},
	centre: {
		formula: 'k/2',
		source: 'The torch centre runs beside the line, all of the kerf in the waste',
		inputs: { k: 'cut.kerfTopMm' }
	}
};

const through = (method: keyof typeof THROUGH_FACTOR): Reason<CutView> => ({
	formula: 'c*t/v',
	source:
		'Multiples of the time the travel takes over one thickness (own); sparks below say when, not the clock',
	inputs: {
		c: stated('thicknesses of travel', 'factor', THROUGH_FACTOR[method]),
		t,
		v: 'setup.referenceMmS'
	}
});

export const CUT_REASONS = {
	'cut.radiusMm': {
		bench: {
			formula: 'R_b',
			source: 'As entered on this bench; measure across the shield',
			inputs: {
				R_b: given('on the bench', 'small', 'D', (w) => w.inputs.bench.torch.shieldRadiusMm)
			}
		},
		measured: {
			formula: 'R_m',
			source: 'Mean of your scrap pieces: guide side less guide, plus half the kerf',
			inputs: { R_m: given('from scrap', 'small', 'T', (w) => w.cutting.radiusMm) }
		}
	},
	'cut.kerfTopMm': {
		only: {
			formula: 'k/cos(b*pi/180)',
			source: 'A tilted torch cuts a slanted slot of the same width',
			inputs: { k: 'setup.kerfMm', b: bevel }
		}
	},
	'cut.offsetMm': OFFSET_WAYS,
	'cut.otherSideMm': OFFSET_WAYS,
	'cut.forgottenMm': {
		none: TOO_THICK,
		edge: {
			formula: 'd',
			source: 'The part comes out wrong by the whole offset',
			inputs: { d: 'cut.offsetMm' }
		},
		circle: {
			formula: 'k',
			source: 'Half the kerf on each side of the circle: the diameter is wrong by a kerf',
			inputs: { k: 'cut.kerfTopMm' }
		}
	},
	'cut.wrongSideMm': {
		none: TOO_THICK,
		edge: {
			formula: 'k',
			source: 'The two offsets differ by the kerf',
			inputs: { k: 'cut.kerfTopMm' }
		},
		circle: {
			formula: '2*k',
			source: 'A hole cut at the radius of a disc: a kerf on each side of the circle',
			inputs: { k: 'cut.kerfTopMm' }
		}
	},
	'cut.bottomShiftMm': {
		only: {
			formula: 't*tan(b*pi/180)',
			source: 'The slant of the bevel over the whole thickness',
			inputs: {
				t: given(
					'thickness, all sheets',
					'thickness',
					'A',
					(w) => w.inputs.cut.layers * w.inputs.cut.thicknessMm
				),
				b: bevel
			}
		}
	},
	'cut.bevelGapMm': {
		only: {
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
		}
	},
	'cut.aimShiftMm': {
		only: {
			formula: 's*tan(b*pi/180)',
			source: 'A tilted arc lands beside the nozzle by stand-off times the slant',
			inputs: { s: 'setup.standoffMm', b: bevel }
		}
	},
	'cut.straightPierceMm': {
		only: {
			formula: 't_c/2',
			source: 'Half of the clean rating (common practice)',
			inputs: { t_c: 'setup.cleanMm' }
		}
	},
	'cut.rolledPierceMm': {
		only: {
			formula: 't_s/2',
			source: 'Half of the sever rating with a roll (common practice)',
			inputs: { t_s: 'setup.severMm' }
		}
	},
	'cut.throughS': {
		edge: through('edge'),
		drilled: through('drilled'),
		pierce: through('pierce'),
		rolled: through('rolled'),
		hover: through('hover'),
		chart: {
			formula: 's_c',
			source: 'Nearest row of your cut chart',
			inputs: {
				s_c: given('pierce time of that row', 'time', 'C', (w) => w.cutting.chartRow!.pierceS!)
			}
		},
		none: {
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
} satisfies ReasonsOf<typeof CUT_FIGURES, CutView>;

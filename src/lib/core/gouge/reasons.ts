import { reasonsFor, type ReasonsOf } from '../figure/reason';
import { DEPTH_PER_WIDTH, GOUGE_AIR_SHARE, REMOVAL_EFFICIENCY } from './groove';

import type { GougeView } from './workings';
import type { GOUGE_FIGURES } from './figures';

const { given, stated } = reasonsFor<GougeView>();

const depth = given('groove depth', 'small', 'A', (w) => w.inputs.cut.gouge.depthMm);
const width = given('groove width', 'small', 'A', (w) => w.inputs.cut.gouge.widthMm);
const angle = given(
	'torch, from the plate',
	'angle',
	'A',
	(w) => w.inputs.cut.gouge.angleFromPlateDeg
);
const GROOVE_SOURCE =
	'Our own groove model: parabola, depth over width 0.44·tan(angle); one test groove tells yours';

export const GOUGE_REASONS = {
	'gouge.passes': {
		only: {
			formula: 'max(1, ceil(d/d_1 - 1e-9))',
			source: GROOVE_SOURCE,
			inputs: { d: depth, d_1: 'gouge.deepestPassMm' }
		}
	},
	'gouge.deepestPassMm': {
		only: {
			formula: 'k*tan(a*pi/180)*w',
			source: GROOVE_SOURCE,
			inputs: {
				k: stated('depth over width at 45°', 'factor', DEPTH_PER_WIDTH),
				a: angle,
				w: width
			}
		}
	},
	'gouge.depthPerPassMm': {
		only: {
			formula: 'd/n',
			source: 'The depth shared out evenly',
			inputs: { d: depth, n: 'gouge.passes' }
		}
	},
	'gouge.areaMm2': {
		only: {
			formula: '2/3*w*d',
			source: 'Area of a parabola',
			inputs: { w: width, d: depth }
		}
	},
	'gouge.removalKgH': {
		only: {
			formula: 'eta*I*U_2/H*3600',
			source:
				'Our own model: a quarter of the arc power melts and throws metal out at about 1.28 MJ/kg of steel',
			inputs: {
				eta: stated('share of the arc power', 'factor', REMOVAL_EFFICIENCY),
				I: given('full amps', 'current', 'D', (w) => w.gouging.outputA),
				U_2: given('arc voltage at full amps', 'voltage', 'S', (w) => w.gouging.arcVoltageV),
				H: given('energy for a kilogram, J', 'factor', 'M', (w) => w.gouging.removalJPerKg)
			}
		}
	},
	'gouge.speedMmS': {
		only: {
			formula: 'm/3600/(rho*1e-9*area/n)',
			source: 'Metal thrown out over density and section of one pass',
			inputs: {
				m: 'gouge.removalKgH',
				rho: given('density, kg/m³', 'factor', 'H', (w) => w.cutting.metal.densityKgM3),
				area: 'gouge.areaMm2',
				n: 'gouge.passes'
			}
		}
	},
	'gouge.passS': {
		only: {
			formula: 'l/v',
			source: 'Length over travel',
			inputs: {
				l: given('length of the line', 'length', 'A', (w) => w.inputs.cut.lengthMm),
				v: 'gouge.speedMmS'
			}
		}
	},
	'gouge.airBar': {
		none: {
			formula: 'max(p_min, g*p_set)',
			source:
				'Gouging wants less than cutting (common practice); the share is our own, never below the window',
			inputs: {
				p_min: given(
					'lower limit of the window',
					'pressure',
					'D',
					(w) => w.inputs.bench.cutter.airMinBar
				),
				g: stated('gouging over cutting', 'factor', GOUGE_AIR_SHARE),
				p_set: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar)
			}
		},
		set: {
			formula: 'g*p_w',
			source: 'Gouging wants less than cutting (common practice); the share is our own',
			inputs: {
				g: stated('gouging over cutting', 'factor', GOUGE_AIR_SHARE),
				p_w: given(
					'working pressure for cutting',
					'pressure',
					'D',
					(w) => w.inputs.bench.cutter.workingBar ?? NaN
				)
			}
		},
		itself: {
			formula: 'true',
			source: 'The machine sets it by its mode, or nobody has told',
			inputs: {}
		}
	}
} satisfies ReasonsOf<typeof GOUGE_FIGURES, GougeView>;

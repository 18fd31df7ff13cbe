import { DEPTH_PER_WIDTH, GOUGE_AIR_SHARE, REMOVAL_EFFICIENCY } from '../../gouge/groove';
import { LOAD_POWER, PRIOR_UM, RATES_UM } from '../../wear/electrode';
import type { Workings } from '../workings';
import { lineMm } from './cutShared';
import { given, several, single, stated, type FigureDef, type Way } from './define';

const depth = given('groove depth', 'small', 'D', (w) => w.inputs.cut.gouge.depthMm);
const width = given('groove width', 'small', 'D', (w) => w.inputs.cut.gouge.widthMm);
const angle = given(
	'torch, from the plate',
	'angle',
	'D',
	(w) => w.inputs.cut.gouge.angleFromPlateDeg
);
const GROOVE_SOURCE =
	'Our own groove model: parabola, depth over width 0.44·tan(angle); one test groove tells yours';

export const GOUGE_FIGURES = {
	'gouge.passes': single('Passes', 'count', (w) => w.gouging.passes, {
		basis: 'M',
		formula: 'max(1, ceil(d/d_1 - 1e-9))',
		source: GROOVE_SOURCE,
		inputs: { d: depth, d_1: 'gouge.deepestPassMm' }
	}),
	'gouge.deepestPassMm': single(
		'One pass of this width goes',
		'small',
		(w) => w.gouging.deepestPassMm,
		{
			basis: 'M',
			formula: 'k*tan(a*pi/180)*w',
			source: GROOVE_SOURCE,
			inputs: {
				k: stated('depth over width at 45°', 'factor', DEPTH_PER_WIDTH),
				a: angle,
				w: width
			}
		}
	),
	'gouge.depthPerPassMm': single('Depth a pass', 'small', (w) => w.gouging.depthPerPassMm, {
		basis: 'M',
		formula: 'd/n',
		source: 'The depth shared out evenly',
		inputs: { d: depth, n: 'gouge.passes' }
	}),
	'gouge.areaMm2': single('Groove section', 'area', (w) => w.gouging.areaMm2, {
		basis: 'M',
		formula: '2/3*w*d',
		source: 'Area of a parabola',
		inputs: { w: width, d: depth }
	}),
	'gouge.removalKgH': single('Metal thrown out', 'removal', (w) => w.gouging.removalKgH, {
		basis: 'M',
		formula: 'eta*I*U_2/H*3600',
		source:
			'Our own model: a quarter of the arc power melts and throws metal out at about 1.28 MJ/kg of steel',
		inputs: {
			eta: stated('share of the arc power', 'factor', REMOVAL_EFFICIENCY),
			I: given('full amps', 'current', 'D', (w) => w.gouging.outputA),
			U_2: given('arc voltage at full amps', 'voltage', 'S', (w) => w.gouging.arcVoltageV),
			H: given('energy for a kilogram, J', 'factor', 'M', (w) => w.gouging.removalJPerKg)
		}
	}),
	'gouge.speedMmS': single('Travel a pass', 'speed', (w) => w.gouging.speedMmS, {
		basis: 'M',
		formula: 'm/3600/(rho*1e-9*area/n)',
		source: 'Metal thrown out over density and section of one pass',
		inputs: {
			m: 'gouge.removalKgH',
			rho: given('density, kg/m³', 'factor', 'H', (w) => w.cutting.metal.densityKgM3),
			area: 'gouge.areaMm2',
			n: 'gouge.passes'
		}
	}),
	'gouge.passS': single('Seconds a pass', 'time', (w) => w.gouging.secondsPerPass, {
		basis: 'M',
		formula: 'l/v',
		source: 'Length over travel',
		inputs: {
			l: given('length of the line', 'length', 'D', (w) => w.inputs.cut.lengthMm),
			v: 'gouge.speedMmS'
		}
	}),
	'gouge.airBar': several(
		'Gouging air',
		'pressure',
		(w) => w.gouging.airBar,
		(w) => (w.gouging.airBar === null ? 'itself' : w.inputs.bench.cutter.regulator),
		{
			none: {
				basis: 'R',
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
				basis: 'R',
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
				basis: 'D',
				formula: 'true',
				source: 'The machine sets it by its mode, or nobody has told',
				inputs: {}
			}
		}
	)
} satisfies Record<string, FigureDef>;

const RATE_SOURCE =
	'Starting rates (own): 3 µm a start, 6 an arc minute, 2 more a rolled pierce, 6 more a straight one';
const NOT_MADE: Way = {
	basis: 'M',
	formula: 'true',
	source: 'Such a cut cannot be made: it does not part, or no start goes through',
	inputs: {}
};
const possible = (w: Workings) => (w.wearing.perCutUm === null ? 'none' : 'cut');
const made = (formula: string, source: string, inputs: Way['inputs']): Record<string, Way> => ({
	cut: { basis: 'M', formula, source, inputs },
	none: NOT_MADE
});
const limit = given('change at', 'microns', 'R', (w) => w.wearing.limitUm);

export const WEAR_FIGURES = {
	'wear.factor': several(
		'This shop against the starting rates',
		'factor',
		(w) => w.wearing.factor,
		(w) => (w.inputs.evidence.wear.expectedUm > 0 ? 'measured' : 'prior'),
		Object.fromEntries(
			(['prior', 'measured'] as const).map((way) => [
				way,
				{
					basis: way === 'prior' ? ('M' as const) : ('T' as const),
					formula: 'k_w*(g_0 + g_m)/(g_0 + g_e)',
					source:
						'Measured over expected growth, drawn towards 1 by the starting rates; wet air wears faster (own)',
					inputs: {
						k_w: given('water in the air', 'factor', 'M', (w) => w.wearing.airFactor),
						g_0: stated('weight of the starting rates', 'microns', PRIOR_UM),
						g_m: given('growth measured', 'microns', 'T', (w) => w.inputs.evidence.wear.measuredUm),
						g_e: given(
							'growth expected for it',
							'microns',
							'M',
							(w) => w.inputs.evidence.wear.expectedUm
						)
					}
				}
			])
		)
	),
	'wear.pitMm': several(
		'Electrode pit now',
		'small',
		(w) => w.wearing.pitMm,
		(w) => (w.inputs.evidence.wear.lastPit ? 'measured' : 'model'),
		Object.fromEntries(
			(['model', 'measured'] as const).map((way) => [
				way,
				{
					basis: way === 'model' ? ('M' as const) : ('T' as const),
					formula: '(p_0 + f*g)/1000',
					source: way === 'model' ? RATE_SOURCE : 'Your last depth reading and the growth since',
					inputs: {
						p_0: given('last measured depth', 'microns', 'T', (w) => w.wearing.lastPitUm),
						f: 'wear.factor' as const,
						g: given(
							'growth since, by the starting rates',
							'microns',
							'M',
							(w) => w.wearing.sinceUm
						)
					}
				}
			])
		)
	),
	'wear.load': single('Load on the nozzle', 'factor', (w) => w.wearing.load, {
		basis: 'M',
		formula: '(I/I_n)^m',
		source: 'Growth a minute against the amps on the nozzle (own): turning down lengthens life',
		inputs: {
			I: 'setup.currentA',
			I_n: 'setup.nozzleA',
			m: stated('power', 'factor', LOAD_POWER)
		}
	}),
	'wear.perCutUm': several(
		'One such cut takes',
		'microns',
		(w) => w.wearing.perCutUm,
		possible,
		made('f*(a*n + b*m*w_l + c_r*r + c_s*s + d*q)', RATE_SOURCE, {
			f: 'wear.factor',
			a: stated('a start', 'microns', RATES_UM.start),
			b: stated('an arc minute', 'microns', RATES_UM.arcMinute),
			c_r: stated('a rolled pierce, more', 'microns', RATES_UM.rolled),
			c_s: stated('a straight pierce, more', 'microns', RATES_UM.straight),
			n: given('starts', 'count', 'D', (w) => w.wearing.cutUse?.starts ?? NaN),
			m: given('arc', 'minutes', 'M', (w) => w.wearing.cutUse?.arcMin ?? NaN),
			w_l: 'wear.load',
			r: given('rolled pierces', 'count', 'D', (w) => w.wearing.cutUse?.piercesRolled ?? NaN),
			s: given('straight pierces', 'count', 'D', (w) => w.wearing.cutUse?.piercesStraight ?? NaN),
			d: stated('a second of pilot arc', 'microns', RATES_UM.pilotS),
			q: given('pilot arc over gaps', 'time', 'M', (w) => w.wearing.cutUse?.pilotS ?? NaN)
		})
	),
	'wear.cutsLeft': {
		...several(
			'Such cuts left',
			'count',
			(w) => w.wearing.cutsLeft,
			(w) =>
				possible(w) === 'none' ? 'none' : w.inputs.evidence.wear.lastPit ? 'measured' : 'model',
			Object.fromEntries(
				(['model', 'measured', 'none'] as const).map((way) => [
					way,
					way === 'none'
						? NOT_MADE
						: {
								basis: way === 'model' ? ('M' as const) : ('T' as const),
								formula: 'floor(max(0, p_lim - 1000*p)/g + 1e-9)',
								source:
									'Depth still to go over what one such cut takes; change at 1.0 mm or 1.5 mm (two schools, common practice)',
								inputs: { p_lim: limit, p: 'wear.pitMm' as const, g: 'wear.perCutUm' as const }
							}
				])
			)
		),
		band: (w) => w.wearing.band
	},
	'wear.metresLeft': several(
		'Metres left',
		'run',
		(w) => w.wearing.metresLeft,
		possible,
		made('n*l/1000', 'Cuts left times the way of the torch', { n: 'wear.cutsLeft', l: lineMm })
	),
	'wear.costPerM': several(
		'Electrode and nozzle, a metre',
		'factor',
		(w) => w.wearing.costPerM,
		(w) => (possible(w) === 'none' ? 'none' : w.wearing.costPerM === null ? 'unpriced' : 'priced'),
		{
			none: NOT_MADE,
			priced: {
				basis: 'M',
				formula: '(c_e + c_n)/(p_lim/g*l/1000)',
				source: 'Changed as a pair (common practice), over the metres of one life of such cuts',
				inputs: {
					c_e: given('electrode', 'factor', 'D', (w) => w.inputs.settings.electrodePrice!),
					c_n: given('nozzle', 'factor', 'D', (w) => w.inputs.settings.nozzlePrice!),
					p_lim: limit,
					g: 'wear.perCutUm',
					l: lineMm
				}
			},
			unpriced: {
				basis: 'D',
				formula: 'true',
				source: 'No prices entered for this shop',
				inputs: {}
			}
		}
	)
} satisfies Record<string, FigureDef>;

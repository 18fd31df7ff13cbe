import { handMostMmS } from '../../cut/heat';
import { FASTEST_FACTOR } from '../../cutter/speed';
import { CUT_SIGMA, speedKey } from '../../evidence/speedCorrection';
import { BAND_SIGMA } from '../../wear/electrode';
import type { Workings } from '../workings';
import { A, B, LAW_SOURCE, lengthMm, perTravel, powerShare, t } from './cutShared';
import { given, several, single, stated, type FigureDef } from './define';

const LAG_SOURCE =
	'tan θ = tan 22.5° · v/v_ref; sparks trail 15–30° at the right speed (common practice)';

const speedBand =
	(factor: number) =>
	(w: Workings): [number, number] | undefined => {
		const spread = Math.exp(BAND_SIGMA * w.cutting.correction.sigma);
		const speed = w.cutting.referenceMmS * factor;
		return speed > 0 ? [speed / spread, speed * spread] : undefined;
	};

const testsOf = (w: Workings) =>
	w.inputs.evidence.speed[speedKey(w.cutting.metal.id, w.cutting.nozzle.ratingA)]!;
/** Which evidence spoke for the speed. */
const speedWay = (w: Workings) => {
	const { n, censored } = w.cutting.correction;
	if (n > 0 || censored > 0) return 'tested';
	return w.cutting.chart ? 'chart' : 'model';
};

export const TRAVEL_FIGURES = {
	'setup.baseMmS': several(
		'Travel before any test cut',
		'speed',
		(w) => w.cutting.baseMmS,
		(w) => (w.cutting.chart ? 'chart' : w.cutting.near ? 'near' : 'model'),
		{
			chart: {
				basis: 'C',
				formula: 'v_1 + q*(v_2 - v_1)',
				source:
					'Your cut chart: monotone in the logarithms of thickness and speed within one nozzle and amps; between two amps by arc power',
				inputs: {
					v_1: given(
						'chart, amps at or below',
						'speed',
						'C',
						(w) => w.cutting.chart!.lower.speedMmS
					),
					v_2: given(
						'chart, amps at or above',
						'speed',
						'C',
						(w) => w.cutting.chart!.upper.speedMmS
					),
					q: given(
						'weight of the upper, by arc power',
						'factor',
						'S',
						(w) => w.cutting.chart!.weight
					)
				}
			},
			near: {
				basis: 'M',
				formula: 'v_c*(A*s/t - B)/(A*s_c/t_c - B)',
				source:
					'Outside your cut chart: its nearest point, carried over in proportion to the plate model',
				inputs: {
					v_c: given('nearest point of the chart', 'speed', 'C', (w) => w.cutting.near!.speedMmS),
					t_c: given('its thickness', 'thickness', 'C', (w) => w.cutting.near!.thicknessMm),
					s_c: given('its arc power over full power', 'factor', 'S', (w) => w.cutting.near!.share),
					A,
					s: powerShare,
					t,
					B
				}
			},
			model: {
				basis: 'M',
				formula: '(A*s/t - B)/60',
				source: LAW_SOURCE,
				inputs: { A, s: powerShare, t, B }
			}
		}
	),
	'setup.referenceMmS': {
		...several(
			'Recommended travel',
			'speed',
			(w) => w.cutting.referenceMmS,
			(w) => {
				const { n, censored } = w.cutting.correction;
				if (censored > 0) return 'censored';
				return n > 0 ? 'tested' : w.cutting.chart ? 'chart' : 'model';
			},
			{
				model: {
					basis: 'M',
					formula: 'v_b',
					source: 'No test cut yet in this metal with this nozzle',
					inputs: { v_b: 'setup.baseMmS' }
				},
				chart: {
					basis: 'C',
					formula: 'v_b',
					source: 'No test cut yet in this metal with this nozzle',
					inputs: { v_b: 'setup.baseMmS' }
				},
				tested: {
					basis: 'T',
					formula: 'v_b*exp(L/(n + (sc/sp)^2))',
					source:
						'Corrected by your test cuts in this metal with this nozzle (normal prior on ln factor; a test fades as the electrode wears)',
					inputs: {
						v_b: 'setup.baseMmS',
						L: given('sum of ln(seen/base), faded', 'factor', 'T', (w) => testsOf(w).sumLog),
						n: given('test cuts, faded', 'factor', 'T', (w) => w.cutting.correction.n),
						sc: stated('spread of one test cut', 'factor', CUT_SIGMA),
						sp: given('spread of chart or model', 'factor', 'M', (w) => w.cutting.priorSigma)
					}
				},
				censored: {
					basis: 'T',
					formula: 'v_b*exp(c)',
					source:
						'Corrected by your test cuts; one that did not go through tells that the fastest speed lies below, a fast one that parted that it lies above (normal prior, censored, integrated on a grid)',
					inputs: {
						v_b: 'setup.baseMmS',
						c: given('mean of ln(factor) after them', 'factor', 'T', (w) =>
							Math.log(w.cutting.correction.factor)
						)
					}
				}
			}
		),
		band: speedBand(1)
	},
	'setup.fastestMmS': single('Fastest that still parts', 'speed', (w) => w.cutting.fastestMmS, {
		basis: 'M',
		formula: 'f*v_ref',
		source: '1.4 times the recommended travel, to start with',
		inputs: {
			f: stated('fastest over recommended', 'factor', FASTEST_FACTOR),
			v_ref: 'setup.referenceMmS'
		}
	}),
	'setup.speedMmS': {
		...several(
			'Travel',
			'speed',
			(w) => w.cutting.speedMmS,
			speedWay,
			Object.fromEntries(
				(
					[
						['model', 'M'],
						['chart', 'C'],
						['tested', 'T']
					] as const
				).map(([way, basis]) => [
					way,
					{
						basis,
						formula: 'f*v_ref',
						source:
							'The aim picks inside the window: the recommended travel for a clean edge or an easy hand, 1.15 of it for least part cost, 1.3 to sever, 1.36 for the fastest',
						inputs: {
							f: given('for this aim', 'factor', 'M', (w) => w.cutting.aimFactor),
							v_ref: 'setup.referenceMmS' as const
						}
					}
				])
			)
		),
		band: (w) => speedBand(w.cutting.aimFactor)(w)
	},
	'setup.lineS': several(
		'Seconds for your line',
		'time',
		(w) => w.cutting.lineS,
		(w) => (w.cutting.lineS === null ? 'none' : 'line'),
		perTravel('l/v', 'Length over travel', { l: lengthMm, v: 'setup.speedMmS' })
	),
	'setup.lagDeg': single('Sparks trail', 'angle', (w) => w.cutting.lagDeg, {
		basis: 'M',
		formula: 'atan(tan(22.5*pi/180)*f)*180/pi',
		source: LAG_SOURCE,
		inputs: { f: given('travel over recommended', 'factor', 'M', (w) => w.cutting.aimFactor) }
	}),
	'setup.lagLowMmS': single('Slow end of the spark window', 'speed', (w) => w.cutting.lagLowMmS, {
		basis: 'M',
		formula: 'v_ref*tan(15*pi/180)/tan(22.5*pi/180)',
		source: LAG_SOURCE,
		inputs: { v_ref: 'setup.referenceMmS' }
	}),
	'setup.lagHighMmS': single('Fast end of the spark window', 'speed', (w) => w.cutting.lagHighMmS, {
		basis: 'M',
		formula: 'v_ref*tan(30*pi/180)/tan(22.5*pi/180)',
		source: LAG_SOURCE,
		inputs: { v_ref: 'setup.referenceMmS' }
	}),
	'setup.handMmS': single('As fast as a hand goes', 'speed', (w) => w.cutting.handMmS, {
		basis: 'M',
		formula: 'min(v, v_h)',
		source: 'A hand holds 30 mm/s freehand, 50 along a guide (own)',
		inputs: {
			v: 'setup.speedMmS',
			v_h: given('most a hand does', 'speed', 'R', (w) => handMostMmS(w.inputs.cut.guide))
		}
	})
} satisfies Record<string, FigureDef>;

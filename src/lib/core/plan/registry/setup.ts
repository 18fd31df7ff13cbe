import { KERF_PER_BORE } from '../../cut/guide';
import { FASTEST_FACTOR, SEVER_SPEED_FACTOR } from '../../cutter/speed';
import { CUT_SIGMA, PRIOR_SIGMA } from '../../evidence/speedCorrection';
import { BAND_SIGMA } from '../../wear/electrode';
import type { Workings } from '../workings';
import { given, several, single, stated, type FigureDef } from './define';

const t = given('thickness', 'thickness', 'D', (w) => w.inputs.cut.thicknessMm);
const lengthMm = given('length of the line', 'length', 'D', (w) => w.inputs.cut.lengthMm);
const plateMost = given('full amps on the plate', 'current', 'D', (w) => w.wiring.plate.outputMaxA);
const smallest = given('smallest setting', 'current', 'D', (w) => w.inputs.bench.cutter.outputMinA);
const A = given('melting term A, mm²/min', 'factor', 'M', (w) => w.cutting.law.A);
const B = given('conduction term B, mm/min', 'factor', 'M', (w) => w.cutting.law.B);
const powerShare = given('arc power over full power', 'factor', 'S', (w) => w.cutting.powerShare);
const capacity = given(
	'capacity of this metal against steel',
	'factor',
	'R',
	(w) => w.cutting.metal.capacity
);
const LAW_SOURCE =
	'Plate model through clean at 500 and sever at 125 mm/min (common practice), scaled by arc power';
const LADDER_SOURCE = '20 A to 1/8 in, 10 A more for each further 1/8 in (common practice)';
const LAG_SOURCE =
	'tan θ = tan 22.5° · v/v_ref; sparks trail 15–30° at the right speed (common practice)';

const speedBand =
	(factor: number) =>
	(w: Workings): [number, number] | undefined => {
		const spread = Math.exp(BAND_SIGMA * w.cutting.correction.sigma);
		const speed = w.cutting.referenceMmS * factor;
		return speed > 0 ? [speed / spread, speed * spread] : undefined;
	};

const ladderInputs = { t, c: capacity };

export const SETUP_FIGURES = {
	'setup.currentA': several(
		'Amps',
		'current',
		(w) => w.cutting.outputA,
		(w) => w.inputs.cut.school,
		{
			full: {
				basis: 'D',
				formula: 'I_max',
				source: 'Full amps, taken up in travel speed (one school; common practice)',
				inputs: { I_max: plateMost }
			},
			matched: {
				basis: 'R',
				formula: 'min(I_max, max(I_min, round(I_l)))',
				source: 'Amps matched to the thickness (the other school; common practice)',
				inputs: { I_max: plateMost, I_min: smallest, I_l: 'setup.ladderA' }
			},
			typed: {
				basis: 'T',
				formula: 'min(I_max, max(I_min, I))',
				source: 'Your own setting, inside what the plate allows',
				inputs: {
					I: given('your setting', 'current', 'T', (w) => w.inputs.cut.typedA),
					I_max: plateMost,
					I_min: smallest
				}
			}
		}
	),
	'setup.ladderA': single('Amps by the ladder', 'current', (w) => w.cutting.ladderA, {
		basis: 'R',
		formula: '20 + 10*max(0, t/c/3.175 - 1)',
		source: LADDER_SOURCE,
		inputs: ladderInputs
	}),
	'setup.cleanMm': single('Clean to, at these amps', 'thickness', (w) => w.cutting.cleanMm, {
		basis: 'M',
		formula: 'A*s/(500 + B)',
		source: LAW_SOURCE,
		inputs: { A, s: powerShare, B }
	}),
	'setup.severMm': single('Severs to, at these amps', 'thickness', (w) => w.cutting.severMm, {
		basis: 'M',
		formula: 'A*s/(125 + B)',
		source: LAW_SOURCE,
		inputs: { A, s: powerShare, B }
	}),
	'setup.referenceMmS': {
		...several(
			'Recommended travel',
			'speed',
			(w) => w.cutting.referenceMmS,
			(w) => (w.cutting.correction.n > 0 ? 'tested' : 'model'),
			{
				model: {
					basis: 'M',
					formula: '(A*s/t - B)/60',
					source: LAW_SOURCE,
					inputs: { A, s: powerShare, t, B }
				},
				tested: {
					basis: 'T',
					formula: '(A*s/t - B)/60*exp(L/(n + (sc/sp)^2))',
					source:
						'The plate model, corrected by your test cuts in this metal (normal prior on ln factor)',
					inputs: {
						A,
						s: powerShare,
						t,
						B,
						L: given(
							'sum of ln(seen/modelled)',
							'factor',
							'T',
							(w) => w.inputs.evidence.speed[w.cutting.metal.id]!.sumLog
						),
						n: given('test cuts', 'count', 'T', (w) => w.cutting.correction.n),
						sc: stated('spread of one test cut', 'factor', CUT_SIGMA),
						sp: stated('spread of the model', 'factor', PRIOR_SIGMA)
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
			(w) => (w.cutting.correction.n > 0 ? 'tested' : 'model'),
			Object.fromEntries(
				(['model', 'tested'] as const).map((way) => [
					way,
					{
						basis: way === 'model' ? ('M' as const) : ('T' as const),
						formula: 'f*v_ref',
						source: `The aim picks inside the window: recommended for a clean edge, ${SEVER_SPEED_FACTOR} times that to sever`,
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
		{
			line: {
				basis: 'M',
				formula: 'l/v',
				source: 'Length over travel',
				inputs: { l: lengthMm, v: 'setup.speedMmS' }
			},
			none: {
				basis: 'M',
				formula: 'v <= 0',
				source: 'It does not go through',
				inputs: { v: 'setup.speedMmS' }
			}
		}
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
	'setup.nozzleA': single('Nozzle', 'current', (w) => w.cutting.nozzle.ratingA, {
		basis: 'D',
		formula: 'I_n',
		source: 'The smallest nozzle of this torch rated at or above the amps (common practice)',
		inputs: { I_n: given('its rating', 'current', 'D', (w) => w.cutting.nozzle.ratingA) }
	}),
	'setup.boreMm': single('Bore', 'small', (w) => w.cutting.nozzle.boreMm, {
		basis: 'D',
		formula: 'd',
		source: 'Torch data',
		inputs: { d: given('bore of that nozzle', 'small', 'D', (w) => w.cutting.nozzle.boreMm) }
	}),
	'setup.kerfMm': single('Kerf', 'small', (w) => w.cutting.kerfMm, {
		basis: 'R',
		formula: 'k*d',
		source: 'Bore times 1.5 to start with (own); one scrap piece tells yours',
		inputs: { k: stated('kerf over bore', 'factor', KERF_PER_BORE), d: 'setup.boreMm' }
	}),
	'setup.airBar': single(
		'Air, set while flowing',
		'pressure',
		(w) => w.inputs.bench.air.setPointBar,
		{
			basis: 'D',
			formula: 'p_set',
			source: 'Set-point on this bench',
			inputs: { p_set: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar) }
		}
	),
	'setup.standoffMm': single('Stand-off', 'small', (w) => w.cutting.standoffMm, {
		basis: 'D',
		formula: 'g',
		source:
			'Torch data: a drag shield rests on the plate; a bare nozzle may touch only at low amps',
		inputs: { g: given('gap', 'small', 'D', (w) => w.cutting.standoffMm) }
	}),
	'setup.heatKJM': several(
		'Heat into the line',
		'heat',
		(w) => w.cutting.heatKJM,
		(w) => (w.cutting.heatKJM === null ? 'none' : 'line'),
		{
			line: {
				basis: 'M',
				formula: 'P/v',
				source: 'Arc power over travel',
				inputs: { P: 'supply.outputW', v: 'setup.speedMmS' }
			},
			none: {
				basis: 'M',
				formula: 'v <= 0',
				source: 'It does not go through',
				inputs: { v: 'setup.speedMmS' }
			}
		}
	),
	'setup.shade': single('Filter shade', 'shade', (w) => w.cutting.shades.advised, {
		basis: 'S',
		formula: 'max(s_ansi, s_osha, s_en)',
		source:
			'Darkest of ANSI Z49.1 suggested, OSHA 29 CFR 1910.133(a)(5) and, under IEC, EN 169 from 60 A (all from memory)',
		inputs: {
			s_ansi: given('ANSI Z49.1, suggested', 'shade', 'S', (w) => w.cutting.shades.ansiSuggested),
			s_osha: given('OSHA, arc in sight', 'shade', 'S', (w) => w.cutting.shades.osha),
			s_en: given(
				'EN 169 (0: not tabled or not asked for)',
				'shade',
				'S',
				(w) => w.cutting.shades.european
			)
		}
	})
} satisfies Record<string, FigureDef>;

import { KERF_PER_BORE } from '../../cut/guide';
import { A, B, LAW_SOURCE, lengthMm, perTravel, powerShare, t } from './cutShared';
import { banded, given, measuredBand, several, single, stated, type FigureDef } from './define';

const plateMost = given('full amps on the plate', 'current', 'D', (w) => w.wiring.plate.outputMaxA);
const smallest = given('smallest setting', 'current', 'D', (w) => w.inputs.bench.cutter.outputMinA);
const capacity = given(
	'capacity of this metal against steel',
	'factor',
	'R',
	(w) => w.cutting.metal.capacity
);
const LADDER_SOURCE = '20 A to 1/8 in, 10 A more for each further 1/8 in (common practice)';

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
			circuit: {
				basis: 'M',
				formula: 'min(I_max, max(I_min, I_c))',
				source:
					'The most that circuit and cutter run on for this work; the smallest setting when nothing does',
				inputs: {
					I_c: given(
						'solved for this work',
						'current',
						'M',
						(w) => w.runsOnA ?? w.inputs.bench.cutter.outputMinA
					),
					I_max: plateMost,
					I_min: smallest
				}
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
	'setup.arcMm': single('The arc goes through', 'thickness', (w) => w.cutting.arcMm, {
		basis: 'D',
		formula: 'n*t/cos(b*pi/180)',
		source: 'Every sheet of the stack, along the slant of a bevel',
		inputs: {
			n: given('sheets', 'count', 'D', (w) => w.inputs.cut.layers),
			t: given('thickness', 'thickness', 'D', (w) => w.inputs.cut.thicknessMm),
			b: given('bevel, from upright', 'angle', 'D', (w) => w.inputs.cut.bevelDeg)
		}
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
	'setup.kerfMm': banded(
		several(
			'Kerf',
			'small',
			(w) => w.cutting.kerfMm,
			(w) => (w.cutting.measuredKerf ? 'measured' : w.cutting.chartRow?.kerfMm ? 'chart' : 'bore'),
			{
				measured: {
					basis: 'T',
					formula: 'w_m',
					source:
						'Mean of your scrap pieces with this nozzle in this metal: whole less both pieces',
					inputs: { w_m: given('from scrap', 'small', 'T', (w) => w.cutting.kerfMm) }
				},
				bore: {
					basis: 'R',
					formula: 'k*d',
					source: 'Bore times 1.5 to start with (own); one scrap piece tells yours',
					inputs: { k: stated('kerf over bore', 'factor', KERF_PER_BORE), d: 'setup.boreMm' }
				},
				chart: {
					basis: 'C',
					formula: 'w_c',
					source: 'Nearest row of your cut chart',
					inputs: {
						w_c: given('kerf of that row', 'small', 'C', (w) => w.cutting.chartRow!.kerfMm!)
					}
				}
			}
		),
		measuredBand((w) => w.cutting.measuredKerf)
	),
	'setup.airBar': several(
		'Air, set while flowing',
		'pressure',
		(w) => w.cutting.airBar,
		(w) => (w.cutting.chartRow?.pressureBar ? 'chart' : 'bench'),
		{
			bench: {
				basis: 'D',
				formula: 'p_set',
				source: 'Set-point on this bench',
				inputs: {
					p_set: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar)
				}
			},
			chart: {
				basis: 'C',
				formula: 'p_c',
				source: 'Nearest row of your cut chart',
				inputs: {
					p_c: given('pressure of that row', 'pressure', 'C', (w) => w.cutting.airBar)
				}
			}
		}
	),
	'setup.standoffMm': several(
		'Stand-off',
		'small',
		(w) => w.cutting.standoffMm,
		(w) => (w.cutting.standoff === 'gap' && w.cutting.chartRow?.standoffMm ? 'chart' : 'torch'),
		{
			torch: {
				basis: 'D',
				formula: 'g',
				source:
					'Torch data: a drag shield rests on the plate; a bare nozzle may touch only at low amps',
				inputs: { g: given('gap', 'small', 'D', (w) => w.cutting.standoffMm) }
			},
			chart: {
				basis: 'C',
				formula: 'g_c',
				source: 'Nearest row of your cut chart',
				inputs: { g_c: given('stand-off of that row', 'small', 'C', (w) => w.cutting.standoffMm) }
			}
		}
	),
	'setup.heatKJM': several(
		'Heat into the line',
		'heat',
		(w) => w.cutting.heatKJM,
		(w) => (w.cutting.heatKJM === null ? 'none' : 'line'),
		perTravel('P/v', 'Arc power over travel', { P: 'supply.outputW', v: 'setup.speedMmS' })
	),
	'setup.handHeatKJM': several(
		'Heat into the line, as a hand goes',
		'heat',
		(w) => w.cutting.handHeatKJM,
		(w) => (w.cutting.handHeatKJM === null ? 'none' : 'line'),
		perTravel('P/v', 'Arc power over the travel a hand reaches', {
			P: 'supply.outputW',
			v: 'setup.handMmS'
		})
	),
	'setup.lineAirL': several(
		'Air for your line',
		'volume',
		(w) => w.lineAirL,
		(w) => (w.cutting.lineS === null ? 'none' : 'line'),
		perTravel('q*l/v/60', 'Flow of the cutter for the seconds of the line', {
			q: 'air.flowLpm',
			l: lengthMm,
			v: 'setup.speedMmS'
		})
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

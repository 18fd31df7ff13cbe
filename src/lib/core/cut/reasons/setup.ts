import { reasonsFor, type ReasonsOf } from '../../figure/reason';
import { KERF_PER_BORE, KERF_PER_STANDOFF, KERF_SLOW_POWER } from '../kerf';
import { LAW_SOURCE, lineMm, perTravel, t } from './shared';
import { OWN_AIR } from '../../air/ownAir';
import type { CutView } from '../workings';
import type { SETUP_FIGURES } from '../figures/setup';

const { given, stated } = reasonsFor<CutView>();

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

const KERF_FORMULA = '(k*d*f^(-m) + n*g)';
const kerfInputs = {
	k: stated('kerf over bore', 'factor', KERF_PER_BORE),
	d: 'setup.boreMm' as const,
	f: given('travel over recommended', 'factor', 'M', (w) => w.cutting.aimFactor),
	m: stated('slower is wider, power', 'factor', KERF_SLOW_POWER),
	n: stated('wider for a mm of stand-off', 'factor', KERF_PER_STANDOFF),
	g: 'setup.standoffMm' as const
};

export const SETUP_REASONS = {
	'setup.currentA': {
		full: {
			formula: 'I_max',
			source: 'Full amps, taken up in travel speed (one school; common practice)',
			inputs: { I_max: plateMost }
		},
		matched: {
			formula: 'min(I_max, max(I_min, I_m))',
			source:
				'Matched to the thickness (the other school; common practice): the fewest amps whose clean limit covers it, or that sever it where the edge does not matter, and that start it as asked; full amps where none do',
			inputs: {
				I_max: plateMost,
				I_min: smallest,
				I_m: given('fewest amps that cover it', 'current', 'M', (w) => w.cutting.outputA)
			}
		},
		circuit: {
			formula: 'min(I_max, max(I_min, I_c))',
			source:
				'The most that circuit and cutter surely run on for this work; the smallest setting when nothing does',
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
			formula: 'min(I_max, max(I_min, I))',
			source: 'Your own setting, inside what the plate allows',
			inputs: {
				I: given('your setting', 'current', 'T', (w) => w.inputs.cut.typedA),
				I_max: plateMost,
				I_min: smallest
			}
		}
	},
	'setup.ladderA': {
		only: {
			formula: '20 + 10*max(0, t/c/3.175 - 1)',
			source: LADDER_SOURCE,
			inputs: ladderInputs
		}
	},
	'setup.cleanMm': {
		only: {
			formula: 'c*t_0*(I/45)^(16/15)*p',
			source: LAW_SOURCE,
			inputs: {
				c: capacity,
				t_0: stated('ordinary 45 A machine, mild steel', 'thickness', 12.48, 'R'),
				I: 'setup.currentA',
				p: given(
					'pull of label, chart and slow cuts',
					'factor',
					'M',
					(w) =>
						w.cutting.cleanMm /
						(w.cutting.metal.capacity * 12.48 * (w.cutting.outputA / 45) ** (16 / 15))
				)
			}
		}
	},
	'setup.severMm': {
		only: {
			formula: 'c*t_0*(I/45)^(16/15)*p',
			source: LAW_SOURCE,
			inputs: {
				c: capacity,
				t_0: stated('ordinary 45 A machine, mild steel', 'thickness', 22, 'R'),
				I: 'setup.currentA',
				p: given(
					'pull of label, chart and slow cuts',
					'factor',
					'M',
					(w) =>
						w.cutting.severMm /
						(w.cutting.metal.capacity * 22 * (w.cutting.outputA / 45) ** (16 / 15))
				)
			}
		}
	},
	'setup.arcMm': {
		only: {
			formula: 'n*t/cos(b*pi/180)',
			source: 'Every sheet of the stack, along the slant of a bevel',
			inputs: {
				n: given('sheets', 'count', 'A', (w) => w.inputs.cut.layers),
				t: given('thickness', 'thickness', 'A', (w) => w.inputs.cut.thicknessMm),
				b: given('bevel, from upright', 'angle', 'A', (w) => w.inputs.cut.bevelDeg)
			}
		}
	},
	'setup.nozzleA': {
		only: {
			formula: 'I_n',
			source: 'The smallest nozzle of this torch rated at or above the amps (common practice)',
			inputs: { I_n: given('its rating', 'current', 'D', (w) => w.cutting.nozzle.ratingA) }
		}
	},
	'setup.boreMm': {
		only: {
			formula: 'd',
			source: 'Torch data',
			inputs: { d: given('bore of that nozzle', 'small', 'D', (w) => w.cutting.nozzle.boreMm) }
		}
	},
	'setup.kerfMm': {
		measured: {
			formula: 'w_m',
			source:
				'Mean of what you measured with this nozzle in this metal, each by its own error: scrap (whole less both pieces) and slots',
			inputs: { w_m: given('measured', 'small', 'T', (w) => w.cutting.kerfMm) }
		},
		bore: {
			formula: KERF_FORMULA,
			source:
				'Bore times 1.5 to start with, wider when slow and with stand-off (own); one scrap piece tells yours',
			inputs: kerfInputs
		},
		chart: {
			formula: `${KERF_FORMULA}*exp(r)`,
			source: 'The same, pulled by the kerfs of your cut chart nearby',
			inputs: {
				...kerfInputs,
				r: given('pull of the chart, ln', 'factor', 'C', (w) => w.cutting.kerfPull)
			}
		}
	},
	'setup.airBar': {
		bench: {
			formula: 'p_set',
			source: 'The shop’s regulator on this bench; the window on the label is about this pressure',
			inputs: {
				p_set: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar)
			}
		},
		builtIn: OWN_AIR
	},
	'setup.workingBar': {
		bench: {
			formula: 'p_w',
			source: 'What the torch works at: by the machine itself, at its own regulator, or the shop’s',
			inputs: { p_w: given('as told', 'pressure', 'D', (w) => w.air.line.workingBar ?? NaN) }
		},
		chart: {
			formula: 'p_c',
			source: 'Nearest row of your cut chart',
			inputs: {
				p_c: given(
					'pressure of that row',
					'pressure',
					'C',
					(w) => w.cutting.chartRow?.pressureBar ?? NaN
				)
			}
		},
		untold: {
			formula: 'true',
			source: 'The machine sets it by itself, or nobody has told',
			inputs: {}
		}
	},
	'setup.standoffMm': {
		torch: {
			formula: 'g',
			source:
				'Torch data: a drag shield rests on the plate, a bare nozzle may touch only at low amps; tilted, the rim holds it off',
			inputs: { g: given('gap', 'small', 'D', (w) => w.cutting.standoffMm) }
		},
		chart: {
			formula: 'g_c',
			source: 'Nearest row of your cut chart',
			inputs: { g_c: given('stand-off of that row', 'small', 'C', (w) => w.cutting.standoffMm) }
		}
	},
	'setup.heatKJM': perTravel('P/v', 'Arc power over travel', {
		P: 'supply.outputW',
		v: 'setup.speedMmS'
	}),
	'setup.handHeatKJM': perTravel('P/v', 'Arc power over the travel a hand reaches', {
		P: 'supply.outputW',
		v: 'setup.handMmS'
	}),
	'setup.lineAirL': {
		...perTravel('q*l/v/60', 'Flow of the cutter for the seconds of the line', {
			q: 'air.flowLpm',
			l: lineMm,
			v: 'setup.handMmS'
		}),
		unknown: {
			formula: 'true',
			source: 'Nobody has told or measured the flow, or the cutter makes its own air',
			inputs: {}
		}
	},
	'setup.shade': {
		only: {
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
		}
	}
} satisfies ReasonsOf<typeof SETUP_FIGURES, CutView>;

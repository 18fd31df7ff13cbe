import type { Reason, ReasonsOf } from '../../figure/reason';
import { LOAD_POWER, RATES_UM, type Use } from '../electrode';
import { lineMm } from '../../cut/reasons/shared';
import { USUAL_STARTS_SHARE, type WearView } from '../workings';
import type { WEAR_FIGURES } from '../figures';
import {
	BORE_SOURCE,
	given,
	limit,
	made,
	NOT_MADE,
	of,
	rate,
	RATE_SOURCE,
	stated,
	type Inputs,
	type Part
} from './shared';
import { byEye, ELECTRODE, FIRST, known, left, share } from './left';

const used = (read: (use: Use) => number) => (w: WearView) =>
	w.wearing.cutUse ? read(w.wearing.cutUse) : NaN;

const startWear = (formula: string, more: Inputs = {}): Reason<WearView> => ({
	formula,
	source: RATE_SOURCE,
	inputs: { a: rate('electrode', 'start', 'a start'), ...more }
});
const rolled = { c: rate('electrode', 'rolled', 'a rolled pierce, more') };

const FACTOR: Reason<WearView> = {
	formula: '(s*a/a_0 + (1 - s)*b/b_0)',
	source: 'A usual start of 20 s: 3 of its 5 µm are the start’s; wet air wears faster (own)',
	inputs: {
		s: stated('share of the start', 'factor', USUAL_STARTS_SHARE),
		a: rate('electrode', 'start', 'a start'),
		b: rate('electrode', 'arcMinute', 'an arc minute'),
		a_0: stated('a start, to begin with', 'microns', RATES_UM.start),
		b_0: stated('an arc minute, to begin with', 'microns', RATES_UM.arcMinute)
	}
};
const grown = (part: Part, source: string, formula: string, more: Inputs = {}) => ({
	formula,
	source,
	inputs: {
		p_0: given(
			'last measured',
			'microns',
			'T',
			of(part, (p) => p.lastUm)
		),
		g: given(
			'growth since, by this shop’s rates',
			'microns',
			'M',
			of(part, (p) => p.sinceUm)
		),
		...more
	}
});
const perCut = (part: Part, source: string) =>
	made('a*n + b*m*w_l + c_r*r + c_s*s + d*q', source, {
		a: rate(part, 'start', 'a start'),
		b: rate(part, 'arcMinute', 'an arc minute'),
		c_r: rate(part, 'rolled', 'a rolled pierce, more'),
		c_s: rate(part, 'straight', 'a straight pierce, more'),
		n: given(
			'starts',
			'count',
			'A',
			used((u) => u.starts)
		),
		m: given(
			'arc',
			'minutes',
			'M',
			used((u) => u.arcMin)
		),
		w_l: 'wear.load',
		r: given(
			'rolled pierces',
			'count',
			'A',
			used((u) => u.piercesRolled)
		),
		s: given(
			'straight pierces',
			'count',
			'A',
			used((u) => u.piercesStraight)
		),
		d: rate(part, 'pilotS', 'a second of pilot arc'),
		q: given(
			'pilot arc over gaps',
			'time',
			'M',
			used((u) => u.pilotS)
		)
	});

export const WEAR_REASONS = {
	'cut.startWearUm': {
		edge: startWear('a'),
		drilled: startWear('a'),
		pierce: startWear('a + c', { c: rate('electrode', 'straight', 'a straight pierce, more') }),
		rolled: startWear('a + c', rolled),
		hover: startWear('a + c', rolled),
		none: NOT_MADE
	},
	'wear.factor': { prior: FACTOR, measured: FACTOR },
	'wear.pitMm': {
		model: grown('electrode', RATE_SOURCE, '(p_0 + g)/1000'),
		measured: grown('electrode', 'Your last depth reading and the growth since', '(p_0 + g)/1000')
	},
	'wear.boreMm': {
		model: grown('nozzle', BORE_SOURCE, 'd_0 + (p_0 + g)/1000', {
			d_0: given('bore when new', 'small', 'D', (w) => w.wearing.boreNewMm)
		}),
		measured: grown(
			'nozzle',
			'Your last bore reading and the growth since',
			'd_0 + (p_0 + g)/1000',
			{
				d_0: given('bore when new', 'small', 'D', (w) => w.wearing.boreNewMm)
			}
		)
	},
	'wear.load': {
		only: {
			formula: '(I/I_n)^m',
			source: 'Growth a minute against the amps on the nozzle (own): turning down lengthens life',
			inputs: {
				I: 'setup.currentA',
				I_n: 'setup.nozzleA',
				m: stated('power', 'factor', LOAD_POWER)
			}
		}
	},
	'wear.perCutUm': perCut('electrode', RATE_SOURCE),
	'wear.borePerCutUm': perCut('nozzle', BORE_SOURCE),
	'wear.electrodeLeft': left('electrode'),
	'wear.nozzleLeft': { ...known(left('nozzle')), none: NOT_MADE },
	'wear.electrodeShare': share('electrode'),
	'wear.nozzleShare': known(share('nozzle')),
	'wear.cutsLeft': {
		model: ELECTRODE,
		measured: ELECTRODE,
		lives: ELECTRODE,
		pair: FIRST,
		pairModel: FIRST,
		none: NOT_MADE
	},
	'wear.metresLeft': made('n*l/1000', 'Cuts left times the way of the torch', {
		n: 'wear.cutsLeft',
		l: lineMm
	}),
	'wear.ringLeft': byEye('ring'),
	'wear.capLeft': byEye('cap'),
	'wear.shieldLeft': byEye('shield'),
	'wear.oRingLeft': byEye('o-ring'),
	'wear.gougeNozzleLeft': byEye('gouge-nozzle'),
	'wear.costPerM': {
		none: NOT_MADE,
		priced: {
			formula: '(c_e + c_n)*max(g/p_lim, u*g_n/b_lim)/l*1000',
			source:
				'Changed as a pair (common practice), over the length that the one which goes first cuts',
			inputs: {
				c_e: given('electrode', 'factor', 'D', (w) => w.inputs.settings.electrodePrice!),
				c_n: given('nozzle', 'factor', 'D', (w) => w.inputs.settings.nozzlePrice!),
				p_lim: limit('electrode'),
				g: 'wear.perCutUm',
				b_lim: limit('nozzle'),
				g_n: 'wear.borePerCutUm',
				u: given('the nozzle was measured', 'factor', 'T', ({ wearing }) =>
					wearing.nozzleKnown ? 1 : 0
				),
				l: lineMm
			}
		},
		unpriced: {
			formula: 'true',
			source: 'No prices entered for this shop',
			inputs: {}
		}
	}
} satisfies ReasonsOf<typeof WEAR_FIGURES, WearView>;

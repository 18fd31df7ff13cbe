import { reasonsFor, type Reason, type ReasonsOf } from '../figure/reason';

import { LOAD_POWER, PRIOR_UM, RATES_UM } from './electrode';
import { lineMm } from '../cut/reasons/shared';
import type { WearView } from './workings';
import type { WEAR_FIGURES } from './figures';

const { given, stated } = reasonsFor<WearView>();

const RATE_SOURCE =
	'Starting rates (own): 3 µm a start, 6 an arc minute, 2 more a rolled pierce, 6 more a straight one';
const NOT_MADE: Reason<WearView> = {
	formula: 'true',
	source: 'Such a cut cannot be made: it does not part, or no start goes through',
	inputs: {}
};
const made = (formula: string, source: string, inputs: Reason<WearView>['inputs']) => ({
	cut: { formula, source, inputs },
	none: NOT_MADE
});
const limit = given('change at', 'microns', 'R', (w) => w.wearing.limitUm);

const startWear = (
	formula: string,
	more: Partial<Record<'c', ReturnType<typeof stated>>> = {}
): Reason<WearView> => ({
	formula,
	source: 'Starting rates (own) until depths are measured',
	inputs: { f: 'wear.factor', a: stated('a start', 'microns', RATES_UM.start), ...more }
});
const rolled = { c: stated('a rolled pierce, more', 'microns', RATES_UM.rolled) };

const FACTOR: Reason<WearView> = {
	formula: 'k_w*(g_0 + g_m)/(g_0 + g_e)',
	source:
		'Measured over expected growth, drawn towards 1 by the starting rates; wet air wears faster (own)',
	inputs: {
		k_w: given('water in the air', 'factor', 'M', (w) => w.wearing.airFactor),
		g_0: stated('weight of the starting rates', 'microns', PRIOR_UM),
		g_m: given('growth measured', 'microns', 'T', (w) => w.inputs.evidence.wear.measuredUm),
		g_e: given('growth expected for it', 'microns', 'M', (w) => w.inputs.evidence.wear.expectedUm)
	}
};
const pit = (source: string): Reason<WearView> => ({
	formula: '(p_0 + f*g)/1000',
	source,
	inputs: {
		p_0: given('last measured depth', 'microns', 'T', (w) => w.wearing.lastPitUm),
		f: 'wear.factor',
		g: given('growth since, by the starting rates', 'microns', 'M', (w) => w.wearing.sinceUm)
	}
});
const LEFT: Reason<WearView> = {
	formula: 'floor(max(0, p_lim - 1000*p)/g + 1e-9)',
	source:
		'Depth still to go over what one such cut takes; change at 1.0 mm or 1.5 mm (two schools, common practice)',
	inputs: { p_lim: limit, p: 'wear.pitMm', g: 'wear.perCutUm' }
};

export const WEAR_REASONS = {
	'cut.startWearUm': {
		edge: startWear('f*a'),
		drilled: startWear('f*a'),
		pierce: startWear('f*(a + c)', {
			c: stated('a straight pierce, more', 'microns', RATES_UM.straight)
		}),
		rolled: startWear('f*(a + c)', rolled),
		hover: startWear('f*(a + c)', rolled),
		none: startWear('f*a')
	},
	'wear.factor': { prior: FACTOR, measured: FACTOR },
	'wear.pitMm': {
		model: pit(RATE_SOURCE),
		measured: pit('Your last depth reading and the growth since')
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
	'wear.perCutUm': made('f*(a*n + b*m*w_l + c_r*r + c_s*s + d*q)', RATE_SOURCE, {
		f: 'wear.factor',
		a: stated('a start', 'microns', RATES_UM.start),
		b: stated('an arc minute', 'microns', RATES_UM.arcMinute),
		c_r: stated('a rolled pierce, more', 'microns', RATES_UM.rolled),
		c_s: stated('a straight pierce, more', 'microns', RATES_UM.straight),
		n: given('starts', 'count', 'A', (w) => w.wearing.cutUse?.starts ?? NaN),
		m: given('arc', 'minutes', 'M', (w) => w.wearing.cutUse?.arcMin ?? NaN),
		w_l: 'wear.load',
		r: given('rolled pierces', 'count', 'A', (w) => w.wearing.cutUse?.piercesRolled ?? NaN),
		s: given('straight pierces', 'count', 'A', (w) => w.wearing.cutUse?.piercesStraight ?? NaN),
		d: stated('a second of pilot arc', 'microns', RATES_UM.pilotS),
		q: given('pilot arc over gaps', 'time', 'M', (w) => w.wearing.cutUse?.pilotS ?? NaN)
	}),
	'wear.cutsLeft': { model: LEFT, measured: LEFT, none: NOT_MADE },
	'wear.metresLeft': made('n*l/1000', 'Cuts left times the way of the torch', {
		n: 'wear.cutsLeft',
		l: lineMm
	}),
	'wear.costPerM': {
		none: NOT_MADE,
		priced: {
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
			formula: 'true',
			source: 'No prices entered for this shop',
			inputs: {}
		}
	}
} satisfies ReasonsOf<typeof WEAR_FIGURES, WearView>;

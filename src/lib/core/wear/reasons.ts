import { reasonsFor, type Reason, type ReasonsOf } from '../figure/reason';

import { LOAD_POWER, RATES_UM, type Rates, type Use } from './electrode';
import type { PartForecast } from './forecast';
import { lineMm } from '../cut/reasons/shared';
import type { Basis } from '../figure/types';
import { USUAL_STARTS, USUAL_STARTS_SHARE, type LookedAt, type WearView } from './workings';
import type { WEAR_FIGURES } from './figures';

const { given, stated } = reasonsFor<WearView>();
type Part = 'electrode' | 'nozzle';
type Inputs = Reason<WearView>['inputs'];
const of =
	(part: Part, read: (forecast: PartForecast) => number) =>
	({ wearing }: WearView): number =>
		read(wearing[part]);
/** A rate is measured here once anything was. */
const rate =
	(part: Part, kind: keyof Rates, label: string): Inputs[string] =>
	(w) => {
		const { rates, fitted } = w.wearing[part];
		const basis: Basis = fitted.from > 0 ? 'T' : 'M';
		return { label, quantity: 'microns', basis, value: rates[kind] };
	};
const used = (read: (use: Use) => number) => (w: WearView) =>
	w.wearing.cutUse ? read(w.wearing.cutUse) : NaN;

const RATE_SOURCE =
	'Starting rates (own): 3 µm a start, 6 an arc minute, 2 more a rolled pierce, 6 more a straight one; drawn to the depths that were measured here (non-negative least squares)';
const BORE_SOURCE =
	'Starting rates (own): a tenth of the electrode’s, pierces three times that; drawn to the bores that were measured here (non-negative least squares)';
const NOT_MADE: Reason<WearView> = {
	formula: 'true',
	source: 'Such a cut cannot be made: it does not part, or no start goes through',
	inputs: {}
};
const made = (formula: string, source: string, inputs: Inputs) => ({
	cut: { formula, source, inputs },
	none: NOT_MADE
});
const limit = (part: Part) =>
	given(
		'change at',
		'microns',
		'R',
		of(part, (p) => p.limitUm)
	);

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
const LIMITS: Record<Part, string> = {
	electrode: 'change at 1.0 mm or 1.5 mm (two schools, common practice)',
	nozzle: 'change at a tenth over the bore or 0.1 mm (own)'
};
const livesOf = (part: Part): Inputs => ({
	h: given(
		'scale of the lives',
		'microns',
		'T',
		of(part, (p) => p.lives!.scale)
	),
	k: given(
		'shape of the lives',
		'factor',
		'T',
		of(part, (p) => p.lives!.shape)
	),
	x: given(
		'age, by the starting rates',
		'microns',
		'M',
		of(part, (p) => p.ageUm)
	)
});
const left = (part: Part) => {
	const threshold: Reason<WearView> = {
		formula: 'floor(max(0, p_lim - p)/g + 1e-9)',
		source: `What is still to go over what one such cut takes; ${LIMITS[part]}`,
		inputs: {
			p_lim: limit(part),
			p: given(
				'grown by now',
				'microns',
				'M',
				of(part, (p) => p.nowUm)
			),
			g: part === 'electrode' ? 'wear.perCutUm' : 'wear.borePerCutUm'
		}
	};
	return {
		model: threshold,
		measured: threshold,
		lives: {
			formula: 'floor((h*((x/h)^k - log(0.5))^(1/k) - x)/g + 1e-9)',
			source:
				'How long such parts lasted here: Weibull, those in service or taken out for another reason counted as having come so far; half of those that come to this age last longer. The band counts that shape and scale come from so few lives',
			inputs: {
				...livesOf(part),
				g: given(
					'one such cut, by the starting rates',
					'microns',
					'M',
					of(part, (p) => p.cutAgeUm!)
				)
			}
		},
		none: NOT_MADE
	};
};
const share = (part: Part) => {
	const threshold: Reason<WearView> = {
		formula: 'max(0, p_lim - p)/p_lim',
		source: `What is still to go of the whole; ${LIMITS[part]}`,
		inputs: {
			p_lim: limit(part),
			p: given(
				'grown by now',
				'microns',
				'M',
				of(part, (p) => p.nowUm)
			)
		}
	};
	return {
		model: threshold,
		measured: threshold,
		lives: {
			formula: '(h*((x/h)^k - log(0.5))^(1/k) - x)/(h*((x/h)^k - log(0.5))^(1/k))',
			source: 'How long half of such parts of this age last, by those before it (Weibull)',
			inputs: livesOf(part)
		}
	};
};
const PARTNER: Reason<WearView> = {
	formula: 'true',
	source:
		'Nobody measured a nozzle here and none is known to have worn out: it goes with its electrode, as a pair (common practice)',
	inputs: {}
};
const known = ({
	measured,
	lives
}: Record<'measured' | 'lives', Reason<WearView>>): Record<
	'partner' | 'measured' | 'lives',
	Reason<WearView>
> => ({ partner: PARTNER, measured, lives });
const ELECTRODE: Reason<WearView> = {
	formula: 'e',
	source: 'They are changed as a pair (common practice); the nozzle goes with its electrode',
	inputs: { e: 'wear.electrodeLeft' }
};
const FIRST: Reason<WearView> = {
	formula: 'min(e, n)',
	source: 'They are changed as a pair (common practice): the one that goes first decides',
	inputs: { e: 'wear.electrodeLeft', n: 'wear.nozzleLeft' }
};
const byEye = (part: LookedAt) => ({
	noted: {
		formula: 'max(0, l - n)',
		source: 'Starts that such a part usually lasts (own); look at it, it tells more',
		inputs: {
			l: stated('usual life', 'count', USUAL_STARTS[part]),
			n: given('starts since it was new', 'count', 'T', (w) => w.wearing.startsOf[part] ?? NaN)
		}
	},
	unknown: {
		formula: 'true',
		source: 'Nobody noted when it was put in',
		inputs: {}
	}
});

export const WEAR_REASONS = {
	'cut.startWearUm': {
		edge: startWear('a'),
		drilled: startWear('a'),
		pierce: startWear('a + c', { c: rate('electrode', 'straight', 'a straight pierce, more') }),
		rolled: startWear('a + c', rolled),
		hover: startWear('a + c', rolled),
		none: startWear('a')
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
				'Changed as a pair (common practice), over the metres that the one which goes first lasts',
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

/** Reasons of what is left of a part. */
import type { Reason } from '../../figure/reason';
import { USUAL_STARTS, type LookedAt, type WearView } from '../workings';
import { given, limit, NOT_MADE, of, stated, type Inputs, type Part } from './shared';

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
export const left = (part: Part) => {
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
export const share = (part: Part) => {
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
export const known = ({
	measured,
	lives
}: Record<'measured' | 'lives', Reason<WearView>>): Record<
	'partner' | 'measured' | 'lives',
	Reason<WearView>
> => ({ partner: PARTNER, measured, lives });
export const ELECTRODE: Reason<WearView> = {
	formula: 'e',
	source: 'They are changed as a pair (common practice); the nozzle goes with its electrode',
	inputs: { e: 'wear.electrodeLeft' }
};
export const FIRST: Reason<WearView> = {
	formula: 'min(e, n)',
	source: 'They are changed as a pair (common practice): the one that goes first decides',
	inputs: { e: 'wear.electrodeLeft', n: 'wear.nozzleLeft' }
};
export const byEye = (part: LookedAt) => ({
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

/** What each figure of cost comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { COST_FIGURES } from './figures';
import type { CostView } from './workings';

const NONE = 'This cut does not go through: there is nothing to pay for.';
const UNPRICED = 'A price is still to be said: Wear, what the cut costs.';

export const COST_PLAIN = {
	'cost.totalPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: '{a} for the worker, {b} for parts, {c} for power and {d} for air.'
	},
	'cost.labourPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: '{t} of arc and {h} between cuts, at {r} an hour.'
	},
	'cost.powerPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: '{P} for {t}, at {p} a kilowatt-hour.'
	},
	'cost.airPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: 'The compressor’s power for {q} of air, at {p} a kilowatt-hour.',
		bottle: '{q} of the {b} in a bottle, which costs {p_b}.'
	},
	'cost.kwhPerM': {
		none: NONE,
		cut: 'The cutter’s {P} for {t}, and the compressor’s for {q} of air.'
	}
} satisfies PlainOf<typeof COST_FIGURES, CostView>;

/** What each figure of wear comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { WEAR_FIGURES } from './figures';
import type { WearView } from './workings';

const NO_CUT = 'This cut cannot be made: it takes nothing.';
const START = 'A start takes {a} of the electrode, times {f} for how this shop’s parts wear.';
const PIERCE =
	'A start takes {a} and the pierce {c} more, times {f} for how this shop’s parts wear.';
const PIT = '{p_0} that was there, and what was cut since.';
const LEFT = 'Up to the limit of {p_lim}, at {g} a cut.';

export const WEAR_PLAIN = {
	'cut.startWearUm': {
		edge: START,
		drilled: START,
		pierce: PIERCE,
		rolled: PIERCE,
		hover: PIERCE,
		none: START
	},
	'wear.factor': {
		prior: 'No pit was measured yet: the starting rates hold.',
		measured: 'Your measured pits against what the starting rates expected.'
	},
	'wear.pitMm': { model: PIT, measured: PIT },
	'wear.load': '{I} on a nozzle made for {I_n}.',
	'wear.perCutUm': {
		cut: '{n} start of {a} each, the arc minutes at {b} each, and pierces.',
		none: NO_CUT
	},
	'wear.cutsLeft': { model: LEFT, measured: LEFT, none: NO_CUT },
	'wear.metresLeft': { cut: '{n} cuts of {l} each.', none: NO_CUT },
	'wear.costPerM': {
		none: NO_CUT,
		priced: 'Both parts together, over the metres that one electrode lasts.',
		unpriced: 'No prices are given yet: Bench, how this shop works.'
	}
} satisfies PlainOf<typeof WEAR_FIGURES, WearView>;

/** What each figure of wear comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { WEAR_FIGURES } from './figures';
import type { WearView } from './workings';

const NO_CUT = 'This cut cannot be made: it takes nothing.';
const START = 'A start takes {a} of the electrode.';
const PIERCE = 'A start takes {a} of the electrode and the pierce {c} more.';
const GROWN = '{p_0} that was there, and {g} from what was cut since.';
const THRESHOLD = 'Up to the limit of {p_lim}, at {g} a cut.';
const LEFT = {
	model: THRESHOLD,
	measured: THRESHOLD,
	lives: 'As long as such parts lasted here before, less what this one has done.',
	none: NO_CUT
};
const SHARE = {
	model: '{p} of {p_lim} are used up.',
	measured: '{p} of {p_lim} are used up.',
	lives: 'As long as such parts lasted here before.'
};
const PARTNER = 'It goes with its electrode: nobody has measured a bore here.';
const ELECTRODE = '{e} in the electrode; the nozzle is changed with it.';
const FIRST = '{e} in the electrode, {n} in the nozzle: the one that goes first decides.';
const PER_CUT = {
	cut: '{n} start of {a} each, the arc minutes at {b} each, and pierces.',
	none: NO_CUT
};
const BY_EYE = {
	noted: '{l} starts are usual; it has made {n}.',
	unknown: 'Nobody noted when it was put in.'
};

export const WEAR_PLAIN = {
	'cut.startWearUm': {
		edge: START,
		drilled: START,
		pierce: PIERCE,
		rolled: PIERCE,
		hover: PIERCE,
		none: NO_CUT
	},
	'wear.factor': {
		prior: 'No pit was measured yet: the starting rates hold.',
		measured: 'A usual start of 20 s by your measured pits, against the starting rates.'
	},
	'wear.pitMm': GROWN,
	'wear.boreMm': '{d_0} when it was new, and what it has grown since.',
	'wear.load': '{I} on a nozzle made for {I_n}.',
	'wear.perCutUm': PER_CUT,
	'wear.borePerCutUm': PER_CUT,
	'wear.electrodeLeft': LEFT,
	'wear.nozzleLeft': { ...LEFT, partner: PARTNER },
	'wear.electrodeShare': SHARE,
	'wear.nozzleShare': { ...SHARE, partner: PARTNER },
	'wear.cutsLeft': {
		model: ELECTRODE,
		measured: ELECTRODE,
		lives: ELECTRODE,
		pair: FIRST,
		pairModel: FIRST,
		none: NO_CUT
	},
	'wear.metresLeft': { cut: '{n} cuts of {l} each.', none: NO_CUT },
	'wear.ringLeft': BY_EYE,
	'wear.capLeft': BY_EYE,
	'wear.shieldLeft': BY_EYE,
	'wear.oRingLeft': BY_EYE,
	'wear.gougeNozzleLeft': BY_EYE,
	'wear.costPerM': {
		none: NO_CUT,
		priced: 'Both parts together, over the length that the first of them cuts.',
		unpriced: 'No prices are given yet: Bench, how this shop works.'
	}
} satisfies PlainOf<typeof WEAR_FIGURES, WearView>;

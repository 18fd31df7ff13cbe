/** What each figure of the water comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { WATER_FIGURES } from './figures';
import type { WaterView } from './workings';

const NOT_HERE = 'The air does not come from the shop’s compressor.';

export const WATER_PLAIN = {
	'water.inhaledGH': { water: 'The damp of the shop’s air, in {Q} of it.', none: NOT_HERE },
	'water.tankGH': {
		water: 'Of {m} that come in, what the cooler tank cannot hold as vapour.',
		none: NOT_HERE
	},
	'water.trapGH': { water: 'What traps and filters catch of {m}.', none: NOT_HERE },
	'water.onwardGH': { water: 'Of {m} what nothing on the way has caught.', none: NOT_HERE },
	'water.dewC': {
		water: 'Cool the line to {value} and drops form in it.',
		none: NOT_HERE
	},
	'water.drainH': {
		water: '{m} gather in it, until {s} of the tank is water.',
		never: 'No water gathers in the tank.',
		none: NOT_HERE
	},
	'water.gelH': {
		water: '{G} of gel hold so much, and {m} grams an hour come.',
		never: 'No water reaches the gel.',
		none: 'There is no gel in the line.'
	}
} satisfies PlainOf<typeof WATER_FIGURES, WaterView>;

/** What each figure of the groove comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { GOUGE_FIGURES } from './figures';
import type { GougeView } from './workings';

export const GOUGE_PLAIN = {
	'gouge.passes': '{d} deep, at most {d_1} in one pass.',
	'gouge.deepestPassMm': 'A groove of {w} width goes so deep with the torch at {a} from the plate.',
	'gouge.depthPerPassMm': '{d}, shared out over {n} passes.',
	'gouge.areaMm2': 'A groove {w} wide and {d} deep, round at the bottom.',
	'gouge.removalKgH': '{I} throw out so much metal, as long as the arc burns.',
	'gouge.speedMmS': '{m} thrown out, from a section of {area}.',
	'gouge.passS': '{l} at {v}.',
	'gouge.airBar': {
		none: 'Gouging takes a share of the {p_set} for cutting, never less than {p_min}.',
		set: 'Gouging takes a share of the {p_w} for cutting.',
		itself: 'The cutter sets it by itself.'
	}
} satisfies PlainOf<typeof GOUGE_FIGURES, GougeView>;

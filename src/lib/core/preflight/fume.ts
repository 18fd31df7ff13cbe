/** What the metal and its coats ask for before the arc. Common practice. */
import type { Coating } from '../metal/coatings';
import { COATING_CAUTIONS, coatsTold } from '../metal/coatings';
import { METALS, type MetalId } from '../metal/metals';
import { item, type Item } from './item';

interface Look {
	ask: string;
	remedy: string;
	/** On the line, as long as it is not so. */
	word?: string;
}

const STRIP =
	'Strip it back a hand’s breadth on both sides; extract; respirator for this fume. A medical question is a doctor’s.';
const COATS: Record<Exclude<Coating, 'none'>, Look> = {
	paint: { ask: 'Paint off along the line, respirator on', remedy: STRIP },
	zinc: { ask: 'Zinc off along the line, respirator on', remedy: STRIP },
	rust: {
		ask: 'Rust and scale off where the arc starts',
		remedy: 'Grind it to bright metal, under the clamp too.',
		word: 'rust'
	},
	oil: {
		ask: 'Oil off along the line, and dry',
		remedy: 'Wipe it off with a degreaser without chlorine: under an arc that makes poison gas.',
		word: 'oil'
	}
};
const extracted = (name: string): Look => ({
	ask: `Extraction and respirator for ${name}`,
	remedy:
		'Extract at the cut, or go out of doors; respirator for this fume. A medical question is a doctor’s.'
});
const METAL_LOOKS: Partial<Record<MetalId, Look>> = {
	stainless: extracted('stainless'),
	copper: extracted('copper'),
	brass: extracted('brass'),
	galvanized: COATS.zinc,
	aluminium: {
		ask: 'No water table under it, extraction on',
		remedy: 'Take it off the water; let the old bath air out before anything is cut there.',
		word: 'water under it'
	},
	titanium: {
		ask: 'Titanium dust swept up, dry sand at hand',
		remedy: 'Sweep it up and fetch sand: water on burning titanium feeds it.',
		word: 'titanium dust'
	},
	'cast-iron': {
		ask: 'Casting warmed evenly, nobody where it spits',
		remedy: 'Warm it slowly all round; afterwards let it cool slowly, out of the draught.',
		word: 'cold casting'
	}
};

/** One look at most: the metal first, and what lies on its face; null: plain clean steel. */
export function fumeItem(metal: MetalId, coating: Coating): Item | null {
	const coat = coatsTold({ metal, coating, backCoating: 'none' })[0];
	const looks = [METAL_LOOKS[metal], coat && COATS[coat]].filter((look) => look !== undefined);
	const [first, second] = looks;
	if (!first) return null;
	const remedies = new Set(looks.map(({ remedy }) => remedy));
	return item('fume', first.ask, {
		...(second && { more: second.ask }),
		why: [METALS[metal].caution, coat && COATING_CAUTIONS[coat]].filter(Boolean).join(' '),
		remedy: [...remedies].join(' '),
		not: [first.word ?? 'fume', 'cut', 'stops']
	});
}

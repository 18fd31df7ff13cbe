/** What each figure of the groove comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { GOUGE_FIGURES } from './figures';
import type { GougeView } from './workings';

const NONE = 'It cannot be made as asked, or nobody has asked for it.';
const ALL = '{t} of arc a piece, {n} pieces.';

const PIECES_LEFT = 'One piece takes {w} of the electrode’s pit, {l} is left until its limit.';

export const GOUGE_PLAIN = {
	'gouge.strings': {
		lines: 'So few go at a hand’s pace, each where most metal stands.',
		spot: 'One spot, with the torch upright.',
		none: NONE
	},
	'gouge.currentA': {
		full: 'All that cutter and nozzle bear: {value} make a wide soft arc.',
		fewer: 'The most that a hand follows: full amps are too much for so little metal.',
		light: 'Marks, dimples and tacks take about {I_p}.',
		asked: 'You asked for {I}.'
	},
	'gouge.stringS': {
		lines: '{l} at {v}.',
		spot: 'So long until {w} across and {d} deep are thrown out.',
		none: NONE
	},
	'gouge.pieceS': {
		lines: 'All strings along {l}, each at its own travel.',
		spot: 'So long until {w} across and {d} deep are thrown out.',
		none: NONE
	},
	'gouge.jobMin': { lines: ALL, spot: ALL, none: NONE },
	'gouge.speedMmS': { lines: 'The largest string takes {A}, so it is the slowest.', none: NONE },
	'gouge.fastMmS': { lines: 'The smallest string takes {A}, so it is the fastest.', none: NONE },
	'gouge.widestMm': { lines: 'The widest of the strings found.', none: NONE },
	'gouge.wholeMm2': {
		spot: NONE,
		fillet: 'Half of {z_1} times {z_2}, the legs, and a little for its round face.',
		facing: '{w} wide, {h} high.',
		back: '{d} deep, its bottom round by {R}.',
		parabola: '{w} wide, {d} deep or high, round.'
	},
	'gouge.areaMm2': { lines: 'All strings together; metal that two sweep counts once.', none: NONE },
	'gouge.standsMm': {
		lines: '{g} left on purpose, and ridges of up to {r} between strings.',
		none: NONE
	},
	'gouge.keepMm': {
		usual: 'Of {t} plate the greater of 2 mm and a quarter.',
		asked: 'You asked for {k} to stay.'
	},
	'gouge.leftMm': {
		into: '{t} plate, and the deepest point lies {d} down.',
		whole: 'The strings stay off the plate: all {t} of it stay.',
		none: NONE
	},
	'gouge.removalKgH': {
		model: '{I} throw out so much metal, as long as the arc burns.',
		measured: 'Your test grooves and {I} throw out so much metal, as long as the arc burns.',
		none: NONE
	},
	'gouge.slagG': {
		lines: '{A} along {l}, {n} pieces.',
		spot: '{n} spots, {w} across and {d} deep.',
		none: NONE
	},
	'gouge.heatKJm': { lines: '{I} for {t} along {l}.', none: NONE },
	'gouge.airBar': {
		none: 'Gouging takes a share of the {p_set} for cutting, never less than {p_min}.',
		set: 'Gouging takes a share of the {p_w} for cutting.',
		itself: 'The cutter sets it by itself.'
	},
	'gouge.shade': 'The darkest of the tables for these amps; the arc lies in the open.',
	'gouge.piecesLeft': {
		lines: PIECES_LEFT,
		spot: PIECES_LEFT,
		none: NONE
	}
} satisfies PlainOf<typeof GOUGE_FIGURES, GougeView>;

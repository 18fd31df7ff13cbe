/** What each figure of the cut comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { CUT_FIGURES } from './figures/guide';
import type { SETUP_FIGURES } from './figures/setup';
import type { TRAVEL_FIGURES } from './figures/travel';
import type { CutView } from './workings';

const TOO_THICK = 'The arc would go through {t}; at these amps it parts {t_s} at most.';
const HEAT = { line: '{P} in the arc, spread over {v}.', none: TOO_THICK };
const LIMIT = 'An ordinary 45 A machine does {t_0}; it grows with amps, and your label pulls it.';
const KERF = 'The bore of {d} makes it, a little more with the gap of {g}.';

export const SETUP_PLAIN = {
	'setup.currentA': {
		full: 'All that the cutter gives.',
		matched: 'What the thickness and its start ask for, from {I_min} to {I_max}.',
		circuit: 'The most that this outlet surely carries.',
		typed: 'The amps you typed.'
	},
	'setup.ladderA': 'An old rule of the shop: so many amps for {t}.',
	'setup.cleanMm': LIMIT,
	'setup.severMm': LIMIT,
	'setup.arcMm': '{n} sheet or sheets of {t}, cut at {b} from upright.',
	'setup.nozzleA': 'The smallest nozzle in the drawer that bears these amps.',
	'setup.boreMm': 'As you entered it for that nozzle.',
	'setup.kerfMm': {
		measured: 'You measured it.',
		bore: KERF,
		chart: `${KERF} Your cut chart pulls it.`
	},
	'setup.airBar': {
		bench: 'What the regulator is set to while the air flows.',
		builtIn: 'The cutter makes its own air.'
	},
	'setup.workingBar': {
		bench: 'What the cutter works at, as entered.',
		chart: 'Your cut chart asks for it.',
		untold: 'Nobody has told it, and the cutter sets it by itself.'
	},
	'setup.standoffMm': {
		torch: 'The gap that this torch is held at.',
		chart: 'Your cut chart asks for it.'
	},
	'setup.heatKJM': HEAT,
	'setup.handHeatKJM': HEAT,
	'setup.lineAirL': {
		line: '{q} for as long as the line of {l} takes.',
		none: TOO_THICK,
		unknown: 'The label does not say how much air it takes.'
	},
	'setup.shade': 'The darkest of three tables for these amps.'
} satisfies PlainOf<typeof SETUP_FIGURES, CutView>;

const SPEED = { none: TOO_THICK };

export const TRAVEL_PLAIN = {
	'setup.pooledMmS': {
		thin: 'How fast ordinary machines go at {I} in {t}.',
		between: 'Between {t_1} and {t_2} ordinary machines slow down so far.',
		...SPEED
	},
	'setup.baseMmS': {
		model: 'Ordinary machines go {v_p}; your label moves it.',
		chart: 'Ordinary machines go {v_p}; your cut chart moves it.',
		...SPEED
	},
	'setup.referenceMmS': {
		model: '{v_b}, as no test cut has told otherwise.',
		chart: '{v_b}, as no test cut has told otherwise.',
		tested: '{v_b} before; your test cuts move it.',
		...SPEED
	},
	'setup.fastestMmS': {
		line: 'So much faster than {v_ref}, and the cut no longer goes through.',
		...SPEED
	},
	'setup.speedMmS': {
		model: '{v_ref} is recommended, times {f} for this aim.',
		chart: '{v_ref} is recommended, times {f} for this aim.',
		tested: '{v_ref} by your test cuts, times {f} for this aim.',
		...SPEED
	},
	'setup.lineMm': {
		line: 'The length you typed.',
		circle: 'Once round at a radius of {r}.'
	},
	'setup.lineS': { line: '{l} at {v}.', ...SPEED },
	'setup.arcS': {
		line: '{s} to get through, then {l} along the line.',
		none: TOO_THICK,
		noStart: 'There is no way to start this cut.'
	},
	'setup.lagDeg': {
		edge: 'The faster you go, the further the sparks trail.',
		line: 'The faster you go, the further the sparks trail.',
		...SPEED
	},
	'setup.lagLowMmS': { line: 'Slower than {v_ref}: the sparks then trail by {a} only.', ...SPEED },
	'setup.lagHighMmS': { line: 'Faster than {v_ref}: the sparks then trail by {a}.', ...SPEED },
	'setup.handMmS': { line: 'A hand holds {v_h} at most; this cut asks for {v}.', ...SPEED }
} satisfies PlainOf<typeof TRAVEL_FIGURES, CutView>;

const OFFSETS = {
	none: TOO_THICK,
	kept: 'The shield’s radius of {R}, less half the kerf of {k}: the part keeps its size.',
	waste: 'The shield’s radius of {R}, and half the kerf of {k} more.',
	hole: 'Half of {D}, less half the kerf of {k}.',
	disc: 'Half of {D}, and half the kerf of {k} more.',
	centre: 'Half the kerf of {k}: the cut takes as much on either side.'
};
const THROUGH = '{t} of metal at this speed.';

export const CUT_PLAIN = {
	'cut.radiusMm': {
		bench: 'As you entered it: half of what you measure across the shield.',
		measured: 'Your scrap piece told it.'
	},
	'cut.kerfTopMm': 'The kerf of {k}, seen in the surface of a plate cut at {b} from upright.',
	'cut.offsetMm': OFFSETS,
	'cut.otherSideMm': OFFSETS,
	'cut.forgottenMm': {
		none: TOO_THICK,
		edge: 'Who lays the guide on the line is wrong by the whole distance.',
		circle: 'Who sets the pivot to the line is wrong by the whole kerf.'
	},
	'cut.wrongSideMm': {
		none: TOO_THICK,
		edge: 'On the other side the part is wrong by the whole kerf.',
		circle: 'Taken to the wrong side it is wrong by two kerfs in diameter.'
	},
	'cut.bottomShiftMm': 'Over {t} of metal a slant of {b} shifts the lower edge so far.',
	'cut.bevelGapMm': 'The rim of the face, {r} from the axis, touches first at {b}.',
	'cut.aimShiftMm': 'With a gap of {s} a slant of {b} lands so far beside.',
	'cut.straightPierceMm': 'Half of what it cuts clean, {t_c}: thicker blows back into the nozzle.',
	'cut.rolledPierceMm': 'Half of what it severs, {t_s}: the melt leaves to the side.',
	'cut.throughS': {
		edge: THROUGH,
		drilled: THROUGH,
		pierce: THROUGH,
		rolled: THROUGH,
		hover: THROUGH,
		chart: 'Your cut chart says so.',
		none: TOO_THICK
	}
} satisfies PlainOf<typeof CUT_FIGURES, CutView>;

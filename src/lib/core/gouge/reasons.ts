import { reasonsFor, type Reason, type ReasonsOf } from '../figure/reason';
import type { GOUGE_FIGURES } from './figures';
import { GOUGE_AIR_SHARE, PRECISE_A, REMOVAL_EFFICIENCY } from './removal';
import { FILLET_CONVEXITY, legsOf } from './section';
import type { GougeView } from './workings';

const { given, stated } = reasonsFor<GougeView>();

const NOTHING: Reason<GougeView> = {
	formula: 'true',
	source: 'It cannot be made as asked, or nobody has asked for it: the reason stands beside it',
	inputs: {}
};
const length = given('length', 'length', 'A', (w) => w.gouging.lengthMm);
const width = given('width', 'small', 'A', (w) => w.inputs.cut.gouge.widthMm);
const depth = given('depth or height', 'small', 'A', (w) => w.inputs.cut.gouge.depthMm);
const pieces = given('pieces', 'count', 'A', (w) => w.inputs.cut.gouge.pieces);
const density = given('density, kg/m³', 'factor', 'H', (w) => w.gouging.metal.densityKgM3);
const removal = given('metal thrown out', 'factor', 'M', (w) => w.gouging.removalKgS);
const slowest = given('section of the largest string', 'area', 'M', (w) =>
	Math.max(...w.gouging.layout!.strings.map(({ areaMm2 }) => areaMm2))
);
const smallest = given('section of the smallest string', 'area', 'M', (w) =>
	Math.min(...w.gouging.layout!.strings.map(({ areaMm2 }) => areaMm2))
);
const speed = (area: typeof slowest): Reason<GougeView> => ({
	formula: 'm/(rho*1e-9*A)',
	source: 'Metal thrown out, kg/s, over density and section of that string',
	inputs: { m: removal, rho: density, A: area }
});
const spotS: Reason<GougeView> = {
	formula: 'pi/8*w^2*d*rho*1e-9/m',
	source: 'A spot as a paraboloid, over the metal thrown out, kg/s [own]',
	inputs: { w: width, d: depth, rho: density, m: removal }
};
const piecesLeft: Reason<GougeView> = {
	formula: 'floor(l/w + 1e-9)',
	source: 'What is left of the electrode over what one piece takes of it',
	inputs: {
		l: given('pit until the limit', 'microns', 'M', (w) => w.gouging.leftUm!),
		w: given('growth of the pit, one piece', 'microns', 'M', (w) => w.gouging.pieceUm!)
	}
};

export const GOUGE_REASONS = {
	'gouge.strings': {
		lines: {
			formula: 'n',
			source:
				'The fewest strings found that a hand can push (6 to 16 mm/s), each where most metal stands; metal counts once',
			inputs: {
				n: given('strings found', 'count', 'M', (w) => w.gouging.layout!.strings.length)
			}
		},
		spot: { formula: '1', source: 'One spot, the torch upright', inputs: {} },
		none: NOTHING
	},
	'gouge.currentA': {
		full: {
			formula: 'min(I_max, I_noz)',
			source: 'Full amps make a wide soft arc (common practice)',
			inputs: {
				I_max: given('full amps of the cutter', 'current', 'D', (w) =>
					Math.max(w.gouging.mostA, w.gouging.outputA)
				),
				I_noz: given('what the nozzle bears', 'current', 'D', (w) => w.gouging.mostA)
			}
		},
		fewer: {
			formula: 'I',
			source:
				'Full amps go faster than a hand here: the most that it follows, by tenths downwards [own]',
			inputs: { I: given('amps that a hand follows', 'current', 'M', (w) => w.gouging.outputA) }
		},
		light: {
			formula: 'min(I_most, max(I_p, I_min))',
			source: 'Marks, dimples and tacks take few amps (common practice)',
			inputs: {
				I_most: given('what cutter and nozzle bear', 'current', 'D', (w) => w.gouging.mostA),
				I_p: stated('for precise work', 'current', PRECISE_A, 'R'),
				I_min: given('least of the cutter', 'current', 'D', (w) => w.inputs.bench.cutter.outputMinA)
			}
		},
		asked: {
			formula: 'I',
			source: 'As asked for: fewer amps for control (common practice)',
			inputs: { I: given('amps', 'current', 'A', (w) => w.gouging.outputA) }
		}
	},
	'gouge.stringS': {
		lines: {
			formula: 'l/v',
			source: 'Length over the slowest travel',
			inputs: { l: length, v: 'gouge.speedMmS' }
		},
		spot: spotS,
		none: NOTHING
	},
	'gouge.pieceS': {
		lines: {
			formula: 'l*s',
			source: 'Every string’s length over its own travel, together',
			inputs: {
				l: length,
				s: given('seconds a millimetre, all strings', 'factor', 'M', (w) =>
					w.gouging.layout!.strings.reduce((sum, { speedMmS }) => sum + 1 / speedMmS, 0)
				)
			}
		},
		spot: spotS,
		none: NOTHING
	},
	'gouge.jobMin': {
		lines: { formula: 't*n/60', source: 'All pieces', inputs: { t: 'gouge.pieceS', n: pieces } },
		spot: { formula: 't*n/60', source: 'All pieces', inputs: { t: 'gouge.pieceS', n: pieces } },
		none: NOTHING
	},
	'gouge.speedMmS': { lines: speed(slowest), none: NOTHING },
	'gouge.fastMmS': { lines: speed(smallest), none: NOTHING },
	'gouge.widestMm': {
		lines: {
			formula: 'w',
			source: 'Of the strings found, the widest where it meets what was there before [own model]',
			inputs: { w: given('widest string', 'small', 'M', (v) => v.gouging.widestMm!) }
		},
		none: NOTHING
	},
	'gouge.wholeMm2': {
		spot: NOTHING,
		fillet: {
			formula: 'c*z_1*z_2/2',
			source: 'Area of a fillet with the usual convexity (common practice, from memory)',
			inputs: {
				c: stated('convexity', 'factor', FILLET_CONVEXITY, 'R'),
				z_1: given('leg', 'small', 'A', (w) => w.inputs.cut.gouge.legMm),
				z_2: given('leg up the other plate', 'small', 'A', (w) => legsOf(w.inputs.cut.gouge)[1])
			}
		},
		facing: { formula: 'w*h', source: 'Width times height', inputs: { w: width, h: depth } },
		back: {
			formula: '2/3*sqrt(8*d*R)*d',
			source: 'A parabola whose bottom has the radius R = w²/(8·d)',
			inputs: {
				d: depth,
				R: given('root radius', 'small', 'A', (w) => w.inputs.cut.gouge.rootRadiusMm)
			}
		},
		parabola: {
			formula: '2/3*w*d',
			source: 'Area of a parabola',
			inputs: { w: width, d: depth }
		}
	},
	'gouge.areaMm2': {
		lines: {
			formula: 'A',
			source: 'What the strings take, each through what the ones before it left: metal counts once',
			inputs: { A: given('sum of the strings', 'area', 'M', (w) => w.gouging.layout!.areaMm2) }
		},
		none: NOTHING
	},
	'gouge.standsMm': {
		lines: {
			formula: 'g+r',
			source: 'Left proud on purpose, and the highest ridge or corner between strings',
			inputs: {
				g: given('left for the grinder', 'small', 'M', (w) => w.gouging.grindMm),
				r: given('highest ridge', 'small', 'M', (w) => w.gouging.layout!.leftMm)
			}
		},
		none: NOTHING
	},
	'gouge.keepMm': {
		usual: {
			formula: 'max(2, t/4)',
			source: 'The greater of 2 mm and a quarter of the plate [own]',
			inputs: { t: given('plate', 'thickness', 'A', (w) => w.gouging.plateMm) }
		},
		asked: {
			formula: 'k',
			source: 'As asked for',
			inputs: { k: given('must stay', 'small', 'A', (w) => w.gouging.keepMm) }
		}
	},
	'gouge.leftMm': {
		into: {
			formula: 't-d',
			source: 'The plate less the deepest point that a string reaches',
			inputs: {
				t: given('plate', 'thickness', 'A', (w) => w.gouging.plateMm),
				d: given('deepest point', 'small', 'M', (w) => w.gouging.layout!.reachMm)
			}
		},
		whole: {
			formula: 't',
			source: 'It stands on the plate: no string may reach into it',
			inputs: { t: given('plate', 'thickness', 'A', (w) => w.gouging.plateMm) }
		},
		none: NOTHING
	},
	'gouge.removalKgH': {
		model: {
			formula: 'k*eta*I*U_2/H*3600',
			source:
				'Our own model: a quarter of the arc power melts and throws metal out at about 1.28 MJ/kg of steel',
			inputs: {
				k: given('test grooves over the model', 'factor', 'M', (w) => w.gouging.removal.factor),
				eta: stated('share of the arc power', 'factor', REMOVAL_EFFICIENCY),
				I: 'gouge.currentA',
				U_2: given('arc voltage at these amps', 'voltage', 'S', (w) => w.gouging.arcVoltageV),
				H: given('energy for a kilogram, J', 'factor', 'M', (w) => w.gouging.removalJPerKg)
			}
		},
		measured: {
			formula: 'k*eta*I*U_2/H*3600',
			source: 'The model, moved by the test grooves in this metal with this nozzle',
			inputs: {
				k: given('test grooves over the model', 'factor', 'T', (w) => w.gouging.removal.factor),
				eta: stated('share of the arc power', 'factor', REMOVAL_EFFICIENCY),
				I: 'gouge.currentA',
				U_2: given('arc voltage at these amps', 'voltage', 'S', (w) => w.gouging.arcVoltageV),
				H: given('energy for a kilogram, J', 'factor', 'M', (w) => w.gouging.removalJPerKg)
			}
		},
		none: NOTHING
	},
	'gouge.slagG': {
		lines: {
			formula: 'A*l*rho*1e-6*n',
			source: 'Section, length and density of all pieces',
			inputs: { A: 'gouge.areaMm2', l: length, rho: density, n: pieces }
		},
		spot: {
			formula: 'pi/8*w^2*d*rho*1e-6*n',
			source: 'A spot as a paraboloid [own]',
			inputs: { w: width, d: depth, rho: density, n: pieces }
		},
		none: NOTHING
	},
	'gouge.heatKJm': {
		lines: {
			formula: 'I*U_2*t/l',
			source: 'Arc power times arc time over the length, all strings; the plate takes a part of it',
			inputs: {
				I: 'gouge.currentA',
				U_2: given('arc voltage at these amps', 'voltage', 'S', (w) => w.gouging.arcVoltageV),
				t: 'gouge.pieceS',
				l: length
			}
		},
		none: NOTHING
	},
	'gouge.airBar': {
		none: {
			formula: 'max(p_min, g*p_set)',
			source:
				'Gouging wants less than cutting (common practice); the share is our own, never below the window',
			inputs: {
				p_min: given(
					'lower limit of the window',
					'pressure',
					'D',
					(w) => w.inputs.bench.cutter.airMinBar
				),
				g: stated('gouging over cutting', 'factor', GOUGE_AIR_SHARE),
				p_set: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar)
			}
		},
		set: {
			formula: 'g*p_w',
			source: 'Gouging wants less than cutting (common practice); the share is our own',
			inputs: {
				g: stated('gouging over cutting', 'factor', GOUGE_AIR_SHARE),
				p_w: given(
					'working pressure for cutting',
					'pressure',
					'D',
					(w) => w.inputs.bench.cutter.workingBar ?? NaN
				)
			}
		},
		itself: {
			formula: 'true',
			source: 'The machine sets it by its mode, or nobody has told',
			inputs: {}
		}
	},
	'gouge.shade': {
		only: {
			formula: 's',
			source:
				'The darkest of ANSI Z49.1, OSHA and, where it applies, EN 169 (from memory); the arc lies in the open, so no lighter allowance',
			inputs: { s: given('darkest of the tables', 'shade', 'S', (w) => w.gouging.shade) }
		}
	},
	'gouge.piecesLeft': { lines: piecesLeft, spot: piecesLeft, none: NOTHING }
} satisfies ReasonsOf<typeof GOUGE_FIGURES, GougeView>;

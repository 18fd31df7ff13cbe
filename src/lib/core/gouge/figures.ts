import { figuresFor } from '../figure/define';
import type { GougeView, GougeWorkings } from './workings';
import { goesIntoPlate, isLight, isSpot } from './targets';

const { several, single, banded } = figuresFor<GougeView>();

/** By lines, by spots, or not at all. */
const made = ({ gouging: g }: GougeView) =>
	g.layout ? 'lines' : g.spotS !== undefined ? 'spot' : 'none';
const strings = (g: GougeWorkings) => g.layout?.strings;
const pick = (g: GougeWorkings, best: (...speeds: number[]) => number) =>
	g.layout ? best(...g.layout.strings.map(({ speedMmS }) => speedMmS)) : null;
const banding =
	(value: (w: GougeView) => number | null) =>
	(w: GougeView): [number, number] | undefined => {
		const v = value(w);
		const [low, high] = w.gouging.timeBand;
		return v === null ? undefined : [v * low, v * high];
	};
/** Arc of all pieces, min. */
const jobMin = ({ inputs, gouging: g }: GougeView) =>
	g.pieceS === null ? null : (g.pieceS * inputs.cut.gouge.pieces) / 60;

export const GOUGE_FIGURES = {
	'gouge.strings': several(
		'Strings',
		'count',
		({ gouging: g }) => strings(g)?.length ?? (g.spotS !== undefined ? 1 : null),
		made,
		{ lines: 'M', spot: 'M', none: 'M' }
	),
	'gouge.currentA': several(
		'Gouging amps',
		'current',
		(w) => w.gouging.outputA,
		({ inputs: { cut }, gouging: g }) =>
			cut.gouge.outputA !== null
				? 'asked'
				: g.outputA < g.usualA
					? 'fewer'
					: isLight(cut.gouge.target)
						? 'light'
						: 'full',
		{ full: 'D', fewer: 'M', light: 'R', asked: 'A' }
	),
	'gouge.stringS': banded(
		several('Seconds of the longest string', 'time', (w) => w.gouging.longestS, made, {
			lines: 'M',
			spot: 'M',
			none: 'M'
		}),
		banding((w) => w.gouging.longestS)
	),
	'gouge.pieceS': banded(
		several('Arc for one piece', 'time', (w) => w.gouging.pieceS, made, {
			lines: 'M',
			spot: 'M',
			none: 'M'
		}),
		banding((w) => w.gouging.pieceS)
	),
	'gouge.jobMin': several('Arc for all pieces', 'minutes', jobMin, made, {
		lines: 'M',
		spot: 'M',
		none: 'M'
	}),
	'gouge.speedMmS': several(
		'Slowest travel',
		'speed',
		({ gouging }) => pick(gouging, Math.min),
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.fastMmS': several(
		'Fastest travel',
		'speed',
		({ gouging }) => pick(gouging, Math.max),
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.widestMm': several(
		'Widest string',
		'small',
		({ gouging }) => gouging.widestMm,
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.wholeMm2': several(
		'Section of the whole of it',
		'area',
		({ inputs, gouging: g }) => (isSpot(inputs.cut.gouge.target) ? null : g.section.wholeMm2),
		({ inputs: { cut } }) => {
			const { target } = cut.gouge;
			if (isSpot(target)) return 'spot';
			return target === 'fillet' || target === 'facing' || target === 'back' ? target : 'parabola';
		},
		{ spot: 'M', fillet: 'M', facing: 'M', back: 'M', parabola: 'M' }
	),
	'gouge.areaMm2': several(
		'Section gouged out',
		'area',
		({ gouging: g }) => g.layout?.areaMm2 ?? null,
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.standsMm': several(
		'Left to grind',
		'small',
		({ gouging: g }) => (g.layout ? g.grindMm + g.layout.leftMm : null),
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.keepMm': several(
		'Must stay of the plate',
		'small',
		(w) => w.gouging.keepMm,
		(w) => (w.inputs.cut.gouge.keepMm === null ? 'usual' : 'asked'),
		{ usual: 'M', asked: 'A' }
	),
	'gouge.leftMm': several(
		'Stays of the plate',
		'small',
		({ inputs, gouging: g }) =>
			g.layout
				? (g.leftPlateMm ?? g.plateMm)
				: goesIntoPlate(inputs.cut.gouge.target)
					? null
					: g.plateMm,
		({ inputs, gouging: g }) =>
			!goesIntoPlate(inputs.cut.gouge.target) ? 'whole' : g.layout ? 'into' : 'none',
		{ into: 'M', whole: 'A', none: 'M' }
	),
	'gouge.removalKgH': several(
		'Metal thrown out',
		'removal',
		(w) => 3600 * w.gouging.removalKgS,
		(w) => (w.gouging.removal.from > 0 ? 'measured' : 'model'),
		{ model: 'M', measured: 'T' }
	),
	'gouge.slagG': several(
		'Slag of all pieces',
		'mass',
		({ inputs, gouging: g }) =>
			g.pieceMm3 === null
				? null
				: g.pieceMm3 * g.metal.densityKgM3 * 1e-6 * inputs.cut.gouge.pieces,
		made,
		{ lines: 'M', spot: 'M', none: 'M' }
	),
	'gouge.heatKJm': several(
		'Arc heat a metre',
		'heat',
		({ gouging: g }) =>
			g.layout && g.pieceS !== null ? (g.outputA * g.arcVoltageV * g.pieceS) / g.lengthMm : null,
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.airBar': several(
		'Gouging air',
		'pressure',
		(w) => w.gouging.airBar,
		(w) => (w.gouging.airBar === null ? 'itself' : w.inputs.bench.cutter.regulator),
		{ none: 'R', set: 'R', itself: 'D' }
	),
	'gouge.shade': single('Filter shade to gouge', 'shade', (w) => w.gouging.shade, 'S'),
	'gouge.piecesLeft': several(
		'Such pieces left in the electrode',
		'count',
		(w) => w.gouging.piecesLeft,
		made,
		{ lines: 'M', spot: 'M', none: 'M' }
	)
};

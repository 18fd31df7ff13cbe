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
		({ gouging: g }) => strings(g)?.length ?? (g.spotS !== undefined ? 1 : null),
		made,
		{ lines: 'M', spot: 'M', none: 'M' }
	),
	'gouge.currentA': several(
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
		several((w) => w.gouging.longestS, made, {
			lines: 'M',
			spot: 'M',
			none: 'M'
		}),
		banding((w) => w.gouging.longestS)
	),
	'gouge.pieceS': banded(
		several((w) => w.gouging.pieceS, made, {
			lines: 'M',
			spot: 'M',
			none: 'M'
		}),
		banding((w) => w.gouging.pieceS)
	),
	'gouge.jobMin': several(jobMin, made, {
		lines: 'M',
		spot: 'M',
		none: 'M'
	}),
	'gouge.speedMmS': several(
		({ gouging }) => pick(gouging, Math.min),
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.fastMmS': several(
		({ gouging }) => pick(gouging, Math.max),
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.widestMm': several(
		({ gouging }) => gouging.widestMm,
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.wholeMm2': several(
		({ inputs, gouging: g }) => (isSpot(inputs.cut.gouge.target) ? null : g.section.wholeMm2),
		({ inputs: { cut } }) => {
			const { target } = cut.gouge;
			if (isSpot(target)) return 'spot';
			return target === 'fillet' || target === 'facing' || target === 'back' ? target : 'parabola';
		},
		{ spot: 'M', fillet: 'M', facing: 'M', back: 'M', parabola: 'M' }
	),
	'gouge.areaMm2': several(
		({ gouging: g }) => g.layout?.areaMm2 ?? null,
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.standsMm': several(
		({ gouging: g }) => (g.layout ? g.grindMm + g.layout.leftMm : null),
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.keepMm': several(
		(w) => w.gouging.keepMm,
		(w) => (w.inputs.cut.gouge.keepMm === null ? 'usual' : 'asked'),
		{ usual: 'M', asked: 'A' }
	),
	'gouge.leftMm': several(
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
		({ gouging: g }) => (g.refused === 'nozzle' ? null : 3600 * g.removalKgS),
		({ gouging: g }) =>
			g.refused === 'nozzle' ? 'none' : g.removal.from > 0 ? 'measured' : 'model',
		{ model: 'M', measured: 'T', none: 'M' }
	),
	'gouge.slagG': several(
		({ inputs, gouging: g }) =>
			g.pieceMm3 === null
				? null
				: g.pieceMm3 * g.metal.densityKgM3 * 1e-6 * inputs.cut.gouge.pieces,
		made,
		{ lines: 'M', spot: 'M', none: 'M' }
	),
	'gouge.heatKJm': several(
		({ gouging: g }) =>
			g.layout && g.pieceS !== null ? (g.outputA * g.arcVoltageV * g.pieceS) / g.lengthMm : null,
		({ gouging: g }) => (g.layout ? 'lines' : 'none'),
		{ lines: 'M', none: 'M' }
	),
	'gouge.airBar': several(
		(w) => w.gouging.airBar,
		(w) => (w.gouging.airBar === null ? 'itself' : w.inputs.bench.cutter.regulator),
		{ none: 'R', set: 'R', itself: 'D' }
	),
	'gouge.shade': single((w) => w.gouging.shade, 'S'),
	'gouge.piecesLeft': several((w) => w.gouging.piecesLeft, made, {
		lines: 'M',
		spot: 'M',
		none: 'M'
	})
};

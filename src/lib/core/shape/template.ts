/**
 * A template that the shield rides on. R shield radius, k kerf. On the kept piece it lies R − k/2 inside
 * the metal from the finished edge, on the waste R + k/2 outside of it; a hole is the same with inside
 * and outside exchanged. Corners come out as the kerf's edge of a shield rolling round the template.
 */
import {
	flattened,
	isCounterClockwise,
	isInside,
	segments,
	arcOf,
	crossingPairs,
	distance,
	type Contour,
	type Point,
	type Vertex
} from './outline';
import type { KEEPS, TEMPLATE_SIDES } from './schema';
import { inflated, offsetContour, pathOf, piecesOf, polygonAreaMm2 } from './offset';

export type TemplateSide = (typeof TEMPLATE_SIDES)[number];
/** What is kept: what lies inside the outer contour, or the plate round it. */
export type Keep = (typeof KEEPS)[number];
export type Edge = 'outside' | 'hole';

export interface TemplateInput {
	contours: readonly Contour[];
	keep: Keep;
	outside: TemplateSide;
	holes: TemplateSide;
	shieldRadiusMm: number;
	kerfMm: number;
}

/** A corner, or a round that is too tight, and what the cut makes of it. */
export interface CornerMark {
	at: Point;
	/** Of the kept piece: it juts out, or it is a notch. */
	kind: 'outside' | 'inside';
	/** Radius drawn; 0: sharp. */
	drawnMm: number;
	/** Radius it comes out with. */
	radiusMm: number;
	/** From the drawn corner to the cut edge: rounded off outside, left standing inside. */
	remainsMm: number;
}

export interface TemplateContour {
	contour: Contour;
	edge: Edge;
	side: TemplateSide;
	/** How many contours it lies in. */
	depth: number;
	/** Signed growth of the filled contour to the template. */
	byMm: number;
	/** Empty: the shield has no room for this template. */
	template: Vertex[][];
	/** Path of the torch centre; empty: smaller than the kerf. */
	torch: Vertex[][];
	corners: CornerMark[];
}

const radians = (deg: number) => (deg * Math.PI) / 180;
/** Two segments that turn by less than this run on smoothly. */
const CORNER_LEAST_RAD = radians(8);
/** A corner sharper than this is told as this sharp: a line that folds back has no tip to measure from. */
const SPIKE_RAD = radians(1);
/** Points this close are one, mm. */
const DOUBLE_MM = 1e-6;
/** From so many vertices on it is a freeform line: its corners are told by what is left, not one by one. */
const CORNERS_MOST = 400;

/** How many other contours each lies in. */
export function depthsOf(contours: readonly Contour[]): number[] {
	const lines = contours.map((contour) => flattened(contour, 0.05));
	return lines.map(
		(line, i) => lines.filter((other, j) => j !== i && isInside(line[0]!, other)).length
	);
}

/** Signed growth of a filled contour to its template. */
export function templateGrowthMm(
	edge: Edge,
	side: TemplateSide,
	{ shieldRadiusMm, kerfMm }: { shieldRadiusMm: number; kerfMm: number }
): number {
	const intoKept = side === 'kept' ? shieldRadiusMm - kerfMm / 2 : -(shieldRadiusMm + kerfMm / 2);
	return edge === 'outside' ? -intoKept : intoKept;
}

/** Radius that a sharp corner of the kept piece comes out with. */
export function cornerRadiusMm(
	kind: CornerMark['kind'],
	side: TemplateSide,
	{ shieldRadiusMm, kerfMm }: { shieldRadiusMm: number; kerfMm: number }
): number {
	if (kind === 'outside') return side === 'kept' ? shieldRadiusMm - kerfMm / 2 : 0;
	return side === 'kept' ? kerfMm / 2 : shieldRadiusMm + kerfMm / 2;
}

/** From the tip of a corner of this opening angle to a round of this radius in it: r·(1/sin(θ/2) − 1). */
export function cornerRemainsMm(radiusMm: number, openingRad: number): number {
	return radiusMm * (1 / Math.sin(openingRad / 2) - 1);
}

/** Direction of travel at the start and at the end of a segment, radians. */
function headings(from: Vertex, to: Vertex): { start: number; end: number } {
	const chord = Math.atan2(to.y - from.y, to.x - from.x);
	const half = 2 * Math.atan(from.bulge);
	return { start: chord - half, end: chord + half };
}

/** −π to π. */
const wrapped = (rad: number) => Math.atan2(Math.sin(rad), Math.cos(rad));

function cornersOf(
	contour: Contour,
	edge: Edge,
	side: TemplateSide,
	torch: { shieldRadiusMm: number; kerfMm: number }
): CornerMark[] {
	if (contour.length > CORNERS_MOST) return [];
	// Seen counter-clockwise a left turn is a corner that juts out of the filled contour.
	const sense = (isCounterClockwise(contour) ? 1 : -1) * (edge === 'outside' ? 1 : -1);
	const marks: CornerMark[] = [];
	// A point drawn twice has no direction.
	const pieces = segments(
		contour.filter((v, i) => distance(v, contour[(i + 1) % contour.length]!) > DOUBLE_MM)
	);
	pieces.forEach(({ from, to }, i) => {
		const before = pieces[(i + pieces.length - 1) % pieces.length]!;
		const turn = wrapped(headings(from, to).start - headings(before.from, before.to).end) * sense;
		if (Math.abs(turn) > CORNER_LEAST_RAD) {
			const kind = turn > 0 ? 'outside' : 'inside';
			const radiusMm = cornerRadiusMm(kind, side, torch);
			const remainsMm = cornerRemainsMm(radiusMm, Math.max(SPIKE_RAD, Math.PI - Math.abs(turn)));
			if (radiusMm > 0)
				marks.push({ at: { x: from.x, y: from.y }, kind, drawnMm: 0, radiusMm, remainsMm });
		}
		const arc = arcOf(from, to);
		if (!arc) return;
		const kind = arc.sweepRad * sense > 0 ? 'outside' : 'inside';
		const radiusMm = cornerRadiusMm(kind, side, torch);
		if (arc.radiusMm >= radiusMm - 1e-6) return;
		const middle = arc.startRad + arc.sweepRad / 2;
		const opening = Math.max(0.2, Math.PI - Math.abs(arc.sweepRad));
		marks.push({
			at: {
				x: arc.centre.x + arc.radiusMm * Math.cos(middle),
				y: arc.centre.y + arc.radiusMm * Math.sin(middle)
			},
			kind,
			drawnMm: arc.radiusMm,
			radiusMm,
			remainsMm: cornerRemainsMm(radiusMm - arc.radiusMm, opening)
		});
	});
	return marks;
}

/** Templates, torch paths and corners of every contour. */
export function templatesOf(input: TemplateInput): TemplateContour[] {
	const { contours, keep, kerfMm } = input;
	const depths = depthsOf(contours);
	return contours.map((contour, i) => {
		const depth = depths[i]!;
		const edge: Edge = (depth % 2 === 0) === (keep === 'part') ? 'outside' : 'hole';
		const side = edge === 'outside' ? input.outside : input.holes;
		const byMm = templateGrowthMm(edge, side, input);
		return {
			contour,
			edge,
			side,
			depth,
			byMm,
			template: offsetContour(contour, byMm),
			torch: offsetContour(contour, (edge === 'outside' ? 1 : -1) * (kerfMm / 2)),
			corners: cornersOf(contour, edge, side, input)
		};
	});
}

/** Pairs of templates whose edges cross: they cannot be made in one plate. */
export function crossingTemplates(templates: readonly TemplateContour[]): [number, number][] {
	const edges = templates.flatMap(({ template }, index) =>
		template.map((one) => ({ index, line: flattened(one, 0.1) }))
	);
	return crossingPairs(edges.map(({ line }) => line)).map(([a, b]) => [
		edges[a]!.index,
		edges[b]!.index
	]);
}

/** What the cut leaves standing and what it takes away beyond the drawn edge, as filled pieces. */
export interface AsCut {
	left: Point[][];
	lost: Point[][];
}

/**
 * The edge that a shield of radius R really leaves when it rolls along the template: the template grown
 * (or shrunk) by R is where the torch gets to, and the kerf reaches k/2 beyond.
 */
export function asCut(
	{ contour, edge, side }: Pick<TemplateContour, 'contour' | 'edge' | 'side'>,
	{ shieldRadiusMm, kerfMm }: { shieldRadiusMm: number; kerfMm: number }
): AsCut {
	const drawn = [pathOf(contour)];
	const towardsWaste = edge === 'outside' ? 1 : -1;
	const onTemplate = inflated(drawn, templateGrowthMm(edge, side, { shieldRadiusMm, kerfMm }));
	const toTorch = side === 'kept' ? shieldRadiusMm : -shieldRadiusMm;
	const torch = inflated(onTemplate, towardsWaste * toTorch);
	const made = inflated(torch, -towardsWaste * (kerfMm / 2));
	const more = piecesOf(made, drawn);
	const less = piecesOf(drawn, made);
	return edge === 'outside' ? { left: more, lost: less } : { left: less, lost: more };
}

/** A rounded corner takes less than this many squares of the shield's reach, even a sharp one [own]. */
const CORNER_MOST = 0.6;

/**
 * Whether the shield can follow the whole outline: the template is in one piece, and what comes out
 * otherwise is no more than rounded corners. False: a neck or a notch is too narrow for it.
 */
export function isFollowed(
	{ template }: Pick<TemplateContour, 'template'>,
	{ left, lost }: AsCut,
	{ shieldRadiusMm, kerfMm }: { shieldRadiusMm: number; kerfMm: number }
): boolean {
	const most = CORNER_MOST * (shieldRadiusMm + kerfMm / 2) ** 2;
	return (
		template.length === 1 &&
		[...left, ...lost].every((piece) => Math.abs(polygonAreaMm2(piece)) <= most)
	);
}

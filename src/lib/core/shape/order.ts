/**
 * Which contour first, which way round, where to start. Inside before outside, so that nothing is cut on
 * a piece that has already dropped; the part on the side of the squarer edge.
 */
import {
	arcOf,
	directed,
	distance,
	flattened,
	segments,
	type Contour,
	type Point,
	type Vertex
} from './outline';
import type { Edge, TemplateContour } from './template';

/** Lead-in where there is room for it, mm [own]. */
export const LEAD_IN_MM = 8;
/** Of the way across the waste at most, so that the start stays clear of the other side [own]. */
const LEAD_SHARE = 0.45;
/** Nearer than this a ray meets the chords of its own line, mm. */
const NEAR_MM = 0.3;
/** Segments at least this share of the longest are good to start on. */
const GOOD_SHARE = 0.5;

export interface CutPath {
	/** Which of the template contours. */
	index: number;
	edge: Edge;
	/** Path of the torch centre from where it meets the line, in the direction of travel. */
	path: Contour;
	clockwise: boolean;
	/** Where the arc is lit, in the waste, and where it meets the path. */
	start: Point;
	meets: Point;
	leadMm: number;
	/** Direction of travel where it meets the path, counter-clockwise from x. */
	headingDeg: number;
	/** No room in the waste for a lead-in of a kerf: drill, or start in the middle. */
	tight: boolean;
}

/**
 * Seen from above, with the squarer edge on the right of travel: outside contours clockwise, holes
 * counter-clockwise; mirrored for the opposite swirl (common practice, data of the torch).
 */
export function runsClockwise(edge: Edge, squareSide: 'right' | 'left'): boolean {
	return (edge === 'outside') === (squareSide === 'right');
}

interface Candidate {
	segment: number;
	at: Point;
}

/** Half way along a segment, on its arc. */
function middleOf(from: Vertex, to: Point): Point {
	const arc = arcOf(from, to);
	if (!arc) return { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
	const angle = arc.startRad + arc.sweepRad / 2;
	return {
		x: arc.centre.x + arc.radiusMm * Math.cos(angle),
		y: arc.centre.y + arc.radiusMm * Math.sin(angle)
	};
}

/** Middles of the long segments: a start on a corner marks it. */
function candidates(path: Contour): Candidate[] {
	const pieces = segments(path).map(({ from, to }, segment) => {
		const arc = arcOf(from, to);
		const length = arc ? Math.abs(arc.sweepRad) * arc.radiusMm : distance(from, to);
		return { segment, length, at: middleOf(from, to) };
	});
	const longest = Math.max(...pieces.map(({ length }) => length));
	return pieces.filter(({ length }) => length >= GOOD_SHARE * longest);
}

/** The closed path begun half way along one of its segments. */
function begunAt(path: Contour, { segment, at }: Candidate): Vertex[] {
	const n = path.length;
	const { x, y, bulge } = path[segment]!;
	const half = Math.tan(Math.atan(bulge) / 2);
	return [
		{ ...at, bulge: half },
		...Array.from({ length: n - 1 }, (_, i) => path[(segment + 1 + i) % n]!),
		{ x, y, bulge: half }
	];
}

/** Distance along a ray to the first line it meets; Infinity: none. */
function rayMm(from: Point, direction: Point, lines: readonly Point[][]): number {
	let nearest = Infinity;
	for (const line of lines) {
		for (let i = 0, j = line.length - 1; i < line.length; j = i++) {
			const a = line[j]!;
			const b = line[i]!;
			const [ex, ey] = [b.x - a.x, b.y - a.y];
			const cross = direction.x * ey - direction.y * ex;
			if (Math.abs(cross) < 1e-12) continue;
			const t = ((a.x - from.x) * ey - (a.y - from.y) * ex) / cross;
			const u = ((a.x - from.x) * direction.y - (a.y - from.y) * direction.x) / cross;
			if (t > NEAR_MM && u >= 0 && u <= 1) nearest = Math.min(nearest, t);
		}
	}
	return nearest;
}

/** Paths in the order they are cut; what is smaller than the kerf is left out. */
export function cutOrder(
	templates: readonly TemplateContour[],
	{ squareSide, kerfMm }: { squareSide: 'right' | 'left'; kerfMm: number }
): CutPath[] {
	const left = templates.flatMap(({ torch, edge, depth }, index) =>
		torch.map((path) => {
			const clockwise = runsClockwise(edge, squareSide);
			return { index, edge, depth, clockwise, path: directed(path, !clockwise) };
		})
	);
	const lines = left.map(({ path }) => flattened(path, 0.05));
	const ordered: CutPath[] = [];
	const open = left.map((one, i) => ({ ...one, line: lines[i]!, options: candidates(one.path) }));
	let at: Point = { x: -Infinity, y: -Infinity };
	while (open.length > 0) {
		const depth = Math.max(...open.map((one) => one.depth));
		let best: { i: number; option: Candidate; far: number } | undefined;
		open.forEach((one, i) => {
			if (one.depth !== depth) return;
			for (const option of one.options) {
				// The first one begins at the lower left.
				const far = Number.isFinite(at.x) ? distance(at, option.at) : option.at.x + option.at.y;
				if (!best || far < best.far) best = { i, option, far };
			}
		});
		const { i, option } = best!;
		const [one] = open.splice(i, 1);
		const path = begunAt(one!.path, option);
		const heading =
			Math.atan2(path[1]!.y - path[0]!.y, path[1]!.x - path[0]!.x) - 2 * Math.atan(path[0]!.bulge);
		// The part lies on the side of the squarer edge, so the waste lies on the other.
		const side = heading + (squareSide === 'right' ? 1 : -1) * (Math.PI / 2);
		const toWaste = { x: Math.cos(side), y: Math.sin(side) };
		const room = rayMm(option.at, toWaste, lines);
		const leadMm = Math.min(LEAD_IN_MM, LEAD_SHARE * room);
		ordered.push({
			index: one!.index,
			edge: one!.edge,
			path,
			clockwise: one!.clockwise,
			meets: option.at,
			start: { x: option.at.x + leadMm * toWaste.x, y: option.at.y + leadMm * toWaste.y },
			leadMm,
			headingDeg: (heading * 180) / Math.PI,
			tight: leadMm < kerfMm
		});
		at = option.at;
	}
	return ordered;
}

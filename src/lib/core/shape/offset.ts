import {
	differenceD,
	EndType,
	FillRule,
	inflatePathsD,
	JoinType,
	simplifyPathD,
	unionD
} from 'clipper2-ts';
import { withArcs } from './arcs';
import { directed, flattened, type Contour, type Point, type Vertex } from './outline';

/** Chords of flattened arcs lie this close, mm. */
const FLAT_MM = 0.005;
/** A hand follows nothing finer: dense lines of points are thinned to within this, mm [own]. */
export const THINNED_MM = 0.01;
/** From so many points on. */
const DENSE = 1000;
/** A growth of less than this is none, mm. */
const NOTHING_MM = 0.01;
/** Digits after the point in the clipping library. */
const DIGITS = 4;
/** What is thinner than this is the rounding of chords, not a piece, mm. */
const SLIVER_MM = 0.02;
/** Smaller ones are not seen, mm². */
const SPECK_MM2 = 0.01;

/** Chords are mitred when they are offset; the mitres stand out by no more than this, mm. */
const MITRE_MM = 0.002;

/** Points of a contour for the clipping library, running counter-clockwise; it is to grow by `byMm`. */
export function pathOf(contour: Contour, byMm = 0): Point[] {
	const turnRad = 2 * Math.sqrt((2 * MITRE_MM) / Math.max(1, Math.abs(byMm)));
	const points = flattened(directed(contour, true), FLAT_MM, turnRad);
	return points.length > DENSE ? simplifyPathD(points, THINNED_MM, true) : points;
}

/** A filled shape grown (or shrunk) by a distance all round, outside corners rounded; as points. */
export function inflated(paths: Point[][], byMm: number): Point[][] {
	return inflatePathsD(paths, byMm, JoinType.Round, EndType.Polygon, 2, DIGITS, FLAT_MM);
}

/**
 * The filled contour grown by `byMm` (negative: shrunk), with its arcs. None: nothing is left of it. More
 * than one: it fell apart at a neck.
 */
export function offsetContour(contour: Contour, byMm: number): Vertex[][] {
	if (Math.abs(byMm) < NOTHING_MM) return [[...contour]];
	return inflated([pathOf(contour, byMm)], byMm)
		.map(withArcs)
		.filter((path) => path.length > 1);
}

/** What is left of one filled shape when another is taken away, without the slivers of rounded chords. */
export function piecesOf(from: Point[][], less: Point[][]): Point[][] {
	return differenceD(from, inflated(less, SLIVER_MM), FillRule.NonZero, DIGITS).filter(
		(piece) => Math.abs(polygonAreaMm2(piece)) > SPECK_MM2
	);
}

/** Signed area of a closed line of points, mm². */
export function polygonAreaMm2(points: readonly Point[]): number {
	let twice = 0;
	for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
		twice += points[j]!.x * points[i]!.y - points[i]!.x * points[j]!.y;
	}
	return twice / 2;
}

/** Area that a closed line of points covers, whatever way round and however often, mm². */
export function coveredMm2(points: Point[]): number {
	return Math.abs(
		unionD([points], [], FillRule.NonZero, DIGITS).reduce((sum, p) => sum + polygonAreaMm2(p), 0)
	);
}

/**
 * Closed contours of lines and circular arcs, in mm, y up, seen from above. A vertex carries the bulge of
 * the segment to the next one: tan(sweep/4), positive counter-clockwise, 0 for a line. A circle is two
 * vertices with bulge 1.
 */
import { crossingsOf } from './crossings';

export interface Point {
	x: number;
	y: number;
}
export interface Vertex extends Point {
	bulge: number;
}
/** Closed: the last vertex is joined to the first. */
export type Contour = readonly Vertex[];

export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

/** The circle that an arc lies on; the sweep is signed, radians. */
export interface Arc {
	centre: Point;
	radiusMm: number;
	startRad: number;
	sweepRad: number;
}

/** An arc nearer to its chord is none, mm. */
const FLAT_MM = 1e-9;

/** Arc from a vertex to the next one; undefined: a line. */
export function arcOf(from: Vertex, to: Point): Arc | undefined {
	const b = from.bulge;
	const chord = distance(from, to);
	// One so flat that it leaves its chord by less than this is a line; its circle has no end.
	if (!(Math.abs(b) * chord > FLAT_MM)) return undefined;
	const toCentre = (1 - b * b) / (4 * b);
	const centre = {
		x: (from.x + to.x) / 2 - (to.y - from.y) * toCentre,
		y: (from.y + to.y) / 2 + (to.x - from.x) * toCentre
	};
	return {
		centre,
		radiusMm: (chord * (1 + b * b)) / (4 * Math.abs(b)),
		startRad: Math.atan2(from.y - centre.y, from.x - centre.x),
		sweepRad: 4 * Math.atan(b)
	};
}

/** Each segment with its ends. */
export function segments(contour: Contour): { from: Vertex; to: Vertex }[] {
	return contour.map((from, i) => ({ from, to: contour[(i + 1) % contour.length]! }));
}

/** Signed area, mm²: positive when it runs counter-clockwise. Exact for arcs. */
export function areaMm2(contour: Contour): number {
	let twice = 0;
	// Measured from a vertex, so that far coordinates lose no digits.
	const o = contour[0] ?? { x: 0, y: 0 };
	for (const { from, to } of segments(contour)) {
		twice += (from.x - o.x) * (to.y - o.y) - (to.x - o.x) * (from.y - o.y);
		const arc = arcOf(from, to);
		if (arc) twice += arc.radiusMm ** 2 * (arc.sweepRad - Math.sin(arc.sweepRad));
	}
	return twice / 2;
}

/** Length all the way round, mm. Exact for arcs. */
export function lengthMm(contour: Contour): number {
	return segments(contour).reduce((sum, { from, to }) => {
		const arc = arcOf(from, to);
		return sum + (arc ? Math.abs(arc.sweepRad) * arc.radiusMm : distance(from, to));
	}, 0);
}

export const isCounterClockwise = (contour: Contour): boolean => areaMm2(contour) > 0;

/** The same line the other way round. */
export function reversed(contour: Contour): Vertex[] {
	const n = contour.length;
	return contour.map((_, i) => {
		const at = contour[(n - i) % n]!;
		const before = contour[(2 * n - i - 1) % n]!;
		return { x: at.x, y: at.y, bulge: before.bulge === 0 ? 0 : -before.bulge };
	});
}

export function directed(contour: Contour, counterClockwise: boolean): Contour {
	return isCounterClockwise(contour) === counterClockwise ? contour : reversed(contour);
}

/** An arc is never drawn with more chords: one of 20 m radius within a thousandth takes half of them. */
const PIECES_MOST = 20_000;

/** Chords that draw an arc within a tolerance, turning by at most `turnMostRad` each. */
export function piecesOf(
	{ radiusMm, sweepRad }: Pick<Arc, 'radiusMm' | 'sweepRad'>,
	toleranceMm: number,
	turnMostRad = PIECE_MOST_RAD
): number {
	const step = 2 * Math.acos(Math.max(0, 1 - toleranceMm / radiusMm));
	const pieces = Math.ceil(Math.abs(sweepRad) / Math.min(turnMostRad, step) - 1e-9);
	return Math.min(PIECES_MOST, pieces) || 1;
}

/** An arc is never drawn with fewer pieces than a quarter turn each. */
const PIECE_MOST_RAD = Math.PI / 2;

/**
 * Points along it, the chords within `toleranceMm` of the arcs and turning by at most `turnMostRad` each;
 * vertices are hit exactly.
 */
export function flattened(
	contour: Contour,
	toleranceMm: number,
	turnMostRad = PIECE_MOST_RAD
): Point[] {
	const points: Point[] = [];
	for (const { from, to } of segments(contour)) {
		points.push({ x: from.x, y: from.y });
		const arc = arcOf(from, to);
		if (!arc) continue;
		const { centre, radiusMm, startRad, sweepRad } = arc;
		const pieces = piecesOf(arc, toleranceMm, turnMostRad);
		for (let i = 1; i < pieces; i++) {
			const angle = startRad + (sweepRad * i) / pieces;
			points.push({
				x: centre.x + radiusMm * Math.cos(angle),
				y: centre.y + radiusMm * Math.sin(angle)
			});
		}
	}
	return points;
}

export interface Bounds {
	minX: number;
	minY: number;
	maxX: number;
	maxY: number;
}

/** Box round all contours, arcs included to a thousandth of a millimetre. */
export function boundsOf(contours: readonly Contour[]): Bounds {
	return boxOf(contours.flatMap((contour) => flattened(contour, 0.001)));
}

/** Whether a point lies inside a closed line of points (even-odd). */
export function isInside({ x, y }: Point, polygon: readonly Point[]): boolean {
	let inside = false;
	for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
		const a = polygon[i]!;
		const b = polygon[j]!;
		if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
	}
	return inside;
}

function boxOf(points: readonly Point[]): Bounds {
	const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
	for (const { x, y } of points) {
		box.minX = Math.min(box.minX, x);
		box.minY = Math.min(box.minY, y);
		box.maxX = Math.max(box.maxX, x);
		box.maxY = Math.max(box.maxY, y);
	}
	return box;
}

/** Points that are looked at one by one to find a line that lies partly in another, at most [own]. */
const LOOKED_MOST = 50_000_000;

/** Pairs of closed lines, by index, of which one lies partly inside the other: their edges cross. */
export function crossingPairs(lines: readonly (readonly Point[])[]): [number, number][] {
	const boxes = lines.map(boxOf);
	const crossed = new Map<string, [number, number]>();
	const add = (i: number, j: number) => {
		const pair: [number, number] = i < j ? [i, j] : [j, i];
		crossed.set(pair.join(), pair);
	};
	for (const {
		lines: [i, j]
	} of crossingsOf(lines).found)
		if (i !== j) add(i, j);
	// Lines that only touch along an edge, and still lie partly inside.
	let looked = 0;
	const partly = (a: readonly Point[], b: readonly Point[]) => {
		looked += a.length * b.length;
		const inside = b.filter((p) => isInside(p, a)).length;
		return inside > 0 && inside < b.length;
	};
	lines.forEach((a, i) => {
		for (let j = 0; j < i && looked < LOOKED_MOST; j++) {
			const [p, q] = [boxes[i]!, boxes[j]!];
			// Most pairs lie apart; only the rest is looked at point by point.
			if (p.minX > q.maxX || q.minX > p.maxX || p.minY > q.maxY || q.minY > p.maxY) continue;
			if (crossed.has(`${j},${i}`)) continue;
			if (partly(a, lines[j]!) || partly(lines[j]!, a)) add(j, i);
		}
	});
	return [...crossed.values()].sort(([a, b], [c, d]) => b - d || a - c);
}

export function moved(contour: Contour, dx: number, dy: number): Vertex[] {
	return contour.map(({ x, y, bulge }) => ({ x: x + dx, y: y + dy, bulge }));
}

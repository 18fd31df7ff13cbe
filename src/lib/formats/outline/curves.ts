import type { Point, Vertex } from '$lib/core/shape/outline';
import { CHORDS_MOST, CURVE_MM } from './gather';

const line = (points: readonly Point[]): Vertex[] => points.map(({ x, y }) => ({ x, y, bulge: 0 }));

/** Bulge of a circular arc between two points, from its radius. */
export function bulgeOf(
	from: Point,
	to: Point,
	arc: { radius: number; large: boolean; counterClockwise: boolean }
): number {
	const half = Math.asin(Math.min(1, Math.hypot(to.x - from.x, to.y - from.y) / 2 / arc.radius));
	const sweep = arc.large ? 2 * Math.PI - 2 * half : 2 * half;
	return Math.tan(sweep / 4) * (arc.counterClockwise ? 1 : -1);
}

/** Chords of a cubic curve within the tolerance; without its first point. */
export function cubic(p0: Point, p1: Point, p2: Point, p3: Point): Vertex[] {
	const bend = (a: Point, b: Point, c: Point) =>
		Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y);
	// The distance of a chord from its curve is at most h²/8 of the second derivative.
	const bends = Math.max(bend(p0, p1, p2), bend(p1, p2, p3));
	const n = Math.min(500, Math.max(1, Math.ceil(Math.sqrt((6 * bends) / (8 * CURVE_MM))))) || 1;
	return line(
		Array.from({ length: n }, (_, i) => {
			const t = (i + 1) / n;
			const s = 1 - t;
			const mix = (k: 'x' | 'y') =>
				s * s * s * p0[k] + 3 * s * s * t * p1[k] + 3 * s * t * t * p2[k] + t * t * t * p3[k];
			return { x: mix('x'), y: mix('y') };
		})
	);
}

/** Chords of an ellipse from one parameter to another, radians. */
export function ellipse(e: {
	centre: Point;
	major: Point;
	ratio: number;
	startRad: number;
	endRad: number;
}): Vertex[] {
	const { centre, major, ratio, startRad } = e;
	let sweep = e.endRad - startRad;
	if (sweep <= 0) sweep += 2 * Math.PI;
	const size = Math.hypot(major.x, major.y);
	const step = 2 * Math.acos(Math.max(0.5, 1 - CURVE_MM / size));
	const n = Math.min(CHORDS_MOST, Math.max(8, Math.ceil(sweep / step))) || 8;
	return line(
		Array.from({ length: n + 1 }, (_, i) => {
			const t = startRad + (sweep * i) / n;
			return {
				x: centre.x + major.x * Math.cos(t) - major.y * ratio * Math.sin(t),
				y: centre.y + major.y * Math.cos(t) + major.x * ratio * Math.sin(t)
			};
		})
	);
}

/** Pieces between two knots of a spline. */
const SPLINE_PIECES = 24;

/** Points of a B-spline (without weights) by de Boor's recursion. */
export function spline(s: {
	degree: number;
	knots: readonly number[];
	control: readonly Point[];
}): Vertex[] {
	const { degree, knots, control } = s;
	const at = (t: number, k: number): Point => {
		const d = Array.from({ length: degree + 1 }, (_, j) => control[j + k - degree]!);
		for (let r = 1; r <= degree; r++) {
			for (let j = degree; j >= r; j--) {
				const [low, high] = [knots[j + k - degree]!, knots[j + 1 + k - r]!];
				const a = high === low ? 0 : (t - low) / (high - low);
				d[j] = {
					x: (1 - a) * d[j - 1]!.x + a * d[j]!.x,
					y: (1 - a) * d[j - 1]!.y + a * d[j]!.y
				};
			}
		}
		return d[degree]!;
	};
	const points: Point[] = [];
	for (let k = degree; k < control.length; k++) {
		const [from, to] = [knots[k]!, knots[k + 1]!];
		if (to <= from) continue;
		for (let i = points.length ? 1 : 0; i <= SPLINE_PIECES; i++) {
			points.push(at(from + ((to - from) * i) / SPLINE_PIECES, k));
		}
	}
	return line(points);
}

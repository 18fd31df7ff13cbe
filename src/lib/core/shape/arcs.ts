import { distance, type Point, type Vertex } from './outline';

/** Points of an arc lie this close to it, mm: the mitres of an offset stand out by some thousandths. */
const ON_ARC_MM = 0.006;
/** A chord of an arc lies at most this far from it, mm; a polygon with few sides is no circle. */
const SAGITTA_MOST_MM = 0.02;

interface Circle {
	centre: Point;
	radiusMm: number;
}

/** Circle through three points; undefined when they lie in a line. */
function circleThrough(a: Point, b: Point, c: Point): Circle | undefined {
	const [bx, by, cx, cy] = [b.x - a.x, b.y - a.y, c.x - a.x, c.y - a.y];
	const d = 2 * (bx * cy - by * cx);
	if (Math.abs(d) < 1e-12) return undefined;
	const [b2, c2] = [bx * bx + by * by, cx * cx + cy * cy];
	const x = (cy * b2 - by * c2) / d;
	const y = (bx * c2 - cx * b2) / d;
	return { centre: { x: a.x + x, y: a.y + y }, radiusMm: Math.hypot(x, y) };
}

/** Angle turned from a to b round the centre, −π to π. */
function turned({ centre }: Circle, a: Point, b: Point): number {
	const [ax, ay, bx, by] = [a.x - centre.x, a.y - centre.y, b.x - centre.x, b.y - centre.y];
	return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
}

function onArc(circle: Circle, from: Point, to: Point, sense: number): boolean {
	if (Math.abs(distance(circle.centre, to) - circle.radiusMm) > ON_ARC_MM) return false;
	const turn = turned(circle, from, to);
	if (turn * sense <= 0) return false;
	return circle.radiusMm * (1 - Math.cos(turn / 2)) <= SAGITTA_MOST_MM;
}

/** First tries, in chords: a short one is thrown off by the rounding of the points. */
const SEEDS = [3, 8, 20];

/** How many chords from point `i` on lie on one arc, and its circle; undefined: none do. */
function arcRun(
	points: readonly Point[],
	i: number,
	most: number
): { chords: number; circle: Circle } | undefined {
	const at = (k: number) => points[(i + k) % points.length]!;
	const tried = (chords: number) => {
		const circle = circleThrough(at(0), at(Math.floor(chords / 2)), at(chords));
		if (!circle) return undefined;
		const sense = turned(circle, at(0), at(1));
		let reach = 0;
		while (reach < most && onArc(circle, at(reach), at(reach + 1), sense)) reach++;
		return reach < chords ? undefined : { chords: reach, circle };
	};
	for (const seed of SEEDS) {
		if (seed > most) return undefined;
		let found = tried(seed);
		if (!found) continue;
		// Fitted anew over the longer run, the circle reaches further or stays.
		for (let longer = found; longer.chords < points.length;) {
			const again = tried(longer.chords);
			if (!again) break;
			found = again;
			if (again.chords === longer.chords) break;
			longer = again;
		}
		return found;
	}
	return undefined;
}

/** A run that goes all the way round. */
function wholeCircle(points: readonly Point[]): Vertex[] {
	const third = Math.floor(points.length / 3);
	const [a, b, c] = [points[0]!, points[third]!, points[2 * third]!];
	const { centre, radiusMm } = circleThrough(a, b, c)!;
	const bulge = Math.sign(turned({ centre, radiusMm }, a, points[1]!));
	return [
		{ x: centre.x + radiusMm, y: centre.y, bulge },
		{ x: centre.x - radiusMm, y: centre.y, bulge }
	];
}

/**
 * A closed line of points with its arcs found again: runs of chords on one circle become one vertex with
 * a bulge, so that arcs stay arcs through offsetting and export.
 */
export function withArcs(points: readonly Point[]): Vertex[] {
	const n = points.length;
	if (n < 3) return [];
	// Begin with the longest chord: it belongs to no arc that reaches over the seam.
	let start = 0;
	let longest = 0;
	for (let i = 0; i < n; i++) {
		const length = distance(points[i]!, points[(i + 1) % n]!);
		if (length > longest) [start, longest] = [i, length];
	}
	const vertices: Vertex[] = [];
	for (let done = 0; done < n;) {
		const i = (start + done) % n;
		const { x, y } = points[i]!;
		const run = arcRun(points, i, n - done);
		if (!run) {
			vertices.push({ x, y, bulge: 0 });
			done++;
			continue;
		}
		const { chords, circle } = run;
		if (chords === n) return wholeCircle(points);
		let sweep = 0;
		for (let k = 0; k < chords; k++) {
			sweep += turned(circle, points[(i + k) % n]!, points[(i + k + 1) % n]!);
		}
		vertices.push({ x, y, bulge: Math.tan(sweep / 4) });
		done += chords;
	}
	return vertices;
}

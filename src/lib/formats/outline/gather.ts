/**
 * From loose lines and arcs of a drawing to closed outlines: joined end to end, checked, moved to the
 * origin. What is left out is told with its reason.
 */
import {
	areaMm2,
	boundsOf,
	crossingPairs,
	distance,
	flattened,
	moved,
	type Contour,
	type Point,
	type Vertex
} from '$lib/core/shape/outline';
import { CONTOURS_MOST } from '$lib/core/shape/schema';
import { coveredMm2, polygonAreaMm2 } from '$lib/core/shape/offset';

/** A line of segments; open unless it says so. The bulge of the last vertex counts when it is closed. */
export interface Piece {
	vertices: Vertex[];
	closed: boolean;
}
/** Something of the drawing, how often, and why it was left out or what became of it. */
export interface Told {
	what: string;
	count: number;
	why: string;
}
export interface OutlineReading {
	contours: Contour[];
	used: Told[];
	left: Told[];
	/** Millimetres to a unit of the drawing, and how that is known. */
	unit: { mm: number; said: boolean; words: string };
}

/** The drawing cannot be read at all; nothing was taken from it. */
export class OutlineError extends Error {}

/** Larger files are refused before they are read. */
export const FILE_MOST_BYTES = 20 * 1024 * 1024;
export const POINTS_MOST = 100_000;
/** Ends as close as this meet, mm. */
export const JOIN_MM = 0.05;
/** Curves that are no circular arcs are drawn by chords within this, mm. */
export const CURVE_MM = 0.01;
/** Smaller than a kerf each way: no outline, mm². */
const AREA_LEAST_MM2 = 1;
/** No part is larger than this, mm. */
export const SIZE_MOST_MM = 20_000;

/** Counts what was used and what was left out, by its words. */
export class Tally {
	readonly #told = new Map<string, Told>();
	add(what: string, why: string, count = 1): void {
		const key = `${what}|${why}`;
		const before = this.#told.get(key);
		this.#told.set(key, { what, why, count: (before?.count ?? 0) + count });
	}
	get list(): Told[] {
		return [...this.#told.values()];
	}
}

const place = ({ x, y }: Point) => `${Math.round(x * 10) / 10}, ${Math.round(y * 10) / 10} mm`;
const backwards = (vertices: readonly Vertex[]): Vertex[] =>
	vertices
		.map(({ x, y }, i) => ({ x, y, bulge: -(vertices[i - 1]?.bulge ?? 0) || 0 }))
		.reverse()
		.map((v, i, all) => ({ ...v, bulge: i === all.length - 1 ? 0 : v.bulge }));

/** Ends by the cell they lie in, so that a match is found without looking at all of them. */
class Ends {
	readonly #cells = new Map<string, Set<number>>();
	#cell(p: Point): [number, number] {
		return [Math.floor(p.x / JOIN_MM), Math.floor(p.y / JOIN_MM)];
	}
	add(p: Point, piece: number): void {
		const key = this.#cell(p).join();
		this.#cells.set(key, (this.#cells.get(key) ?? new Set()).add(piece));
	}
	near(p: Point): number[] {
		const [cx, cy] = this.#cell(p);
		const found: number[] = [];
		for (let x = cx - 1; x <= cx + 1; x++) {
			for (let y = cy - 1; y <= cy + 1; y++) found.push(...(this.#cells.get(`${x},${y}`) ?? []));
		}
		return found;
	}
}

/** Joins open pieces end to end into closed contours. */
export function joined(pieces: readonly Piece[], left: Tally): Contour[] {
	const contours: Contour[] = pieces.filter((p) => p.closed).map((p) => p.vertices);
	const open = pieces.filter((p) => !p.closed && p.vertices.length > 1).map((p) => p.vertices);
	const ends = new Ends();
	open.forEach((vertices, i) => {
		ends.add(vertices[0]!, i);
		ends.add(vertices.at(-1)!, i);
	});
	const free = new Set(open.keys());
	for (const first of open.keys()) {
		if (!free.delete(first)) continue;
		let chain = open[first]!;
		let turnedRound = false;
		for (;;) {
			const end = chain.at(-1)!;
			if (chain.length > 2 && distance(end, chain[0]!) <= JOIN_MM) break;
			const next = ends
				.near(end)
				.filter((i) => free.has(i))
				.map((i) => ({
					i,
					d: distance(end, open[i]![0]!),
					dBack: distance(end, open[i]!.at(-1)!)
				}))
				.filter(({ d, dBack }) => Math.min(d, dBack) <= JOIN_MM)
				.sort((a, b) => Math.min(a.d, a.dBack) - Math.min(b.d, b.dBack))[0];
			if (next) {
				free.delete(next.i);
				const more = next.d <= next.dBack ? open[next.i]! : backwards(open[next.i]!);
				chain = [...chain.slice(0, -1), ...more];
				continue;
			}
			if (turnedRound) break;
			turnedRound = true;
			chain = backwards(chain);
		}
		const gap = distance(chain[0]!, chain.at(-1)!);
		if (gap <= JOIN_MM && chain.length > 2) contours.push(chain.slice(0, -1));
		else left.add(`open line at ${place(chain[0]!)}`, `its ends lie ${gap.toFixed(1)} mm apart`);
	}
	return contours;
}

/** A line that crosses itself covers less, or covers it twice, by its own count than in truth. */
function crossesItself(contour: Contour): boolean {
	const points = flattened(contour, 0.02);
	const covered = coveredMm2(points);
	return Math.abs(covered - Math.abs(polygonAreaMm2(points))) > 1e-3 * covered + 0.5;
}

const sameBox = (a: Contour, b: Contour): boolean => {
	const [p, q] = [boundsOf([a]), boundsOf([b])];
	return (['minX', 'minY', 'maxX', 'maxY'] as const).every((k) => Math.abs(p[k] - q[k]) < JOIN_MM);
};

/** Outlines that can be cut, moved so that the lower left of them is the origin. */
export function vetted(found: readonly Contour[], left: Tally): Contour[] {
	if (found.length > CONTOURS_MOST) {
		throw new OutlineError(
			`The drawing has ${found.length} outlines; ${CONTOURS_MOST} is the most. Save only those of the part.`
		);
	}
	const kept: Contour[] = [];
	for (const contour of found) {
		const at = `outline at ${place(contour[0]!)}`;
		if (contour.some(({ x, y, bulge }) => !Number.isFinite(x + y + bulge))) {
			left.add('outline', 'it has coordinates that are no numbers');
		} else if (crossesItself(contour)) left.add(at, 'it crosses itself');
		else if (!(Math.abs(areaMm2(contour)) > AREA_LEAST_MM2)) left.add(at, 'it has no area');
		else if (
			kept.some(
				(k) =>
					Math.abs(Math.abs(areaMm2(k)) - Math.abs(areaMm2(contour))) < 0.5 && sameBox(k, contour)
			)
		) {
			left.add(at, 'it lies on another one');
		} else kept.push(contour);
	}
	// Of two that cross, the one drawn later is left out.
	const crossed = new Set(
		crossingPairs(kept.map((contour) => flattened(contour, 0.05))).map(([, later]) => later)
	);
	const clear = kept.filter((contour, i) => {
		if (crossed.has(i)) left.add(`outline at ${place(contour[0]!)}`, 'it crosses another one');
		return !crossed.has(i);
	});
	if (clear.length === 0) return [];
	const box = boundsOf(clear);
	const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
	if (size > SIZE_MOST_MM) {
		throw new OutlineError(
			`The drawing is ${Math.round(size / 1000)} m wide; ${SIZE_MOST_MM / 1000} m is the most. Is the unit right?`
		);
	}
	return clear.map((contour) => moved(contour, -box.minX, -box.minY));
}

/** Refuses before reading what would hang the page. */
export function checkSize(bytes: number): void {
	if (bytes > FILE_MOST_BYTES) {
		throw new OutlineError(
			`The file has ${Math.round(bytes / 1024 / 1024)} MB; ${FILE_MOST_BYTES / 1024 / 1024} MB is the most. Save only the outline of the part.`
		);
	}
}
export function checkPoints(pieces: readonly Piece[]): void {
	const points = pieces.reduce((sum, p) => sum + p.vertices.length, 0);
	if (points > POINTS_MOST) {
		throw new OutlineError(
			`The drawing has ${points} points; ${POINTS_MOST} is the most. Simplify it, or save only the outline.`
		);
	}
}

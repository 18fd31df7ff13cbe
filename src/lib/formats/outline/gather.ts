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
import { FAULT_WORDS, faultOf, pointsOf, POINTS_MOST, SIZE_MOST_MM } from '$lib/core/shape/vet';

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
/** Points of a drawing as it stands in the file. */
export const FILE_POINTS_MOST = 100_000;
/** Ends as close as this meet, mm. */
export const JOIN_MM = 0.05;
/** Curves that are no circular arcs are drawn by chords within this, mm. */
export const CURVE_MM = 0.01;
/** More line ends than this do not meet at one point of an outline [own]. */
const MEETING_MOST = 200;

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

/** Free ends by the cell they lie in, so that a match is found without looking at all of them. */
class Ends {
	readonly #cells = new Map<string, Set<number>>();
	#cell(p: Point): [number, number] {
		return [Math.floor(p.x / JOIN_MM), Math.floor(p.y / JOIN_MM)];
	}
	add(p: Point, piece: number): void {
		const key = this.#cell(p).join();
		const cell = this.#cells.get(key) ?? new Set();
		this.#cells.set(key, cell.add(piece));
		if (cell.size > MEETING_MOST) {
			throw new OutlineError(
				`More than ${MEETING_MOST} lines end at ${place(p)}: that is no outline. Save only those of the part.`
			);
		}
	}
	drop(p: Point, piece: number): void {
		this.#cells.get(this.#cell(p).join())?.delete(piece);
	}
	*near(p: Point): Generator<number> {
		const [cx, cy] = this.#cell(p);
		for (let x = cx - 1; x <= cx + 1; x++) {
			for (let y = cy - 1; y <= cy + 1; y++) yield* this.#cells.get(`${x},${y}`) ?? [];
		}
	}
}

/** Farther out than this no drawing lies, mm; digits would be lost too. */
const FAR_MM = 1e9;

/** Pieces whose places are numbers that can be worked with. */
function sound(pieces: readonly Piece[], left: Tally): Piece[] {
	return pieces.filter(({ vertices }) => {
		const numbers = vertices.every(
			({ x, y, bulge }) => Number.isFinite(x + y) && !Number.isNaN(bulge)
		);
		const near = vertices.every(({ x, y }) => Math.abs(x) <= FAR_MM && Math.abs(y) <= FAR_MM);
		if (!numbers) left.add('line', 'it has coordinates that are no numbers');
		else if (!near) left.add('line', `it lies farther out than ${FAR_MM / 1e6} km`);
		return numbers && near;
	});
}

/** Joins open pieces end to end into closed contours. */
export function joined(all: readonly Piece[], left: Tally): Contour[] {
	const pieces = sound(all, left);
	const contours: Contour[] = pieces.filter((p) => p.closed).map((p) => p.vertices);
	const open = pieces.filter((p) => !p.closed && p.vertices.length > 1).map((p) => p.vertices);
	const ends = new Ends();
	open.forEach((vertices, i) => {
		ends.add(vertices[0]!, i);
		ends.add(vertices.at(-1)!, i);
	});
	const free = new Set(open.keys());
	const take = (i: number): Vertex[] => {
		const piece = open[i]!;
		free.delete(i);
		ends.drop(piece[0]!, i);
		ends.drop(piece.at(-1)!, i);
		return piece;
	};
	/** The free piece that ends nearest to a point. */
	const nearest = (end: Point) => {
		let best: { i: number; far: number; turned: boolean } | undefined;
		for (const i of ends.near(end)) {
			const [d, dBack] = [distance(end, open[i]![0]!), distance(end, open[i]!.at(-1)!)];
			const far = Math.min(d, dBack);
			if (far <= JOIN_MM && (!best || far < best.far)) best = { i, far, turned: dBack < d };
		}
		return best;
	};
	for (const first of open.keys()) {
		if (!free.has(first)) continue;
		let chain = [...take(first)];
		let turnedRound = false;
		for (;;) {
			const end = chain.at(-1)!;
			if (chain.length > 2 && distance(end, chain[0]!) <= JOIN_MM) break;
			const next = nearest(end);
			if (next) {
				const piece = take(next.i);
				chain.pop();
				for (const vertex of next.turned ? backwards(piece) : piece) chain.push(vertex);
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
	let points = 0;
	let tooLarge = false;
	for (const contour of found) {
		const at = `outline at ${place(contour[0]!)}`;
		const found = faultOf(contour);
		if (found?.fault === 'no-numbers') left.add('outline', FAULT_WORDS[found.fault]);
		else if (found) {
			tooLarge ||= found.fault === 'too-large';
			left.add(at, FAULT_WORDS[found.fault]);
		} else if (
			kept.some(
				(k) =>
					Math.abs(Math.abs(areaMm2(k)) - Math.abs(areaMm2(contour))) < 0.5 && sameBox(k, contour)
			)
		) {
			left.add(at, 'it lies on another one');
		} else {
			points += pointsOf(contour);
			if (points > POINTS_MOST) {
				throw new OutlineError(
					`The drawing has more than ${POINTS_MOST} points with its arcs drawn. Save only the outline of the part.`
				);
			}
			kept.push(contour);
		}
	}
	// Of two that cross, the one drawn later is left out.
	const crossed = new Set(
		crossingPairs(kept.map((contour) => flattened(contour, 0.05))).map(([, later]) => later)
	);
	const clear = kept.filter((contour, i) => {
		if (crossed.has(i)) left.add(`outline at ${place(contour[0]!)}`, 'it crosses another one');
		return !crossed.has(i);
	});
	const box = boundsOf(clear);
	if (clear.length === 0 && !tooLarge) return [];
	if (clear.length === 0 || Math.max(box.maxX - box.minX, box.maxY - box.minY) > SIZE_MOST_MM) {
		throw new OutlineError(
			`The drawing is wider than ${SIZE_MOST_MM / 1000} m, which is the most. Is the unit right?`
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
	if (points > FILE_POINTS_MOST) {
		throw new OutlineError(
			`The drawing has ${points} points; ${FILE_POINTS_MOST} is the most. Simplify it, or save only the outline.`
		);
	}
}

/** Chords of one curve, at most. */
export const CHORDS_MOST = 20_000;

/**
 * Runs a reader so that it gives its own errors only: whatever a file does to the code that reads it, the
 * person is told that the file cannot be read.
 */
export function guarded<T>(read: () => T): T {
	try {
		return read();
	} catch (error) {
		if (error instanceof OutlineError) throw error;
		throw new OutlineError(
			'This drawing cannot be read to its end: it is damaged or nested too deep. Save it anew.'
		);
	}
}

/** Where lines of an outline cross, found by a spatial index within a budget of work. */
import Flatbush from 'flatbush';
import type { Point } from './outline';

/** Pairs of segments that are looked at, at most: a tangle is told before it is untangled [own]. */
export const PAIRS_MOST = 5_000_000;

/** Where two lines, by index, cross; the same twice: a line crosses itself. */
export interface Crossing {
	at: Point;
	lines: [number, number];
}
export interface Crossings {
	/** One for each pair of lines that cross. */
	found: Crossing[];
	/** The budget was used up: there may be more. */
	tangled: boolean;
}

/** Twice the area of a triangle, signed. */
const turn = (a: Point, b: Point, c: Point) =>
	(b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** Both ends of each lie strictly on either side of the other. */
function cross(a: Point, b: Point, c: Point, d: Point): Point | undefined {
	const [abc, abd] = [turn(a, b, c), turn(a, b, d)];
	if (!(abc > 0 ? abd < 0 : abc < 0 && abd > 0)) return undefined;
	const [cda, cdb] = [turn(c, d, a), turn(c, d, b)];
	if (!(cda > 0 ? cdb < 0 : cda < 0 && cdb > 0)) return undefined;
	const t = cda / (cda - cdb);
	return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
}

/**
 * Crossings of closed lines of points. `first`: the first one is enough. Touching ends do not count.
 */
export function crossingsOf(
	lines: readonly (readonly Point[])[],
	{ first = false, pairsMost = PAIRS_MOST } = {}
): Crossings {
	const total = lines.reduce((sum, line) => sum + line.length, 0);
	const found: Crossing[] = [];
	if (total < 2) return { found, tangled: false };
	const index = new Flatbush(total);
	/** Line and place in it of each segment. */
	const lineOf = new Uint32Array(total);
	const placeOf = new Uint32Array(total);
	let n = 0;
	lines.forEach((line, i) =>
		line.forEach((a, place) => {
			const b = line[(place + 1) % line.length]!;
			[lineOf[n], placeOf[n]] = [i, place];
			n++;
			index.add(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.max(a.x, b.x), Math.max(a.y, b.y));
		})
	);
	index.finish();
	const known = new Set<number>();
	let looked = 0;
	for (let s = 0; s < total; s++) {
		const i = lineOf[s]!;
		const line = lines[i]!;
		const a = line[placeOf[s]!]!;
		const b = line[(placeOf[s]! + 1) % line.length]!;
		const meets = (other: number) => {
			looked++;
			if (other <= s) return false;
			const j = lineOf[other]!;
			const key = i * lines.length + j;
			if (known.has(key)) return false;
			const second = lines[j]!;
			const c = second[placeOf[other]!]!;
			const d = second[(placeOf[other]! + 1) % second.length]!;
			const at = cross(a, b, c, d);
			if (at) {
				known.add(key);
				found.push({ at, lines: [i, j] });
			}
			return false;
		};
		index.search(
			Math.min(a.x, b.x),
			Math.min(a.y, b.y),
			Math.max(a.x, b.x),
			Math.max(a.y, b.y),
			meets
		);
		if (first && found.length) break;
		if (looked > pairsMost) return { found, tangled: true };
	}
	return { found, tangled: false };
}

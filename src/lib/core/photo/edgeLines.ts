/** Where the face of a cut edge begins and ends in a picture. */
import { median, type Point } from './ellipse';
import { isSoft, type Light } from './light';
import { alikeAcross } from './trail';
import { FROM, stripOf, TO, yOn, type Line, type Lines } from './strip';

/** Lines of a cut are lost in more blur than this, pixels of the small look. */
export const SOFT_PX = 2.95;
/** The edge lies across the picture, turned by no more. */
const TURN_DEG = 8;
export const RAD = Math.PI / 180;
/** A smooth face strays by less, of its light: what is found on it is grain, or the squares of a JPEG [own]. */
export const CONTRAST_LEAST = 0.01;
/** Share of the parts of the length that must trail as the whole does. */
export const AGREE_LEAST = 0.55;

/** Change down the picture over two pixels, and change across it, of the root of light. */
function changes({ width, height, values }: Light): {
	root: Float32Array;
	down: Float32Array;
	across: Float32Array;
} {
	const root = values.map(Math.sqrt);
	const down = new Float32Array(width * height);
	const across = new Float32Array(width * height);
	for (let y = 2; y < height - 2; y++)
		for (let x = 2; x < width - 2; x++) {
			const at = y * width + x;
			down[at] =
				root[at + width]! + root[at + 2 * width]! - root[at - width]! - root[at - 2 * width]!;
			if (x > 3 && x < width - 4) across[at] = Math.abs(root[at + 3]! - root[at - 3]!);
		}
	return { root, down, across };
}

/** A line across the picture at one of the turns that are tried. */
interface Across {
	turn: number;
	/** Its row, counted so that it is comparable within a turn. */
	row: number;
	line: Line;
	/** Change of light over it in the usual part of the width. */
	strength: number;
	straight: number;
}

/** The picture along lines of one turn: sums of each row over the width. */
interface Turned {
	turn: number;
	slope: number;
	/** Rows before the first of the picture's own. */
	lift: number;
	rows: number;
	/** Change of light over each row in the usual part of the width. */
	strength: Float32Array;
	/** Root of light, and how lively it is along the row: sums over `counts` pixels. */
	level: Float32Array;
	lively: Float32Array;
	counts: Float32Array;
}
type Changes = ReturnType<typeof changes>;

/** The same column by column, the order in which turns add it up: stepping over rows instead takes far longer. */
function columnwise({ width, height }: Light, { root, down, across }: Changes): Changes {
	const turned = (rows: Float32Array) => {
		const columns = new Float32Array(rows.length);
		for (let y = 0, at = 0; y < height; y++)
			for (let x = 0; x < width; x++, at++) columns[x * height + y] = rows[at]!;
		return columns;
	};
	return { root: turned(root), down: turned(down), across: turned(across) };
}
/** A few bits of the width, each its own sum, so that a line that is there all along is told from a spot. */
const PARTS = 8;

function turnedBy(turn: number, { width, height }: Light, { root, down, across }: Changes): Turned {
	const slope = Math.tan(turn * RAD);
	const lift = Math.ceil(Math.abs(slope) * width);
	const rows = height + 2 * lift;
	const sums = Array.from({ length: PARTS }, () => new Float32Array(rows));
	const lively = new Float32Array(rows);
	const level = new Float32Array(rows);
	const counts = new Float32Array(rows);
	for (let x = 2; x < width - 2; x++) {
		const part = sums[Math.min(PARTS - 1, Math.floor((PARTS * x) / width))]!;
		const off = lift - Math.round(slope * x);
		for (let y = 2, at = x * height + 2; y < height - 2; y++, at++) {
			const row = y + off;
			part[row]! += down[at]!;
			lively[row]! += across[at]!;
			level[row]! += root[at]!;
			counts[row]!++;
		}
	}
	const strength = new Float32Array(rows);
	for (let row = 0; row < rows; row++) {
		if (counts[row]! < 0.7 * width) continue;
		const shares = sums.map((sum) => (sum[row]! * PARTS) / width);
		// The usual part speaks: a step that only some parts have is no edge of a plate.
		strength[row] = Math.abs(median(shares));
	}
	return { turn, slope, lift, rows, strength, level, lively, counts };
}

/** The clearest lines of a turn. Beyond a step the light is another; beyond a scratch it is the same again. */
function stepsIn({ rows, strength, level, counts }: Turned): number[] {
	const peaks: number[] = [];
	for (let row = 2; row < rows - 2; row++) {
		const here = strength[row]!;
		if (here > 0.02 && here >= strength[row - 1]! && here > strength[row + 1]!) peaks.push(row);
	}
	const isStep = (row: number) =>
		[3, 5, 8].filter((off) => {
			const side = (way: number) => {
				let [sum, n] = [0, 0];
				for (let k = off; k < off + 3; k++) {
					sum += level[row + way * k] ?? 0;
					n += counts[row + way * k] ?? 0;
				}
				return n ? sum / n : NaN;
			};
			return Math.abs(side(1) - side(-1)) > STEP_LEAST * strength[row]!;
		}).length > 1;
	return peaks
		.sort((a, b) => strength[b]! - strength[a]!)
		.filter(isStep)
		.slice(0, 10);
}

/** How lively the picture is between two rows of a turn. */
function livelyIn({ rows, lively, counts }: Turned): (from: number, to: number) => number {
	const total = new Float64Array(rows + 1);
	const many = new Float64Array(rows + 1);
	for (let row = 0; row < rows; row++) {
		total[row + 1] = total[row]! + lively[row]!;
		many[row + 1] = many[row]! + counts[row]!;
	}
	return (from, to) => {
		const [a, b] = [Math.max(0, Math.round(from)), Math.min(rows, Math.round(to))];
		return b > a && many[b]! > many[a]! ? (total[b]! - total[a]!) / (many[b]! - many[a]!) : 0;
	};
}

/** How much two lines look like the top and bottom of an edge: clear, straight, far apart, a lively face between. */
function edgeScore(
	top: Across,
	bottom: Across,
	height: number,
	livelyBetween: (from: number, to: number) => number
): number {
	const [i, j] = [top.row, bottom.row];
	const tall = j - i;
	if (tall < TALL_LEAST_PX) return 0;
	const face = livelyBetween(i + 0.1 * tall, j - 0.1 * tall);
	const above = livelyBetween(i - 0.4 * tall, i - 4);
	const below = livelyBetween(j + 0.3 * tall, Infinity);
	const outside = Math.max(above, below);
	return (
		Math.sqrt(Math.min(top.strength, 0.3) * Math.min(bottom.strength, 0.3)) *
		(top.straight * bottom.straight) ** 2 *
		Math.sqrt(tall / height) *
		(0.3 + (face - outside) / (face + outside + 1e-4))
	);
}

/** Top and bottom of the edge: straight across the picture, with a face of fine changes between. */
export function findLines(light: Light): Lines | 'no-edge' | 'cut-off' | 'blurred' | 'no-lines' {
	const { width, height } = light;
	const changed = changes(light);
	const columns = columnwise(light, changed);
	let best: { lines: Lines; score: number } | undefined;
	const seen: Across[] = [];
	for (let turn = -TURN_DEG; turn <= TURN_DEG; turn += 0.5) {
		const turned = turnedBy(turn, light, columns);
		const lines = stepsIn(turned).map((row): Across => {
			const line = { at: row - turned.lift, slope: turned.slope };
			const straight = straightness(changed.down, light, line);
			return { turn, row, line, strength: turned.strength[row]!, straight };
		});
		seen.push(...lines);
		const livelyBetween = livelyIn(turned);
		for (const top of lines)
			for (const bottom of lines) {
				const score = edgeScore(top, bottom, height, livelyBetween);
				if (score > (best?.score ?? 0.006))
					best = { score, lines: { top: top.line, bottom: bottom.line } };
			}
	}
	if (!best) return isSoft(light, SOFT_PX) ? 'blurred' : whatIsMissing(seen, width);
	return {
		top: settled(changed.down, width, height, best.lines.top),
		bottom: settled(changed.down, width, height, best.lines.bottom)
	};
}
/** Of the change over a line, which is twice that over a step. */
const STEP_LEAST = 0.3;
/** Two lines that are closer than this are one, pixels of the small look. */
const TALL_LEAST_PX = 12;
/** An edge of plate is on the line in so many of the columns; the far side of one, with dross on it, in fewer. */
const EDGE_STRAIGHT = 0.6;
const FAR_STRAIGHT = 0.3;

/** No face of fine lines was found between two lines: is there no plate, one side of one, or a smooth face? */
function whatIsMissing(seen: readonly Across[], width: number): 'no-edge' | 'cut-off' | 'no-lines' {
	const weight = ({ strength, straight }: Across) => strength * straight ** 2;
	const clear = seen.filter(({ straight }) => straight >= EDGE_STRAIGHT);
	if (clear.length === 0) return 'no-edge';
	const side = clear.reduce((a, b) => (weight(a) >= weight(b) ? a : b));
	const hasOther = seen.some(
		(other) =>
			other.straight >= FAR_STRAIGHT &&
			Math.abs(other.turn - side.turn) <= 1 &&
			[0, width].every((x) => Math.abs(yOn(other.line, x) - yOn(side.line, x)) >= TALL_LEAST_PX)
	);
	return hasOther ? 'no-lines' : 'cut-off';
}

/** The bottom edge where the lines of the cut break off, if that is well above the bottom that was found. */
export function whereLinesEnd(light: Light, lines: Lines, thicknessMm: number): Lines | undefined {
	const mid = (light.width - 1) / 2;
	const tallPx = yOn(lines.bottom, mid) - yOn(lines.top, mid);
	if (tallPx < 20) return undefined;
	const strip = stripOf(light, lines, tallPx, thicknessMm);
	const { rows } = strip;
	const goesOn = Array.from({ length: rows }, (_, row) => alikeAcross(strip, row));
	const usual = median(goesOn.slice(3, Math.round(0.45 * rows)));
	if (!(usual > 0.4)) return undefined;
	let row = Math.round(0.4 * rows);
	while (row < rows && goesOn[row]! > 0.5 * usual) row++;
	const share = FROM + ((row + 0.5) / rows) * (TO - FROM);
	if (row >= rows || share > 0.95) return undefined;
	const { down } = changes(light);
	const near: Line = {
		at: lines.top.at + share * (lines.bottom.at - lines.top.at),
		slope: lines.top.slope + share * (lines.bottom.slope - lines.top.slope)
	};
	const bottom = settled(down, light.width, light.height, near, 0.05 * tallPx);
	if (straightness(down, light, bottom) < 0.3) return undefined;
	return { top: lines.top, bottom };
}

/** Share of the columns whose steepest step near the line is on it: an edge of plate is straight, dross is not. */
function straightness(down: Float32Array, { width, height }: Light, line: Line): number {
	let on = 0;
	let all = 0;
	for (let x = 2; x < width - 2; x += 2) {
		const y = Math.round(yOn(line, x));
		if (y < 9 || y > height - 10) continue;
		let here = 0;
		let near = 0;
		for (let off = -8; off <= 8; off++) {
			const size = Math.abs(down[(y + off) * width + x]!);
			if (Math.abs(off) < 3) here = Math.max(here, size);
			near = Math.max(near, size);
		}
		all++;
		if (here >= near) on++;
	}
	return all > 20 ? on / all : 0;
}

/** The line again, each end by itself: near and far of a plate differ where the camera looks from aside. */
function settled(
	down: Float32Array,
	width: number,
	height: number,
	line: Line,
	within = 0.02 * height
): Line {
	const parts = 12;
	const points: Point[] = [];
	const reach = Math.max(3, Math.round(within));
	for (let part = 0; part < parts; part++) {
		const from = Math.floor((part * width) / parts);
		const to = Math.floor(((part + 1) * width) / parts);
		let best = 0;
		let at = 0;
		for (let off = -reach; off <= reach; off++) {
			let sum = 0;
			for (let x = from; x < to; x++) {
				const y = Math.round(yOn(line, x)) + off;
				if (y >= 0 && y < height) sum += down[y * width + x]!;
			}
			const here = Math.abs(sum) * (1 - (0.3 * Math.abs(off)) / reach);
			if (here > best) [best, at] = [here, off];
		}
		const x = (from + to) / 2;
		if (best > 0) points.push({ x, y: yOn(line, x) + at });
	}
	if (points.length < 4) return line;
	// Repeated medians (Siegel): half of the parts may be wrong.
	const slope = median(
		points.map((p) => median(points.filter((q) => q !== p).map((q) => (q.y - p.y) / (q.x - p.x))))
	);
	return { slope, at: median(points.map(({ x, y }) => y - slope * x)) };
}

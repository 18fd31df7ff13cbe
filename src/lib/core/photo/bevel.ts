/**
 * How far a cut edge is out of square, from a photo of the plate's end [own model]: the angle between the cut
 * side and the plate's own top or bottom. No scale is needed; a camera that looks from aside takes its share.
 */
import { median, robustSpread, type Point } from './ellipse';
import { smaller, turned, type Light } from './light';
import type { Told } from './told';

export const BEVEL_REFUSALS = ['no-edge', 'blurred', 'small'] as const;
export type BevelRefusal = (typeof BEVEL_REFUSALS)[number];
export interface BevelReading {
	/** From square: positive where the top reaches further out than the bottom. */
	bevelDeg: Told;
	/** The cut side in the picture. */
	side: 'left' | 'right';
	/** Ends of the plate's line and of the cut's, for drawing, pixels. */
	plate: [Point, Point];
	cut: [Point, Point];
}
export type BevelAnswer = { read: BevelReading } | { refused: BevelRefusal };

/** A hand-held plasma edge leans one to three degrees (common practice). */
export const USUAL_BEVEL_DEG = 3;

const RAD = Math.PI / 180;
/** Plate and cut are looked for so far from level and from upright. */
const PLATE_DEG = 12;
const CUT_DEG = 28;
/** Fewest pixels along the cut. */
const CUT_PX_LEAST = 40;
/** A camera ten degrees aside both ways shears a right angle by up to 1.7°: usually a third of it. */
const ASIDE_DEG = 0.55;

/** Change of the root of light along x (`across`) over three pixels, smoothed along y. */
function slope({ width, height, values }: Light): Light {
	const root = values.map(Math.sqrt);
	const out = new Float32Array(width * height);
	for (let y = 1; y < height - 1; y++)
		for (let x = 2; x < width - 2; x++) {
			let sum = 0;
			for (const row of [-1, 0, 1]) {
				const at = (y + row) * width + x;
				sum += root[at + 1]! + root[at + 2]! - root[at - 1]! - root[at - 2]!;
			}
			out[y * width + x] = sum / 6;
		}
	return { width, height, values: out };
}
interface Upright {
	/** x = at + lean·y. */
	at: number;
	lean: number;
	from: number;
	to: number;
	/** Of the points from the line, pixels, and how many they are. */
	spread: number;
	n: number;
	/** Light rises to the right of it. */
	rises: boolean;
}

/** The strongest straight line that stands upright to within `mostDeg`. */
function uprightLine(light: Light, mostDeg: number): Upright | undefined {
	const change = slope(light);
	const { width, height, values } = change;
	let best = { sum: 0, at: 0, lean: 0 };
	for (let deg = -mostDeg; deg <= mostDeg; deg += 1) {
		const lean = Math.tan(deg * RAD);
		const lift = Math.ceil(Math.abs(lean) * height);
		const sums = new Float32Array(width + 2 * lift);
		for (let y = 1; y < height - 1; y++) {
			const off = lift - Math.round(lean * y);
			for (let x = 2; x < width - 2; x++) sums[x + off]! += values[y * width + x]!;
		}
		for (let i = 1; i < sums.length - 1; i++) {
			// Over three columns: a line between two steps of the angle is a little smeared.
			const sum = Math.abs(sums[i - 1]! + sums[i]! + sums[i + 1]!);
			if (sum > best.sum) best = { sum, at: i - lift, lean };
		}
	}
	if (best.sum === 0) return undefined;
	const near: (Point & { size: number; rises: boolean })[] = [];
	for (let y = 1; y < height - 1; y++) {
		const mid = best.at + best.lean * y;
		const reach = 3 + 0.012 * height;
		let size = 0;
		let where = 0;
		for (let x = Math.max(3, Math.ceil(mid - reach)); x <= Math.min(width - 4, mid + reach); x++) {
			const here = Math.abs(values[y * width + x]!);
			if (here > size) [size, where] = [here, x];
		}
		if (size === 0) continue;
		const at = y * width + where;
		// Finer than a pixel: the top of a parabola through three.
		const [a, b, c] = [Math.abs(values[at - 1]!), size, Math.abs(values[at + 1]!)];
		const bend = a - 2 * b + c;
		near.push({
			x: where + (bend < 0 ? (0.5 * (a - c)) / bend : 0),
			y,
			size,
			rises: values[at]! > 0
		});
	}
	const clear =
		0.45 * [...near.map((p) => p.size)].sort((p, q) => q - p)[Math.floor(0.12 * near.length)]!;
	let on = near.filter((p) => p.size > Math.max(clear, 0.02));
	if (on.length < 12) return undefined;
	let line = { at: best.at, lean: best.lean };
	let spread = 2;
	for (let look = 0; look < 4; look++) {
		const some = on.length > 160 ? on.filter((_, i) => i % Math.ceil(on.length / 160) === 0) : on;
		const lean = median(
			some.map((p) => median(some.filter((q) => q.y !== p.y).map((q) => (q.x - p.x) / (q.y - p.y))))
		);
		line = { lean, at: median(on.map(({ x, y }) => x - lean * y)) };
		const off = on.map(({ x, y }) => x - line.at - line.lean * y);
		spread = Math.max(robustSpread(off), 0.1);
		on = on.filter((_, i) => Math.abs(off[i]!) < 4 * spread + 0.5);
		if (on.length < 12) return undefined;
	}
	const ys = on.map(({ y }) => y);
	return {
		...line,
		from: Math.min(...ys),
		to: Math.max(...ys),
		spread,
		n: on.length,
		rises: on.filter((p) => p.rises).length > on.length / 2
	};
}

/** The plate lies level, the cut side stands up in the picture. */
export function readBevel(light: Light): BevelAnswer {
	const by = Math.max(1, Math.floor(Math.max(light.width, light.height) / 800));
	const small = smaller(light, by);
	const plate = uprightLine(turned(small), PLATE_DEG);
	const cut = uprightLine(small, CUT_DEG);
	if (!plate || !cut) return { refused: 'no-edge' };
	// A blurred step is wide: its steepest part is low against what it rises by in the whole.
	if (softAcross(small, cut)) return { refused: 'blurred' };
	const long = cut.to - cut.from;
	if (long * by < CUT_PX_LEAST) return { refused: 'small' };
	if (cut.n < 0.5 * long || plate.n < 0.35 * (plate.to - plate.from)) return { refused: 'no-edge' };
	// Directions downward along the cut, and to the right along the plate.
	const cutDeg = Math.atan(cut.lean) / RAD;
	const plateDeg = Math.atan(plate.lean) / RAD;
	const mid = (cut.from + cut.to) / 2;
	// The plate is on the side where its own line is seen for longer.
	const at = cut.at + cut.lean * mid;
	const side = (plate.from + plate.to) / 2 < at ? 'right' : 'left';
	// Square to the plate the cut would lean by −plateDeg from upright.
	const lean = cutDeg + plateDeg;
	const own = (of: Upright) =>
		(3 * of.spread) / Math.max(1, of.to - of.from) / RAD / Math.sqrt(of.n / 12);
	const grown = (p: Point): Point => ({ x: p.x * by, y: p.y * by });
	return {
		read: {
			bevelDeg: {
				value: side === 'right' ? -lean : lean,
				spread: Math.hypot(own(cut), own(plate), ASIDE_DEG)
			},
			side,
			plate: [
				grown({ x: plate.from, y: plate.at + plate.lean * plate.from }),
				grown({ x: plate.to, y: plate.at + plate.lean * plate.to })
			],
			cut: [
				grown({ x: cut.at + cut.lean * cut.from, y: cut.from }),
				grown({ x: cut.at + cut.lean * cut.to, y: cut.to })
			]
		}
	};
}

function softAcross({ width, height, values }: Light, line: Upright): boolean {
	const shares: number[] = [];
	for (let y = Math.ceil(line.from); y <= line.to && y < height - 1; y += 2) {
		const x = Math.round(line.at + line.lean * y);
		if (x < 10 || x > width - 11 || y < 1) continue;
		const three = (i: number) =>
			values[(y - 1) * width + i]! + values[y * width + i]! + values[(y + 1) * width + i]!;
		const whole = Math.abs(three(x + 9) - three(x - 9));
		if (whole < 0.06) continue;
		let near = 0;
		for (let i = x - 8; i <= x + 8; i++)
			near = Math.max(near, Math.abs(three(i + 1) - three(i - 1)));
		shares.push(near / whole);
	}
	return shares.length > 8 && median(shares) < 0.25;
}

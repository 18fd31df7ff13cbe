/** Where circles lie about one middle: every edge points to it, so their lines cross there. */
import type { Point } from './ellipse';
import type { Light } from './light';

/** Share of the steepest pixels that vote. */
const STEEP = 0.12;
/** In a picture as long as this every one of them does, for single pixels. */
const VOTED_PX = 360;

/** Pixels that may vote, and the slope of the light at each. */
interface Slopes {
	at: Int32Array;
	x: Float32Array;
	y: Float32Array;
	size: Float32Array;
}
/** By Scharr's operator, after the root of light: an edge in the shade counts like one in the sun. */
function slopes({ width, height, values }: Light, every: number): Slopes {
	const most = Math.ceil((width * height) / every) + height;
	const at = new Int32Array(most);
	const x = new Float32Array(most);
	const y = new Float32Array(most);
	const size = new Float32Array(most);
	const root = new Float32Array(values.length);
	for (let p = 0; p < root.length; p++) root[p] = Math.sqrt(values[p]!);
	let n = 0;
	for (let j = 1; j < height - 1; j++)
		for (let i = 1 + ((2 * every - 1 - (j % every)) % every); i < width - 1; i += every, n++) {
			const p = j * width + i;
			const [a, b, c] = [root[p - width - 1]!, root[p - width]!, root[p - width + 1]!];
			const [d, f] = [root[p - 1]!, root[p + 1]!];
			const [g, h, k] = [root[p + width - 1]!, root[p + width]!, root[p + width + 1]!];
			at[n] = p;
			x[n] = (3 * (c - a + k - g) + 10 * (f - d)) / 32;
			y[n] = (3 * (g - a + k - c) + 10 * (h - b)) / 32;
			size[n] = Math.sqrt(x[n]! ** 2 + y[n]! ** 2);
		}
	return {
		at: at.subarray(0, n),
		x: x.subarray(0, n),
		y: y.subarray(0, n),
		size: size.subarray(0, n)
	};
}

/** The size that this share of the slopes exceeds, to a 16 000th: counted, for sorting takes longer. */
function exceededBy(size: Float32Array, share: number): number {
	const counts = new Uint32Array(2 * FINE);
	for (let n = 0; n < size.length; n++)
		counts[Math.min(2 * FINE - 1, Math.floor(size[n]! * FINE))]!++;
	let left = share * size.length;
	let bin = 2 * FINE;
	while (bin > 0 && left > 0) left -= counts[--bin]!;
	return bin / FINE;
}
/** A flat bench has slopes of a thousandth: they must not fall into one. */
const FINE = 16_384;

/** Middles that the edges point to, the likeliest first. */
export function middles(light: Light, most: number): Point[] {
	const { width, height } = light;
	// A rim grows with the picture, its grain with the picture's area: of a large one every second or third pixel
	// is enough, and of them a lesser share; they vote for squares as wide.
	const every = Math.max(1, Math.round(Math.max(width, height) / VOTED_PX));
	const slope = slopes(light, every);
	const from = Math.max(exceededBy(slope.size, STEEP / every), 1e-3);
	const reach = (0.5 * Math.min(width, height)) / every;
	// A nozzle that is half out of the picture has its middle at the rim or beyond.
	const pad = Math.round((0.25 * Math.min(width, height)) / every);
	const wide = Math.ceil(width / every) + 2 * pad;
	const tall = Math.ceil(height / every) + 2 * pad;
	const votes = new Float32Array(wide * tall);
	for (let n = 0; n < slope.size.length; n++) {
		const size = slope.size[n]!;
		if (size < from) continue;
		const at = slope.at[n]!;
		const [dx, dy] = [slope.x[n]! / size, slope.y[n]! / size];
		const x = (at % width) / every + pad;
		const y = Math.floor(at / width) / every + pad;
		vote(votes, wide, tall, x, y, dx, dy, reach);
		vote(votes, wide, tall, x, y, -dx, -dy, reach);
	}
	// A circle seen aslant does not point to one square: look at the votes over a few of them.
	const soft = boxed(boxed(votes, wide, tall, 2), wide, tall, 2);
	const found: Point[] = [];
	const apart = 0.06 * Math.min(width, height);
	const tops: number[] = [];
	for (let y = 1; y < tall - 1; y++)
		for (let x = 1; x < wide - 1; x++) {
			const at = y * wide + x;
			const here = soft[at]!;
			if (here < soft[at - 1]! || here <= soft[at + 1]!) continue;
			if (here >= soft[at - wide]! && here > soft[at + wide]!) tops.push(at);
		}
	tops.sort((a, b) => soft[b]! - soft[a]!);
	for (const at of tops) {
		const x = every * ((at % wide) - pad);
		const y = every * (Math.floor(at / wide) - pad);
		if (found.every((p) => Math.hypot(p.x - x, p.y - y) > apart)) found.push({ x, y });
		if (found.length === most) break;
	}
	return found;
}

/** One edge votes for all that lies along its slope. */
function vote(
	votes: Float32Array,
	wide: number,
	tall: number,
	x: number,
	y: number,
	dx: number,
	dy: number,
	reach: number
): void {
	for (let r = 3, by = 1; r < reach; r += by) {
		// Far out a spot is wider than a square: every third one of them is enough.
		if (r === 30) by = 3;
		const px = x + r * dx + 0.5;
		const py = y + r * dy + 0.5;
		if (px < 0 || py < 0 || px >= wide || py >= tall) return;
		// A ring of radius r has 2πr squares: each ring has the same say.
		votes[(py | 0) * wide + (px | 0)]! += by / r;
	}
}

function boxed(values: Float32Array, width: number, height: number, reach: number): Float32Array {
	const half = new Float32Array(values.length);
	const whole = new Float32Array(values.length);
	const run = (
		from: Float32Array,
		to: Float32Array,
		length: number,
		step: number,
		start: number
	) => {
		let sum = 0;
		for (let i = -reach; i < length; i++) {
			if (i + reach < length) sum += from[start + (i + reach) * step]!;
			if (i - reach - 1 >= 0) sum -= from[start + (i - reach - 1) * step]!;
			if (i >= 0) to[start + i * step] = sum;
		}
	};
	for (let y = 0; y < height; y++) run(values, half, width, 1, y * width);
	for (let x = 0; x < width; x++) run(half, whole, height, width, x);
	return whole;
}

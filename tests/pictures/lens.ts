/** What a camera makes of light: blur, noise, code values, a JPEG. Everything from a seed. */
import jpeg from 'jpeg-js';

/** A small generator of numbers 0 to 1 (mulberry32), so that a seed draws the same picture everywhere. */
export function dice(seed: number) {
	let state = seed >>> 0;
	const next = (): number => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = state;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
	const between = (low: number, high: number) => low + next() * (high - low);
	const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
	return {
		next,
		between,
		normal,
		/** Equal shares for equal ratios. */
		ratio: (low: number, high: number) => low * (high / low) ** next(),
		whole: (low: number, high: number) => Math.floor(between(low, high + 1)),
		one: <T>(of: ArrayLike<T>): T => of[Math.floor(next() * of.length)]!,
		yes: (share: number) => next() < share
	};
}
export type Dice = ReturnType<typeof dice>;

/** Patches a cloud has each way before it repeats; a power of two, so that a mask finds them. */
const GRID = 64;

/** Smooth random light, mean 0, about ±1, over patches of `size` pixels. */
export function cloud(d: Dice, size: number) {
	const values = Float64Array.from({ length: GRID * GRID }, () => d.between(-1, 1));
	return (x: number, y: number): number => {
		const gx = x / size + 1000;
		const gy = y / size + 1000;
		const x0 = Math.floor(gx);
		const y0 = Math.floor(gy);
		const fx = gx - x0;
		const fy = gy - y0;
		const sx = fx * fx * (3 - 2 * fx);
		const sy = fy * fy * (3 - 2 * fy);
		const [left, right] = [x0 & (GRID - 1), (x0 + 1) & (GRID - 1)];
		const [above, below] = [(y0 & (GRID - 1)) * GRID, ((y0 + 1) & (GRID - 1)) * GRID];
		const top = values[above + left]! + sx * (values[above + right]! - values[above + left]!);
		const low = values[below + left]! + sx * (values[below + right]! - values[below + left]!);
		return top + sy * (low - top);
	};
}

/** Linear light of three colours, row by row. */
export interface Scene {
	width: number;
	height: number;
	rgb: Float32Array;
}
export interface Picture {
	width: number;
	height: number;
	rgba: Uint8Array;
}

/** Light that differs so much from that of a neighbour has an edge between: there the pixel is looked at closely. */
const EDGE = 0.012;

/** `shade` gives the light at a point; a pixel on an edge is the mean of `by` × `by` points, the others one. */
export function scene(
	width: number,
	height: number,
	by: number,
	shade: (x: number, y: number, into: Float64Array) => void
): Scene {
	const rgb = new Float32Array(width * height * 3);
	const one = new Float64Array(3);
	for (let y = 0, at = 0; y < height; y++)
		for (let x = 0; x < width; x++, at += 3) {
			shade(x, y, one);
			for (let c = 0; c < 3; c++) rgb[at + c] = one[c]!;
		}
	const rough = rgb.slice();
	const differs = (at: number, other: number) =>
		Math.abs(rough[at + 1]! - rough[other + 1]!) > EDGE;
	for (let y = 0, at = 0; y < height; y++)
		for (let x = 0; x < width; x++, at += 3) {
			const edge =
				(x > 0 && differs(at, at - 3)) ||
				(x < width - 1 && differs(at, at + 3)) ||
				(y > 0 && differs(at, at - 3 * width)) ||
				(y < height - 1 && differs(at, at + 3 * width));
			if (!edge) continue;
			let r = 0;
			let g = 0;
			let b = 0;
			for (let j = 0; j < by; j++)
				for (let i = 0; i < by; i++) {
					shade(x + (i + 0.5) / by - 0.5, y + (j + 0.5) / by - 0.5, one);
					r += one[0]!;
					g += one[1]!;
					b += one[2]!;
				}
			rgb[at] = r / (by * by);
			rgb[at + 1] = g / (by * by);
			rgb[at + 2] = b / (by * by);
		}
	return { width, height, rgb };
}

/** Gaussian, standard deviation in pixels. */
export function blurred({ width, height, rgb }: Scene, sigma: number): Scene {
	if (sigma < 0.15) return { width, height, rgb };
	const reach = Math.ceil(3.5 * sigma);
	const kernel = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
		Math.exp(-0.5 * ((i - reach) / sigma) ** 2)
	);
	const sum = kernel.reduce((a, b) => a + b, 0);
	const pass = (
		from: Float32Array,
		step: number,
		length: number,
		other: number,
		stride: number
	) => {
		const to = new Float32Array(from.length);
		for (let o = 0; o < other; o++)
			for (let i = 0; i < length; i++) {
				let r = 0;
				let g = 0;
				let b = 0;
				for (let k = -reach; k <= reach; k++) {
					let j = i + k;
					if (j < 0) j = 0;
					else if (j >= length) j = length - 1;
					const at = 3 * (o * stride + j * step);
					const w = kernel[k + reach]!;
					r += w * from[at]!;
					g += w * from[at + 1]!;
					b += w * from[at + 2]!;
				}
				const at = 3 * (o * stride + i * step);
				to[at] = r / sum;
				to[at + 1] = g / sum;
				to[at + 2] = b / sum;
			}
		return to;
	};
	const across = pass(rgb, 1, width, height, width);
	return { width, height, rgb: pass(across, width, height, width, 1) };
}

const FINE = 16_384;
/** Code values of linear light, in steps of 1/16384. */
const CODES = Float32Array.from({ length: FINE + 1 }, (_, i) => {
	const c = i / FINE;
	return 255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055);
});
const toCode = (light: number): number =>
	CODES[Math.round(FINE * Math.min(Math.max(light, 0), 1))]!;

/** Shot and reading noise in linear light, sRGB code values (IEC 61966-2-1), and a JPEG where asked for. */
export function exposed(
	{ width, height, rgb }: Scene,
	d: Dice,
	{ noise, quality }: { noise: number; quality: number | null }
): Picture {
	const rgba = new Uint8Array(4 * width * height).fill(255);
	const grains = Float32Array.from({ length: 4096 }, d.normal);
	for (let i = 0; i < width * height; i++)
		for (let c = 0; c < 3; c++) {
			const light = rgb[3 * i + c]!;
			const grain = noise * Math.sqrt(Math.max(light, 0) * 0.6 + 0.02);
			rgba[4 * i + c] = Math.round(toCode(light + grain * d.one(grains)));
		}
	if (quality === null) return { width, height, rgba };
	const coded = jpeg.encode({ data: rgba, width, height }, quality);
	const back = jpeg.decode(coded.data, { useTArray: true, formatAsRGBA: true });
	return { width, height, rgba: back.data };
}

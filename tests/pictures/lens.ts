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
		const left = x0 & (GRID - 1);
		const right = (x0 + 1) & (GRID - 1);
		const above = (y0 & (GRID - 1)) * GRID;
		const below = ((y0 + 1) & (GRID - 1)) * GRID;
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

/** Gaussian, standard deviation in pixels; beyond its border a picture goes on as it ends. */
export function blurred({ width, height, rgb }: Scene, sigma: number): Scene {
	if (sigma < 0.15) return { width, height, rgb };
	const reach = Math.ceil(3.5 * sigma);
	const kernel = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
		Math.exp(-0.5 * ((i - reach) / sigma) ** 2)
	);
	const sum = kernel.reduce((a, b) => a + b, 0);
	const row = 3 * width;
	const within = (i: number, length: number) => Math.min(Math.max(i, 0), length - 1);

	const across = new Float32Array(rgb.length);
	const wide = new Float64Array(row + 6 * reach);
	for (let y = 0; y < height; y++) {
		for (let x = -reach, to = 0; x < width + reach; x++, to += 3) {
			const from = y * row + 3 * within(x, width);
			wide[to] = rgb[from]!;
			wide[to + 1] = rgb[from + 1]!;
			wide[to + 2] = rgb[from + 2]!;
		}
		for (let i = 0; i < row; i++) {
			let light = 0;
			for (let k = 0, at = i; k < kernel.length; k++, at += 3) light += kernel[k]! * wide[at]!;
			across[y * row + i] = light / sum;
		}
	}

	const down = new Float32Array(rgb.length);
	// Row by row, as they lie in memory.
	const light = new Float64Array(row);
	for (let y = 0; y < height; y++) {
		light.fill(0);
		for (let k = -reach; k <= reach; k++) {
			const from = within(y + k, height) * row;
			const w = kernel[k + reach]!;
			for (let i = 0; i < row; i++) light[i] = light[i]! + w * across[from + i]!;
		}
		for (let i = 0; i < row; i++) down[y * row + i] = light[i]! / sum;
	}
	return { width, height, rgb: down };
}

const FINE = 16_384;
/** Code values of linear light, in steps of 1/16384. */
const CODES = Uint8Array.from({ length: FINE + 1 }, (_, i) => {
	const c = i / FINE;
	return Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055));
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
	const { next } = d;
	for (let i = 0; i < width * height; i++)
		for (let c = 0; c < 3; c++) {
			const light = rgb[3 * i + c]!;
			const grain = noise * Math.sqrt(Math.max(light, 0) * 0.6 + 0.02);
			rgba[4 * i + c] = toCode(light + grain * grains[Math.floor(next() * grains.length)]!);
		}
	if (quality === null) return { width, height, rgba };
	const coded = jpeg.encode({ data: rgba, width, height }, quality);
	const back = jpeg.decode(coded.data, { useTArray: true, formatAsRGBA: true });
	return { width, height, rgba: back.data };
}

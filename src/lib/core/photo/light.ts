/** A picture as light: what the sensor saw before it was coded for a screen. */
import { median } from './ellipse';

export interface Light {
	readonly width: number;
	readonly height: number;
	/** Linear luminance, row by row, 0 (black) to 1 (white). */
	readonly values: Float32Array;
}

/** Code values that a sensor gives when it is full, as linear light: 250 of 255. */
export const FULL = toLinear(250);

/** IEC 61966-2-1 (sRGB): a code value 0 to 255 as linear light 0 to 1. */
export function toLinear(code: number): number {
	const c = code / 255;
	return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

/** Luminance of the sRGB primaries, IEC 61966-2-1. `rgba`: four bytes a pixel. */
export function linearLight(
	rgba: Uint8Array | Uint8ClampedArray,
	width: number,
	height: number
): Light {
	if (rgba.length !== 4 * width * height)
		throw new RangeError(`${rgba.length} bytes are no picture of ${width} × ${height}`);
	const red = Float32Array.from({ length: 256 }, (_, code) => 0.2126 * toLinear(code));
	const green = Float32Array.from({ length: 256 }, (_, code) => 0.7152 * toLinear(code));
	const blue = Float32Array.from({ length: 256 }, (_, code) => 0.0722 * toLinear(code));
	const values = new Float32Array(width * height);
	for (let i = 0, at = 0; i < values.length; i++, at += 4)
		values[i] = red[rgba[at]!]! + green[rgba[at + 1]!]! + blue[rgba[at + 2]!]!;
	return { width, height, values };
}

/** Means over squares of `by` × `by` pixels; a rest at the right and below is left out. */
export function smaller(light: Light, by: number): Light {
	if (by <= 1) return light;
	const width = Math.floor(light.width / by);
	const height = Math.floor(light.height / by);
	const values = new Float32Array(width * height);
	const from = light.values;
	for (let y = 0; y < height * by; y++) {
		const to = Math.floor(y / by) * width;
		for (let x = 0, at = y * light.width; x < width; x++) {
			let sum = 0;
			for (const end = at + by; at < end; at++) sum += from[at]!;
			values[to + x]! += sum;
		}
	}
	const share = 1 / (by * by);
	for (let at = 0; at < values.length; at++) values[at]! *= share;
	return { width, height, values };
}

/** Rows for columns. */
export function turned({ width, height, values }: Light): Light {
	const out = new Float32Array(width * height);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) out[x * height + y] = values[y * width + x]!;
	return { width: height, height: width, values: out };
}

/** Between four pixels; outside the picture the nearest pixel of its rim. Pixel centres are whole numbers. */
export function lightAt({ width, height, values }: Light, x: number, y: number): number {
	const cx = Math.min(Math.max(x, 0), width - 1.001);
	const cy = Math.min(Math.max(y, 0), height - 1.001);
	const x0 = Math.floor(cx);
	const y0 = Math.floor(cy);
	const fx = cx - x0;
	const at = y0 * width + x0;
	const top = values[at]! + fx * (values[at + 1]! - values[at]!);
	const low = values[at + width]! + fx * (values[at + width + 1]! - values[at + width]!);
	return top + (cy - y0) * (low - top);
}

export const inside = (light: Light, x: number, y: number): boolean =>
	x >= 0 && y >= 0 && x <= light.width - 1 && y <= light.height - 1;

/**
 * Whether nothing in it is sharper than a step that is blurred by `sigmaPx`: the clearest change down each column
 * over two pixels, against that over sixteen.
 */
export function isSoft({ width, height, values }: Light, sigmaPx: number): boolean {
	const shares: number[] = [];
	const three = (x: number, y: number) => {
		const at = y * width + x;
		return values[at - 1]! + values[at]! + values[at + 1]!;
	};
	for (let x = 2; x < width - 2; x += 3) {
		let most = 0;
		let where = 0;
		for (let y = 8; y < height - 8; y++) {
			const wide = Math.abs(three(x, y + 8) - three(x, y - 8));
			if (wide > most) [most, where] = [wide, y];
		}
		if (most < 0.1) continue;
		let near = 0;
		for (let y = Math.max(1, where - 8); y <= Math.min(height - 2, where + 8); y++)
			near = Math.max(near, Math.abs(three(x, y + 1) - three(x, y - 1)));
		shares.push(near / most);
	}
	return shares.length > 10 && median(shares) < STEEPEST / sigmaPx;
}
/** A blurred step gains so much of its height over two pixels, in the middle: 2/√(2π), over its sigma. */
const STEEPEST = 0.798;

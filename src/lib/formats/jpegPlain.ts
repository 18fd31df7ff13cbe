/** A JPEG with its picture alone: what cameras write beside it (place, time, device, comments) is left out. */

const SOI = 0xd8;
const EOI = 0xd9;
const SOS = 0xda;
const COM = 0xfe;
const APP0 = 0xe0;
const APP14 = 0xee;
/** Frames that a browser shows: baseline, extended, progressive. */
const FRAMES = [0xc0, 0xc1, 0xc2];

export interface PlainJpeg {
	width: number;
	height: number;
	bytes: Uint8Array;
}

/** ITU-T T.81, Annex B: segments up to the scan, then entropy-coded data; undefined: no whole JPEG. */
export function plainJpeg(bytes: Uint8Array): PlainJpeg | undefined {
	if (bytes[0] !== 0xff || bytes[1] !== SOI) return undefined;
	const kept: Uint8Array[] = [bytes.subarray(0, 2)];
	let size: { width: number; height: number } | undefined;
	let at = 2;
	let scans = 0;
	while (at + 4 <= bytes.length) {
		if (bytes[at] !== 0xff) return undefined;
		const mark = bytes[at + 1]!;
		// Fill bytes before a marker.
		if (mark === 0xff) {
			at++;
			continue;
		}
		const length = bytes[at + 2]! * 256 + bytes[at + 3]!;
		const end = at + 2 + length;
		if (length < 2 || end > bytes.length) return undefined;
		if (FRAMES.includes(mark) && length >= 8) {
			const [h, w] = [bytes[at + 5]! * 256 + bytes[at + 6]!, bytes[at + 7]! * 256 + bytes[at + 8]!];
			size = { width: w, height: h };
		}
		const told = (mark > APP0 && mark <= 0xef && mark !== APP14) || mark === COM;
		if (mark === SOS) {
			scans++;
			// Data of the scan, up to the next marker that is neither a stuffed byte nor a restart.
			let next = end;
			while (next + 1 < bytes.length) {
				const [a, b] = [bytes[next]!, bytes[next + 1]!];
				if (a === 0xff && b !== 0 && b !== 0xff && !(b >= 0xd0 && b <= 0xd7)) break;
				next++;
			}
			if (next + 1 >= bytes.length) return undefined;
			kept.push(bytes.subarray(at, next));
			at = next;
			if (bytes[at + 1] === EOI) {
				kept.push(bytes.subarray(at, at + 2));
				break;
			}
			continue;
		}
		if (!told) kept.push(bytes.subarray(at, end));
		at = end;
	}
	const last = kept[kept.length - 1]!;
	if (!size || scans === 0 || size.width === 0 || size.height === 0) return undefined;
	if (last.length !== 2 || last[1] !== EOI) return undefined;
	const whole = new Uint8Array(kept.reduce((sum, part) => sum + part.length, 0));
	let to = 0;
	for (const part of kept) {
		whole.set(part, to);
		to += part.length;
	}
	return { ...size, bytes: whole };
}

/** Is this file a picture that can be read here? Told from its first and last bytes, before it is opened. */
import { imageSize } from 'image-size';

export const PHOTO_BYTES_MOST = 40_000_000;
/** Opened whole, a picture takes eight bytes a pixel. */
export const PHOTO_PIXELS_MOST = 50_000_000;

export type PhotoFile =
	{ kind: 'jpg' | 'png' | 'webp'; width: number; height: number } | { problem: string };

const text = (bytes: Uint8Array, from: number, length: number): string =>
	String.fromCharCode(...bytes.subarray(from, from + length));
const u32 = (bytes: Uint8Array, at: number, little = false): number =>
	new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(at, little);

const ONLY = 'Only JPEG, PNG and WebP pictures are read here.';

export function photoFile(bytes: Uint8Array): PhotoFile {
	if (bytes.length === 0) return { problem: 'The file is empty.' };
	if (bytes.length > PHOTO_BYTES_MOST) return { problem: 'The file is over 40 MB.' };
	// The box that an HEIC or AVIF picture begins with.
	if (bytes.length > 12 && text(bytes, 4, 4) === 'ftyp')
		return {
			problem: `${ONLY} This is one of the newer kinds that phones keep (HEIC or AVIF): set the camera to JPEG, often called “most compatible”, or share the picture as JPEG.`
		};
	let found: { width: number; height: number; type?: string };
	try {
		found = imageSize(bytes);
	} catch {
		return { problem: `${ONLY} This file is none of them, or it is damaged.` };
	}
	const { width, height, type: kind } = found;
	if (kind !== 'jpg' && kind !== 'png' && kind !== 'webp') return { problem: ONLY };
	if (!(width > 0 && height > 0)) return { problem: 'The picture is damaged: it has no size.' };
	if (width * height > PHOTO_PIXELS_MOST)
		return {
			problem: `The picture has ${Math.round((width * height) / 1e6)} megapixels; up to 50 are read. Take it at a lower setting, nearer.`
		};
	if (Math.min(width, height) < 24) return { problem: 'The picture is smaller than 24 pixels.' };
	if (!whole(bytes, kind))
		return { problem: 'The picture is cut short: its end is missing. Copy it again.' };
	if (moves(bytes, kind)) return { problem: 'The picture moves. Take a still one.' };
	return { kind, width, height };
}

/** The last mark of the file is there; a camera may write a little of its own behind it. */
function whole(bytes: Uint8Array, kind: 'jpg' | 'png' | 'webp'): boolean {
	if (kind === 'webp') return bytes.length >= 12 && u32(bytes, 4, true) + 8 <= bytes.length;
	const end = kind === 'jpg' ? [0xff, 0xd9] : [0x49, 0x45, 0x4e, 0x44];
	for (let at = bytes.length - end.length; at >= 0; at--)
		if (end.every((byte, i) => bytes[at + i] === byte)) return true;
	return false;
}

function moves(bytes: Uint8Array, kind: 'jpg' | 'png' | 'webp'): boolean {
	if (kind === 'webp') return text(bytes, 12, 4) === 'VP8X' && (bytes[20]! & 2) !== 0;
	if (kind !== 'png') return false;
	// Chunks: length, name, data, check. An animation says so before its first picture.
	for (let at = 8; at + 8 <= bytes.length;) {
		const name = text(bytes, at + 4, 4);
		if (name === 'acTL') return true;
		if (name === 'IDAT') return false;
		at += 12 + u32(bytes, at);
	}
	return false;
}

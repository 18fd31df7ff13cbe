import exifr from 'exifr';
import fc from 'fast-check';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { plainJpeg } from './jpegPlain';
import { PHOTO_PIXELS_MOST, photoFile } from './photoFile';

const rgba = (width: number, height: number) =>
	Uint8Array.from({ length: 4 * width * height }, (_, i) => (i * 37) % 251);
const jpg = (width = 48, height = 32) =>
	new Uint8Array(jpeg.encode({ data: rgba(width, height), width, height }, 80).data);
function png(width = 48, height = 32): Uint8Array {
	const picture = new PNG({ width, height });
	picture.data.set(rgba(width, height));
	return new Uint8Array(PNG.sync.write(picture));
}
const bytesOf = (text: string) => new TextEncoder().encode(text);

/** TIFF within an APP1 segment (Exif 2.32): orientation 6, and a place at 52° N. */
function withExif(picture: Uint8Array): Uint8Array {
	const tiff: number[] = [];
	const u16 = (n: number) => tiff.push(n >> 8, n & 255);
	const u32 = (n: number) => {
		u16(n >>> 16);
		u16(n & 0xffff);
	};
	const entry = (tag: number, type: number, count: number, value: number, short = false) => {
		u16(tag);
		u16(type);
		u32(count);
		if (short) {
			u16(value);
			u16(0);
		} else u32(value);
	};
	tiff.push(0x4d, 0x4d, 0, 42);
	u32(8);
	u16(3);
	entry(0x010f, 2, 6, 8 + 2 + 36 + 4); // maker, text elsewhere
	entry(0x0112, 3, 1, 6, true);
	const gpsAt = 8 + 2 + 36 + 4 + 6;
	entry(0x8825, 4, 1, gpsAt);
	u32(0);
	tiff.push(...bytesOf('maker\0'));
	u16(2);
	entry(1, 2, 2, 0x4e000000);
	entry(2, 5, 3, gpsAt + 2 + 24 + 4);
	u32(0);
	for (const n of [52, 1, 30, 1, 0, 1]) u32(n);
	const body = [...bytesOf('Exif\0\0'), ...tiff];
	const length = body.length + 2;
	const comment = [0xff, 0xfe, 0, 10, ...bytesOf('my house')];
	return new Uint8Array([
		0xff,
		0xd8,
		0xff,
		0xe1,
		length >> 8,
		length & 255,
		...body,
		...comment,
		...picture.subarray(2)
	]);
}

describe('a picture that is kept', () => {
	it('loses place, device and comment, by a reader of its own, and no pixel', async () => {
		const told = withExif(jpg());
		const before = (await exifr.parse(told, { gps: true, tiff: true })) as Record<string, unknown>;
		expect(before.Make).toBe('maker');
		expect(before.GPSLatitude).toEqual([52, 30, 0]);
		const plain = plainJpeg(told)!;
		expect([plain.width, plain.height]).toEqual([48, 32]);
		expect(
			await exifr.parse(plain.bytes, { gps: true, tiff: true }).catch(() => undefined)
		).toBeUndefined();
		expect(Buffer.from(plain.bytes).includes('my house')).toBe(false);
		const options = { useTArray: true, formatAsRGBA: true } as const;
		expect(jpeg.decode(plain.bytes, options).data).toEqual(jpeg.decode(jpg(), options).data);
	});
	it('that is plain stays as it is, and twice is once', () => {
		const once = plainJpeg(jpg())!.bytes;
		expect(plainJpeg(once)!.bytes).toEqual(once);
	});
	it('that is cut short anywhere, or is none, is refused', () => {
		const whole = jpg();
		for (let end = 0; end < whole.length - 1; end += 7)
			expect(plainJpeg(whole.subarray(0, end))).toBeUndefined();
		expect(plainJpeg(png())).toBeUndefined();
	});
	it('of bytes at random, or changed ones, never throws', () => {
		const whole = withExif(jpg());
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { maxLength: 12 }),
				(changes) => {
					const bent = whole.slice();
					for (const [at, to] of changes) bent[at] = to;
					const plain = plainJpeg(bent);
					expect(plain === undefined || plain.bytes.length <= bent.length).toBe(true);
				}
			),
			{ numRuns: 300 }
		);
		fc.assert(
			fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
				expect(plainJpeg(bytes)).toBeUndefined();
			})
		);
	});
});

describe('a file that is read as a photo', () => {
	it('is a JPEG, a PNG, a WebP, with its size', () => {
		expect(photoFile(jpg(60, 40))).toEqual({ kind: 'jpg', width: 60, height: 40 });
		expect(photoFile(png(60, 40))).toEqual({ kind: 'png', width: 60, height: 40 });
		// A lossy WebP of 64 × 48 by hand (RFC 9649): RIFF, VP8 with its start code and sizes.
		const webp = new Uint8Array(40);
		webp.set(bytesOf('RIFF'));
		webp[4] = 32;
		webp.set(bytesOf('WEBPVP8 '), 8);
		webp[16] = 20;
		webp.set([0x30, 0, 0, 0x9d, 0x01, 0x2a, 64, 0, 48, 0], 20);
		expect(photoFile(webp)).toEqual({ kind: 'webp', width: 64, height: 48 });
	});
	const problemOf = (bytes: Uint8Array) => {
		const told = photoFile(bytes);
		return 'problem' in told ? told.problem : '';
	};
	it('is refused in words: empty, text, SVG with a script, GIF, HEIC', () => {
		expect(problemOf(new Uint8Array())).toBe('The file is empty.');
		expect(problemOf(bytesOf('this is a letter'))).toContain('none of them');
		expect(
			problemOf(
				bytesOf(
					'<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>1</script></svg>'
				)
			)
		).toContain('Only JPEG, PNG and WebP');
		const gif = new Uint8Array([...bytesOf('GIF89a'), 64, 0, 64, 0, 0, 0, 0, 0x3b]);
		expect(problemOf(gif)).toContain('Only JPEG, PNG and WebP');
		const heic = new Uint8Array([0, 0, 0, 24, ...bytesOf('ftypheicmif1heic')]);
		expect(problemOf(heic)).toContain('set the camera to JPEG');
	});
	it('is refused when it is cut short, moves, is far too large or too small', () => {
		const whole = jpg();
		expect(problemOf(whole.subarray(0, whole.length - 2))).toContain('cut short');
		expect(problemOf(png().subarray(0, 200))).toContain('cut short');
		const still = png();
		const actl = new Uint8Array([
			0,
			0,
			0,
			8,
			...bytesOf('acTL'),
			0,
			0,
			0,
			2,
			0,
			0,
			0,
			0,
			0,
			0,
			0,
			0
		]);
		const moving = new Uint8Array([...still.subarray(0, 33), ...actl, ...still.subarray(33)]);
		expect(problemOf(moving)).toContain('moves');
		const huge = png();
		new DataView(huge.buffer).setUint32(16, 10_000);
		new DataView(huge.buffer).setUint32(20, 10_000);
		expect(problemOf(huge)).toContain('100 megapixels');
		expect(10_000 * 10_000).toBeGreaterThan(PHOTO_PIXELS_MOST);
		expect(problemOf(jpg(20, 20))).toContain('smaller than 24');
	});
	it('of bytes at random never throws', () => {
		const [one, two] = [jpg(), png()];
		fc.assert(
			fc.property(
				fc.boolean(),
				fc.array(fc.tuple(fc.nat(400), fc.nat(255)), { maxLength: 8 }),
				fc.nat(600),
				(first, changes, length) => {
					const bent = (first ? one : two).slice(0, length);
					for (const [at, to] of changes) if (at < bent.length) bent[at] = to;
					const told = photoFile(bent);
					expect('problem' in told ? told.problem.length : told.width).toBeGreaterThan(0);
				}
			),
			{ numRuns: 300 }
		);
	});
});

import { describe, expect, it } from 'vitest';
import { drossBelow } from './dross';

/** Ten pixels to the millimetre: a plate down to row 60, the bench far below it at half light. */
const PX_PER_MM = 10;
const [WIDTH, BOTTOM] = [600, 60];
const level = { at: BOTTOM, slope: 0 };

/** What hangs below the edge where, mm; as dark as slag. `height`: rows of the picture. */
function hanging(mmAt: (xMm: number) => number, height = 120) {
	const values = new Float32Array(WIDTH * height).fill(0.5);
	for (let x = 0; x < WIDTH; x++)
		for (let y = 0; y < BOTTOM + mmAt(x / PX_PER_MM) * PX_PER_MM && y < height; y++)
			values[y * WIDTH + x] = 0.1;
	return drossBelow(
		{ width: WIDTH, height, values },
		{ top: { at: 0, slope: 0 }, bottom: level },
		PX_PER_MM
	);
}
/** Half of the length hangs down so far, in lumps or beads so long. */
const lumps = (mm: number, longMm: number) => (x: number) =>
	Math.floor(x / longMm) % 2 === 0 ? mm : 0;

describe('dross below an edge', () => {
	it('is as long as it hangs, in the mean of the length', () => {
		for (const mm of [0.3, 0.7, 1.6, 3]) {
			const { drossMm } = hanging(() => mm);
			// To the last row that it darkens: a pixel.
			expect(Math.abs(drossMm.value - mm)).toBeLessThan(0.11);
		}
		expect(Math.abs(hanging(lumps(2, 10)).drossMm.value - 1)).toBeLessThan(0.06);
		expect(hanging(() => 0)).toMatchObject({ dross: 'none', drossMm: { value: 0 } });
	});
	it('tells a tenth and a pixel and a half as what it does not know', () => {
		const { value, spread } = hanging(() => 2).drossMm;
		expect(spread).toBeCloseTo(Math.hypot(0.1 * value, 0.15), 9);
	});
	// Lumps are of a slow cut and soft, beads of a fast one and hard (common practice).
	it('is soft in lumps or where there is much of it, hard in fine beads, none where a thumb feels none', () => {
		expect(hanging(lumps(1.9, 6)).dross).toBe('soft');
		expect(hanging(lumps(1.9, 0.5)).dross).toBe('hard');
		expect(hanging(lumps(2.6, 0.5)).dross).toBe('soft');
		expect(hanging(lumps(1.2, 6)).dross).toBe('hard');
		expect(hanging(lumps(1.2, 20)).dross).toBe('hard');
		// A quarter of the length has a fifth of a millimetre: a twentieth in the mean.
		const burr = hanging((x) => (x % 12 < 3 ? 0.25 : 0));
		expect(burr.drossMm.value).toBeCloseTo(0.05, 2);
		expect(burr.dross).toBe('none');
	});
	it('is not followed past a gap: what lies on the bench hangs from nothing', () => {
		const values = new Float32Array(WIDTH * 120).fill(0.5);
		const dark = (from: number, to: number) => {
			for (let y = from; y < to; y++) values.fill(0.1, y * WIDTH, (y + 1) * WIDTH);
		};
		dark(0, BOTTOM + 6);
		const read = () =>
			drossBelow(
				{ width: WIDTH, height: 120, values },
				{ top: { at: 0, slope: 0 }, bottom: level },
				PX_PER_MM
			).drossMm.value;
		const alone = read();
		dark(BOTTOM + 12, BOTTOM + 20);
		expect(read()).toBe(alone);
		// A hair of light across it is no gap.
		dark(BOTTOM + 7, BOTTOM + 12);
		expect(read()).toBeGreaterThan(alone + 1);
	});
	it('says nothing where the picture ends with the plate: there is no bench to tell it from', () => {
		const told = hanging(() => 2, BOTTOM + 4);
		expect(told).toEqual({ dross: 'none', drossMm: { value: 0, spread: 1 } });
	});
});

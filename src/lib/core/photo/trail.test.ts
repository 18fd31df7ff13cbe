import { describe, expect, it } from 'vitest';
import { cloud, dice } from '../../../../tests/pictures/lens';
import { bestTrail, shiftOf, type Trail } from './trail';
import { straightened } from './straightened';
import { FROM, TO, type Strip } from './strip';

const SIZE = { rows: 60, columns: 700, tallPx: 200, pxPerMm: 20, contrast: 0.1 };
const SLANT = (trail: Trail) => (Math.atan(trail.slope) * 180) / Math.PI;

/** A face of lines along `trail` that fade over `fadePx` of depth while others come. */
function drawn(trail: Trail, { fadePx, seed }: { fadePx: number; seed: number }): Strip {
	const { rows, columns, tallPx, pxPerMm } = SIZE;
	const d = dice(seed);
	const [fine, coarse] = [cloud(d, 0.4 * pxPerMm), cloud(d, 0.9 * pxPerMm)];
	const values = new Float32Array(rows * columns);
	for (let row = 0; row < rows; row++) {
		const v = FROM + ((row + 0.5) / rows) * (TO - FROM) - 0.5;
		for (let i = 0; i < columns; i++) {
			const along = i + tallPx * shiftOf(trail, v);
			const deep = (v * tallPx) / fadePx;
			values[row * columns + i] =
				2 * fine(along, 8 * deep) + 2 * coarse(along, 18 * deep) + 0.2 * d.normal();
		}
	}
	return { ...SIZE, values };
}

describe('lines that are followed from bit to bit', () => {
	const TRUE: Trail = { slope: 0.4, curve: 0.2 };

	it('lie nearer to the truth than where most of the face agrees', () => {
		const off = { rough: 0, followed: 0 };
		for (let seed = 1; seed <= 12; seed++) {
			const strip = drawn(TRUE, { fadePx: 120, seed });
			const rough = bestTrail(strip);
			if (!rough) throw new Error(`no lines with seed ${seed}`);
			off.rough += Math.abs(SLANT(rough) - SLANT(TRUE)) / 12;
			off.followed += Math.abs(SLANT(straightened(strip, rough)) - SLANT(TRUE)) / 12;
		}
		expect(off.followed).toBeLessThan(0.155);
		expect(off.followed).toBeLessThan(0.6 * off.rough);
	});

	it('are found from two degrees beside them, bend and all, on either side', () => {
		for (const way of [1, -1]) {
			const there = { slope: way * TRUE.slope, curve: way * TRUE.curve };
			const strip = drawn(there, { fadePx: 600, seed: 3 });
			for (const beside of [-0.03, 0.03]) {
				const from = { slope: there.slope + beside, curve: there.curve + 4 * beside };
				const found = straightened(strip, from);
				expect(Math.abs(SLANT(found) - SLANT(there))).toBeLessThan(0.3);
				expect(Math.abs(found.curve - there.curve)).toBeLessThan(0.06);
			}
		}
	});

	it('are left where they were in a face that shows none', () => {
		const d = dice(2);
		const { rows, columns } = SIZE;
		const values = Float32Array.from({ length: rows * columns }, d.normal);
		const rough = { slope: 0.3, curve: 0.1 };
		const found = straightened({ ...SIZE, values }, rough);
		expect(Math.abs(SLANT(found) - SLANT(rough))).toBeLessThan(4);
		expect(straightened({ ...SIZE, values: new Float32Array(rows * columns) }, rough)).toEqual(
			rough
		);
	});
});

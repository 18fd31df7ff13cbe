import { describe, expect, it } from 'vitest';
import { dice } from '../../../../tests/pictures/lens';
import type { Light } from './light';
import { middles } from './middles';

/** Dark discs on a bright bench, their rims one pixel soft; with a camera’s grain the votes have many peaks. */
function discs(discs: readonly { x: number; y: number; r: number }[], grainy = 0.02): Light {
	const [width, height] = [240, 160];
	const grain = dice(11);
	const values = Float32Array.from(
		{ length: width * height },
		() => 0.8 + grain.between(-grainy, grainy)
	);
	for (let j = 0; j < height; j++)
		for (let i = 0; i < width; i++)
			for (const { x, y, r } of discs) {
				const inside = Math.min(1, Math.max(0, r - Math.hypot(i - x, j - y) + 0.5));
				values[j * width + i]! += inside * (0.1 - 0.8);
			}
	return { width, height, values };
}
const TWO = [
	{ x: 70, y: 84, r: 34 },
	{ x: 172, y: 72, r: 27 }
];

describe('middles that edges point to', () => {
	it('are those of the discs in the picture, each told once', () => {
		const found = middles(discs(TWO), 40);
		for (const { x, y } of TWO)
			expect(
				found.slice(0, 2).some((p) => Math.hypot(p.x - x, p.y - y) < 2),
				`${x}, ${y}`
			).toBe(true);
		// What lies nearer than this to a likelier one is the same.
		for (const [k, one] of found.entries())
			for (const other of found.slice(0, k))
				expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(0.06 * 160);
	});
	it('are no more than asked for', () => {
		expect(middles(discs(TWO), 1)).toHaveLength(1);
	});
	it('may lie beyond the rim of the picture: a nozzle that is half out of it', () => {
		const [p] = middles(discs([{ x: 120, y: -6, r: 50 }], 0), 1);
		expect(Math.hypot(p!.x - 120, p!.y + 6)).toBeLessThan(3);
	});
});

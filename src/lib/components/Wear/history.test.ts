import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HISTORY, historyDrawing } from './history';

const reading = (starts: number, grownUm: number) => ({
	at: '2026-11-20T15:30:00Z',
	starts,
	grownUm
});

describe('growth over starts, drawn', () => {
	it('goes from new through each reading to now, and on to the limit', () => {
		const drawing = historyDrawing({
			readings: [reading(50, 300)],
			now: { starts: 100, grownUm: 600 },
			limitUm: 1500,
			left: 150,
			band: [100, 220]
		});
		expect(drawing.line.split('L')).toHaveLength(3);
		expect(drawing.dots).toHaveLength(1);
		expect(drawing.now.x).toBeGreaterThan(drawing.dots[0]!.x);
		expect(drawing.now.y).toBeLessThan(drawing.dots[0]!.y);
		expect(drawing.limitY).toBeLessThan(drawing.now.y);
		expect(drawing.forecast).toContain(drawing.limitY.toFixed(1));
		expect(drawing.ticks[0]!.starts).toBe(0);
	});

	it('has no forecast past the limit, or where nobody knows', () => {
		const of = { readings: [], limitUm: 100, band: undefined };
		expect(
			historyDrawing({ ...of, now: { starts: 9, grownUm: 120 }, left: 3 }).forecast
		).toBeUndefined();
		expect(
			historyDrawing({ ...of, now: { starts: 9, grownUm: 20 }, left: null }).forecast
		).toBeUndefined();
	});

	it('property: stays inside its frame, whatever was read', () => {
		const um = fc.integer({ min: 0, max: 5000 });
		const starts = fc.integer({ min: 0, max: 100_000 });
		fc.assert(
			fc.property(
				fc.array(fc.tuple(starts, um)),
				starts,
				um,
				fc.nat(5000),
				(all, now, grownUm, left) => {
					const drawing = historyDrawing({
						readings: all.map(([s, u]) => reading(s, u)),
						now: { starts: now, grownUm },
						limitUm: 1500,
						left,
						band: [Math.floor(left / 2), 3 * left]
					});
					const numbers = `${drawing.line}${drawing.forecast ?? ''}${drawing.fan ?? ''}`
						.match(/[\d.]+ [\d.]+/g)!
						.map((pair) => pair.split(' ').map(Number) as [number, number]);
					for (const [x, y] of numbers) {
						expect(x).toBeGreaterThanOrEqual(HISTORY.left);
						expect(x).toBeLessThanOrEqual(HISTORY.width);
						expect(y).toBeGreaterThanOrEqual(0);
						expect(y).toBeLessThanOrEqual(HISTORY.height);
					}
					expect(drawing.ticks.length).toBeLessThanOrEqual(6);
				}
			)
		);
	});
});

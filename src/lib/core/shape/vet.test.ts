import { describe, expect, it } from 'vitest';
import { circle } from './makers';
import type { Contour } from './outline';
import { faultOf, SIZE_MOST_MM, SWEEP_MOST_DEG } from './vet';

const at = (x: number, y: number, bulge = 0) => ({ x, y, bulge });
const rectangle = (w: number, h: number): Contour => [at(0, 0), at(w, 0), at(w, h), at(0, h)];

describe('what keeps an outline from being cut', () => {
	const fault = (contour: Contour) => faultOf(contour)?.fault;

	it('is a coordinate or a bulge that is no number, wherever it stands', () => {
		expect(fault(rectangle(40, 30))).toBeUndefined();
		for (const wrong of [NaN, Infinity]) {
			for (const bad of [at(wrong, 0), at(0, wrong), at(0, 0, wrong)])
				expect(fault([...rectangle(40, 30), bad])).toBe('no-numbers');
		}
	});
	it('is its size, past twenty metres each way', () => {
		expect(fault(rectangle(SIZE_MOST_MM, 10))).toBeUndefined();
		expect(fault(rectangle(SIZE_MOST_MM + 1, 10))).toBe('too-large');
		expect(fault(rectangle(10, SIZE_MOST_MM + 1))).toBe('too-large');
	});
	it('is an arc nearly all round, told at its beginning', () => {
		// A bulge is the tangent of a quarter of the angle (definition of the drawing format).
		const nearly = (deg: number): Contour => [at(7, 0, Math.tan((deg * Math.PI) / 720)), at(7, 9)];
		expect(fault(nearly(SWEEP_MOST_DEG - 1))).toBeUndefined();
		expect(faultOf(nearly(SWEEP_MOST_DEG + 1))).toMatchObject({ fault: 'arc', at: { x: 7, y: 0 } });
	});
	it('is an arc that rises higher than any part, though it hangs between points that lie close', () => {
		// Over a chord c it rises by b·c/2.
		expect(fault([at(0, 0, 7), at(5000, 0)])).toBeUndefined();
		expect(fault([at(0, 0, -10), at(5000, 0)])).toBe('arc');
		// A flat one has a large radius, and rises by nothing.
		expect(fault([at(0, 0, 0.001), at(19_000, 0), at(19_000, 50)])).toBeUndefined();
	});
	it('is to cover nothing: less than a square millimetre, either way round', () => {
		expect(fault(rectangle(1.1, 1))).toBeUndefined();
		expect(fault(rectangle(0.9, 1))).toBe('no-area');
		expect(fault([...rectangle(1.1, 1)].reverse())).toBeUndefined();
		expect(fault(circle(1.2))).toBeUndefined();
		expect(fault(circle(1.1))).toBe('no-area');
	});
	it('is to cross itself, told where', () => {
		const bow = [at(0, 0), at(10, 10), at(10, 0), at(0, 10)];
		const told = faultOf(bow)!;
		expect(told.fault).toBe('crosses-itself');
		expect(told.at.x).toBeCloseTo(5, 6);
		expect(told.at.y).toBeCloseTo(5, 6);
		// Twice round the same square crosses nowhere and is cut twice.
		expect(fault([...rectangle(10, 10), ...rectangle(10, 10)])).toBe('crosses-itself');
	});
});

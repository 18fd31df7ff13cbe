import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GAUGE_MM, meanReading } from './readings';

describe('several readings of one pit', () => {
	it('are their mean; one alone is as good as the gauge, three are better', () => {
		expect(meanReading([0.8])).toEqual({ meanMm: 0.8, spreadMm: GAUGE_MM, apart: false });
		const three = meanReading([0.8, 0.84, 0.82]);
		expect(three.meanMm).toBeCloseTo(0.82, 12);
		expect(three.spreadMm).toBeCloseTo(GAUGE_MM / Math.sqrt(3), 12);
		expect(three.apart).toBe(false);
	});
	it('that differ more than a gauge does are asked about, and told with their own spread', () => {
		const wide = meanReading([0.4, 0.9, 0.6]);
		expect(wide.apart).toBe(true);
		// Sample standard deviation of 0.4, 0.9, 0.6 by hand: √(0.1267/2) = 0.2517; over √3: 0.1453.
		expect(wide.spreadMm).toBeCloseTo(0.1453, 4);
	});
	it('property: the mean lies among them, and more of the same narrows it', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { minLength: 1, maxLength: 6 }),
				(mm) => {
					const { meanMm, spreadMm } = meanReading(mm);
					expect(meanMm).toBeGreaterThanOrEqual(Math.min(...mm) - 1e-9);
					expect(meanMm).toBeLessThanOrEqual(Math.max(...mm) + 1e-9);
					expect(meanReading([...mm, ...mm]).spreadMm).toBeLessThanOrEqual(spreadMm + 1e-9);
				}
			)
		);
	});
});

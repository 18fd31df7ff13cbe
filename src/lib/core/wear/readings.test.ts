import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boreAgainstLimit } from './nozzle';
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

describe('a bore that was read, against its limit', () => {
	// By hand: 1.0 mm new may grow by 0.1; of 0.8 mm a tenth is 0.08. Two spreads decide.
	it.each([
		[1.15, 0.02, 1.0, 1.1, 'over'],
		[1.13, 0.02, 1.0, 1.1, 'at'],
		[1.07, 0.02, 1.0, 1.1, 'at'],
		[1.05, 0.02, 1.0, 1.1, 'within'],
		[0.9, 0.005, 0.8, 0.88, 'over'],
		[1.65, 0.02, 1.5, 1.6, 'over']
	])('%d mm, give or take %d, new %d', (bore, spread, fresh, limitMm, stands) => {
		const against = boreAgainstLimit(bore, spread, fresh);
		expect(against.limitMm).toBeCloseTo(limitMm, 12);
		expect(against.stands).toBe(stands);
	});
});

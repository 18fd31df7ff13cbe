import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { necLargestBreakerA, ratingAtAmbientA, tripCurves } from './breaker';
import {
	ampacityA,
	CONDUCTOR_SIZES,
	conductorLabel,
	conductorsFor,
	necAmpacity75A,
	resistanceOhmKm20
} from './conductors';
import { effectiveCurrentA, loadVoltageV } from '../cutter/plate';
import { necDutyMultiplier, voltageUnderLoad } from './draw';
import { firstCrossing } from '../session/node';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('conductors', () => {
	it('carry more and resist less the thicker they are, in each system and use', () => {
		for (const system of ['north-america', 'iec'] as const) {
			const sizes = conductorsFor(system);
			for (const use of ['wire', 'cord'] as const) {
				for (let i = 1; i < sizes.length; i++) {
					const [thin, thick] = [sizes[i - 1]!, sizes[i]!];
					expect(resistanceOhmKm20(thick, use), `${thick} ${use}`).toBeLessThan(
						resistanceOhmKm20(thin, use)
					);
					// No use in the wall at all counts as nothing.
					const [less, more] = [thin, thick].map((s) => ampacityA(s, use, 'conduit'));
					if (less! > 0 || more! > 0) expect(more).toBeGreaterThan(less!);
				}
			}
		}
	});

	it('carry more clipped direct than in conduit', () => {
		for (const size of conductorsFor('iec').slice(1)) {
			expect(ampacityA(size, 'wire', 'clipped')).toBeGreaterThan(
				ampacityA(size, 'wire', 'conduit')
			);
		}
	});

	it('hold 14, 12 and 10 AWG to 15, 20 and 30 A on a breaker, below their 75 °C column', () => {
		for (const [size, rule] of [
			['awg-14', 15],
			['awg-12', 20],
			['awg-10', 30]
		] as const) {
			expect(ampacityA(size, 'wire', 'conduit')).toBe(rule);
			expect(necAmpacity75A(size)).toBeGreaterThan(rule);
		}
		expect(necAmpacity75A('mm2-4')).toBeUndefined();
	});

	it('allow no 16 AWG in the wall', () => {
		expect(ampacityA('awg-16', 'wire', 'conduit')).toBe(0);
	});

	it('are called as in the shop', () => {
		expect(CONDUCTOR_SIZES.map(conductorLabel)).toContain('12 AWG');
		expect(conductorLabel('mm2-2.5')).toBe('2.5 mm²');
	});
});

describe('volts under load', () => {
	it('satisfy Ohm and the power at once, whatever the circuit', () => {
		fc.assert(
			fc.property(
				number(100, 480),
				number(100, 20_000),
				number(0.001, 3),
				fc.constantFrom(1 as const, 3 as const),
				(sourceV, apparentVA, resistanceOhm, phases) => {
					const result = voltageUnderLoad({ sourceV, apparentVA, resistanceOhm, phases });
					const k = phases === 3 ? Math.sqrt(3) : 1;
					if (result.ok) {
						expect(k * result.voltageV * result.currentA).toBeCloseTo(apparentVA, 6);
						expect(sourceV - k * result.currentA * resistanceOhm).toBeCloseTo(result.voltageV, 6);
						expect(result.voltageV).toBeGreaterThanOrEqual(sourceV / 2 - 1e-9);
					} else {
						expect(apparentVA).toBeGreaterThan(result.mostVA);
					}
				}
			)
		);
	});

	it('draw more amps the more they sag, unlike a heater', () => {
		const amps = (resistanceOhm: number) => {
			const result = voltageUnderLoad({ sourceV: 120, apparentVA: 2880, resistanceOhm, phases: 1 });
			return result.ok ? result.currentA : Infinity;
		};
		expect(amps(0.5)).toBeGreaterThan(amps(0.1));
		expect(amps(0.1)).toBeGreaterThan(24);
		expect(amps(1.3)).toBe(Infinity);
	});

	it('join the two branches of the conventional arc voltage near 165 A without a leap', () => {
		expect(Math.abs(loadVoltageV(165.001) - loadVoltageV(165))).toBeLessThan(1);
	});
});

describe('duty', () => {
	it('takes the table’s row at or above, and never less than 0.45', () => {
		expect(necDutyMultiplier(0.35)).toBe(0.63);
		expect(necDutyMultiplier(0.4)).toBe(0.63);
		expect(necDutyMultiplier(0.41)).toBe(0.71);
		expect(necDutyMultiplier(0.05)).toBe(0.45);
		expect(necDutyMultiplier(1)).toBe(1);
	});

	it('heats with the square of the current: half the time at I is I/√2', () => {
		expect(effectiveCurrentA(20, 0, 0.5)).toBeCloseTo(20 / Math.SQRT2, 12);
		expect(effectiveCurrentA(20, 20, 0.3)).toBeCloseTo(20, 12);
	});
});

describe('breakers', () => {
	it('trip on the earliest curve before the latest, at any overload that trips both', () => {
		fc.assert(
			fc.property(
				fc.constantFrom('ul489' as const, 'iec60898' as const),
				fc.constantFrom(16, 20, 32, 50),
				number(1.5, 4),
				(standard, rating, multiple) => {
					const { earliest, latest } = tripCurves(standard, rating);
					const trip = (curve: typeof earliest) =>
						firstCrossing(
							{
								tauS: curve.tauS,
								onTarget: multiple ** 2,
								offTarget: 0,
								onS: 1,
								offS: 0,
								start: 0
							},
							curve.tripHeat
						)?.atS ?? Infinity;
					expect(trip(earliest)).toBeLessThan(trip(latest));
				}
			)
		);
	});

	it('carry less in a hot panel and more in a cold one', () => {
		expect(ratingAtAmbientA('iec60898', 32, 30)).toBe(32);
		expect(ratingAtAmbientA('iec60898', 32, 50)).toBeLessThan(32);
		expect(ratingAtAmbientA('ul489', 20, 10)).toBeGreaterThan(20);
	});

	it('know the largest that NEC 630.12(A) allows, up to what is tabled', () => {
		expect(necLargestBreakerA(24)).toBe(50);
		expect(necLargestBreakerA(13)).toBe(30);
		expect(necLargestBreakerA(60)).toBeUndefined();
	});
});

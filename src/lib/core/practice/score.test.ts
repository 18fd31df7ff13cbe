import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isBetter, liveSpeedMmS, OFF_MM, score, STEP_MM, type Sample } from './score';

const WINDOW = { lowMmS: 14, highMmS: 30 };
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** A hand with a speed for each place, read sixty times a second. */
function run(speedAt: (mm: number) => number, lengthMm = 120, besideAt = (mm: number) => 0 * mm) {
	const samples: Sample[] = [];
	let alongMm = 0;
	for (let i = 0; alongMm < lengthMm; i++) {
		samples.push({ alongMm, besideMm: besideAt(alongMm), atS: i / 60 });
		alongMm += speedAt(alongMm) / 60;
	}
	return samples;
}

describe('a run along the line', () => {
	it('at one speed has that mean, no spread, and all or nothing inside', () => {
		fc.assert(
			fc.property(number(6, 60), (speed) => {
				const result = score(
					run(() => speed),
					WINDOW
				)!;
				expect(result.meanMmS / speed).toBeCloseTo(1, 6);
				expect(result.spreadMmS).toBeLessThan(0.01);
				expect(result.insideShare).toBe(speed >= 14 && speed <= 30 ? 1 : 0);
			})
		);
	});
	it('has the harmonic mean of its stretches (length over time, not the mean of speeds)', () => {
		const halves = score(
			run((mm) => (mm < 60 ? 15 : 30)),
			WINDOW
		)!;
		expect(halves.meanMmS).toBeCloseTo(2 / (1 / 15 + 1 / 30), 0);
	});
	it('tells where it went wrong, and how', () => {
		const slow = score(
			run((mm) => (mm > 40 && mm < 80 ? 8 : 20)),
			WINDOW
		)!;
		expect(slow.worst).toMatchObject({ what: 'slow' });
		expect(slow.worst!.fromMm).toBeGreaterThanOrEqual(35);
		expect(slow.worst!.toMm).toBeLessThanOrEqual(85);
		expect(slow.insideShare).toBeCloseTo(1 - 40 / 110, 1);
		expect(
			score(
				run((mm) => (mm > 90 ? 45 : 20)),
				WINDOW
			)!.worst!.what
		).toBe('fast');
		expect(
			score(
				run(() => 20),
				WINDOW
			)!.worst
		).toBeNull();
		const off = score(
			run(
				() => 20,
				120,
				(mm) => (mm > 50 && mm < 70 ? OFF_MM + 1 : 0)
			),
			WINDOW
		)!;
		expect(off.worst!.what).toBe('off');
		expect(off.offMm).toBeCloseTo(OFF_MM + 1, 6);
	});
	it('counts going back as standing', () => {
		const there = run(() => 20);
		const back = there.flatMap((s, i) =>
			i === 200
				? [s, { ...s, alongMm: s.alongMm - 10, atS: s.atS + 0.005 }, { ...s, atS: s.atS + 0.01 }]
				: [s]
		);
		expect(score(back, WINDOW)!.meanMmS).toBeCloseTo(score(there, WINDOW)!.meanMmS, 1);
	});
	it('is not scored when it is too short, stands, or is empty', () => {
		expect(score([], WINDOW)).toBeUndefined();
		expect(
			score(
				run(() => 20, 30),
				WINDOW
			)
		).toBeUndefined();
		const stood = Array.from({ length: 90 }, (_, i) => ({ alongMm: 5, besideMm: 0, atS: i / 60 }));
		expect(score(stood, WINDOW)).toBeUndefined();
	});
	it('never gives anything but numbers, whatever the pointer did', () => {
		const sample = fc.record({
			alongMm: number(-20, 300),
			besideMm: number(-50, 50),
			dt: number(0, 1)
		});
		fc.assert(
			fc.property(fc.array(sample, { maxLength: 60 }), (raw) => {
				let atS = 0;
				const result = score(
					raw.map(({ dt, ...s }) => ({ ...s, atS: (atS += dt) })),
					WINDOW
				);
				if (!result) return;
				for (const value of [result.spreadMmS, result.insideShare, result.offMm])
					expect(Number.isFinite(value)).toBe(true);
				expect(result.steps.length * STEP_MM).toBeCloseTo(result.lengthMm, 9);
			})
		);
	});
});

describe('under the hand', () => {
	it('settles on the speed that is held, and never overshoots it', () => {
		fc.assert(
			fc.property(number(1, 80), number(1, 80), (from, to) => {
				let speed = from;
				for (let i = 0; i < 90; i++) {
					const next = liveSpeedMmS(
						speed,
						{ alongMm: (to * i) / 60, besideMm: 0, atS: i / 60 },
						{ alongMm: (to * (i + 1)) / 60, besideMm: 0, atS: (i + 1) / 60 }
					);
					expect((next - speed) * (to - speed)).toBeGreaterThanOrEqual(-1e-9);
					speed = next;
				}
				expect(speed / to).toBeCloseTo(1, 1);
			})
		);
	});
	it('prefers more inside, then the steadier', () => {
		expect(isBetter({ insideShare: 0.9, spreadMmS: 9 }, { insideShare: 0.8, spreadMmS: 1 })).toBe(
			true
		);
		expect(isBetter({ insideShare: 0.9, spreadMmS: 9 }, { insideShare: 0.9, spreadMmS: 8 })).toBe(
			false
		);
	});
});

it('the worst stretch is as long as the hand was wrong', () => {
	const { worst } = score(
		run((mm) => (mm > 40 && mm < 70 ? 60 : 20)),
		WINDOW
	)!;
	expect(worst!.what).toBe('fast');
	expect(worst!.toMm - worst!.fromMm).toBeGreaterThanOrEqual(30 - STEP_MM);
	expect(worst!.toMm - worst!.fromMm).toBeLessThanOrEqual(30 + STEP_MM);
});

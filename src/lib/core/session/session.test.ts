import { createRequire } from 'node:module';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deliveryLpm, longestCut, type Compressor } from '../air/tank';
import { FREE_AIR_BAR } from '../air/flow';
import { firstCrossing, settledPeak, type NodePattern } from './node';
import { runTank } from './tankRun';

interface OdeSolver {
	absoluteTolerance: number;
	relativeTolerance: number;
	solve(
		f: (x: number, y: number[]) => number[],
		x0: number,
		y0: number[],
		x1: number
	): { y: number[] };
}
/** A general ODE library (Gragg-Bulirsch-Stoer), as an independent witness. */
const { Solver } = createRequire(import.meta.url)('odex') as {
	Solver: new (n: number) => OdeSolver;
};

function integrate(f: (y: number) => number, y0: number, seconds: number): number {
	const solver = new Solver(1);
	solver.absoluteTolerance = solver.relativeTolerance = 1e-11;
	return solver.solve((_, [y]) => [f(y!)], 0, [y0], seconds).y[0]!;
}

/** The node integrated phase by phase. */
function nodeAfter(p: NodePattern, cycles: number): { peak: number; level: number } {
	let level = p.start;
	let peak = level;
	for (let i = 0; i < cycles; i++) {
		peak = level = integrate((y) => (p.onTarget - y) / p.tauS, level, p.onS);
		level = integrate((y) => (p.offTarget - y) / p.tauS, level, p.offS);
	}
	return { peak, level };
}

describe('a warming node under a pattern', () => {
	const pattern: NodePattern = {
		tauS: 300,
		onTarget: 174.6,
		offTarget: 20,
		onS: 60,
		offS: 30,
		start: 20
	};

	it('settles at the peak that the ODE library reaches', () => {
		expect(settledPeak(pattern)).toBeCloseTo(nodeAfter(pattern, 90).peak, 5);
	});

	it('reaches a limit in the cycle and at the second that the ODE library finds', () => {
		const limit = 110;
		const crossing = firstCrossing(pattern, limit)!;
		const cycles = Math.round(crossing.phaseStartS / 90);
		const before = nodeAfter(pattern, cycles);
		expect(before.peak).toBeLessThan(limit);
		expect(before.level).toBeCloseTo(crossing.phaseStartLevel, 5);
		const within = crossing.atS - crossing.phaseStartS;
		expect(within).toBeLessThanOrEqual(60);
		expect(integrate((y) => (pattern.onTarget - y) / 300, before.level, within)).toBeCloseTo(
			limit,
			6
		);
	});

	it('finds the very first crossing, whatever the pattern', () => {
		const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
		fc.assert(
			fc.property(
				number(20, 600),
				number(1.05, 8),
				number(1, 300),
				number(0, 300),
				(tauS, onTarget, onS, offS) => {
					const p: NodePattern = { tauS, onTarget, offTarget: 0, onS, offS, start: 0 };
					const crossing = firstCrossing(p, 1);
					// Step the recurrence as the plain loop would.
					let level = 0;
					for (let i = 0; i < 400; i++) {
						const peak = onTarget + (level - onTarget) * Math.exp(-onS / tauS);
						if (peak > 1 + 1e-9) {
							expect(crossing?.phaseStartS).toBeCloseTo(offS > 0 ? i * (onS + offS) : 0, 4);
							return;
						}
						level = peak * Math.exp(-offS / tauS);
					}
					if (crossing) expect(settledPeak(p)).toBeGreaterThan(1);
				}
			)
		);
	});
});

const compressor: Compressor = {
	q1Lpm: 120,
	p1Bar: 4,
	q2Lpm: 90,
	p2Bar: 8,
	cutInBar: 6,
	cutOutBar: 8,
	tankL: 50
};

describe('a tank under a pattern', () => {
	it('falls as the ODE library says, through cut-in, to the pressure that is needed', () => {
		const cut = longestCut(compressor, 170, 4.5);
		const perLpm = FREE_AIR_BAR / (60 * compressor.tankL);
		const atCutIn = integrate(() => -perLpm * 170, 8, cut.offS);
		expect(atCutIn).toBeCloseTo(6, 8);
		const end = integrate((p) => perLpm * (deliveryLpm(compressor, p) - 170), 6, cut.onS);
		expect(end).toBeCloseTo(4.5, 8);
	});

	it('keeps account of every litre', () => {
		const run = runTank(compressor, { useLpm: 170, useS: 20, restS: 60 }, 1);
		expect(run.repeats).toBe(true);
		// Over one repetition the compressor delivers what is used: 170 l/min for 20 s in 80 s.
		const delivered = run.runShare * deliveryLpm(compressor, 7);
		expect(delivered).toBeGreaterThan(42.5 * 0.9);
		expect(delivered).toBeLessThan(42.5 * 1.1);
	});

	it('falls short at once when a full tank is not enough', () => {
		expect(runTank(compressor, { useLpm: 100, useS: 10, restS: 10 }, 9).shortAtS).toBe(0);
	});

	it('never falls short with a compressor that keeps up, and then reports a bound that holds', () => {
		const big = { ...compressor, q1Lpm: 300, q2Lpm: 260 };
		const run = runTank(big, { useLpm: 170, useS: 29, restS: 5 }, 5);
		expect(run.shortAtS).toBeUndefined();
		expect(run.lowestBar).toBeGreaterThanOrEqual(5);
	});

	it('agrees with small steps of the same laws on when it falls short', () => {
		const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
		fc.assert(
			fc.property(
				number(80, 240),
				number(5, 60),
				number(0, 60),
				number(10, 200),
				(useLpm, useS, restS, tankL) => {
					const c = { ...compressor, tankL };
					const needed = 5;
					const run = runTank(c, { useLpm, useS, restS }, needed);
					const stepS = 0.02;
					let [p, on, t] = [c.cutOutBar, false, 0];
					while (t < 900) {
						const use = t % (useS + restS) < useS ? useLpm : 0;
						if (!on && p <= c.cutInBar) on = true;
						if (on && p >= c.cutOutBar) on = false;
						p += ((on ? deliveryLpm(c, p) : 0) - use) * (FREE_AIR_BAR / (60 * tankL)) * stepS;
						t += stepS;
						if (use > 0 && p < needed) break;
					}
					if (t < 895 && run.shortAtS !== undefined && run.shortAtS < 890) {
						expect(Math.abs(run.shortAtS - t)).toBeLessThan(
							Math.max(2 * (useS + restS), 0.05 * t + 1)
						);
					}
					if (run.shortAtS === undefined && run.repeats) expect(t).toBeGreaterThanOrEqual(900);
				}
			),
			{ numRuns: 40 }
		);
	});
});

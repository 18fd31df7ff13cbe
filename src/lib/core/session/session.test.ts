import { createRequire } from 'node:module';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deepestRecovered } from './deepest';
import { deliveryLine, deliveryLpm } from './delivery';
import { longestCut, type Tank } from './tank';
import { FREE_AIR_BAR } from '../quantity/units';
import { firstCrossing, settledPeak, type NodePattern } from './node';
import { runSession, runShare, shortAtS } from './run';
import { type RunInputs, type Step } from './runTypes';
import { cyclesPerSpell, type Pattern } from './schedule';
import { traceSession } from './trace';

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

const tank: Tank = {
	line: deliveryLine([
		{ flowLpm: 120, atBar: 4 },
		{ flowLpm: 108, atBar: 5.2 },
		{ flowLpm: 90, atBar: 8 }
	]),
	cutInBar: 6,
	cutOutBar: 8,
	startBar: 8,
	volumeL: 50,
	leakLpm: 0
};
const perLpm = (t: Tank) => FREE_AIR_BAR / (60 * t.volumeL);
const pattern = (arcS: number, restS: number, over: Partial<Pattern> = {}): Pattern => ({
	arcS,
	restS,
	postS: 0,
	shift: null,
	...over
});
const ofAir = (useLpm: number, p: Pattern, neededBar: number, of: Tank = tank): RunInputs => ({
	pattern: p,
	air: { tank: of, useLpm, neededBar },
	nodes: []
});
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('a tank under a pattern', () => {
	it('never falls deeper than from cut-in on, where the pause lifts it to cut-in again', () => {
		const air = { tank, useLpm: 140, neededBar: 4.5 };
		const easy = pattern(10, 200, { postS: 10 });
		const lowest = integrate(
			(p) => perLpm(tank) * (deliveryLpm(tank.line, p) - 140),
			6,
			easy.arcS + easy.postS
		);
		expect(lowest).toBeLessThan(5.9);
		expect(deepestRecovered(air, easy)!.lowestBar).toBeCloseTo(lowest, 6);
		// A pause that is hardly longer than the air after the arc brings nothing back.
		for (const more of [0.1, 2])
			expect(deepestRecovered(air, pattern(10, 10 + more, { postS: 10 }))).toBeUndefined();
		// A compressor that keeps up never falls below cut-in.
		expect(deepestRecovered({ ...air, useLpm: 60 }, easy)!.lowestBar).toBe(6);
	});

	it('falls as the ODE library says, through cut-in and a kink of the delivery', () => {
		const cut = longestCut(tank, 170, 4.5);
		const atCutIn = integrate(() => -perLpm(tank) * 170, 8, cut.offS);
		expect(atCutIn).toBeCloseTo(6, 8);
		const end = integrate((p) => perLpm(tank) * (deliveryLpm(tank.line, p) - 170), 6, cut.onS);
		expect(end).toBeCloseTo(4.5, 5);
	});

	it('falls short at once when a full tank is not enough', () => {
		expect(shortAtS(runSession(ofAir(100, pattern(10, 10), 9)))).toBe(0);
	});

	it('never falls short with a compressor that keeps up, and then reports a bound that holds', () => {
		const big = {
			...tank,
			line: deliveryLine([
				{ flowLpm: 300, atBar: 4 },
				{ flowLpm: 260, atBar: 8 }
			])
		};
		const run = runSession(ofAir(170, pattern(29, 5), 5, big));
		expect(shortAtS(run)).toBeUndefined();
		expect(run.lowestBar).toBeGreaterThanOrEqual(5);
	});

	it('agrees with small steps of the same laws on when it falls short', () => {
		fc.assert(
			fc.property(
				number(80, 240),
				number(5, 60),
				number(0, 60),
				number(10, 200),
				(useLpm, arcS, restS, volumeL) => {
					const of = { ...tank, volumeL };
					const run = runSession(ofAir(useLpm, pattern(arcS, restS), 5, of));
					const short = shortAtS(run);
					const stepS = 0.02;
					let [p, on, t] = [of.cutOutBar, false, 0];
					while (t < 900) {
						const use = t % (arcS + restS) < arcS ? useLpm : 0;
						if (!on && p <= of.cutInBar) on = true;
						if (on && p >= of.cutOutBar) on = false;
						p += ((on ? deliveryLpm(of.line, p) : 0) - use) * perLpm(of) * stepS;
						t += stepS;
						if (use > 0 && p < 5) break;
					}
					if (t < 895 && short !== undefined && short < 890) {
						expect(Math.abs(short - t)).toBeLessThan(Math.max(2 * (arcS + restS), 0.05 * t + 1));
					}
					if (short === undefined && run.repeats) expect(t).toBeGreaterThanOrEqual(900);
				}
			),
			{ numRuns: 40 }
		);
	});

	it('keeps account of every litre: what was there, came and went is what is there, to 1e-9', () => {
		fc.assert(
			fc.property(
				number(60, 240),
				number(2, 60),
				number(1, 90),
				number(0, 15),
				(use, arcS, restS, leak) => {
					const of = { ...tank, leakLpm: leak };
					let [cameL, wentL, end] = [0, 0, of.startBar];
					runSession(
						{
							...ofAir(
								use,
								pattern(arcS, restS, { shift: { hours: 0.5, spellMin: 10, breakMin: 2 } }),
								-Infinity,
								of
							)
						},
						(step) => {
							const wentLpm = (step.phase.air ? use : 0) + leak;
							wentL += (wentLpm * step.durationS) / 60;
							if (step.compressorOn) cameL += deliveredL(of, step);
							end = step.toBar;
						}
					);
					const heldL = ((end - of.startBar) * of.volumeL) / FREE_AIR_BAR;
					expect(Math.abs(heldL - (cameL - wentL))).toBeLessThan(1e-9 * (1 + cameL + wentL));
				}
			),
			{ numRuns: 60 }
		);
	});

	it('lasts no shorter when it is bigger', () => {
		fc.assert(
			fc.property(
				number(130, 260),
				number(5, 120),
				number(5, 60),
				number(10, 400),
				(use, arcS, restS, volumeL) => {
					const at = (l: number) => longestCut({ ...tank, volumeL: l }, use, 5).totalS;
					expect(at(volumeL * 1.4)).toBeGreaterThanOrEqual(at(volumeL));
					expect(arcS + restS).toBeGreaterThan(0);
				}
			)
		);
	});
});

/** ∫ delivery dt along one step, by Gauss-Legendre: independent of the closed form of the pressure. */
function deliveredL(of: Tank, step: Step): number {
	// Five points are exact to the digits of a double for the gentle bend within one short slice.
	const nodes = [0, 0.5384693101056831, 0.906179845938664];
	const weights = [0.5688888888888889, 0.47862867049936647, 0.23692688505618908];
	const slices = Math.ceil(step.durationS / 5);
	let litres = 0;
	for (let i = 0; i < slices; i++) {
		const half = step.durationS / slices / 2;
		const middle = (2 * i + 1) * half;
		nodes.forEach((x, k) => {
			for (const sign of x === 0 ? [1] : [1, -1]) {
				const dt = middle + sign * x * half;
				const { a, b } = step.law;
				const p =
					Math.abs(b) < 1e-12
						? step.fromBar + a * dt
						: a / b + (step.fromBar - a / b) * Math.exp(-b * dt);
				litres += (weights[k]! * half * deliveryLpm(of.line, p)) / 60;
			}
		});
	}
	return litres;
}

describe('the whole session', () => {
	const node = { tauS: 200, targets: [0, 0.4, 2.2, 3.4] as const, start: 0, limit: 1.3 };

	it('is the closed form where the compressor does not matter', () => {
		fc.assert(
			fc.property(
				number(20, 600),
				number(1.05, 6),
				number(5, 300),
				number(1, 300),
				(tauS, hot, arcS, restS) => {
					const plain = { tauS, targets: [0, 0, hot, hot] as const, start: 0, limit: 1 };
					const run = runSession({ pattern: pattern(arcS, restS), air: undefined, nodes: [plain] });
					const closed: NodePattern = {
						tauS,
						onTarget: hot,
						offTarget: 0,
						onS: arcS,
						offS: restS,
						start: 0
					};
					const settled = settledPeak(closed);
					if (Math.abs(settled - 1) < 1e-4) return;
					expect(Math.abs(run.nodes[0]!.peak / settled - 1)).toBeLessThan(1e-3);
					const expected = firstCrossing(closed, 1)?.atS;
					const got = run.nodes[0]!.crossing?.atS;
					if (expected === undefined || expected > 8 * 3600) return;
					expect(got).toBeCloseTo(expected, 4);
				}
			),
			{ numRuns: 60 }
		);
	});

	it('agrees with the ODE library, event by event, on tank and breaker that share a circuit', () => {
		const inputs: RunInputs = {
			pattern: pattern(25, 35, { postS: 10 }),
			air: { tank, useLpm: 170, neededBar: 3 },
			nodes: [node]
		};
		const events: { t: number; p: number; level: number }[] = [];
		runSession(inputs, (step) => {
			events.push({ t: step.startS, p: step.fromBar, level: step.levels[0]! });
			return step.startS > 900;
		});
		// The library integrates both states from one event to the next and must meet the run there.
		let [p, level] = [tank.startBar, 0];
		const steps: Step[] = [];
		runSession(inputs, (step) => {
			steps.push({ ...step, levels: [...step.levels], targets: [...step.targets] });
			return step.startS > 900;
		});
		for (const [i, step] of steps.slice(0, -1).entries()) {
			const use = step.phase.air ? 170 : 0;
			p = integrate(
				(y) => perLpm(tank) * ((step.compressorOn ? deliveryLpm(tank.line, y) : 0) - use),
				p,
				step.durationS
			);
			const target = node.targets[(step.phase.arc ? 2 : 0) + (step.compressorOn ? 1 : 0)]!;
			level = integrate((y) => (target - y) / node.tauS, level, step.durationS);
			expect(p).toBeCloseTo(events[i + 1]!.p, 6);
			expect(level).toBeCloseTo(events[i + 1]!.level, 6);
		}
		expect(steps.length).toBeGreaterThan(40);
	});

	it('keeps account of heat: what went in less what left is what is there, to 1e-9', () => {
		let gain = 0;
		let end = 0;
		runSession(
			{
				pattern: pattern(25, 35, { shift: { hours: 1, spellMin: 20, breakMin: 5 } }),
				air: { tank, useLpm: 170, neededBar: 0 },
				nodes: [node]
			},
			(step) => {
				const [from, target] = [step.levels[0]!, step.targets[0]!];
				end = target + (from - target) * Math.exp(-step.durationS / node.tauS);
				// ∫(target − x)dt/τ over the step, by the mean of x over it.
				const mean =
					target +
					((from - target) * node.tauS * (1 - Math.exp(-step.durationS / node.tauS))) /
						step.durationS;
				gain += ((target - mean) * step.durationS) / node.tauS;
			}
		);
		expect(Math.abs(gain - end)).toBeLessThan(1e-9);
	});

	it('gives breaks their due: a break cools, and a shift ends', () => {
		const plain = pattern(60, 20);
		const work = { ...plain, shift: { hours: 2, spellMin: 30, breakMin: 15 } };
		expect(cyclesPerSpell(work)).toBe(23);
		const levels: number[] = [];
		let last = 0;
		runSession({ pattern: work, air: undefined, nodes: [node] }, (step) => {
			if (step.durationS > 500) levels.push(step.levels[0]!);
			last = step.startS + step.durationS;
		});
		expect(levels.length).toBeGreaterThanOrEqual(2);
		expect(last).toBeCloseTo(7200, 6);
	});

	it('heats a shared breaker more than one of its own', () => {
		fc.assert(
			fc.property(number(5, 90), number(5, 90), (arcS, restS) => {
				const at = (shared: boolean) =>
					runSession({
						pattern: pattern(arcS, restS),
						air: { tank, useLpm: 170, neededBar: 3 },
						nodes: [{ ...node, targets: shared ? node.targets : [0, 0, 2.2, 2.2] }]
					}).nodes[0]!;
				const [shared, alone] = [at(true), at(false)];
				expect(shared.peak).toBeGreaterThanOrEqual(alone.peak - 1e-4);
				expect(shared.crossing?.atS ?? Infinity).toBeLessThanOrEqual(
					(alone.crossing?.atS ?? Infinity) + 1e-6
				);
			}),
			{ numRuns: 40 }
		);
	});

	it('is written down for the chart in step, rising in time and inside its bounds', () => {
		const trace = traceSession(
			{ pattern: pattern(25, 35), air: { tank, useLpm: 170, neededBar: 0 }, nodes: [node] },
			600,
			5
		);
		expect(trace.tankBar).toHaveLength(trace.timeS.length);
		expect(trace.levels[0]).toHaveLength(trace.timeS.length);
		for (let i = 1; i < trace.timeS.length; i++) {
			expect(trace.timeS[i]!).toBeGreaterThanOrEqual(trace.timeS[i - 1]!);
			expect(trace.tankBar[i]!).toBeLessThanOrEqual(8 + 1e-9);
		}
		const run = runSession({
			pattern: pattern(25, 35),
			air: { tank, useLpm: 170, neededBar: 0 },
			nodes: []
		});
		expect(runShare(run)).toBeGreaterThan(0);
	});
});

/**
 * The session solver against a general ODE library (Gragg-Bulirsch-Stoer with dense output), event times
 * to 0.1 %: the same tank, breaker by both curves and cutter heat, compressor on the cutter's breaker.
 */
import { createRequire } from 'node:module';
import { deliveryLpm } from '../../src/lib/core/session/delivery';
import { FREE_AIR_BAR } from '../../src/lib/core/quantity/units';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	fixesFor,
	NO_EVIDENCE,
	type PlanInputs
} from '../../src/lib/core';
import { workings } from '../../src/lib/core/plan/workings';
import { runInputsOf } from '../../src/lib/core/plan/session';
import { runSession } from '../../src/lib/core/session/run';
import { type RunInputs } from '../../src/lib/core/session/runTypes';
import { cycleOf } from '../../src/lib/core/session/schedule';
import { alone, over, type Paced } from './pace';
import { rounds } from './rounds';
import { BAY_2, TROLLEY } from '../demo/benches';

type Dense = (component: number, x: number) => number;
interface OdeSolver {
	denseOutput: boolean;
	absoluteTolerance: number;
	relativeTolerance: number;
	solve(
		f: (x: number, y: number[]) => number[],
		x0: number,
		y0: number[],
		x1: number,
		out?: (n: number, from: number, to: number, y: number[], dense: Dense) => boolean | void
	): { y: number[]; xEnd: number };
}
const { Solver } = createRequire(import.meta.url)('odex') as {
	Solver: new (n: number) => OdeSolver;
};

const HOUR_S = 3600;

function shared(hours: number): PlanInputs {
	const bench = structuredClone(BAY_2);
	bench.supply.loads[0]!.on = bench.supply.circuit;
	return {
		bench,
		cut: DEFAULT_CUT,
		evidence: NO_EVIDENCE,
		work: { ...bench.usual, shift: { hours, spellMin: 720, breakMin: 0 } },
		settings: DEFAULT_SETTINGS,
		chart: null
	};
}

function givenFor(inputs: PlanInputs): RunInputs {
	const w = workings(inputs, { solveAmps: false });
	return runInputsOf(inputs, w.wiring, w.air.line, w.draw, w.heat);
}

/** Switch times of the compressor over the run, s. */
function ours(given: RunInputs): number[] {
	const switches: number[] = [];
	let was = false;
	runSession(given, ({ startS, compressorOn }) => {
		if (compressorOn !== was) switches.push(startS);
		was = compressorOn;
		return false;
	});
	return switches;
}

/** The same by the library: phase by phase, each switch found in the dense output. */
function theirs(given: RunInputs): number[] {
	const { tank, useLpm } = given.air!;
	const perLpm = FREE_AIR_BAR / (60 * tank.volumeL);
	const switches: number[] = [];
	let [t, on] = [0, false];
	let y = [tank.startBar, ...given.nodes.map((node) => node.start)];
	const endS = given.pattern.shift!.hours * HOUR_S;
	while (t < endS) {
		for (const phase of cycleOf(given.pattern)) {
			const endOfPhase = Math.min(endS, t + phase.durationS);
			while (t < endOfPhase - 1e-9) {
				const running = on;
				const use = phase.air ? useLpm : 0;
				const place = (phase.arc ? 2 : 0) + (running ? 1 : 0);
				const limit = running ? tank.cutOutBar : tank.cutInBar;
				const solver = new Solver(y.length);
				solver.denseOutput = true;
				solver.absoluteTolerance = solver.relativeTolerance = 1e-5;
				let found: { at: number; y: number[] } | undefined;
				const end = solver.solve(
					(_, [p, ...levels]) => [
						perLpm * ((running ? deliveryLpm(tank.line, p!) : 0) - use),
						...levels.map((level, k) => {
							const node = given.nodes[k]!;
							return (node.targets[place as 0] - level) / node.tauS;
						})
					],
					t,
					y,
					endOfPhase,
					(n, from, to, state, dense) => {
						const past = running ? state[0]! >= limit : state[0]! <= limit;
						if (n === 1 || !past || Math.abs(y[0]! - limit) < 1e-9) return;
						let [low, high] = [from, to];
						while (high - low > 1e-4) {
							const middle = (low + high) / 2;
							const p = dense(0, middle);
							if (running ? p >= limit : p <= limit) high = middle;
							else low = middle;
						}
						found = { at: high, y: y.map((__, i) => dense(i, high)) };
						return false;
					}
				);
				if (found) {
					t = found.at;
					y = found.y;
					y[0] = limit;
					on = !running;
					switches.push(t);
				} else {
					t = endOfPhase;
					y = end.y;
				}
			}
		}
	}
	return switches;
}

/** Median of so many runs. */
function msOf(run: () => unknown, wanted: number): Paced {
	for (let i = 0; i < 3; i++) run();
	const timed = () => {
		const start = performance.now();
		run();
		return performance.now() - start;
	};
	return alone(timed, wanted, 8 * wanted);
}

export async function benchSession(): Promise<{
	times: Paced[];
	shiftMs: Paced[];
	fixMs: Paced[];
}> {
	const hour = givenFor(shared(1));
	const [mine, other] = [ours(hour), theirs(hour)];
	if (mine.length !== other.length || mine.length < 8) {
		throw new Error(`the solvers switch ${mine.length} and ${other.length} times`);
	}
	mine.forEach((at, i) => {
		if (Math.abs(at - other[i]!) > 1e-3 * at) throw new Error(`switch ${i}: ${at} and ${other[i]}`);
	});
	const shift = givenFor(shared(8));
	const hard: PlanInputs = {
		...shared(8),
		bench: TROLLEY,
		work: { ...TROLLEY.usual, arcS: 60, restS: 30 }
	};
	return {
		times: await rounds(() =>
			over(
				msOf(() => theirs(hour), 9),
				msOf(() => runSession(hour), 101)
			)
		),
		shiftMs: await rounds(() => msOf(() => runSession(shift), 25)),
		fixMs: await rounds(() => msOf(() => fixesFor(hard), 9))
	};
}

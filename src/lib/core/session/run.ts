import {
	pressureAfter,
	runningLaw,
	standingLaw,
	stretchAt,
	timeTo,
	type Law,
	type Tank
} from './tank';
import { deepestRecovered } from './deepest';
import type { FallingStretch, Run, RunInputs, Step } from './runTypes';
import type { NodeRun } from './node';
import { cycleOf, cyclesPerSpell, endS, type Phase } from './schedule';

export type * from './runTypes';

/** A cycle that starts within this of an earlier one, compressor alike, repeats it (a gauge shows 0.1). */
const SAME_BAR = 1e-4;
const SAME_LEVEL = 1e-6;
const EVENTS_MOST = 60_000;
const CYCLES_COMPARED = 48;
const NO_TANK: Tank = {
	line: [{ toBar: Infinity, atZeroLpm: 0, slopeLpmBar: 0 }],
	cutInBar: -Infinity,
	cutOutBar: 0,
	volumeL: 1,
	startBar: 0,
	leakLpm: 0
};

/**
 * Runs the work exactly from event to event: arc, post-flow and pause; cut-in, cut-out and the kinks of
 * the delivery. Cycle by cycle until everything repeats, is bound to hold, or the time is over.
 * Starts with the tank full, the compressor off and everything cold. Times in s, pressures in bar.
 *
 * When the air falls short the work would stop; for the other limits it is carried on with the
 * compressor running, which heats a shared breaker most.
 */
export function runSession(inputs: RunInputs, observe?: (step: Step) => boolean | void): Run {
	const { pattern, air } = inputs;
	const tank = air?.tank ?? NO_TANK;
	const useLpm = air?.useLpm ?? 0;
	const neededBar = air?.neededBar ?? -Infinity;
	const cycle = cycleOf(pattern);
	const endAtS = endS(pattern);
	const perSpell = cyclesPerSpell(pattern);

	const off = { use: standingLaw(tank, useLpm), rest: standingLaw(tank, 0) };
	const running = tank.line.map((stretch) => ({
		use: runningLaw(tank, stretch, useLpm),
		rest: runningLaw(tank, stretch, 0)
	}));

	let p = tank.startBar;
	let on = inputs.compressorOn ?? p <= tank.cutInBar;
	let t = 0;
	let runS = 0;
	let starts = 0;
	let events = 0;
	let stopped = false;
	let shortFrom: FallingStretch | undefined;
	let lowestBar = p;
	let lowest: FallingStretch = { startS: 0, fromBar: p, durationS: 0, law: off.use };
	const { nodes } = inputs;
	const levels = nodes.map((n) => n.start);
	const targets = nodes.map((n) => n.targets[0]);
	const tracked: NodeRun[] = nodes.map((n) => ({
		peak: n.start,
		peakFrom: { level: n.start, target: n.start, durationS: 0 },
		crossing:
			n.start >= n.limit ? { atS: 0, startS: 0, level: n.start, target: n.start } : undefined
	}));

	/** What is left of a difference after a phase without an event, by phase and node: most of them. */
	const decays = new Map(
		cycle.map((phase) => [phase, nodes.map((node) => Math.exp(-phase.durationS / node.tauS))])
	);

	const warm = (dt: number, phase: Phase): void => {
		const whole = dt === phase.durationS ? decays.get(phase) : undefined;
		for (let k = 0; k < nodes.length; k++) {
			const node = nodes[k]!;
			const level = levels[k]!;
			const target = targets[k]!;
			const decay = whole ? whole[k]! : Math.exp(-dt / node.tauS);
			const next = target + (level - target) * decay;
			const track = tracked[k]!;
			if (!track.crossing && next >= node.limit && target > node.limit) {
				const atS = t + node.tauS * Math.log((target - level) / (target - node.limit));
				track.crossing = { atS, startS: t, level, target };
			}
			if (next > track.peak) {
				track.peak = next;
				track.peakFrom = { level, target, durationS: dt };
			}
			levels[k] = next;
		}
	};

	const phaseRun = (phase: Phase): void => {
		let left = Math.min(phase.durationS, endAtS - t);
		while (left > 1e-9 && !stopped) {
			if (events++ >= EVENTS_MOST) {
				stopped = true;
				return;
			}
			let law: Law;
			let target: number;
			if (shortFrom || !air) {
				law = { a: 0, b: 0 };
				target = Infinity;
			} else if (on) {
				const i = stretchAt(tank, p, phase.air ? useLpm : 0);
				law = phase.air ? running[i]!.use : running[i]!.rest;
				const rises = law.a - law.b * p > 0;
				target = rises
					? Math.min(tank.line[i]!.toBar, tank.cutOutBar)
					: i > 0
						? tank.line[i - 1]!.toBar
						: -Infinity;
				if (p >= tank.cutOutBar) target = p;
			} else {
				law = phase.air ? off.use : off.rest;
				target = tank.cutInBar;
			}
			const toTarget = timeTo(target, p, law);
			const dt = Math.min(left, toTarget);
			const reached = dt === toTarget;
			const next = reached ? target : pressureAfter(p, law, dt);
			for (let k = 0; k < nodes.length; k++) {
				targets[k] = nodes[k]!.targets[(phase.arc ? 2 : 0) + (on ? 1 : 0)]!;
			}
			if (
				observe?.({
					startS: t,
					durationS: dt,
					phase,
					compressorOn: on,
					fromBar: p,
					toBar: next,
					law,
					levels,
					targets
				})
			) {
				stopped = true;
				return;
			}
			if (phase.air && air && !shortFrom) {
				if (next < lowestBar) {
					lowestBar = next;
					lowest = { startS: t, fromBar: p, durationS: dt, law };
				}
				if (next < neededBar - 1e-12) {
					shortFrom = {
						startS: t,
						fromBar: p,
						durationS: Math.max(0, timeTo(neededBar, p, law)),
						law
					};
					if (nodes.length === 0 && !observe) {
						t += shortFrom.durationS;
						if (on) runS += shortFrom.durationS;
						stopped = true;
						return;
					}
				}
			}
			warm(dt, phase);
			if (on) runS += dt;
			t += dt;
			left -= dt;
			p = next;
			if (shortFrom) {
				on = true;
			} else if (reached && air) {
				if (on && p >= tank.cutOutBar) on = false;
				else if (!on) {
					on = true;
					starts++;
				}
			}
		}
	};

	const result = (over: Partial<Run>): Run => ({
		shortFrom,
		lowestBar,
		lowest,
		runS,
		spanS: Math.max(t, 1e-9),
		starts,
		repeats: false,
		nodes: tracked,
		end: { timeS: t, bar: p, compressorOn: on, levels },
		...over
	});

	if (p < neededBar) {
		shortFrom = { startS: 0, fromBar: p, durationS: 0, law: off.use };
		if (nodes.length === 0) return result({});
	}
	if (inputs.phases) {
		for (const phase of inputs.phases) phaseRun(phase);
		return result({});
	}
	const repeating = pattern.shift === null && !observe;
	const deepest = repeating && air && nodes.length === 0 && deepestRecovered(air, pattern);
	const seen: {
		p: number;
		on: boolean;
		t: number;
		runS: number;
		starts: number;
		levels: number[];
	}[] = [];
	let cycles = 0;
	while (t < endAtS - 1e-9 && !stopped) {
		if (repeating) {
			if (seen.length === CYCLES_COMPARED && deepest && deepest.lowestBar >= neededBar) {
				return result(deepest);
			}
			const before = seen.find(
				(s) =>
					s.on === on &&
					Math.abs(s.p - p) < SAME_BAR &&
					s.levels.every((level, k) => Math.abs(level - levels[k]!) < SAME_LEVEL * (1 + level))
			);
			if (before) {
				return result({
					repeats: true,
					runS: runS - before.runS,
					spanS: t - before.t,
					starts: starts - before.starts
				});
			}
			if (seen.length < CYCLES_COMPARED) seen.push({ p, on, t, runS, starts, levels: [...levels] });
			else if (nodes.length > 0) seen.shift();
		}
		for (const phase of cycle) phaseRun(phase);
		cycles++;
		if (pattern.shift && cycles % perSpell === 0 && pattern.shift.breakMin > 0) {
			phaseRun({ arc: false, air: false, durationS: pattern.shift.breakMin * 60 });
		}
	}
	return result({});
}

/** Share of the time in which the compressor ran. */
export const runShare = (run: Run): number => run.runS / run.spanS;
/** When the air falls short, s; undefined: never. */
export const shortAtS = (run: Run): number | undefined =>
	run.shortFrom && run.shortFrom.startS + run.shortFrom.durationS;

/** Starts of the compressor an hour. */
export const startsPerH = (run: Pick<Run, 'starts' | 'spanS'>): number =>
	(3600 * run.starts) / run.spanS;

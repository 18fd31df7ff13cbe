import { deepestRecovered } from './deepest';
import type { NodeRun, WarmNode } from './node';
import type { FallingStretch, Run, RunInputs, Step } from './runTypes';
import { cycleOf, cyclesPerSpell, endS, type Phase } from './schedule';
import {
	pressureAfter,
	runningLaw,
	standingLaw,
	stretchAt,
	timeTo,
	type Law,
	type Tank
} from './tank';

export type { NodeRun, WarmNode } from './node';
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
/** The air is no longer followed: it has failed, or comes from no store. */
const STILL: Law = { a: 0, b: 0 };

/** A phase of the cycle with what is left of each node's difference after the whole of it. */
interface TimedPhase extends Phase {
	decays: number[];
}

/** How everything stood at the start of a cycle. */
interface CycleStart {
	bar: number;
	on: boolean;
	timeS: number;
	runS: number;
	starts: number;
	levels: number[];
}

/** The work in time: what the tank, the compressor and the warm nodes do from event to event. */
class SessionInTime {
	readonly #inputs: RunInputs;
	readonly #observe: ((step: Step) => boolean | void) | undefined;
	readonly #tank: Tank;
	readonly #useLpm: number;
	readonly #neededBar: number;
	readonly #nodes: readonly WarmNode[];
	readonly #endS: number;
	/** Laws with the compressor off, and along each stretch with it running; while air flows, and not. */
	readonly #off: { use: Law; rest: Law };
	readonly #running: { use: Law; rest: Law }[];

	#timeS = 0;
	#bar: number;
	#on: boolean;
	#runS = 0;
	#starts = 0;
	#events = 0;
	#stopped = false;
	#shortFrom: FallingStretch | undefined;
	#lowestBar: number;
	#lowest: FallingStretch;
	readonly #levels: number[];
	readonly #targets: number[];
	readonly #tracked: NodeRun[];

	constructor(inputs: RunInputs, observe?: (step: Step) => boolean | void) {
		this.#inputs = inputs;
		this.#observe = observe;
		const { air, nodes, pattern } = inputs;
		this.#tank = air?.tank ?? NO_TANK;
		this.#useLpm = air?.useLpm ?? 0;
		this.#neededBar = air?.neededBar ?? -Infinity;
		this.#nodes = nodes;
		this.#endS = endS(pattern);
		const law = (useLpm: number) => standingLaw(this.#tank, useLpm);
		this.#off = { use: law(this.#useLpm), rest: law(0) };
		this.#running = this.#tank.line.map((stretch) => ({
			use: runningLaw(this.#tank, stretch, this.#useLpm),
			rest: runningLaw(this.#tank, stretch, 0)
		}));
		this.#bar = this.#lowestBar = this.#tank.startBar;
		this.#on = inputs.compressorOn ?? this.#bar <= this.#tank.cutInBar;
		this.#lowest = { startS: 0, fromBar: this.#bar, durationS: 0, law: this.#off.use };
		this.#levels = nodes.map((n) => n.start);
		this.#targets = nodes.map((n) => n.targets[0]);
		this.#tracked = nodes.map(({ start, limit }) => ({
			peak: start,
			peakFrom: { level: start, target: start, durationS: 0 },
			crossing: start >= limit ? { atS: 0, startS: 0, level: start, target: start } : undefined
		}));
	}

	run(): Run {
		const { pattern, phases, air } = this.#inputs;
		if (this.#bar < this.#neededBar) {
			this.#shortFrom = { startS: 0, fromBar: this.#bar, durationS: 0, law: this.#off.use };
			if (this.#nodes.length === 0) return this.#result();
		}
		if (phases) {
			for (const phase of phases) this.#phase(this.#timed(phase));
			return this.#result();
		}
		const cycle = cycleOf(pattern).map((phase) => this.#timed(phase));
		const breakS = (pattern.shift?.breakMin ?? 0) * 60;
		const pause = this.#timed({ arc: false, air: false, durationS: breakS });
		const perSpell = cyclesPerSpell(pattern);
		const repeating = pattern.shift === null && !this.#observe;
		const deepest =
			repeating && air && this.#nodes.length === 0 ? deepestRecovered(air, pattern) : undefined;
		const seen: CycleStart[] = [];
		for (let cycles = 1; this.#timeS < this.#endS - 1e-9 && !this.#stopped; cycles++) {
			if (repeating) {
				const bound = seen.length === CYCLES_COMPARED && deepest;
				if (bound && bound.lowestBar >= this.#neededBar) return { ...this.#result(), ...bound };
				const before = seen.find((start) => this.#isLike(start));
				if (before) return this.#repeating(before);
				if (seen.length < CYCLES_COMPARED) seen.push(this.#cycleStart());
				else if (this.#nodes.length > 0) seen.shift();
			}
			for (const phase of cycle) this.#phase(phase);
			if (breakS > 0 && cycles % perSpell === 0) this.#phase(pause);
		}
		return this.#result();
	}

	#timed(phase: Phase): TimedPhase {
		return {
			...phase,
			decays: this.#nodes.map((node) => Math.exp(-phase.durationS / node.tauS))
		};
	}

	/** One phase, event by event: the compressor switches, or its delivery has a kink. */
	#phase(phase: TimedPhase): void {
		let left = Math.min(phase.durationS, this.#endS - this.#timeS);
		while (left > 1e-9 && !this.#stopped) {
			if (this.#events++ >= EVENTS_MOST) {
				this.#stopped = true;
				return;
			}
			left -= this.#step(phase, left);
		}
	}

	/** Up to the next event, or to the end of what is left of the phase; gives the time that it took, s. */
	#step(phase: TimedPhase, left: number): number {
		const law = this.#law(phase);
		const target = this.#nextEventBar(law);
		const from = this.#bar;
		const end = pressureAfter(from, law, left);
		const reached =
			target === from || (target > from ? end >= target : end <= target && target < from);
		const dt = reached ? Math.min(left, timeTo(target, from, law)) : left;
		const to = reached ? target : end;
		this.#aimNodes(phase);
		if (this.#seen(phase, law, dt, to)) return dt;
		if (phase.air && this.#inputs.air && !this.#shortFrom) {
			this.#watchAir(law, dt, to);
			if (this.#stopped) return dt;
		}
		this.#warm(dt, phase);
		if (this.#on) this.#runS += dt;
		this.#timeS += dt;
		this.#bar = to;
		this.#switch(reached);
		return dt;
	}

	/** How the pressure goes now. */
	#law(phase: Phase): Law {
		if (this.#shortFrom || !this.#inputs.air) return STILL;
		if (!this.#on) return phase.air ? this.#off.use : this.#off.rest;
		const stretch = this.#stretch(phase);
		return phase.air ? this.#running[stretch]!.use : this.#running[stretch]!.rest;
	}
	#at = 0;
	#stretch(phase: Phase): number {
		return (this.#at = stretchAt(this.#tank, this.#bar, phase.air ? this.#useLpm : 0));
	}

	/** Pressure at which something changes: a switch of the compressor, or a kink of its delivery. */
	#nextEventBar({ a, b }: Law): number {
		if (this.#shortFrom || !this.#inputs.air) return Infinity;
		const { line, cutInBar, cutOutBar } = this.#tank;
		if (!this.#on) return cutInBar;
		if (this.#bar >= cutOutBar) return this.#bar;
		const rises = a - b * this.#bar > 0;
		if (rises) return Math.min(line[this.#at]!.toBar, cutOutBar);
		return this.#at > 0 ? line[this.#at - 1]!.toBar : -Infinity;
	}

	#aimNodes({ arc }: Phase): void {
		const state = (arc ? 2 : 0) + (this.#on ? 1 : 0);
		for (let k = 0; k < this.#nodes.length; k++) {
			this.#targets[k] = this.#nodes[k]!.targets[state]!;
		}
	}

	/** Tells whoever watches; true: they have seen enough. */
	#seen(phase: Phase, law: Law, durationS: number, toBar: number): boolean {
		if (!this.#observe) return false;
		const enough = this.#observe({
			startS: this.#timeS,
			durationS,
			phase,
			compressorOn: this.#on,
			fromBar: this.#bar,
			toBar,
			law,
			levels: this.#levels,
			targets: this.#targets
		});
		return (this.#stopped = Boolean(enough));
	}

	/** The lowest pressure while air flows, and the first time it is too low. */
	#watchAir(law: Law, durationS: number, toBar: number): void {
		const from = { startS: this.#timeS, fromBar: this.#bar, law };
		if (toBar < this.#lowestBar) {
			this.#lowestBar = toBar;
			this.#lowest = { ...from, durationS };
		}
		if (toBar >= this.#neededBar - 1e-12) return;
		const shortS = Math.max(0, timeTo(this.#neededBar, this.#bar, law));
		this.#shortFrom = { ...from, durationS: shortS };
		// Without nodes to follow, the work is over.
		if (this.#nodes.length > 0 || this.#observe) return;
		this.#timeS += shortS;
		if (this.#on) this.#runS += shortS;
		this.#stopped = true;
	}

	/** Each node goes towards its target; its peak and its first time at the limit are kept. */
	#warm(dt: number, phase: TimedPhase): void {
		const whole = dt === phase.durationS;
		for (let k = 0; k < this.#nodes.length; k++) {
			const { tauS, limit } = this.#nodes[k]!;
			const level = this.#levels[k]!;
			const target = this.#targets[k]!;
			const decay = whole ? phase.decays[k]! : Math.exp(-dt / tauS);
			const next = target + (level - target) * decay;
			const track = this.#tracked[k]!;
			if (next >= limit && target > limit && !track.crossing) {
				const atS = this.#timeS + tauS * Math.log((target - level) / (target - limit));
				track.crossing = { atS, startS: this.#timeS, level, target };
			}
			if (next > track.peak) {
				track.peak = next;
				track.peakFrom = { level, target, durationS: dt };
			}
			this.#levels[k] = next;
		}
	}

	/** What the compressor does at an event. Once the air is short it runs on, which heats a shared breaker most. */
	#switch(reached: boolean): void {
		if (this.#shortFrom) this.#on = true;
		else if (!reached || !this.#inputs.air) return;
		else if (!this.#on) {
			this.#on = true;
			this.#starts++;
		} else if (this.#bar >= this.#tank.cutOutBar) this.#on = false;
	}

	#cycleStart(): CycleStart {
		return {
			bar: this.#bar,
			on: this.#on,
			timeS: this.#timeS,
			runS: this.#runS,
			starts: this.#starts,
			levels: [...this.#levels]
		};
	}
	#isLike({ on, bar, levels }: CycleStart): boolean {
		return (
			on === this.#on &&
			Math.abs(bar - this.#bar) < SAME_BAR &&
			levels.every((level, k) => Math.abs(level - this.#levels[k]!) < SAME_LEVEL * (1 + level))
		);
	}

	/** What lies between two alike starts goes on for ever. */
	#repeating(before: CycleStart): Run {
		return {
			...this.#result(),
			repeats: true,
			runS: this.#runS - before.runS,
			spanS: this.#timeS - before.timeS,
			starts: this.#starts - before.starts
		};
	}
	#result(): Run {
		return {
			shortFrom: this.#shortFrom,
			lowestBar: this.#lowestBar,
			lowest: this.#lowest,
			runS: this.#runS,
			spanS: Math.max(this.#timeS, 1e-9),
			starts: this.#starts,
			repeats: false,
			nodes: this.#tracked,
			end: {
				timeS: this.#timeS,
				bar: this.#bar,
				compressorOn: this.#on,
				levels: this.#levels
			}
		};
	}
}

/**
 * Runs the work exactly from event to event: arc, post-flow and pause; cut-in, cut-out and the kinks of
 * the delivery. Cycle by cycle until everything repeats, is bound to hold, or the time is over.
 * Starts with the tank full, the compressor off and everything cold. Times in s, pressures in bar.
 *
 * When the air falls short the work would stop; for the other limits it is carried on with the
 * compressor running, which heats a shared breaker most.
 */
export function runSession(inputs: RunInputs, observe?: (step: Step) => boolean | void): Run {
	return new SessionInTime(inputs, observe).run();
}

/** Share of the time in which the compressor ran. */
export const runShare = (run: Run): number => run.runS / run.spanS;
/** When the air falls short, s; undefined: never. */
export const shortAtS = (run: Run): number | undefined =>
	run.shortFrom && run.shortFrom.startS + run.shortFrom.durationS;

/** Starts of the compressor an hour. */
export const startsPerH = (run: Pick<Run, 'starts' | 'spanS'>): number =>
	(3600 * run.starts) / run.spanS;

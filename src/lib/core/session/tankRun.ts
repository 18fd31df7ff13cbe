import { fallBarS, pressureAfter, runningLaw, timeTo, type Compressor } from '../air/tank';

/** How air is used in one cycle: arc and post-flow at the cutter's flow, then nothing. */
export interface AirPattern {
	useLpm: number;
	useS: number;
	restS: number;
}

/** The last falling stretch before the lowest point, so that its figure can be worked out by hand. */
export interface FallingStretch {
	fromBar: number;
	durationS: number;
	/** dp/dt = a − b·p in it, bar/s and 1/s. */
	a: number;
	b: number;
}

export interface TankRun {
	/** First time the tank is below the pressure needed while air is used; undefined: never. */
	shortAtS: number | undefined;
	/** Start and level of the stretch in which it falls short. */
	shortFrom?: FallingStretch & { startS: number };
	/** Lowest pressure while air is used. */
	lowestBar: number;
	lowest: FallingStretch;
	/** Share of the time in which the compressor ran; starts it made in all. */
	runShare: number;
	starts: number;
	/** Running and whole time behind that share: one repetition, or all up to the end. */
	runS: number;
	spanS: number;
	repeats: boolean;
}

const HORIZON_S = 8 * 3600;
/** A cycle that starts within this of an earlier one, compressor alike, repeats it (a gauge shows 0.1). */
const SAME_BAR = 1e-4;
const EVENTS_MOST = 4000;
const CYCLES_COMPARED = 48;

/**
 * The deepest fall that any phase of compressor and arc can bring about, if one cycle recovers it:
 * the compressor starts just as the air begins to flow, and the pause lifts the tank to cut-in again.
 * Then no cycle ever ends lower, however long the two drift against each other.
 */
function deepestRecovered(
	c: Compressor,
	pattern: AirPattern,
	using: { a: number; b: number },
	idle: { a: number; b: number }
): { lowestBar: number; lowest: FallingStretch } | undefined {
	const lowestBar = pressureAfter(c.cutInBar, using.a, using.b, pattern.useS);
	if (lowestBar >= c.cutInBar) {
		return {
			lowestBar: c.cutInBar,
			lowest: { fromBar: c.cutInBar, durationS: 0, a: using.a, b: 0 }
		};
	}
	const recovers = pressureAfter(lowestBar, idle.a, idle.b, pattern.restS) >= c.cutInBar;
	const lowest = { fromBar: c.cutInBar, durationS: pattern.useS, a: using.a, b: using.b };
	return recovers ? { lowestBar, lowest } : undefined;
}

/**
 * Runs the tank under a repeating pattern, exactly between events (cut-in, cut-out, use on and off),
 * cycle by cycle until it repeats, falls short of `neededBar`, is bound to hold, or 8 hours have passed.
 * Starts full, compressor off.
 */
export function runTank(c: Compressor, pattern: AirPattern, neededBar: number): TankRun {
	const using = { ...runningLaw(c, pattern.useLpm), fall: fallBarS(c, pattern.useLpm) };
	const idle = { ...runningLaw(c, 0), fall: 0 };
	let p = c.cutOutBar;
	let on = p <= c.cutInBar;
	let t = 0;
	let runS = 0;
	let starts = 0;
	let events = 0;
	let lowestBar = p;
	let lowest: FallingStretch = { fromBar: p, durationS: 0, a: -using.fall, b: 0 };
	const seen: { p: number; on: boolean; t: number; runS: number }[] = [];

	/** Runs one stretch of use or rest; returns the moment it falls short, if it does. */
	const stretch = (use: boolean, durationS: number): TankRun['shortFrom'] => {
		let left = durationS;
		while (left > 1e-9 && events++ < EVENTS_MOST) {
			const law = use ? using : idle;
			const a = on ? law.a : -law.fall;
			const b = on ? law.b : 0;
			const switchBar = on ? c.cutOutBar : c.cutInBar;
			const toSwitch = on && p >= c.cutOutBar ? 0 : timeTo(switchBar, p, a, b);
			const dt = Math.min(left, toSwitch);
			const next = dt === toSwitch ? switchBar : pressureAfter(p, a, b, dt);
			if (use && next < lowestBar) {
				lowestBar = next;
				lowest = { fromBar: p, durationS: dt, a, b };
			}
			if (use && next < neededBar) {
				return { startS: t, fromBar: p, durationS: timeTo(neededBar, p, a, b), a, b };
			}
			if (on) runS += dt;
			t += dt;
			left -= dt;
			p = next;
			if (dt === toSwitch) {
				on = !on;
				if (on) starts++;
			}
		}
		return undefined;
	};

	const result = (over: Partial<TankRun>): TankRun => ({
		shortAtS: undefined,
		lowestBar,
		lowest,
		runShare: t > 0 ? runS / t : 0,
		starts,
		runS,
		spanS: Math.max(t, 1e-9),
		repeats: false,
		...over
	});

	if (p < neededBar) {
		const from = { startS: 0, fromBar: p, durationS: 0, a: -using.fall, b: 0 };
		return result({ shortAtS: 0, shortFrom: from });
	}
	const deepest = deepestRecovered(c, pattern, using, idle);
	while (t < HORIZON_S && events < EVENTS_MOST) {
		if (seen.length === CYCLES_COMPARED && deepest && deepest.lowestBar >= neededBar) {
			return result(deepest);
		}
		for (const before of seen) {
			if (before.on === on && Math.abs(before.p - p) < SAME_BAR) {
				const spanS = t - before.t;
				const ranS = runS - before.runS;
				return result({ repeats: true, runShare: ranS / spanS, runS: ranS, spanS });
			}
		}
		if (seen.length < CYCLES_COMPARED) seen.push({ p, on, t, runS });
		const short = stretch(true, pattern.useS);
		if (short) return result({ shortAtS: short.startS + short.durationS, shortFrom: short });
		stretch(false, pattern.restS);
	}
	return result({});
}

/**
 * One warming node under a repeating pattern of on and off, in closed form:
 * τ·dx/dt = target − x, target `onTarget` while on, `offTarget` while off.
 * Serves the breaker's bimetal and the cutter's hot spot alike.
 */
export interface NodePattern {
	tauS: number;
	onTarget: number;
	offTarget: number;
	onS: number;
	offS: number;
	start: number;
}

/** Peak of the settled cycle, at the end of an on-phase. */
export function settledPeak(p: NodePattern): number {
	if (p.offS <= 0) return p.onTarget;
	const a = Math.exp(-p.onS / p.tauS);
	const b = Math.exp(-p.offS / p.tauS);
	return (p.onTarget * (1 - a) + p.offTarget * a * (1 - b)) / (1 - a * b);
}

export interface Crossing {
	/** From the first start, s. */
	atS: number;
	/** Start of the on-phase in which it happens, s, and the level then. */
	phaseStartS: number;
	phaseStartLevel: number;
}

/**
 * First time the level reaches `limit`, or undefined when it never does.
 * The level at the start of on-phase n is x∞ + (x0 − x∞)·r^n, so the phase is found without stepping.
 */
export function firstCrossing(p: NodePattern, limit: number): Crossing | undefined {
	const reach = (level: number, phaseStartS: number): Crossing => ({
		atS: phaseStartS + p.tauS * Math.log((p.onTarget - level) / (p.onTarget - limit)),
		phaseStartS,
		phaseStartLevel: level
	});
	if (p.start >= limit) return { atS: 0, phaseStartS: 0, phaseStartLevel: p.start };
	if (!(p.onTarget > limit)) return undefined;
	if (p.offS <= 0) return reach(p.start, 0);
	const peak = settledPeak(p);
	if (!(peak > limit)) return undefined;

	const a = Math.exp(-p.onS / p.tauS);
	const b = Math.exp(-p.offS / p.tauS);
	const settledStart = p.offTarget + (peak - p.offTarget) * b;
	// Level at a phase start from which this very on-phase ends at the limit.
	const needed = p.onTarget - (p.onTarget - limit) / a;
	let cycles = 0;
	if (p.start < needed) {
		const ratio = (settledStart - needed) / (settledStart - p.start);
		cycles = Math.max(0, Math.ceil(Math.log(ratio) / Math.log(a * b) - 1e-9));
	}
	const level = settledStart + (p.start - settledStart) * (a * b) ** cycles;
	return reach(level, cycles * (p.onS + p.offS));
}

/** Places of what grows warm in a session: the breaker at the earliest that it may trip, at the latest, and the cutter. */
export const NODES = { earliest: 0, latest: 1, cutter: 2 } as const;

/** How warm something gets over the work. */
export interface Warmth {
	node: WarmNode;
	peak: number;
	/** By the closed form of a plain pattern, or from the run, whose last stretch this is. */
	from: NodeRun['peakFrom'] | undefined;
	crossing: NodeRun['crossing'];
}

/**
 * Something that warms: τ·dx/dt = target − x. Its target depends on whether the arc is on and whether
 * the compressor runs: [neither, compressor, arc, both].
 */
export interface WarmNode {
	tauS: number;
	targets: readonly [number, number, number, number];
	start: number;
	limit: number;
}

export interface NodeRun {
	/** Highest level, and the stretch that ends there. */
	peak: number;
	peakFrom: { level: number; target: number; durationS: number };
	/** First time at the limit, and the stretch in which it comes. */
	crossing: { atS: number; startS: number; level: number; target: number } | undefined;
}

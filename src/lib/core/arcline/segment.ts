/**
 * From readings to arcs, failed starts, lamp and gaps. Thresholds have hysteresis; an edge lies half way
 * between two readings, so its error is that of the rate. Own model; thresholds [own].
 */
import { isPlausible, type Reading } from './batch';

/** Work lead: an arc burns from here, and no more below that, A. */
export const ON_A = 8;
export const OFF_A = 4;
/** Shorter is a spike of the clamp, s. */
export const SPIKE_S = 0.15;
/** An arc that comes back sooner was never out: mesh, a gap, a jump of the hand, s. */
export const REJOIN_S = 0.25;
/** Inlet this far below its rest: air flows; and no more from here, bar. */
export const FLOW_BAR = 0.15;
const STILL_BAR = 0.08;
/** A step of the cutter's own mains current: its pilot burns, A. */
export const PILOT_A = 2;
const PILOT_OFF_A = 1;
/** Air, or pilot, without an arc: shorter is a knock at the hose, longer is somebody who sets the pressure, s. */
export const FAILED_S = [0.3, 12] as const;
/** Rest levels are followed so slowly towards a draw, and so fast away from it, s. */
const REST_TAU_S = 20;
const BACK_TAU_S = 1;
/** Without a reading for so long nobody knows what was, ms; or so many times the usual distance. */
export const GAP_MS = 1500;
const GAP_TIMES = 8;

export interface ArcSeen {
	kind: 'arc';
	fromMs: number;
	toMs: number;
	arcS: number;
	/** One standard deviation of arcS, from the rate alone, s. */
	errorS: number;
	/** Mean, its first and last reading left out where there are more; null: none to be believed. */
	meanA: number | null;
	/** Mean while it burnt, from half a second on, bar. */
	inletBar: number | null;
	/** Mean of the tank over the same readings, and its lowest, bar. */
	tankBar: number | null;
	tankLowBar: number | null;
	/** Begun and ended in sight; else readings are missing, and it teaches nothing. */
	whole: boolean;
}
export interface FailedSeen {
	kind: 'failed';
	fromMs: number;
	toMs: number;
	by: 'inlet' | 'mains';
}
export interface LampSeen {
	kind: 'lamp';
	fromMs: number;
	toMs: number;
	/** Came on in an arc that began in sight: when; null: it did not. */
	arcFromMs: number | null;
	meanA: number | null;
}
export interface GapSeen {
	kind: 'gap';
	fromMs: number;
	toMs: number;
}
export type Seen = ArcSeen | FailedSeen | LampSeen | GapSeen;

export interface Segmented {
	seen: Seen[];
	/** Before this nothing is open any more: readings up to it need not be looked at again. */
	quietMs: number;
	/** As it stands at the last reading. */
	now: {
		arcSinceMs: number | null;
		flowing: boolean;
		hotSinceMs: number | null;
		last: Reading | null;
	};
	/** Usual distance of two readings, s; null: fewer than two. */
	intervalS: number | null;
	/** Values that cannot be, up to `quietMs`, and after it. */
	implausible: number;
	implausibleSince: number;
}

/** Middle of the distances; a few gaps do not move it. */
function usualMs(readings: readonly Reading[]): number | null {
	const steps = readings
		.slice(1, 402)
		.map(({ atMs }, k) => atMs - readings[k]!.atMs)
		.filter((ms) => ms > 0)
		.sort((a, b) => a - b);
	return steps.length ? steps[Math.floor(steps.length / 2)]! : null;
}

/**
 * What a rate can tell: the error of an arc's length (two edges, each anywhere between two readings:
 * Δ/√6), and the shortest arc that is never missed.
 */
export const rateTells = (intervalS: number): { arcErrorS: number; shortestS: number } => ({
	arcErrorS: intervalS / Math.sqrt(6),
	shortestS: Math.max(intervalS, SPIKE_S)
});
/** Starts want so many readings a second (a touch lasts some tenths). */
export const RATE_WANTED_HZ = 10;

const mean = (list: readonly number[]): number | null =>
	list.length ? list.reduce((sum, x) => sum + x, 0) / list.length : null;

interface OpenArc {
	fromMs: number;
	firstMs: number;
	arcA: number[];
	inletBar: number[];
	tankBar: number[];
	whole: boolean;
	/** Ended there, unless it comes back at once. */
	toMs: number | null;
}
interface OpenTry {
	fromMs: number;
	by: FailedSeen['by'];
	/** An arc burnt in it, or before it without a pause: no failed start, but post-flow. */
	arced: boolean;
}

/** A level at rest, followed while nothing draws on it; `away`: the sign of what leads away from a draw. */
class Rest {
	#level: number | undefined;
	constructor(readonly away: 1 | -1) {}
	get level(): number | undefined {
		return this.#level;
	}
	follow(value: number, stepS: number): void {
		this.#level =
			this.#level === undefined
				? value
				: this.#level +
					(value - this.#level) *
						(1 -
							Math.exp(-stepS / (this.away * (value - this.#level) > 0 ? BACK_TAU_S : REST_TAU_S)));
	}
	reset(value: number): void {
		this.#level = value;
	}
}

/** The pass over the readings; one reading at a time. */
class Segmenter {
	readonly seen: Seen[] = [];
	quietMs: number;
	implausible = 0;
	#implausibleOpen = 0;
	get implausibleSince(): number {
		return this.#implausibleOpen;
	}
	#before: Reading | undefined;
	#arc: OpenArc | undefined;
	#try: OpenTry | undefined;
	#lamp: { fromMs: number; arcFromMs: number | null; meanA: number | null } | undefined;
	// Flow pulls the inlet down; a pilot pulls mains current up.
	#inletRest = new Rest(1);
	#mainsRest = new Rest(-1);

	constructor(
		startMs: number,
		readonly intervalMs: number
	) {
		this.quietMs = startMs;
	}

	get now(): Segmented['now'] {
		return {
			arcSinceMs: this.#arc && this.#arc.toMs === null ? this.#arc.fromMs : null,
			flowing: this.#try !== undefined,
			hotSinceMs: this.#lamp?.fromMs ?? null,
			last: this.#before ?? null
		};
	}

	take(reading: Reading): void {
		const before = this.#before;
		const stepMs = before ? reading.atMs - before.atMs : 0;
		if (before && stepMs > Math.max(GAP_MS, GAP_TIMES * this.intervalMs)) {
			this.lost(before.atMs);
			this.seen.push({ kind: 'gap', fromMs: before.atMs, toMs: reading.atMs });
			this.#before = undefined;
		}
		const believed = this.#believed(reading);
		const edgeMs = this.#before ? (this.#before.atMs + reading.atMs) / 2 : reading.atMs;
		this.#follow(believed, edgeMs);
		this.#watch(believed, edgeMs, stepMs / 1000);
		this.#light(believed, edgeMs);
		this.#before = believed;
		if (!this.#arc && !this.#try && !this.#lamp) this.#quiet(reading.atMs);
	}

	#believed(reading: Reading): Reading {
		const ok = (channel: Exclude<keyof Reading, 'atMs'>) => {
			const value = reading[channel];
			if (value === null || isPlausible(channel, value)) return value;
			this.#implausibleOpen++;
			return null;
		};
		return {
			atMs: reading.atMs,
			arcA: ok('arcA'),
			inletBar: ok('inletBar'),
			tankBar: ok('tankBar'),
			mainsA: ok('mainsA'),
			hotLamp: ok('hotLamp')
		};
	}

	/** The arc by the work lead. A reading that cannot be believed leaves it as it is. */
	#follow({ atMs, arcA, inletBar, tankBar }: Reading, edgeMs: number): void {
		const open = this.#arc;
		const burns =
			arcA === null
				? open !== undefined && open.toMs === null
				: arcA >= (open && open.toMs === null ? OFF_A : ON_A);
		if (open && open.toMs !== null) {
			if (burns && edgeMs - open.toMs <= 1000 * REJOIN_S) open.toMs = null;
			else if (atMs - open.toMs > 1000 * REJOIN_S) this.#closeArc();
		}
		if (burns && !this.#arc) {
			this.#arc = {
				fromMs: edgeMs,
				firstMs: atMs,
				arcA: [],
				inletBar: [],
				tankBar: [],
				// At the very first reading it burnt already.
				whole: this.#before !== undefined,
				toMs: null
			};
		}
		const arc = this.#arc;
		if (arc && arc.toMs === null) {
			if (!burns) arc.toMs = edgeMs;
			else {
				if (arcA !== null) arc.arcA.push(arcA);
				const settled = atMs - arc.fromMs >= 500;
				if (settled && inletBar !== null) arc.inletBar.push(inletBar);
				if (settled && tankBar !== null) arc.tankBar.push(tankBar);
			}
		}
	}
	#closeArc(): void {
		const arc = this.#arc!;
		this.#arc = undefined;
		const toMs = arc.toMs!;
		const arcS = (toMs - arc.fromMs) / 1000;
		if (arcS < SPIKE_S) return;
		const inner = arc.arcA.length > 2 ? arc.arcA.slice(1, -1) : arc.arcA;
		const { arcErrorS } = rateTells(this.intervalMs / 1000);
		this.seen.push({
			kind: 'arc',
			fromMs: arc.fromMs,
			toMs,
			arcS,
			errorS: arcErrorS,
			meanA: mean(inner),
			inletBar: mean(arc.inletBar),
			tankBar: mean(arc.tankBar),
			tankLowBar: arc.tankBar.length ? Math.min(...arc.tankBar) : null,
			whole: arc.whole
		});
	}

	/** Air, or pilot, without an arc: a failed start, where a second sensor tells of it. */
	#watch({ inletBar, mainsA }: Reading, edgeMs: number, stepS: number): void {
		const [inletRest, mainsRest] = [this.#inletRest.level, this.#mainsRest.level];
		const open = this.#try;
		const flows =
			inletBar !== null &&
			inletRest !== undefined &&
			inletRest - inletBar >= (open ? STILL_BAR : FLOW_BAR);
		const draws =
			mainsA !== null &&
			mainsRest !== undefined &&
			mainsA - mainsRest >= (open ? PILOT_OFF_A : PILOT_A);
		const burns = this.#arc !== undefined;
		if (flows || draws || burns) {
			if (!open) this.#try = { fromMs: edgeMs, by: draws ? 'mains' : 'inlet', arced: burns };
			else {
				open.arced ||= burns;
				if (draws) open.by = 'mains';
				// The set-point was turned: what flows for so long is the new rest.
				if (!burns && edgeMs - open.fromMs > 60_000) {
					if (inletBar !== null) this.#inletRest.reset(inletBar);
					if (mainsA !== null) this.#mainsRest.reset(mainsA);
					this.#try = undefined;
				}
			}
			return;
		}
		if (open) {
			this.#try = undefined;
			const lastedS = (edgeMs - open.fromMs) / 1000;
			if (!open.arced && lastedS >= FAILED_S[0] && lastedS <= FAILED_S[1])
				this.seen.push({ kind: 'failed', fromMs: open.fromMs, toMs: edgeMs, by: open.by });
		}
		if (inletBar !== null) this.#inletRest.follow(inletBar, stepS);
		if (mainsA !== null) this.#mainsRest.follow(mainsA, stepS);
	}

	#light({ hotLamp }: Reading, edgeMs: number): void {
		if (hotLamp === null) return;
		if (hotLamp >= 0.5 && !this.#lamp) {
			const arc = this.#arc;
			this.#lamp = {
				fromMs: edgeMs,
				arcFromMs: arc?.whole ? arc.fromMs : null,
				meanA: arc ? mean(arc.arcA) : null
			};
		} else if (hotLamp < 0.5 && this.#lamp) {
			this.seen.push({ kind: 'lamp', toMs: edgeMs, ...this.#lamp });
			this.#lamp = undefined;
		}
	}

	/** Readings are missing from here on: what is open ends in the dark. */
	lost(lastMs: number): void {
		if (this.#arc) {
			if (this.#arc.toMs === null) {
				this.#arc.toMs = lastMs;
				this.#arc.whole = false;
			}
			this.#closeArc();
		}
		this.#try = undefined;
		if (this.#lamp) {
			// When it went out nobody saw: it tells no recovery.
			this.seen.push({ kind: 'lamp', toMs: this.#lamp.fromMs, ...this.#lamp });
			this.#lamp = undefined;
		}
		this.#quiet(lastMs);
	}
	#quiet(atMs: number): void {
		this.quietMs = atMs;
		this.implausible += this.#implausibleOpen;
		this.#implausibleOpen = 0;
	}
}

/**
 * Readings in the order of their times, from a moment at which nothing was open. What is not over at the
 * last reading is not told, unless no more will come (`ended`); `quietMs` says from where to look again.
 */
export function segmented(readings: readonly Reading[], { ended = false } = {}): Segmented {
	const usual = usualMs(readings);
	const segmenter = new Segmenter(readings[0]?.atMs ?? 0, usual ?? GAP_MS);
	for (const reading of readings) segmenter.take(reading);
	const { now } = segmenter;
	if (ended && readings.length) segmenter.lost(readings.at(-1)!.atMs);
	const { seen, quietMs, implausible, implausibleSince } = segmenter;
	return {
		seen,
		quietMs,
		now,
		intervalS: usual === null ? null : usual / 1000,
		implausible,
		implausibleSince
	};
}

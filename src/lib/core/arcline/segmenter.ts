/** The pass over readings, one at a time. */
import { isPlausible, type Reading } from './batch';
import {
	BACK_TAU_S,
	FAILED_S,
	FLOW_BAR,
	GAP_MS,
	GAP_TIMES,
	OFF_A,
	ON_A,
	PILOT_A,
	PILOT_OFF_A,
	rateTells,
	REJOIN_S,
	REST_TAU_S,
	SPIKE_S,
	STILL_BAR
} from './thresholds';
import type { FailedSeen, Seen, Segmented } from './events';

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
export class Segmenter {
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

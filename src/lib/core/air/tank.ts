import { FREE_AIR_BAR } from './flow';

/**
 * Tank and compressor: V·dp/dt = p_n·(Q_comp(p)·on − Q_use), isothermal, p in bar gauge.
 * Delivery falls along a straight line with pressure, so between events the pressure follows
 * dp/dt = a − b·p exactly.
 */
export interface Compressor {
	/** Free air at `p1Bar` and `p2Bar`, l/min, altitude and measurements included. */
	q1Lpm: number;
	p1Bar: number;
	q2Lpm: number;
	p2Bar: number;
	cutInBar: number;
	cutOutBar: number;
	tankL: number;
}

/** Free air delivered at a tank pressure, l/min. */
export function deliveryLpm(c: Compressor, pressureBar: number): number {
	return c.q1Lpm + ((c.q2Lpm - c.q1Lpm) * (pressureBar - c.p1Bar)) / (c.p2Bar - c.p1Bar);
}

/** a in bar/s and b in 1/s of dp/dt = a − b·p while the compressor runs and `useLpm` leaves. */
export function runningLaw(c: Compressor, useLpm: number): { a: number; b: number } {
	const perLpm = FREE_AIR_BAR / (60 * c.tankL);
	const slope = (c.q2Lpm - c.q1Lpm) / (c.p2Bar - c.p1Bar);
	return { a: perLpm * (c.q1Lpm - slope * c.p1Bar - useLpm), b: -perLpm * slope };
}

/** bar/s by which the pressure falls with the compressor off. */
export function fallBarS(c: Compressor, useLpm: number): number {
	return (FREE_AIR_BAR * useLpm) / (60 * c.tankL);
}

/** Pressure after `dtS` under dp/dt = a − b·p. */
export function pressureAfter(p0: number, a: number, b: number, dtS: number): number {
	if (Math.abs(b) < 1e-12) return p0 + a * dtS;
	return a / b + (p0 - a / b) * Math.exp(-b * dtS);
}

/** Time until the pressure reaches `target` under dp/dt = a − b·p; Infinity when it never does. */
export function timeTo(target: number, p0: number, a: number, b: number): number {
	if (target === p0) return 0;
	const rate = a - b * p0;
	if (rate === 0 || rate > 0 !== target > p0) return Infinity;
	if (Math.abs(b) < 1e-12) return (target - p0) / a;
	const level = a / b;
	const ratio = (p0 - level) / (target - level);
	return ratio > 1 ? Math.log(ratio) / b : Infinity;
}

export interface LongestCut {
	/** Infinity: the compressor keeps up. */
	totalS: number;
	/** With the compressor still off, and then with it running. */
	offS: number;
	onS: number;
}

/** Longest single cut from a full tank until it falls to `neededBar`. */
export function longestCut(c: Compressor, useLpm: number, neededBar: number): LongestCut {
	const startsAt = Math.max(c.cutInBar, neededBar);
	if (!(c.cutOutBar > neededBar)) return { totalS: 0, offS: 0, onS: 0 };
	const offS = (c.cutOutBar - startsAt) / fallBarS(c, useLpm);
	if (neededBar >= c.cutInBar) return { totalS: offS, offS, onS: 0 };
	const { a, b } = runningLaw(c, useLpm);
	const onS = timeTo(neededBar, c.cutInBar, a, b);
	return { totalS: offS + onS, offS, onS };
}

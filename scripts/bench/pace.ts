/**
 * Whose core it is. A core that is shared with somebody else's work does half as much, for a moment or for
 * minutes (decision 0044). A short fixed piece of work before and after each sample tells; what was taken
 * while the core was shared says something of the neighbour, and does not count.
 */
import { median } from './rounds';

/**
 * Eight chains of sums beside each other, which fill a core as a program does: one chain alone takes as long on
 * half of it.
 */
function work(): number {
	let [a, b, c, d, e, f, g, h] = [1, 2, 3, 4, 5, 6, 7, 8];
	for (let i = 0; i < 200_000; i++) {
		a = (a * 3 + i) | 0;
		b = ((b * 5) ^ i) | 0;
		c = (c + a) | 0;
		d = (d ^ b) | 0;
		e = (e * 7 + i) | 0;
		f = (f + e) | 0;
		g = ((g * 9) ^ i) | 0;
		h = (h + g) | 0;
	}
	return a + b + c + d + e + f + g + h;
}
function workMs(): number {
	const from = performance.now();
	work();
	return performance.now() - from;
}

/** So much longer than at its best, and somebody else is on the core. */
const SHARED = 1.25;

export interface Paced {
	/** Of the samples that count. */
	value: number;
	/** Of all of them. */
	ofAll: number;
	counted: number;
	taken: number;
}

let bestMs = Infinity;
function coreIsOurs(): boolean {
	if (bestMs === Infinity) for (let i = 0; i < 50; i++) work();
	const ms = median([workMs(), workMs(), workMs()]);
	bestMs = Math.min(bestMs, ms);
	return ms <= SHARED * bestMs;
}

/**
 * Measures until `wanted` samples count, or `most` are taken; then, if fewer than a third of the wanted count,
 * all do. Of work in this process: what runs elsewhere may have another core.
 */
export function alone(measure: () => number, wanted: number, most: number): Paced {
	const all: number[] = [];
	const counted: number[] = [];
	let before = coreIsOurs();
	while (counted.length < wanted && all.length < most) {
		const value = measure();
		const after = coreIsOurs();
		all.push(value);
		if (before && after) counted.push(value);
		before = after;
	}
	const used = counted.length * 3 >= wanted ? counted : all;
	return { value: median(used), ofAll: median(all), counted: counted.length, taken: all.length };
}

/** One over the other. */
export const over = (a: Paced, b: Paced): Paced => ({
	value: a.value / b.value,
	ofAll: a.ofAll / b.ofAll,
	counted: a.counted + b.counted,
	taken: a.taken + b.taken
});

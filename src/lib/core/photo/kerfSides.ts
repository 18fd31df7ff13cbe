/** The two sides of a slot beside a rule. */
import { median, type Point, robustSpread } from './ellipse';
import { type Light, lightAt } from './light';
import type { Rule } from './rule';
import { blurredStep } from './step';

export interface Run {
	/** Rows in which the slot is looked for. */
	from: number;
	to: number;
}
/** Rows beside the rule: the larger part of the picture that it leaves. */
export function beside(turn: Light, rule: Rule, stepPx: number): Run {
	const clear = 1.2 * stepPx;
	const above: Run = { from: 2, to: Math.floor(rule.from - clear) };
	const below: Run = { from: Math.ceil(rule.to + clear), to: turn.height - 2 };
	return above.to - above.from >= below.to - below.from ? above : below;
}

/** The slot's dark middle: x = at + lean·y. */
export function darkLine(turn: Light, rows: Run, pxPerMm: number) {
	const { width, values } = turn;
	const wide = Math.max(3, Math.round(0.5 * pxPerMm));
	const points: Point[] = [];
	const margin = Math.round(pxPerMm);
	for (let y = rows.from; y < rows.to; y += 2) {
		let sum = 0;
		let least = Infinity;
		let where = 0;
		for (let x = margin; x < width - margin; x++) {
			sum += values[y * width + x]!;
			if (x >= margin + wide) sum -= values[y * width + x - wide]!;
			if (x >= margin + wide - 1 && sum < least) [least, where] = [sum, x - (wide - 1) / 2];
		}
		points.push({ x: where, y });
	}
	if (points.length < 20) return undefined;
	const some = points.filter((_, i) => i % Math.ceil(points.length / 90) === 0);
	const lean = median(
		some.map((p) => median(some.filter((q) => q.y !== p.y).map((q) => (q.x - p.x) / (q.y - p.y))))
	);
	const at = median(points.map(({ x, y }) => x - lean * y));
	const near = points.filter(({ x, y }) => Math.abs(x - at - lean * y) < 2.5 * pxPerMm);
	if (near.length < 0.7 * points.length || Math.abs(lean) > 0.14) return undefined;
	return { at, lean };
}

/** So far out from its middle a side is looked for. */
export const REACH_MM = 6;
export const CHUNKS = 18;
/** Light out from the dark line on one side, over some rows. */
export function outward(
	turn: Light,
	line: { at: number; lean: number },
	rows: Run,
	way: 1 | -1,
	n: number
): Float64Array {
	const out = new Float64Array(n);
	for (let y = rows.from; y < rows.to; y++) {
		const x = line.at + line.lean * y;
		for (let i = 0; i < n; i++) out[i]! += lightAt(turn, x + way * i, y);
	}
	for (let i = 0; i < n; i++) out[i]! /= Math.max(1, rows.to - rows.from);
	return out;
}

/** The outermost clear step: how far out, and how blurred. */
export function edgeOut(
	profile: Float64Array,
	pxPerMm: number
): { at: number; sigma: number } | undefined {
	const n = profile.length;
	const gap = Math.min(...profile.slice(0, Math.ceil(0.4 * pxPerMm) + 1));
	const plate = median([...profile.slice(Math.floor(0.55 * n))]);
	const rise = plate - gap;
	if (rise < 0.02) return undefined;
	const change = (i: number) => profile[Math.min(n - 1, i + 1)]! - profile[Math.max(0, i - 1)]!;
	let steepest = 0;
	for (let i = 1; i < n - 1; i++) steepest = Math.max(steepest, Math.abs(change(i)));
	const reach = 6;
	/** As a blurred step: where, how blurred, how high. */
	const stepNear = (i: number) => {
		const from = Math.max(0, i - reach);
		const part = profile.slice(from, Math.min(n, i + reach + 1));
		const step = blurredStep(part, 1, i - from, 1, 0.4 * pxPerMm + 1, false);
		if (!step || Math.abs(step.at + from - i) > 2) return undefined;
		return { at: step.at + from, sigma: step.sigma, high: Math.abs(step.to - step.from) };
	};
	const clear = Math.max(STEEP_SHARE * steepest, 0.05 * rise);
	const steps: NonNullable<ReturnType<typeof stepNear>>[] = [];
	for (let i = n - 3; i >= 1; i--) {
		const here = Math.abs(change(i));
		if (here < clear || here < Math.abs(change(i - 1)) || here < Math.abs(change(i + 1))) continue;
		const step = stepNear(i);
		if (step && step.high > HIGH_SHARE * rise) steps.push(step);
	}
	if (steps.length === 0) return undefined;
	const main = steps.reduce((most, step) => (step.high > most.high ? step : most));
	// A wall that is seen ends at a second step, no further out than walls slant; tint and soot end further
	// out, and softly.
	return steps.find(
		({ at, sigma }) => at <= WALL_MOST * main.at + 2 && sigma < 1.7 * main.sigma + 0.35
	);
}
/** A wall takes at most so much of what is seen of the slot on its side [own]. */
const WALL_MOST = 1.8;
/** A step that is less than this share of the clearest one, or of the whole rise, is tint or soot [own]. */
const STEEP_SHARE = 0.18;
const HIGH_SHARE = 0.12;

export interface Fitted {
	/** Out from the dark line: at + lean·y. */
	at: number;
	lean: number;
	spread: number;
	n: number;
}
export function side(points: readonly { y: number; out: number }[]): Fitted | undefined {
	if (points.length < 0.5 * CHUNKS) return undefined;
	const lean = median(
		points.map((p) =>
			median(points.filter((q) => q !== p).map((q) => (q.out - p.out) / (q.y - p.y)))
		)
	);
	const at = median(points.map(({ y, out }) => out - lean * y));
	const off = points.map(({ y, out }) => out - at - lean * y);
	const spread = Math.max(robustSpread(off), 0.05);
	const on = points.filter((_, i) => Math.abs(off[i]!) < 3 * spread + 0.4);
	// Least squares of those that agree.
	const my = on.reduce((sum, { y }) => sum + y, 0) / on.length;
	const mo = on.reduce((sum, { out }) => sum + out, 0) / on.length;
	const yy = on.reduce((sum, { y }) => sum + (y - my) ** 2, 0);
	const slope = on.reduce((sum, { y, out }) => sum + (y - my) * (out - mo), 0) / yy;
	return { at: mo - slope * my, lean: slope, spread, n: on.length };
}

/** A rule in a picture: its finest lines, level and evenly apart, are the scale. */
import { backward, cholesky, forward, type Matrix } from '../solve/cholesky';
import { median } from './ellipse';
import { type Light, lightAt } from './light';

/** The rule lies across the picture, turned by no more. */
const TURN_DEG = 6.9;
/** Fewest lines of the rule, and fewest pixels from one to the next. */
const TICKS_LEAST = 10;
const TICK_PX_LEAST = 4;
export const RAD = Math.PI / 180;

/** The picture turned about its middle, so that what slants by `deg` lies level. */
export function level(light: Light, deg: number): Light {
	const { width, height } = light;
	const values = new Float32Array(width * height);
	const [c, s] = [Math.cos(deg * RAD), Math.sin(deg * RAD)];
	const [mx, my] = [(width - 1) / 2, (height - 1) / 2];
	for (let y = 0, at = 0; y < height; y++)
		for (let x = 0; x < width; x++, at++)
			values[at] = lightAt(
				light,
				mx + c * (x - mx) - s * (y - my),
				my + s * (x - mx) + c * (y - my)
			);
	return { width, height, values };
}

/** Root of light: lines on dark and on bright metal count alike. */
const rooted = (light: Light): Light => ({ ...light, values: light.values.map(Math.sqrt) });

/** The same in haste: the nearest pixel is enough to look for lines. */
function roughlyLevel(light: Light, deg: number): Light {
	const { width, height } = light;
	const values = new Float32Array(width * height);
	const [c, s] = [Math.cos(deg * RAD), Math.sin(deg * RAD)];
	const [mx, my] = [(width - 1) / 2, (height - 1) / 2];
	for (let y = 0, at = 0; y < height; y++) {
		let fx = mx - c * mx - s * (y - my) + 0.5;
		let fy = my - s * mx + c * (y - my) + 0.5;
		for (let x = 0; x < width; x++, at++, fx += c, fy += s) {
			const px = Math.min(Math.max(fx | 0, 0), width - 1);
			const py = Math.min(Math.max(fy | 0, 0), height - 1);
			values[at] = light.values[py * width + px]!;
		}
	}
	return { width, height, values };
}

/** Mean over some rows, column by column. */
function columns({ width, values }: Light, from: number, to: number): Float64Array {
	const out = new Float64Array(width);
	for (let y = from; y < to; y++) for (let x = 0; x < width; x++) out[x]! += values[y * width + x]!;
	for (let x = 0; x < width; x++) out[x]! /= Math.max(1, to - from);
	return out;
}

interface Comb {
	/** Clear and alike at once: at the turn of the rule its lines are clearest. */
	score: number;
	stepPx: number;
	from: number;
	to: number;
}

/** How alike a profile's changes are to themselves, so many pixels on. */
function combOf(profile: Float64Array, from: number, to: number): Comb | undefined {
	const n = profile.length;
	const change = new Float64Array(n);
	for (let x = 1; x < n - 1; x++) change[x] = profile[x + 1]! - profile[x - 1]!;
	const most = Math.floor(n / TICKS_LEAST);
	const like = (lag: number) => {
		let sum = 0;
		for (let x = 1; x + lag < n - 1; x++) sum += change[x]! * change[x + lag]!;
		return sum / (n - 2 - lag);
	};
	const power = like(0);
	// Lines of a rule are clear; blocks of a JPEG are not.
	if (!(Math.sqrt(power) > CLEAR_LEAST)) return undefined;
	let [before, here] = [like(TICK_PX_LEAST - 1), like(TICK_PX_LEAST)];
	for (let lag = TICK_PX_LEAST; lag < most; lag++) {
		const after = like(lag + 1);
		if (here >= before && here >= after && here > ALIKE_LEAST * power) {
			const bend = before - 2 * here + after;
			const off = bend < 0 ? (0.5 * (before - after)) / bend : 0;
			return { score: here, stepPx: lag + off, from, to };
		}
		[before, here] = [here, after];
	}
	return undefined;
}
const CLEAR_LEAST = 0.012;
const ALIKE_LEAST = 0.42;

export interface Rule extends Comb {
	turnDeg: number;
}
/** The band of rows whose lines come most often, at the turn that shows them clearest. */
export function findRule(light: Light): Rule | undefined {
	const root = rooted(light);
	const tall = Math.max(6, Math.round(light.height / 28));
	const bands = (turnDeg: number): Rule[] => {
		const turn = roughlyLevel(root, turnDeg);
		const found: Rule[] = [];
		for (let from = 0; from + tall <= light.height; from += Math.ceil(0.7 * tall)) {
			const comb = combOf(columns(turn, from, from + tall), from, from + tall);
			if (comb) found.push({ ...comb, turnDeg });
		}
		return found;
	};
	const best = (rules: readonly Rule[]) => {
		// Tens and fives repeat too: the finest lines are the scale.
		const finest = Math.min(...rules.map(({ stepPx }) => stepPx));
		return rules
			.filter(({ stepPx }) => stepPx < 1.15 * finest)
			.reduce<Rule | undefined>((a, b) => (a && a.score >= b.score ? a : b), undefined);
	};
	const rough: Rule[] = [];
	for (let turn = -TURN_DEG; turn <= TURN_DEG; turn += 2.3) rough.push(...bands(turn));
	const first = best(rough);
	if (!first) return undefined;
	const fine: Rule[] = [];
	for (let off = -1.2; off <= 1.21; off += 0.6) fine.push(...bands(first.turnDeg + off));
	return best(fine) ?? first;
}

/** Where the lines of the rule stand, and pixels from one to the next at a place. */
export function ticksOf(turn: Light, rule: Rule) {
	const profile = columns(rooted(turn), rule.from, rule.to);
	const { stepPx } = rule;
	const n = profile.length;
	const reach = Math.round(stepPx / 2);
	const flat = new Float64Array(n);
	for (let x = 0; x < n; x++) {
		let sum = 0;
		let count = 0;
		for (let i = Math.max(0, x - reach); i <= Math.min(n - 1, x + reach); i++, count++)
			sum += profile[i]!;
		flat[x] = profile[x]! - sum / count;
	}
	// Dark lines on bright metal, or the other way round.
	const low = Math.abs(Math.min(...flat));
	const sign = low >= Math.max(...flat) ? -1 : 1;
	const peaks: { x: number; size: number }[] = [];
	for (let x = 1; x < n - 1; x++) {
		const [a, b, c] = [sign * flat[x - 1]!, sign * flat[x]!, sign * flat[x + 1]!];
		if (b <= 0 || b < a || b <= c) continue;
		const bend = a - 2 * b + c;
		peaks.push({ x: x + (bend < 0 ? (0.5 * (a - c)) / bend : 0), size: b });
	}
	const usual = median(
		[...peaks]
			.sort((p, q) => q.size - p.size)
			.slice(0, Math.ceil(n / stepPx))
			.map(({ size }) => size)
	);
	const clear = peaks.filter(({ size }) => size > 0.35 * usual);
	// The longest run of neighbours that stand a step apart; one that is missing may be stepped over.
	let run: { i: number; x: number }[] = [];
	for (const [start, first] of clear.entries()) {
		if (run.length > clear.length - start) break;
		const chain = [{ i: 0, x: first.x }];
		for (const { x } of clear.slice(start + 1)) {
			const last = chain.at(-1)!;
			const steps = Math.round((x - last.x) / stepPx);
			if (steps < 1) continue;
			if (steps > 3) break;
			if (Math.abs(x - last.x - steps * stepPx) < 0.18 * stepPx * Math.sqrt(steps))
				chain.push({ i: last.i + steps, x });
		}
		if (chain.length > run.length) run = chain;
	}
	if (run.length < TICKS_LEAST) return undefined;
	return { xs: run.map(({ x }) => x), pxAt: stepAt(run) };
}

/** Least squares of a parabola through the lines: a camera aslant brings one end nearer. */
function stepAt(run: readonly { i: number; x: number }[]): (x: number) => number {
	const mid = run[Math.floor(run.length / 2)]!;
	const span = Math.max(1, run.at(-1)!.i - run[0]!.i) / 2;
	const gram: Matrix = [0, 1, 2].map(() => [0, 0, 0]);
	const right = [0, 0, 0];
	for (const { i, x } of run) {
		const t = (i - mid.i) / span;
		for (const p of [0, 1, 2]) {
			right[p]! += (x - mid.x) * t ** p;
			for (const q of [0, 1, 2]) gram[p]![q]! += t ** (p + q);
		}
	}
	// A run has ten lines and more, so it is never singular.
	const l = cholesky(gram)!;
	const [, one, two] = backward(l, forward(l, right)) as [number, number, number];
	return (x) => {
		// At the place whose line stands there, to the first order.
		const t = (x - mid.x) / (one || 1);
		return (one + 2 * two * t) / span;
	};
}

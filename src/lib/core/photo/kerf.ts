/**
 * Width of a kerf from a photo of a slot, a rule laid across it [own model]. The finest lines of the rule are
 * the scale; the slot's sides are the outermost clear steps beside its dark middle: heat tints the plate softly,
 * and a wall that is seen lies further in.
 */
import { SCRAP_KERF_MM } from '../cut/guide';
import { backward, cholesky, forward, type Matrix } from '../solve/cholesky';
import { median, robustSpread, type Point } from './ellipse';
import { isSoft, lightAt, smaller, turned, type Light } from './light';
import type { Told } from './nozzle';
import { blurredStep } from './step';

export const KERF_REFUSALS = ['no-rule', 'no-kerf', 'blurred', 'small', 'uneven'] as const;
export type KerfRefusal = (typeof KERF_REFUSALS)[number];

/** A side of the slot, from end to end, pixels. */
export type Side = readonly [Point, Point];
export interface KerfReading {
	kerfMm: Told;
	pxPerMm: number;
	left: Side;
	right: Side;
	/** Lines of the rule that were found, for drawing. */
	ticks: Point[];
}
export type KerfAnswer = { read: KerfReading } | { refused: KerfRefusal };

/** The rule lies across the picture, turned by no more. */
const TURN_DEG = 6.9;
/** Fewest lines of the rule, and fewest pixels from one to the next. */
const TICKS_LEAST = 10;
const TICK_PX_LEAST = 4;
/** Closer than this, every second line may be taken for every one. */
const TICK_PX_SURE = 7;
/** Fewest pixels over the kerf. */
export const KERF_PX_LEAST = 7;
/** A line that is blurred by more is lost, pixels of the small look. */
const SOFT_PX = 2.95;
const RAD = Math.PI / 180;

/** The picture turned about its middle, so that what slants by `deg` lies level. */
function level(light: Light, deg: number): Light {
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

interface Rule extends Comb {
	turnDeg: number;
}
/** The band of rows whose lines come most often, at the turn that shows them clearest. */
function findRule(light: Light): Rule | undefined {
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
function ticksOf(turn: Light, rule: Rule) {
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

interface Run {
	/** Rows in which the slot is looked for. */
	from: number;
	to: number;
}
/** Rows beside the rule: the larger part of the picture that it leaves. */
function beside(turn: Light, rule: Rule, stepPx: number): Run {
	const clear = 1.2 * stepPx;
	const above: Run = { from: 2, to: Math.floor(rule.from - clear) };
	const below: Run = { from: Math.ceil(rule.to + clear), to: turn.height - 2 };
	return above.to - above.from >= below.to - below.from ? above : below;
}

/** The slot's dark middle: x = at + lean·y. */
function darkLine(turn: Light, rows: Run, pxPerMm: number) {
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
const REACH_MM = 6;
const CHUNKS = 18;
/** Light out from the dark line on one side, over some rows. */
function outward(
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
function edgeOut(
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

interface Fitted {
	/** Out from the dark line: at + lean·y. */
	at: number;
	lean: number;
	spread: number;
	n: number;
}
function side(points: readonly { y: number; out: number }[]): Fitted | undefined {
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

/** From the picture to what was made small and level, and back. */
function levelled(small: Light, by: number, turnDeg: number) {
	const [c, s] = [Math.cos(turnDeg * RAD), Math.sin(turnDeg * RAD)];
	const [mx, my] = [(small.width - 1) / 2, (small.height - 1) / 2];
	return {
		back: ({ x, y }: Point): Point => ({
			x: by * (mx + c * (x - mx) - s * (y - my)),
			y: by * (my + s * (x - mx) + c * (y - my))
		}),
		forth: (p: Point): Point => {
			const [x, y] = [p.x / by - mx, p.y / by - my];
			return { x: mx + c * x + s * y, y: my - s * x + c * y };
		}
	};
}

/** How far both sides of the slot lie from a line along it, to the left and to the right. */
interface Sides {
	middle: Pick<Fitted, 'at' | 'lean'>;
	left: Fitted;
	right: Fitted;
}

/** As a person laid them, in what is small and level. */
function sidesLaid(byHand: { left: Side; right: Side }, forth: (p: Point) => Point): Sides {
	const fit = ([p, q]: Side): Fitted => {
		const [a, b] = [forth(p), forth(q)];
		const lean = (b.x - a.x) / (b.y - a.y || 1);
		return { at: a.x - lean * a.y, lean, spread: 0.6, n: 2 };
	};
	const left = fit(byHand.left);
	return {
		middle: { at: 0, lean: 0 },
		left: { ...left, at: -left.at, lean: -left.lean },
		right: fit(byHand.right)
	};
}

/** Found beside the dark of the slot, chunk by chunk; undefined: too few of them agree. */
function sidesFound(
	turn: Light,
	middle: Pick<Fitted, 'at' | 'lean'>,
	rows: Run,
	roughPxMm: number
): Sides | undefined {
	const n = Math.round(REACH_MM * roughPxMm);
	const startOf = (i: number) => Math.round(rows.from + ((rows.to - rows.from) * i) / CHUNKS);
	const chunks = Array.from({ length: CHUNKS }, (_, i): Run => ({
		from: startOf(i),
		to: startOf(i + 1)
	}));
	const found = (way: 1 | -1) =>
		side(
			chunks.flatMap((chunk) => {
				const edge = edgeOut(outward(turn, middle, chunk, way, n), roughPxMm);
				return edge ? [{ y: (chunk.from + chunk.to - 1) / 2, out: edge.at }] : [];
			})
		);
	const [left, right] = [found(-1), found(1)];
	return left && right && { middle, left, right };
}

/** `tickMm`: from one of the rule's finest lines to the next; `byHand`: the sides as a person laid them. */
export function readKerf(
	light: Light,
	tickMm: number,
	byHand?: { left: Side; right: Side }
): KerfAnswer {
	const by = Math.max(1, Math.floor(Math.max(light.width, light.height) / 1000));
	const small = smaller(light, by);
	const softOr = (refused: KerfRefusal): KerfAnswer => ({
		refused: isSoft(turned(small), SOFT_PX) ? 'blurred' : refused
	});
	const rule = findRule(small);
	if (!rule) return softOr('no-rule');
	const turn = level(small, rule.turnDeg);
	const ticks = ticksOf(turn, rule);
	if (!ticks) return softOr('no-rule');
	const { back, forth } = levelled(small, by, rule.turnDeg);
	const roughPxMm = ticks.pxAt(small.width / 2) / tickMm;
	const rows = beside(turn, rule, roughPxMm);
	const line = byHand ? undefined : darkLine(turn, rows, roughPxMm);
	const sides = byHand ? sidesLaid(byHand, forth) : line && sidesFound(turn, line, rows, roughPxMm);
	if (!sides) return softOr('no-kerf');
	const { middle, left, right } = sides;
	// In its middle: towards its ends the wander of the sides would swing the lines. A camera aslant makes the
	// scale there another than at the rule by less than one in a hundred.
	const y = (rows.from + rows.to) / 2;
	const at = (f: Fitted, here: number) => f.at + f.lean * here;
	const across = at(left, y) + at(right, y);
	const lean = middle.lean + (right.lean - left.lean) / 2;
	const widePx = across / Math.hypot(1, lean);
	// Where the slot lies: a camera aslant makes another scale of either end of the rule.
	const pxPerTick = ticks.pxAt(middle.at + middle.lean * y + (at(right, y) - at(left, y)) / 2);
	const pxPerMm = pxPerTick / tickMm;
	const kerfMm = widePx / pxPerMm;
	if (widePx * by < KERF_PX_LEAST || pxPerTick < TICK_PX_SURE) return { refused: 'small' };
	if (!(kerfMm >= SCRAP_KERF_MM[0] && kerfMm <= SCRAP_KERF_MM[1])) return { refused: 'no-kerf' };
	if (Math.max(left.spread, right.spread) > Math.max(1.5, 0.2 * pxPerMm)) return softOr('uneven');
	const ends = (way: 1 | -1, f: Fitted): Side => {
		const point = (here: number): Point =>
			back({ x: middle.at + middle.lean * here + way * at(f, here), y: here });
		return [point(rows.from), point(rows.to)];
	};
	const ruleY = (rule.from + rule.to) / 2;
	return {
		read: {
			kerfMm: { value: kerfMm, spread: spreadOf(kerfMm, pxPerMm, [left, right]) },
			pxPerMm: pxPerMm * by,
			left: ends(-1, left),
			right: ends(1, right),
			ticks: ticks.xs.map((x) => back({ x, y: ruleY }))
		}
	};
}

function spreadOf(kerfMm: number, pxPerMm: number, sides: readonly Fitted[]): number {
	const own = sides.map(({ spread, n }) => (2 * spread) / Math.sqrt(n));
	return Math.hypot(
		Math.hypot(...own) / pxPerMm,
		0.5 / pxPerMm,
		// A rule is up to a millimetre nearer to the lens than the plate, and the camera may be aslant.
		0.009 * kerfMm,
		0.012
	);
}

/** Where the kerf of a picture and that of the plan cannot both be right: two spreads and a tenth apart [own]. */
export function kerfBeside(read: Told, plannedMm: number): 'wider' | 'narrower' | 'as planned' {
	const most = 2 * read.spread + 0.1;
	if (read.value - plannedMm > most) return 'wider';
	return plannedMm - read.value > most ? 'narrower' : 'as planned';
}

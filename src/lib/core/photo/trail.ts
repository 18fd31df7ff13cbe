/**
 * How the lines of a cut trail down its face [own model]: rows of the face are shifted against each other until they
 * agree, which a bend takes part in and single scratches hardly disturb.
 */
import { backward, cholesky, forward, type Matrix } from '../solve/cholesky';
import { median, robustSpread } from './ellipse';
import { lightAt, type Light } from './light';

/** A straight line across the picture: y = at + slope·x, pixels. */
export interface Line {
	at: number;
	slope: number;
}
export interface Lines {
	top: Line;
	bottom: Line;
}
export const yOn = ({ at, slope }: Line, x: number): number => at + slope * x;

/** Steepest lag that is looked for, degrees. */
const LAG_MOST_DEG = 68;
const RAD = Math.PI / 180;

/** The face between the lines: rows by depth, columns along the cut, light as it differs from its neighbourhood. */
export interface Strip {
	rows: number;
	columns: number;
	values: Float32Array;
	/** Pixels of the strip to the thickness, along the cut. */
	tallPx: number;
	pxPerMm: number;
	/** How far the light of a row strays along it, of the light there, in the usual row. */
	contrast: number;
}
/** What is near the top edge is molten over, near the bottom hides under dross. */
export const FROM = 0.08;
export const TO = 0.92;

export function stripOf(
	light: Light,
	{ top, bottom }: Lines,
	tallPx: number,
	thicknessMm: number
): Strip {
	const rows = Math.round(Math.min(Math.max(tallPx * (TO - FROM), 24), 72));
	const columns = light.width - 8;
	const values = new Float32Array(rows * columns);
	const pxPerMm = tallPx / thicknessMm;
	const reach = Math.max(4, Math.round(1.5 * pxPerMm));
	const line = new Float32Array(columns);
	const contrasts: number[] = [];
	for (let row = 0; row < rows; row++) {
		const share = FROM + ((row + 0.5) / rows) * (TO - FROM);
		for (let i = 0; i < columns; i++) {
			const x = i + 4;
			const y = yOn(top, x) + share * (yOn(bottom, x) - yOn(top, x));
			// Rows are thicker than a pixel where the plate is: three looks make one.
			const step = ((TO - FROM) * tallPx) / rows / 3;
			line[i] =
				Math.sqrt(lightAt(light, x, y - step)) +
				Math.sqrt(lightAt(light, x, y)) +
				Math.sqrt(lightAt(light, x, y + step));
		}
		let sum = 0;
		const slow = new Float32Array(columns);
		for (let i = -reach; i < columns; i++) {
			if (i + reach < columns) sum += line[i + reach]!;
			if (i - reach - 1 >= 0) sum -= line[i - reach - 1]!;
			if (i >= 0) slow[i] = sum / (Math.min(columns - 1, i + reach) - Math.max(0, i - reach) + 1);
		}
		const own: number[] = [];
		for (let i = 0; i < columns; i++) own.push(line[i]! - slow[i]!);
		const spread = Math.max(robustSpread(own), 1e-4);
		contrasts.push(spread / Math.max(median([...slow]), 1e-4));
		// What stands out by far is a scratch or a spot, and must not lead.
		for (let i = 0; i < columns; i++)
			values[row * columns + i] = Math.max(-2.5, Math.min(2.5, own[i]! / spread));
	}
	return { rows, columns, values, tallPx, pxPerMm, contrast: median(contrasts) };
}
/** How lines trail over the depth v, −½ at the top to ½ at the bottom, in thicknesses. */
export interface Trail {
	slope: number;
	curve: number;
}
export const shiftOf = ({ slope, curve }: Trail, v: number): number =>
	slope * v + (curve * v * v) / 2;

/** How far the lines lean from the square to an edge that lies aslant in the picture, degrees, at depth v. */
export function leanDeg({ slope, curve }: Trail, v: number, edgeSlope: number): number {
	const x = -(slope + curve * v);
	const y = 1 + edgeSlope * x;
	return -(Math.atan2(x, y) - Math.atan2(-edgeSlope, 1)) / RAD;
}

/** Share of the changes that agree over the depth when rows are shifted back by the trail. */
function agreement(strip: Strip, trail: Trail, from = 0, to = strip.columns): number {
	const { rows, columns, values, tallPx } = strip;
	const stack = new Float32Array(to - from);
	// How many rows begin and end to lie over each.
	const count = new Float32Array(to - from + 1);
	let all = 0;
	let n = 0;
	for (let row = 0; row < rows; row++) {
		const v = depthOf(row, rows);
		const shift = -tallPx * shiftOf(trail, v);
		const whole = Math.floor(shift);
		const part = shift - whole;
		const first = Math.max(from, -whole);
		const last = Math.min(to, columns - 1 - whole);
		if (first >= last) continue;
		for (let i = first, at = row * columns + first + whole; i < last; i++, at++) {
			const value = values[at]! + part * (values[at + 1]! - values[at]!);
			stack[i - from]! += value;
			all += value * value;
		}
		count[first - from]!++;
		count[last - from]!--;
		n += last - first;
	}
	let together = 0;
	let m = 0;
	let over = 0;
	for (let i = 0; i < stack.length; i++) {
		over += count[i]!;
		if (over > 0.6 * rows) {
			together += (stack[i]! / over) ** 2;
			m++;
		}
	}
	return m > 20 && all > 0 ? together / m / (all / n) : 0;
}

const depthOf = (row: number, rows: number): number =>
	FROM + ((row + 0.5) / rows) * (TO - FROM) - 0.5;

const SLOPE_MOST = Math.tan(LAG_MOST_DEG * RAD);
/** The best trail of all, if it stands out from the rest. */
export function bestTrail(strip: Strip): Trail | undefined {
	const step = Math.max(0.02, 0.25 / (strip.tallPx / strip.pxPerMm));
	const seen: { trail: Trail; agree: number }[] = [];
	for (let slope = -SLOPE_MOST; slope <= SLOPE_MOST; slope += step)
		for (const bend of [-0.1, 0.25, 0.6, 1])
			// Lines bend back as they go down: a curve without a trail is none.
			seen.push({
				trail: { slope, curve: bend * slope },
				agree: agreement(strip, { slope, curve: bend * slope })
			});
	seen.sort((a, b) => b.agree - a.agree);
	let best = seen[0]!;
	const far = seen.filter(
		({ trail }) => Math.abs(Math.atan(trail.slope) - Math.atan(best.trail.slope)) > 14 * RAD
	);
	const usual = median(far.map(({ agree }) => agree));
	const scatter = Math.max(robustSpread(far.map(({ agree }) => agree)), 1e-4);
	const rival = far[0]?.agree ?? 0;
	if (best.agree < usual + STANDS_OUT * scatter || best.agree < RIVAL * rival) return undefined;
	for (let ds = step / 2, dc = 0.1; ds > 0.002; ds /= 2, dc /= 1.6)
		for (let again = 0; again < 2; again++)
			for (const [a, b] of [
				[ds, 0],
				[-ds, 0],
				[0, dc],
				[0, -dc]
			] as const) {
				const trail = { slope: best.trail.slope + a, curve: best.trail.curve + b };
				const agree = agreement(strip, trail);
				if (agree > best.agree) best = { trail, agree };
			}
	return best.trail;
}
const STANDS_OUT = 5;
const RIVAL = 1.25;

/** Each part of the length by itself: how far they lie apart tells how sure the whole is. */
export function trailsOfParts(strip: Strip, best: Trail): { spreadDeg: number; agree: number } {
	const parts = Math.max(3, Math.min(8, Math.floor(strip.columns / (6 * strip.pxPerMm))));
	const middleDeg = Math.atan(best.slope) / RAD;
	const along = (deg: number): Trail => ({ slope: Math.tan(deg * RAD), curve: best.curve });
	const lags: number[] = [];
	let agreeing = 0;
	for (let part = 0; part < parts; part++) {
		const from = Math.floor((part * strip.columns) / parts);
		const to = Math.floor(((part + 1) * strip.columns) / parts);
		let top = { agree: 0, deg: 0 };
		for (let off = -16; off <= 16; off++) {
			const deg = middleDeg + off;
			if (Math.abs(deg) > 75) continue;
			const agree = agreement(strip, along(deg), from, to);
			if (agree > top.agree) top = { agree, deg };
		}
		if (top.agree === 0) continue;
		lags.push(top.deg);
		// A scratch leads the part that it is in; where there is nothing, one way is as good as another.
		const others = ELSEWHERE_DEG.map((off) => agreement(strip, along(middleDeg + off), from, to));
		if (Math.abs(top.deg - middleDeg) < 8 && top.agree > RIVAL * Math.max(...others)) agreeing++;
	}
	if (lags.length < 2) return { spreadDeg: 9, agree: 0 };
	const spread = Math.max(robustSpread(lags), 0.6);
	return { spreadDeg: spread / Math.sqrt(lags.length), agree: agreeing / parts };
}
const ELSEWHERE_DEG = [-30, -20, 20, 30];

/** How alike the rows just above and below `row` are, where the lower one is shifted to fit best. */
export function alikeAcross({ rows, columns, values, tallPx }: Strip, row: number): number {
	const [upper, lower] = [Math.max(0, row - 2), Math.min(rows - 1, row + 2)];
	const reach = Math.ceil(((lower - upper) / rows) * tallPx * 2);
	let best = 0;
	for (let shift = -reach; shift <= reach; shift++) {
		let xy = 0;
		let xx = 0;
		let yy = 0;
		for (let i = Math.max(0, -shift); i < Math.min(columns, columns - shift); i += 2) {
			const x = values[upper * columns + i]!;
			const y = values[lower * columns + i + shift]!;
			xy += x * y;
			xx += x * x;
			yy += y * y;
		}
		best = Math.max(best, xy / Math.sqrt(xx * yy + 1e-9));
	}
	return best;
}

/** Bands of depth, and windows along the cut of about so many mm, between which the lines are followed. */
const BANDS = 10;
const WINDOW_MM = 6;
/** Bands further apart than this are not compared: a line fades after some millimetres of depth. */
const NEIGHBOURS = 2;
/** How far off the trail a line is looked for, mm. */
const REACH_MM = 0.3;
/** Two bits of the face that are less alike than this do not show the same lines. */
const ALIKE_LEAST = 0.3;
/** Followed further away from where most of it agrees, it was not the same lines, degrees. */
const ASTRAY_DEG = 4;

/**
 * The trail again, from bit to bit: lines fade as they go down and others take their place, so that neighbours tell
 * more of where they run than the face as a whole does.
 */
export function straightened(strip: Strip, rough: Trail): Trail {
	let trail = rough;
	for (let round = 0; round < 3; round++) {
		const more = trailThrough(offTheTrail(strip, trail));
		if (!more) return rough;
		trail = { slope: trail.slope + more.slope, curve: trail.curve + more.curve };
	}
	const astray = Math.abs(Math.atan(trail.slope) - Math.atan(rough.slope));
	return astray < ASTRAY_DEG * RAD ? trail : rough;
}

/** Rows of one depth laid on top of each other along a trail. */
interface Band {
	/** Its depth, in thicknesses from the middle. */
	v: number;
	sums: Float32Array;
	/** Columns that every one of its rows has. */
	whole: Uint8Array;
}
function bandsAlong({ rows, columns, values, tallPx }: Strip, trail: Trail): Band[] {
	return Array.from({ length: BANDS }, (_, b) => {
		const from = Math.floor((b * rows) / BANDS);
		const to = Math.floor(((b + 1) * rows) / BANDS);
		const sums = new Float32Array(columns);
		const counts = new Uint8Array(columns);
		for (let row = from; row < to; row++) {
			const shift = -tallPx * shiftOf(trail, depthOf(row, rows));
			const whole = Math.floor(shift);
			const part = shift - whole;
			for (let i = Math.max(0, -whole); i < Math.min(columns, columns - 1 - whole); i++) {
				const at = row * columns + i + whole;
				sums[i]! += values[at]! + part * (values[at + 1]! - values[at]!);
				counts[i]!++;
			}
		}
		const whole = counts.map((n) => (n === to - from ? 1 : 0));
		return { v: depthOf((from + to - 1) / 2, rows), sums, whole };
	});
}

/** How much further along the cut than the trail says a line is found lower down; both in thicknesses. */
interface Off {
	upper: number;
	lower: number;
	shift: number;
	weight: number;
}
function offTheTrail(strip: Strip, trail: Trail): Off[] {
	const { columns, tallPx, pxPerMm } = strip;
	const bands = bandsAlong(strip, trail);
	const windows = Math.max(2, Math.round(columns / (WINDOW_MM * pxPerMm)));
	const reach = Math.max(2, Math.ceil(REACH_MM * pxPerMm));
	const off: Off[] = [];
	for (let w = 0; w < windows; w++) {
		const from = Math.max(reach, Math.floor((w * columns) / windows));
		const to = Math.min(columns - reach, Math.floor(((w + 1) * columns) / windows));
		if (to - from < 8) continue;
		const there = bands.map(({ whole }) => !whole.subarray(from - reach, to + reach).includes(0));
		for (const [p, upper] of bands.entries())
			for (let q = p + 1; q <= p + NEIGHBOURS && q < BANDS; q++) {
				if (!there[p] || !there[q]) continue;
				const lower = bands[q]!;
				const found = alikeAt(upper.sums, lower.sums, from, to, reach);
				if (!found) continue;
				const square = found.alike ** 2;
				off.push({
					upper: upper.v,
					lower: lower.v,
					shift: -found.by / tallPx,
					// The place of a peak of correlation ρ scatters by (1 − ρ²)/ρ²; none is perfect.
					weight: square / (1.05 - square)
				});
			}
	}
	return off;
}

/** By how many columns the lower one lies further where it is most like the upper one, finer than a column. */
function alikeAt(
	upper: Float32Array,
	lower: Float32Array,
	from: number,
	to: number,
	reach: number
): { by: number; alike: number } | undefined {
	const alike = Array.from({ length: 2 * reach + 1 }, (_, k) => {
		let [xy, xx, yy] = [0, 1e-9, 1e-9];
		for (let i = from; i < to; i++) {
			const x = lower[i + k - reach]!;
			const y = upper[i]!;
			xy += x * y;
			xx += x * x;
			yy += y * y;
		}
		return xy / Math.sqrt(xx * yy);
	});
	const top = alike.indexOf(Math.max(...alike));
	if (top === 0 || top === 2 * reach || alike[top]! < ALIKE_LEAST) return undefined;
	const [before, here, after] = [alike[top - 1]!, alike[top]!, alike[top + 1]!];
	// The top of the parabola through the three.
	return {
		by: top - reach + (before - after) / (2 * (before - 2 * here + after)),
		alike: here
	};
}

/** Slope and curve that the offsets ask for, by least squares; what lies far off weighs less (Huber). */
function trailThrough(off: readonly Off[]): Trail | undefined {
	if (off.length < BANDS) return undefined;
	const basisOf = ({ upper, lower }: Off) =>
		[lower - upper, (lower ** 2 - upper ** 2) / 2] as const;
	let weights = off.map(({ weight }) => weight);
	let trail: Trail | undefined;
	for (let round = 0; round < 4; round++) {
		const m: Matrix = [
			[1e-9, 0],
			[0, 1e-9]
		];
		const c = [0, 0];
		for (const [k, one] of off.entries()) {
			const basis = basisOf(one);
			for (const i of [0, 1] as const) {
				c[i]! += weights[k]! * basis[i] * one.shift;
				for (const j of [0, 1] as const) m[i]![j]! += weights[k]! * basis[i] * basis[j];
			}
		}
		const l = cholesky(m);
		if (!l) return undefined;
		const [slope, curve] = backward(l, forward(l, c)) as [number, number];
		trail = { slope, curve };
		const left = off.map((one) => {
			const [straight, bent] = basisOf(one);
			return Math.abs(one.shift - slope * straight - curve * bent);
		});
		const usual = Math.max(1.5 * median(left), 1e-6);
		weights = off.map(({ weight }, k) => weight * Math.min(1, usual / left[k]!));
	}
	return trail;
}

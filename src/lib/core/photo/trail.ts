/**
 * How the lines of a cut trail down its face [own model]: rows of the face are shifted against each other until they
 * agree, which a bend takes part in and single scratches hardly disturb.
 */
import { median, robustSpread } from './ellipse';
import { depthOf, type Strip } from './strip';

/** Steepest lag that is looked for, degrees. */
const LAG_MOST_DEG = 68;
export const RAD = Math.PI / 180;
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

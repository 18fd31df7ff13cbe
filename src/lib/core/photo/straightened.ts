/** A trail made finer from one bit of the face to the next [own model]. */
import { backward, cholesky, forward, type Matrix } from '../solve/cholesky';
import { median } from './ellipse';
import { depthOf, type Strip } from './strip';
import { RAD, shiftOf, type Trail } from './trail';

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

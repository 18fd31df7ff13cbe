/** Ellipses through points, and circles seen aslant. */
import { backward, cholesky, forward } from '../solve/cholesky';

export interface Point {
	x: number;
	y: number;
}

/** Half axes a ≥ b; `angle` of the longer one from x, radians, −π/2 to π/2. */
export interface Ellipse extends Point {
	a: number;
	b: number;
	angle: number;
}

/** Points nearer to the ellipse than so many robust standard deviations speak (Tukey's biweight, usual choice). */
const TUKEY = 4.685;
/** Of a normal sample: standard deviation by median of absolute deviations. */
const BY_MEDIAN = 1.4826;

export function median(values: readonly number[]): number {
	if (values.length === 0) return NaN;
	const sorted = Float64Array.from(values).sort();
	const half = sorted.length >> 1;
	return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
export const robustSpread = (values: readonly number[]): number => {
	const middle = median(values);
	return BY_MEDIAN * median(values.map((value) => Math.abs(value - middle)));
};

/**
 * Least squares for x² + y² + p·(x² − y²) + 2q·xy + d·x + e·y + f = 0: the trace of the quadratic part is
 * held, which no turn of the picture changes. `undefined`: fewer than five points, or no ellipse.
 */
export function fitEllipse(
	points: readonly Point[],
	weights?: readonly number[]
): Ellipse | undefined {
	if (points.length < 5) return undefined;
	let n = 0;
	let mx = 0;
	let my = 0;
	points.forEach(({ x, y }, i) => {
		const w = weights ? weights[i]! : 1;
		n += w;
		mx += w * x;
		my += w * y;
	});
	if (!(n > 0)) return undefined;
	mx /= n;
	my /= n;
	let square = 0;
	points.forEach(({ x, y }, i) => {
		square += (weights ? weights[i]! : 1) * ((x - mx) ** 2 + (y - my) ** 2);
	});
	const scale = Math.sqrt(square / n);
	if (!(scale > 0)) return undefined;
	const gram = Array.from({ length: 5 }, () => new Array<number>(5).fill(0));
	const right = new Array<number>(5).fill(0);
	points.forEach(({ x, y }, i) => {
		const w = weights ? weights[i]! : 1;
		if (w === 0) return;
		const u = (x - mx) / scale;
		const v = (y - my) / scale;
		const row = [u * u - v * v, 2 * u * v, u, v, 1];
		const to = -(u * u + v * v);
		for (let j = 0; j < 5; j++) {
			right[j]! += w * row[j]! * to;
			for (let k = 0; k <= j; k++) gram[j]![k]! += w * row[j]! * row[k]!;
		}
	});
	for (let j = 0; j < 5; j++) gram[j]![j]! *= 1 + 1e-12;
	const l = cholesky(gram);
	if (!l) return undefined;
	const [p, q, d, e, f] = backward(l, forward(l, right)) as [
		number,
		number,
		number,
		number,
		number
	];
	// Half the trace is 1, so the quadratic part has the eigenvalues 1 ± √(p² + q²).
	const h = Math.hypot(p, q);
	if (!(h < 0.999)) return undefined;
	const det = 1 - h * h;
	const cx = (-(1 - p) * d + q * e) / (2 * det);
	const cy = (q * d - (1 + p) * e) / (2 * det);
	const k = (1 + p) * cx * cx + (1 - p) * cy * cy + 2 * q * cx * cy - f;
	if (!(k > 0)) return undefined;
	// The smaller eigenvalue, 1 − h, belongs to the longer axis.
	const angle = h < 1e-12 ? 0 : Math.atan2(-q, -p) / 2;
	return {
		x: mx + scale * cx,
		y: my + scale * cy,
		a: scale * Math.sqrt(k / (1 - h)),
		b: scale * Math.sqrt(k / (1 + h)),
		angle
	};
}

/** Signed way of a point from the ellipse, outward positive, to first order (Sampson). */
export function offEllipse({ x, y, a, b, angle }: Ellipse): (point: Point) => number {
	const c = Math.cos(angle);
	const s = Math.sin(angle);
	const [a2, b2] = [a ** 2, b ** 2];
	return (point) => {
		const u = c * (point.x - x) + s * (point.y - y);
		const v = -s * (point.x - x) + c * (point.y - y);
		const value = (u / a) ** 2 + (v / b) ** 2 - 1;
		// Not `hypot`: asked for a million times in a picture, and nothing here is near the ends of a number.
		return value / (2 * Math.sqrt((u / a2) ** 2 + (v / b2) ** 2));
	};
}

export const onEllipse = (e: Ellipse, angle: number): Point => {
	const u = e.a * Math.cos(angle);
	const v = e.b * Math.sin(angle);
	const c = Math.cos(e.angle);
	const s = Math.sin(e.angle);
	return { x: e.x + c * u - s * v, y: e.y + s * u + c * v };
};

export interface RobustEllipse {
	ellipse: Ellipse;
	/** Robust standard deviation of the points from it, and the share that speaks. */
	spread: number;
	share: number;
	weights: number[];
}
/** Of ellipses through five points, taken from all around, the one that half of all lie nearest to (Rousseeuw). */
function leastMedian(points: readonly Point[]): Ellipse | undefined {
	const n = points.length;
	let best = fitEllipse(points);
	if (!best || n < 15) return best;
	const offOf = (e: Ellipse) => {
		const off = offEllipse(e);
		return median(points.map((point) => Math.abs(off(point))));
	};
	let least = offOf(best);
	for (let k = 0; k < TRIALS; k++) {
		// Each time turned a little, and the five a little nearer to or further from each other.
		const five = [0, 1, 2, 3, 4].map((i) => {
			const stray = ((k * 7 + i * 13) % 11) / 11 - 0.5;
			return points[Math.floor((((k / TRIALS + i + 0.7 * stray) / 5 + 1) % 1) * n)]!;
		});
		const tried = fitEllipse(five);
		if (!tried || tried.b < 0.4 * tried.a) continue;
		const off = offOf(tried);
		if (off < least) [best, least] = [tried, off];
	}
	return best;
}
const TRIALS = 50;

/** The ellipse that most points lie on: those far off lose their say (Tukey). */
export function robustEllipse(
	points: readonly Point[],
	start?: Ellipse
): RobustEllipse | undefined {
	let ellipse = start ?? leastMedian(points);
	let weights = points.map(() => 1);
	let spread = 0;
	for (let round = 0; round < 12 && ellipse; round++) {
		const off = points.map(offEllipse(ellipse));
		spread = Math.max(BY_MEDIAN * median(off.map(Math.abs)), 0.02);
		weights = off.map((way) => {
			const u = way / (TUKEY * spread);
			return Math.abs(u) < 1 ? (1 - u * u) ** 2 : 0;
		});
		ellipse = fitEllipse(points, weights);
	}
	if (!ellipse) return undefined;
	const share = weights.filter((w) => w > 0).length / points.length;
	return { ellipse, spread, share, weights };
}

/** The plane in which `seen` is a circle of radius 1 about 0. */
export function inPlaneOf(seen: Ellipse, { x, y }: Point): Point {
	const c = Math.cos(seen.angle);
	const s = Math.sin(seen.angle);
	return {
		x: (c * (x - seen.x) + s * (y - seen.y)) / seen.a,
		y: (-s * (x - seen.x) + c * (y - seen.y)) / seen.b
	};
}
/** How far the circle is turned away from the eye, degrees. */
export const tiltDeg = ({ a, b }: Ellipse): number =>
	(Math.acos(Math.min(1, b / a)) * 180) / Math.PI;

/** Numbers for picking at random that are the same every time: a picture always reads the same. */
export function steadyRandom(): () => number {
	let state = 0x2545f491;
	return () => {
		state ^= state << 13;
		state ^= state >>> 17;
		state ^= state << 5;
		return (state >>> 0) / 4294967296;
	};
}

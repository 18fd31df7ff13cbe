/**
 * Monotone piecewise cubic interpolation (Fritsch & Carlson 1980, derivatives by the weighted harmonic
 * mean of Fritsch & Butland 1984): it never overshoots between two points, and rises or falls as they do.
 */
export interface Curve {
	x: readonly number[];
	y: readonly number[];
	slope: readonly number[];
}

/** Derivative at an end, three-point, held so that the shape is kept. */
function endSlope(h0: number, h1: number, d0: number, d1: number): number {
	const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
	if (Math.sign(slope) !== Math.sign(d0)) return 0;
	return Math.sign(d0) !== Math.sign(d1) && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
}

/** `x` rises strictly; two points give a straight line, one a level one. */
export function monotoneCurve(x: readonly number[], y: readonly number[]): Curve {
	const n = x.length;
	if (n === 1) return { x, y, slope: [0] };
	const h = Array.from({ length: n - 1 }, (_, i) => x[i + 1]! - x[i]!);
	const d = h.map((step, i) => (y[i + 1]! - y[i]!) / step);
	if (n === 2) return { x, y, slope: [d[0]!, d[0]!] };
	const slope = [endSlope(h[0]!, h[1]!, d[0]!, d[1]!)];
	for (let i = 1; i < n - 1; i++) {
		const [before, after] = [d[i - 1]!, d[i]!];
		if (before * after <= 0) slope.push(0);
		else {
			const w1 = 2 * h[i]! + h[i - 1]!;
			const w2 = h[i]! + 2 * h[i - 1]!;
			slope.push((w1 + w2) / (w1 / before + w2 / after));
		}
	}
	slope.push(endSlope(h[n - 2]!, h[n - 3]!, d[n - 2]!, d[n - 3]!));
	return { x, y, slope };
}

/** Value inside the range of x; the ends are held outside it. */
export function curveAt({ x, y, slope }: Curve, at: number): number {
	const n = x.length;
	if (n === 1 || at <= x[0]!) return y[0]!;
	if (at >= x[n - 1]!) return y[n - 1]!;
	let i = 0;
	while (at > x[i + 1]!) i++;
	const h = x[i + 1]! - x[i]!;
	const s = (at - x[i]!) / h;
	const [s2, s3] = [s * s, s * s * s];
	return (
		(2 * s3 - 3 * s2 + 1) * y[i]! +
		(s3 - 2 * s2 + s) * h * slope[i]! +
		(3 * s2 - 2 * s3) * y[i + 1]! +
		(s3 - s2) * h * slope[i + 1]!
	);
}

import { backward, cholesky, forward, type Matrix } from './cholesky';

/** Coefficients are few: every choice of those that are not zero is tried. */
export const NNLS_MOST = 8;

/**
 * The x ≥ 0 that makes xᵀ·G·x − 2·cᵀ·x least, from the normal equations G = AᵀA, c = Aᵀy of ‖A·x − y‖².
 * Exact: of all supports the one that meets the Kuhn–Tucker conditions (Lawson & Hanson 1974, ch. 23).
 * `undefined`: G is singular on every support that could be the answer, or there are too many columns.
 */
export function nnls(gram: Matrix, c: readonly number[]): number[] | undefined {
	const n = c.length;
	if (n > NNLS_MOST) return undefined;
	const scale = Math.max(...c.map(Math.abs), 1e-300);
	let best: { x: number[]; miss: number } | undefined;
	for (let support = (1 << n) - 1; support >= 0; support--) {
		const of = c.map((_, i) => i).filter((i) => support & (1 << i));
		const l = cholesky(of.map((i) => of.map((j) => gram[i]![j]!)));
		if (!l) continue;
		const part = backward(
			l,
			forward(
				l,
				of.map((i) => c[i]!)
			)
		);
		const x = c.map(() => 0);
		of.forEach((i, k) => (x[i] = part[k]!));
		const slope = c.map((ci, i) => ci - gram[i]!.reduce((sum, g, j) => sum + g * x[j]!, 0));
		// What breaks the conditions: a coefficient below zero, or a zero that would rather grow.
		const miss = Math.max(
			0,
			...of.map((i) => (-x[i]! * gram[i]![i]!) / scale),
			...slope.map((s, i) => (support & (1 << i) ? 0 : s / scale))
		);
		if (!best || miss < best.miss) best = { x, miss };
		if (miss <= 1e-12) break;
	}
	return best && best.miss < 1e-7 ? best.x.map((xi) => Math.max(0, xi)) : undefined;
}

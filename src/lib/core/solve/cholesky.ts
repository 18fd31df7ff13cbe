/** Symmetric positive definite systems, small and dense: rows of a lower triangle. */
export type Matrix = number[][];

/** L of A = L·Lᵀ; `undefined` when A is not positive definite. */
export function cholesky(a: Matrix): Matrix | undefined {
	const l: Matrix = [];
	for (let i = 0; i < a.length; i++) {
		const row = new Array<number>(i + 1);
		for (let j = 0; j <= i; j++) {
			let sum = a[i]![j]!;
			const other = j === i ? row : l[j]!;
			for (let k = 0; k < j; k++) sum -= row[k]! * other[k]!;
			if (i !== j) row[j] = sum / other[j]!;
			else if (sum > 0) row[j] = Math.sqrt(sum);
			else return undefined;
		}
		l.push(row);
	}
	return l;
}

/** Solves L·x = b. */
export function forward(l: Matrix, b: readonly number[]): number[] {
	const x = new Array<number>(b.length);
	for (let i = 0; i < b.length; i++) {
		let sum = b[i]!;
		for (let k = 0; k < i; k++) sum -= l[i]![k]! * x[k]!;
		x[i] = sum / l[i]![i]!;
	}
	return x;
}

/** Solves Lᵀ·x = b. */
export function backward(l: Matrix, b: readonly number[]): number[] {
	const x = [...b];
	for (let i = x.length - 1; i >= 0; i--) {
		for (let k = i + 1; k < x.length; k++) x[i]! -= l[k]![i]! * x[k]!;
		x[i]! /= l[i]![i]!;
	}
	return x;
}

export const dot = (x: readonly number[], y: readonly number[]): number => {
	let sum = 0;
	for (let i = 0; i < x.length; i++) sum += x[i]! * y[i]!;
	return sum;
};

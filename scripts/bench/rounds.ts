/** Every line is measured several times in one run: its median counts, its spread is told. */
export const ROUNDS = 5;

export const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);
export const median = (values: readonly number[]) => sorted(values)[Math.floor(values.length / 2)]!;
export const percentile95 = (values: readonly number[]) =>
	sorted(values)[Math.floor(values.length * 0.95)]!;

/** The same some times over, one after the other. */
export async function rounds<T>(measure: (round: number) => T | Promise<T>): Promise<T[]> {
	const all: T[] = [];
	for (let i = 0; i < ROUNDS; i++) all.push(await measure(i));
	return all;
}

/**
 * Halves the stretch between a value for which something holds and one for which it does not, until the two
 * are close; gives the one for which it holds.
 */
export function bisect(
	yes: number,
	no: number,
	holds: (value: number) => boolean,
	close: (yes: number, no: number) => boolean
): number {
	while (!close(yes, no)) {
		const middle = (yes + no) / 2;
		if (holds(middle)) yes = middle;
		else no = middle;
	}
	return yes;
}

/** Of places 0 to n − 1, false first and then true: the first that is true; n: none. */
export function firstTrue(n: number, holds: (index: number) => boolean): number {
	let [low, high] = [0, n];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (holds(middle)) high = middle;
		else low = middle + 1;
	}
	return low;
}

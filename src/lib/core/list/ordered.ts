/** What is put in order, and what an order is. */

export interface OrderItem {
	id: string;
	/** Parts that must be in the torch. */
	set: string;
	/** The piece it is made on: no two items of one piece overlap. */
	piece: string;
	handlingS: number;
	/** By bench; a bench that is missing cannot make it. */
	arcS: Readonly<Record<string, number>>;
	/** Nothing else happens to the piece for so long afterwards. */
	coolS: number;
}
export interface OrderBench {
	id: string;
	/** In the torch at the start; '': nobody knows, so the first item wants a change. */
	setInTorch: string;
}
export interface OrderAsk {
	items: readonly OrderItem[];
	benches: readonly OrderBench[];
	/** [a, b]: b starts no earlier than a has ended. */
	before: readonly (readonly [string, string])[];
	/** From one set to another; only asked where they differ. */
	changeS: (from: string, to: string) => number;
}

export interface Placed {
	id: string;
	bench: string;
	startS: number;
	endS: number;
	/** Parts are changed before it. */
	change: boolean;
}
export interface Ordered {
	placed: readonly Placed[];
	/** End of the last block. */
	endS: number;
	changes: number;
}

export const sooner = (a: Ordered, b: Ordered): boolean =>
	a.endS < b.endS - 1e-9 || (a.endS < b.endS + 1e-9 && a.changes < b.changes);
export const fewer = (a: Ordered, b: Ordered): boolean =>
	a.changes < b.changes || (a.changes === b.changes && a.endS < b.endS - 1e-9);

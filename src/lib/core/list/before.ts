import type { OrderAsk, OrderItem } from './ordered';

/** By place in the list: the places that must have ended before. */
export type BeforeOf = readonly (readonly number[])[];

/** What must come before each item; or a ring of items that wait for each other. */
export function tidyBefore({ items, before }: OrderAsk): { of: BeforeOf } | { ring: string[] } {
	const place = new Map(items.map(({ id }, i) => [id, i]));
	const of: number[][] = items.map(() => []);
	for (const [a, b] of before) {
		const [first, then] = [place.get(a), place.get(b)];
		// A rule about something that is not in the list asks nothing.
		if (first !== undefined && then !== undefined) of[then]!.push(first);
	}
	const left = new Set(items.keys());
	for (let found = true; found;) {
		found = false;
		for (const i of left)
			if (of[i]!.every((p) => !left.has(p))) {
				left.delete(i);
				found = true;
			}
	}
	// What only waits for the ring is not part of it.
	for (let found = true; found;) {
		found = false;
		for (const i of left)
			if (![...left].some((j) => of[j]!.includes(i))) {
				left.delete(i);
				found = true;
			}
	}
	return left.size ? { ring: [...left].map((i) => items[i]!.id) } : { of };
}

const leastBlockS = ({ handlingS, arcS }: OrderItem): number =>
	handlingS + Math.min(...Object.values(arcS));

/** The longest chain of items that must follow each other, and of one piece with its cooling, s. */
export function longestChain({ items }: OrderAsk, of: BeforeOf): number {
	const endS: (number | undefined)[] = items.map(() => undefined);
	const end = (i: number): number =>
		(endS[i] ??= leastBlockS(items[i]!) + Math.max(0, ...of[i]!.map(end)));
	const chain = Math.max(0, ...items.map((_, i) => end(i)));
	const pieces = new Map<string, { sumS: number; mostCoolS: number }>();
	for (const item of items) {
		const { sumS, mostCoolS } = pieces.get(item.piece) ?? { sumS: 0, mostCoolS: 0 };
		pieces.set(item.piece, {
			sumS: sumS + leastBlockS(item) + item.coolS,
			mostCoolS: Math.max(mostCoolS, item.coolS)
		});
	}
	return Math.max(chain, ...[...pieces.values()].map(({ sumS, mostCoolS }) => sumS - mostCoolS));
}

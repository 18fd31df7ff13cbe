/** What no order can undercut: the blocks, and the cheapest way through the sets of parts. */
import type { BeforeOf } from './before';
import type { OrderAsk } from './ordered';

/** States that are followed at most; beyond that the way through the sets counts as free. */
const STATES_MOST = 2000;

/**
 * Least time for changes on one bench that makes every item, and the order of sets that takes it: all that
 * can be done with what is in the torch is done at once, which never costs a change (cooling left out).
 */
export function leastChanges(
	ask: OrderAsk,
	before: BeforeOf,
	fromSet: string,
	/** What a change counts for: its time, or 1. */
	cost: (from: string, to: string) => number = ask.changeS
): { costs: number; sets: string[] } | undefined {
	const { items } = ask;
	const closed = (done: boolean[], set: string): boolean[] => {
		const now = [...done];
		for (let found = true; found;) {
			found = false;
			for (const [i, item] of items.entries()) {
				if (now[i] || item.set !== set || !before[i]!.every((p) => now[p])) continue;
				now[i] = found = true;
			}
		}
		return now;
	};
	const keyOf = (done: boolean[], set: string) =>
		`${done.map((is) => (is ? 1 : 0)).join('')} ${set}`;
	interface State {
		done: boolean[];
		set: string;
		costs: number;
		sets: string[];
	}
	const first = closed(
		items.map(() => false),
		fromSet
	);
	const open: State[] = [{ done: first, set: fromSet, costs: 0, sets: [fromSet] }];
	const best = new Map([[keyOf(first, fromSet), 0]]);
	for (let states = 0; open.length && states < STATES_MOST; states++) {
		let at = 0;
		for (const [k, one] of open.entries()) if (one.costs < open[at]!.costs) at = k;
		const [now] = open.splice(at, 1) as [State];
		if (now.done.every(Boolean)) return now;
		const wanted = new Set(
			items.flatMap(({ set }, i) =>
				!now.done[i] && set !== now.set && before[i]!.every((p) => now.done[p]) ? set : []
			)
		);
		for (const set of wanted) {
			const done = closed(now.done, set);
			const costs = now.costs + cost(now.set, set);
			const key = keyOf(done, set);
			if ((best.get(key) ?? Infinity) <= costs) continue;
			best.set(key, costs);
			open.push({ done, set, costs, sets: [...now.sets, set] });
		}
	}
	return undefined;
}

/** A time that no order undercuts: blocks and least changes on one bench; the fair share of them on several. */
export function leastTotalS(ask: OrderAsk, before: BeforeOf): number {
	const { items, benches } = ask;
	if (benches.length === 1) {
		const [{ id, setInTorch }] = benches as [OrderAsk['benches'][number]];
		const blocks = items.reduce((sum, { handlingS, arcS }) => sum + handlingS + arcS[id]!, 0);
		return blocks + (leastChanges(ask, before, setInTorch)?.costs ?? 0);
	}
	const sets = [...new Set(items.map(({ set }) => set))];
	const ways = 2 ** benches.length - 1;
	if (ways ** sets.length > SPLITS_MOST) return blocksS(items) / benches.length;
	// Each set is made on some of the benches, as bits: the best of all such splits.
	let least = Infinity;
	for (let split = 0; split < ways ** sets.length; split++) {
		const on = sets.map((_, k) => (Math.floor(split / ways ** k) % ways) + 1);
		least = Math.min(least, splitS(ask, sets, on));
	}
	return Number.isFinite(least) ? least : 0;
}

const SPLITS_MOST = 5000;
const blocksS = (items: OrderAsk['items']): number =>
	items.reduce((sum, { handlingS, arcS }) => sum + handlingS + Math.min(...Object.values(arcS)), 0);

/** What a split of the sets over the benches takes at least; `on`: benches of each set, as bits. */
function splitS({ items, benches, changeS }: OrderAsk, sets: string[], on: number[]): number {
	const has = (k: number, bench: number) => (on[k]! & (1 << bench)) !== 0;
	const shared = items.filter(({ set }) => !isSingle(on[sets.indexOf(set)]!));
	let whole = blocksS(shared);
	let most = 0;
	for (const [b, { id, setInTorch }] of benches.entries()) {
		const mine = items.filter(({ set }) => on[sets.indexOf(set)] === 1 << b);
		if (mine.some(({ arcS }) => !(id in arcS))) return Infinity;
		const blocks = mine.reduce((sum, { handlingS, arcS }) => sum + handlingS + arcS[id]!, 0);
		const load =
			blocks +
			cheapestPathS(
				sets.filter((_, k) => has(k, b)),
				setInTorch,
				changeS
			);
		most = Math.max(most, load);
		whole += load;
	}
	return Math.max(most, whole / benches.length);
}
const isSingle = (bits: number): boolean => (bits & (bits - 1)) === 0;

/** The cheapest way from a set through all of these, s. */
function cheapestPathS(sets: string[], from: string, changeS: OrderAsk['changeS']): number {
	const left = sets.filter((set) => set !== from);
	if (left.length === 0) return 0;
	return Math.min(
		...left.map(
			(set) =>
				changeS(from, set) +
				cheapestPathS(
					left.filter((one) => one !== set),
					set,
					changeS
				)
		)
	);
}

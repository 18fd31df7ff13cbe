/** Every order of a short list, without those that another is at least as good as. */
import type { BeforeOf } from './before';
import { fewer, sooner, type OrderAsk, type Ordered } from './ordered';
import { scheduled, type Sequence } from './schedule';

/** A beginning of an order: what matters for the rest of it. */
interface Begun {
	sequence: Sequence;
	/** When each bench is free, each piece is cool, each item that somebody waits for has ended; changes last. */
	times: readonly number[];
}

const within = (a: readonly number[], b: readonly number[]) =>
	a.every((one, k) => one <= b[k]! + 1e-9);

/** Adds a beginning unless one is as good; drops those that it is as good as. */
function keep(all: Begun[], begun: Begun): void {
	if (all.some((other) => within(other.times, begun.times))) return;
	let kept = 0;
	for (const other of all) if (!within(begun.times, other.times)) all[kept++] = other;
	all.length = kept;
	all.push(begun);
}

export function exactOrder(ask: OrderAsk, before: BeforeOf): { soonest: Ordered; fewest: Ordered } {
	const { items, benches } = ask;
	const pieces = [...new Set(items.map(({ piece }) => piece))];
	let level = new Map<string, Begun[]>([['', [{ sequence: [], times: [] }]]]);
	for (let n = 0; n < items.length; n++) {
		const next = new Map<string, Begun[]>();
		for (const begun of [...level.values()].flat()) {
			for (const [i] of items.entries()) {
				for (const [bench] of benches.entries()) {
					const grown = [...begun.sequence, { i, bench }];
					if (begun.sequence.some((one) => one.i === i) || !(benches[bench]!.id in items[i]!.arcS))
						continue;
					const schedule = scheduled(ask, before, grown);
					if (!schedule) continue;
					const done = items.map((_, k) => (schedule.done(k) ? 1 : 0)).join('');
					const key = `${done} ${benches.map((_, b) => schedule.setOn(b)).join(' | ')}`;
					const ends = new Map(schedule.placed.map(({ id, endS }) => [id, endS]));
					const open = items.map((_, k) => !schedule.done(k));
					const times = [
						...benches.map((_, b) => schedule.free(b)),
						...pieces.map((piece) =>
							items.some((one, k) => open[k] && one.piece === piece) ? schedule.coolAtS(piece) : 0
						),
						...items.map(({ id }, k) =>
							open.some((is, later) => is && before[later]!.includes(k)) ? ends.get(id)! : 0
						),
						schedule.changes
					];
					const all = next.get(key) ?? [];
					keep(all, { sequence: grown, times });
					next.set(key, all);
				}
			}
		}
		level = next;
	}
	let soonest: Ordered | undefined;
	let fewest: Ordered | undefined;
	for (const { sequence } of [...level.values()].flat()) {
		const one = scheduled(ask, before, sequence)!.result();
		if (!soonest || sooner(one, soonest)) soonest = one;
		if (!fewest || fewer(one, fewest)) fewest = one;
	}
	return { soonest: soonest!, fewest: fewest! };
}

/** Long lists: good beginnings, then items moved as long as that helps. Nothing random: the same list, the same order. */
import type { BeforeOf } from './before';
import { leastChanges } from './leastChanges';
import { fewer, sooner, type OrderAsk, type Ordered } from './ordered';
import { Schedule, scheduled, type Sequence } from './schedule';

/** Blocks that are put at most while the items of one sequence are moved about: of a long list, six sequences. */
const BLOCKS_MOST = 250_000;

/** What still hangs on an item: the longest chain from its beginning to the end of all. */
function tails({ items }: OrderAsk, before: BeforeOf): number[] {
	const after: number[][] = items.map(() => []);
	for (const [i, all] of before.entries()) for (const p of all) after[p]!.push(i);
	const tail: (number | undefined)[] = items.map(() => undefined);
	const of = (i: number): number => {
		const { handlingS, arcS, coolS, piece } = items[i]!;
		const block = handlingS + Math.min(...Object.values(arcS));
		const cools = items.some((other, k) => k !== i && other.piece === piece) ? coolS : 0;
		return (tail[i] ??= block + Math.max(cools, 0, ...after[i]!.map(of)));
	};
	return items.map((_, i) => of(i));
}

/** What a block is chosen by, from how far the schedule has come: the least comes next. */
type Rule = (schedule: Schedule, open: readonly number[]) => (i: number, bench: number) => number[];

/** One block after the other by a rule. */
function built(ask: OrderAsk, before: BeforeOf, rule: Rule): Sequence {
	const schedule = new Schedule(ask, before);
	const sequence: { i: number; bench: number }[] = [];
	const places = [...ask.items.keys()];
	while (sequence.length < ask.items.length) {
		const open = places.filter(schedule.open);
		const byOf = rule(schedule, open);
		let best: { i: number; bench: number; by: readonly number[] } | undefined;
		for (const i of open) {
			for (let bench = 0; bench < ask.benches.length; bench++) {
				if (!schedule.can(i, bench)) continue;
				const by = byOf(i, bench);
				if (!best || firstDifference(by, best.by) < 0) best = { i, bench, by };
			}
		}
		schedule.put(best!.i, best!.bench);
		sequence.push({ i: best!.i, bench: best!.bench });
	}
	return sequence;
}
function firstDifference(a: readonly number[], b: readonly number[]): number {
	for (let k = 0; k < a.length; k++) if (Math.abs(a[k]! - b[k]!) > 1e-9) return a[k]! - b[k]!;
	return 0;
}

function beginnings(ask: OrderAsk, before: BeforeOf): Sequence[] {
	const tail = tails(ask, before);
	const endS = (s: Schedule, i: number, bench: number) =>
		s.startS(i, bench) + ask.items[i]!.handlingS + ask.items[i]!.arcS[ask.benches[bench]!.id]!;
	const asEntered = built(ask, before, (s) => (i, b) => [i, endS(s, i, b)]);
	const rules = [
		built(ask, before, (s) => (i, b) => [s.changeS(i, b), s.startS(i, b), -tail[i]!]),
		built(ask, before, (s) => (i, b) => [s.startS(i, b), s.changeS(i, b), -tail[i]!]),
		built(ask, before, (s) => (i, b) => [s.startS(i, b), -tail[i]!]),
		built(ask, before, (s) => (i, b) => [endS(s, i, b)])
	];
	if (ask.benches.length > 1) return [asEntered, ...rules];
	// One bench: along the cheapest ways through the sets, by time and by their number.
	const ways = [ask.changeS, () => 1].flatMap(
		(cost) => leastChanges(ask, before, ask.benches[0]!.setInTorch, cost) ?? []
	);
	return [
		...ways.map(({ sets }) => {
			let at = 0;
			return built(ask, before, (s, open) => {
				const now = s.setOn(0);
				const any = open.some((i) => ask.items[i]!.set === now);
				if (!any && sets[at] === now) at++;
				const wanted = any ? now : sets[at];
				return (i, b) => [ask.items[i]!.set === wanted ? 0 : 1, s.startS(i, b), -tail[i]!];
			});
		}),
		asEntered,
		...rules
	];
}

/** A sequence and what it comes to. */
interface Begun {
	sequence: Sequence;
	result: Ordered;
}

/** Up to so many items every beginning is made better; long lists have room for the two best. */
const SHORT_MOST = 20;
/** Items that are moved together at most. */
const TOGETHER_MOST = 3;

/** Moves one item, or a few that follow each other, to the place, and the bench, where the whole gets better. */
function improved(
	ask: OrderAsk,
	before: BeforeOf,
	from: Sequence,
	better: (a: Ordered, b: Ordered) => boolean
): Begun {
	let sequence = from;
	let result = scheduled(ask, before, from)!.result();
	let blocks = 0;
	/** Whether a run of items goes better elsewhere. */
	const move = (at: number, many: number, to: number, bench: number): boolean => {
		const run = sequence.slice(at, at + many);
		if (to === at && run.every((one) => one.bench === bench)) return false;
		const { id } = ask.benches[bench]!;
		if (run.some(({ i }) => !(id in ask.items[i]!.arcS))) return false;
		const moved = run.map(({ i }) => ({ i, bench }));
		const tried = sequence.toSpliced(at, many).toSpliced(to, 0, ...moved);
		const schedule = scheduled(ask, before, tried);
		blocks += schedule ? sequence.length : 4;
		const found = schedule?.result();
		if (!found || !better(found, result)) return false;
		[sequence, result] = [tried, found];
		return true;
	};
	for (let moved = true; moved && blocks < BLOCKS_MOST;) {
		moved = false;
		for (let many = 1; many <= TOGETHER_MOST; many++)
			for (let at = 0; at + many <= sequence.length && blocks < BLOCKS_MOST; at++)
				for (let to = 0; to + many <= sequence.length && blocks < BLOCKS_MOST; to++)
					for (const [bench] of ask.benches.entries()) if (move(at, many, to, bench)) moved = true;
	}
	return { sequence, result };
}

/** `boundS`: what no order undercuts; a beginning that reaches it with the fewest changes is not moved about. */
export function bestFound(
	ask: OrderAsk,
	before: BeforeOf,
	boundS: number
): { soonest: Ordered; fewest: Ordered } {
	const starts = beginnings(ask, before);
	const begun = starts.map((sequence): Begun => ({
		sequence,
		result: scheduled(ask, before, sequence)!.result()
	}));
	const leastChanged = Math.min(...begun.map(({ result }) => result.changes));
	const reached = begun.find(
		({ result }) => result.endS <= boundS + 1e-9 && result.changes === leastChanged
	);
	if (reached && ask.benches.length === 1)
		return { soonest: reached.result, fewest: reached.result };
	const found = [sooner, fewer].flatMap((better) =>
		[...begun]
			.sort((a, b) => (better(a.result, b.result) ? -1 : better(b.result, a.result) ? 1 : 0))
			.slice(0, ask.items.length <= SHORT_MOST ? starts.length : 2)
			.map(({ sequence }) => improved(ask, before, sequence, better))
	);
	/** The best of both aims may have been found for the other one: it is moved about once more for its own. */
	const best = (better: (a: Ordered, b: Ordered) => boolean) => {
		const { sequence } = found.reduce((most, one) =>
			better(one.result, most.result) ? one : most
		);
		return improved(ask, before, sequence, better).result;
	};
	return { soonest: best(sooner), fewest: best(fewer) };
}

/** What the lists of a bench really took: handling and failures by kind of item, for the next list. */
import { EIGHT_IN_TEN } from '../../solve/normal';
import type { DayList } from '../../list/inputs';
import type { ItemPlan } from './items';

/** A tick of the run sheet. */
export interface TimedTick {
	item: string;
	kind: 'done' | 'failed' | 'pause' | 'on';
	atMs: number;
}
/** A piece, and the seconds since the one before, pauses left out; null: nobody knows. */
export interface TimedPiece {
	id: string;
	kind: 'done' | 'failed';
	tookS: number | null;
}

/** From the ticks of one list, in order. */
export function timedPieces(ticks: readonly TimedTick[]): TimedPiece[] {
	const pieces: TimedPiece[] = [];
	let last: number | undefined;
	let carriedS = 0;
	for (const { item, kind, atMs } of ticks) {
		const spentS = last === undefined ? null : carriedS + (atMs - last) / 1000;
		if (kind === 'pause') {
			carriedS = spentS ?? 0;
			last = undefined;
		} else if (kind === 'on') last = atMs;
		else {
			pieces.push({ id: item, kind, tookS: spentS });
			last = atMs;
			carriedS = 0;
		}
	}
	return pieces;
}

/** A hand is at most so much faster than planned [own]. */
const TOLD_SHARE = 0.7;
/** Longer than this between two pieces somebody was away, and did not press "pause" [own]. */
const AWAY_S = 1800;

/** Handling before each arc of a piece as it really was; undefined: its tick tells no time. */
export function handlingOf(plan: ItemPlan, { kind, tookS }: TimedPiece): number | undefined {
	// Sooner than its own arc nobody made it: it was ticked afterwards.
	if (kind !== 'done' || tookS === null || tookS < TOLD_SHARE * plan.pieceArcS) return undefined;
	const handlingS = Math.max(0, (tookS - plan.pieceArcS) / plan.arcs.length);
	return handlingS > AWAY_S ? undefined : handlingS;
}

/** Items that are handled alike: what is held to what, and how the arc begins. */
export const kindOfPlan = ({ guide, start }: Pick<ItemPlan, 'guide' | 'start'>): string =>
	guide === null ? 'groove' : `${guide}, ${start}`;

export interface Learnt {
	kind: string;
	lists: number;
	made: number;
	failed: number;
	/** Before each arc, s: the middle, and what eight in ten lay between; null: too few were timed. */
	handlingS: { middle: number; band: [number, number]; from: number } | null;
	/** Pieces that failed, of all that were begun, with eight in ten. */
	failedShare: { middle: number; band: [number, number] };
}

/** Fewer pieces tell no handling [own]. */
export const TIMED_LEAST = 5;

/**
 * Score interval of a share (Wilson 1927, "Probable inference, the law of succession, and statistical
 * inference", J. Am. Stat. Assoc. 22): the shares p for which |k/n − p| ≤ z·√(p(1 − p)/n).
 */
export function shareBand(k: number, n: number, z = EIGHT_IN_TEN): [number, number] {
	const share = k / n;
	const z2 = z ** 2 / n;
	const middle = (share + z2 / 2) / (1 + z2);
	const half = (z / (1 + z2)) * Math.sqrt((share * (1 - share)) / n + z2 / (4 * n));
	return [Math.max(0, middle - half), Math.min(1, middle + half)];
}

const at = (sorted: readonly number[], share: number) =>
	sorted[Math.round(share * (sorted.length - 1))]!;

/** The kinds that were made most often first. */
export function learntFrom(
	lists: readonly { plans: readonly ItemPlan[]; pieces: readonly TimedPiece[] }[]
): Learnt[] {
	interface Sum {
		lists: number;
		made: number;
		failed: number;
		handlings: number[];
	}
	const kinds = new Map<string, Sum>();
	for (const { plans, pieces } of lists) {
		const byId = new Map(plans.map((plan) => [plan.id, plan]));
		const seen = new Set<string>();
		for (const piece of pieces) {
			const plan = byId.get(piece.id);
			if (!plan) continue;
			const kind = kindOfPlan(plan);
			const sum = kinds.get(kind) ?? { lists: 0, made: 0, failed: 0, handlings: [] };
			kinds.set(kind, sum);
			if (!seen.has(kind)) sum.lists++;
			seen.add(kind);
			sum[piece.kind === 'done' ? 'made' : 'failed']++;
			const handlingS = handlingOf(plan, piece);
			if (handlingS !== undefined) sum.handlings.push(handlingS);
		}
	}
	return [...kinds]
		.map(([kind, { handlings, ...sum }]): Learnt => {
			const sorted = handlings.toSorted((a, b) => a - b);
			const begun = sum.made + sum.failed;
			return {
				kind,
				...sum,
				handlingS:
					sorted.length < TIMED_LEAST
						? null
						: {
								middle: at(sorted, 0.5),
								band: [at(sorted, 0.1), at(sorted, 0.9)],
								from: sorted.length
							},
				failedShare: { middle: sum.failed / begun, band: shareBand(sum.failed, begun) }
			};
		})
		.sort((a, b) => b.made + b.failed - a.made - a.failed);
}

/** A list planned with what earlier ones took: handling where an item has none of its own, and rejects of all. */
export function withLearnt(
	list: DayList,
	plans: readonly Pick<ItemPlan, 'id' | 'guide' | 'start'>[],
	learnt: readonly Learnt[]
): DayList {
	const begun = learnt.reduce((sum, { made, failed }) => sum + made + failed, 0);
	const failed = learnt.reduce((sum, one) => sum + one.failed, 0);
	const items = list.items.map((item) => {
		const plan = plans.find(({ id }) => id === item.id);
		const { handlingS } = (plan && learnt.find(({ kind }) => kind === kindOfPlan(plan))) ?? {};
		if (item.handlingS !== null || !handlingS) return item;
		return { ...item, handlingS: Math.round(handlingS.middle) };
	});
	const rejectShare = begun ? Math.round((1000 * failed) / begun) / 1000 : 0;
	return { ...list, items, quote: { ...list.quote, rejectShare } };
}

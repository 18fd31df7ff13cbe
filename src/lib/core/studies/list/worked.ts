/** A list while it is worked: how the bench stands, what it really took, what a press writes. */
import type { Entry } from '../../evidence/entries';
import type { PlanInputs } from '../../inputs/planInputs';
import { atStart, runArc, type Standing } from '../../session/list';
import type { AskedItem, ItemPlan } from './items';
import { handlingOf, type TimedPiece } from './learnt';
import { shopOf } from './shop';

/** A piece that was made, or failed on the way, by the clock of the list. */
export interface Made {
	id: string;
	endS: number;
}

/** How tank, breaker and cutter stand at `nowS`, from the pieces that were made until then. */
export function standingAfter(
	base: PlanInputs,
	plans: readonly ItemPlan[],
	made: readonly Made[],
	nowS: number
): Standing {
	const shop = shopOf(base);
	let standing = atStart(shop);
	for (const { id, endS } of made) {
		const plan = plans.find((one) => one.id === id);
		if (!plan) continue;
		// From the trigger of its first arc; handling and post-flow run side by side.
		const takesS = plan.arcs.reduce((sum, { arcS, handlingS }, k) => {
			const gapS = k === 0 ? 0 : Math.max(handlingS, plan.arcs[k - 1]!.postS);
			return sum + gapS + arcS;
		}, 0);
		for (const [k, arc] of plan.arcs.entries()) {
			// Whatever time there was before its first arc, the bench stood still; its post-flow is over by then.
			const stoodS = endS - takesS - standing.timeS + standing.postS;
			const handlingS = k === 0 ? Math.max(0, stoodS) : arc.handlingS;
			standing = runArc(shop, standing, { ...arc, handlingS }, 0).after;
		}
	}
	const idleS = nowS - standing.timeS;
	const [any] = plans;
	if (idleS <= 0 || !any) return { ...standing, timeS: Math.max(standing.timeS, nowS) };
	const still = { ...any.arcs[0]!, arcS: 0, postS: 0, handlingS: idleS };
	return runArc(shop, { ...standing, postS: 0 }, still, 0).after;
}

/** What an item really took, against its plan. */
export interface RealItem {
	id: string;
	made: number;
	failed: number;
	plannedS: number;
	/** From the tick before to its own, pauses left out, s. */
	realS: number;
	/** Handling before each arc as it really was, the middle of all; null: not told by its ticks. */
	handlingS: number | null;
}

export function realOf(plans: readonly ItemPlan[], pieces: readonly TimedPiece[]): RealItem[] {
	return plans.flatMap((plan): RealItem[] => {
		const mine = pieces.filter(({ id }) => id === plan.id);
		if (mine.length === 0) return [];
		const made = mine.filter(({ kind }) => kind === 'done').length;
		const timed = mine.flatMap((piece) => {
			const handlingS = handlingOf(plan, piece);
			return handlingS === undefined ? [] : [{ handlingS, tookS: piece.tookS! }];
		});
		const handling = timed.map(({ handlingS }) => handlingS).sort((x, y) => x - y);
		const plannedEachS = plan.arcs.reduce((sum, { arcS, handlingS }) => sum + arcS + handlingS, 0);
		return [
			{
				id: plan.id,
				made,
				failed: mine.length - made,
				plannedS: timed.length * plannedEachS,
				realS: timed.reduce((sum, { tookS }) => sum + tookS, 0),
				handlingS: handling.length ? handling[Math.floor((handling.length - 1) / 2)]! : null
			}
		];
	});
}

/** Longest failed arc that the log takes for one start, s. */
const FAILED_MOST_S = 60;

/** What one press on the run sheet writes into the log: a piece as it was planned, or a start that failed. */
export function entryOf(plan: ItemPlan, { item, cut }: AskedItem, kind: 'done' | 'failed'): Entry {
	const start = plan.start as StartEntry['start'];
	if (kind === 'failed')
		return { kind: 'start', arcS: Math.min(FAILED_MOST_S, plan.arcs[0]!.arcS), start };
	const made = {
		outputA: plan.outputA,
		lengthMm: plan.pieceLengthMm,
		arcS: plan.pieceArcS,
		starts: plan.arcs.length,
		nozzleA: plan.nozzleA
	};
	if (item.what === 'groove')
		return { kind: 'groove', metal: cut.gouge.metal ?? cut.metal, ...made };
	const { metal, thicknessMm, mesh } = cut;
	return { kind: 'cut', metal, thicknessMm, ...made, start, ...(mesh ? { mesh } : {}) };
}
type StartEntry = Extract<Entry, { kind: 'start' }>;

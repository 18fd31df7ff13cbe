/** A list in an order: its arcs, one by one, with what stands before each besides laying. */
import type { DayList } from '../../list/inputs';
import type { ListArc } from '../../session/list';
import type { ItemPlan } from './items';
import type { Progress, Ways } from './runTypes';

/** One block of the list: its pieces that are left, arc by arc. */
export interface Block {
	plan: ItemPlan;
	pieces: number;
	arcs: ListArc[];
	handlingS: number;
	arcS: number;
}
export interface Sequenced {
	arcs: ListArc[];
	/** Of each arc: its block, and the piece. */
	of: { block: Block; piece: number; change: boolean }[];
	changes: number;
}

/** What the bottles give, and gave already, l. */
export interface Bottles {
	freeL: number;
	usedL: number;
}
/** Off, on, leak test [own]. */
export const BOTTLE_CHANGE_S = 300;

/** The arcs of the blocks in this order, with changes of parts and cooling pieces as handling. */
export function sequenced(
	blocks: readonly Block[],
	setInTorch: string,
	changeS: number,
	bottle: Bottles | undefined
): Sequenced {
	const arcs: ListArc[] = [];
	const of: Sequenced['of'] = [];
	let set = setInTorch;
	let changes = 0;
	let usedL = bottle?.usedL ?? 0;
	for (const block of blocks) {
		const change = block.plan.set !== set;
		if (change) changes++;
		set = block.plan.set;
		const each = block.arcs.length / block.pieces;
		for (const [k, arc] of block.arcs.entries()) {
			const first = k === 0 && change;
			let moreS = first ? changeS : 0;
			if (bottle && k % each === 0) {
				const { pieceAirL } = block.plan;
				const empty = usedL > 0 && usedL + pieceAirL > bottle.freeL + 1e-9;
				if (empty) moreS += BOTTLE_CHANGE_S;
				usedL = (empty ? 0 : usedL) + pieceAirL;
			}
			arcs.push(moreS ? { ...arc, handlingS: arc.handlingS + moreS } : arc);
			of.push({ block, piece: Math.floor(k / each) + 1, change: first });
		}
	}
	return { arcs, of, changes };
}

/** The last arc on a workpiece before, and how long it must cool after it. */
export interface Cooling {
	lastArc: number;
	coolS: number;
}
/** A piece that must cool makes the next item on it wait: as handling, once it is known when it ended. */
export function withCooling(
	{ items }: Pick<DayList, 'items'>,
	seq: Sequenced,
	order: readonly Block[]
): { arcs: ListArc[]; waits: Map<number, Cooling> } {
	const seen = new Map<string, Cooling>();
	const waits = new Map<number, Cooling>();
	let at = 0;
	for (const block of order) {
		const { on, coolS } = items.find(({ id }) => id === block.plan.id)!;
		if (on !== '') {
			const before = seen.get(on);
			if (before !== undefined) waits.set(at, before);
			seen.set(on, { lastArc: at + block.arcs.length - 1, coolS });
		}
		at += block.arcs.length;
	}
	return { arcs: seq.arcs, waits };
}

export function blocksOf(
	{ items }: Pick<DayList, 'items'>,
	plans: readonly ItemPlan[],
	{ handlingShare }: Ways,
	{ done }: Progress
): Block[] {
	return plans.flatMap((plan) => {
		const item = items.find(({ id }) => id === plan.id)!;
		const pieces = item.pieces - (done[plan.id] ?? 0);
		if (pieces <= 0) return [];
		const each = plan.arcs.map((arc) => ({ ...arc, handlingS: arc.handlingS * handlingShare }));
		const arcs = Array.from({ length: pieces }, () => each).flat();
		return [
			{
				plan,
				pieces,
				arcs,
				handlingS: arcs.reduce((sum, { handlingS }) => sum + handlingS, 0),
				arcS: pieces * plan.pieceArcS
			}
		];
	});
}

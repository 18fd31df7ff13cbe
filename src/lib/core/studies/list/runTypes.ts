/** What the run of a list is, and what is asked of it. */
import { closedOf, type DayList, type ListOrder } from '../../list/inputs';
import type { OrderTrouble } from '../../list/order';
import type { Closed } from '../../session/closed';
import type { Standing } from '../../session/list';
import type { CannotMake, ItemPlan } from './items';

/** What stands in the way of an arc. */
export type HeldUpBy = 'air' | 'breaker' | 'heat' | 'cooling';

export interface Rest {
	/** Item and piece (from 1) that it stands before. */
	id: string;
	piece: number;
	/** Besides handling, s. */
	restS: number;
	atS: number;
	because: HeldUpBy;
}
/** Nobody works: a break, or the night. */
export interface Break {
	/** Item and piece (from 1) that comes after it. */
	id: string;
	piece: number;
	/** End of the arc before it, and begin of the arc after it. */
	fromS: number;
	onAtS: number;
	breakS: number;
	/** Longer than any break: the day is over. */
	night: boolean;
	/** Pieces of the whole run that are done before it. */
	doneBefore: number;
}
export interface RunItem {
	id: string;
	/** Parts are changed before it. */
	change: boolean;
	startS: number;
	endS: number;
	/** Of its pieces that are still to be made. */
	pieces: number;
	arcS: number;
	handlingS: number;
	restS: number;
	/** In which nobody works. */
	breakS: number;
	/** Arcs on the axis of time. */
	arcs: { startS: number; endS: number }[];
}
export interface ListRun {
	items: RunItem[];
	/** End of the last arc, s from the start. */
	endS: number;
	changes: number;
	rests: Rest[];
	restS: number;
	breaks: Break[];
	breakS: number;
	/** One arc alone may trip the breaker: it was followed by the latest curve, so by what surely trips. */
	mayTrip: boolean;
	/** The rests hang on the second: a little less air, or a warmer start, and something stops. */
	fragile: boolean;
	/** The first thing that would stop without rests; null: nothing. */
	firstLimit: { id: string; piece: number; atS: number; because: HeldUpBy } | null;
	/** Nothing ends before this, whatever the order, s. */
	boundS: number;
	/** Every order of the parts changes was looked at. */
	exact: boolean;
	trace: RunTrace;
}
/** At the end of each arc's post-flow; as shares of what stops. */
export interface RunTrace {
	timeS: number[];
	/** Lowest of each arc, bar; null: no tank. */
	tankBar: number[] | null;
	neededBar: number;
	breaker: number[];
	cutterC: number[];
}
export type RunTrouble =
	| OrderTrouble
	/** No rest helps: this item, by this limit, from cold. */
	| { trouble: 'never'; item: string; because: HeldUpBy }
	| { trouble: 'too-many'; arcs: number }
	/** The person's own order has an item before one that it must wait for. */
	| { trouble: 'order'; item: string; first: string };

export interface ListStudy {
	/** By item of the list. */
	plans: ItemPlan[];
	cannot: CannotMake[];
	/** null: nothing is left to make. */
	run: ListRun | RunTrouble | null;
}
/** Pieces that are done, by item; and how the bench stands, from the arcs that were made. */
export interface Progress {
	done: Readonly<Record<string, number>>;
	setInTorch: string | null;
	standing: Standing | null;
	/** Air that was taken from the bottles since they were as the bench says, l. */
	usedL: number;
}
export const NOTHING_DONE: Progress = { done: {}, setInTorch: null, standing: null, usedL: 0 };
/** How the list is worked: what the "one change" comparisons turn. */
export interface Ways {
	order: ListOrder;
	/** A second pair of hands lays and clamps: handling takes this share [own]. */
	handlingShare: number;
	changeS: number;
	/** Breaks and nights; left out: somebody works until it is done. */
	closed?: Closed;
}
export const HELPER_SHARE = 0.5;
/** As the list says; `beganS` after midnight, where it was begun at another time than it says. */
export const waysOf = (
	list: Pick<DayList, 'order' | 'changeS' | 'startsAt' | 'endsAt' | 'breaks'>,
	beganS?: number
): Ways => ({
	order: list.order,
	handlingShare: 1,
	changeS: list.changeS,
	closed: closedOf(list, beganS)
});

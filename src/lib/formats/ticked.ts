import type { TICK_KINDS } from './bodies/work';

/** One press on the run sheet; `opId` names it for whoever takes it back. */
export interface Tick {
	opId: string;
	item: string;
	kind: (typeof TICK_KINDS)[number];
	/** ISO 8601. */
	at: string;
}
/** What stands on a list, oldest first; of two answers the one with more presses is the later. */
export interface Ticked {
	ticks: Tick[];
	/** Ticks ever made, and those taken back counted once more. */
	presses: number;
}

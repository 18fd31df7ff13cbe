/** What the server tells of a sensor. */
import type { Seen, Segmented } from '$lib/core/arcline/events';

/** Something that was seen, and what became of it. */
export interface StoredSeen {
	id: number;
	state: 'offered' | 'taken' | 'left';
	seen: Seen;
}
/** How the sensor stands. */
export interface LineNow {
	boot: string;
	now: Segmented['now'];
	/** Usual distance of two readings, s. */
	intervalS: number | null;
	aheadMs: number;
	/** First reading of this start of the device. */
	watchedSinceMs: number;
	lastCameMs: number;
	missing: number;
	late: number;
	implausible: number;
}
/** How a sensor stands, for its page and the run sheet. */
export interface LineState {
	/** null: no sensor is paired. */
	line: { madeAt: string; byRule: boolean } | null;
	/** null: nothing came yet. */
	now: LineNow | null;
	serverMs: number;
	offered: StoredSeen[];
	/** Whatever was seen in the last hours, for heat and share of the run. */
	lately: StoredSeen[];
}

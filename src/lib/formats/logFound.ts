/** What finding in the log gives, as it is sent. */
import type { LoggedEntry } from '$lib/core';

export interface FoundRow extends LoggedEntry {
	who: string | null;
	whatFor: string | null;
	/** The row that this one stands in for. */
	corrects: number | null;
}
/** What was found in all, not only on this page. */
export interface Found {
	count: number;
	lengthMm: number;
	starts: number;
	arcMs: number;
	/** When the oldest of them was done; null: none. */
	since: string | null;
}
export interface FoundPage {
	found: Found;
	entries: (FoundRow & {
		/** The row that it stands in for, as it was. */
		was: FoundRow | null;
	})[];
	/** `before` of the page after it; null: this was the last. */
	next: string | null;
}

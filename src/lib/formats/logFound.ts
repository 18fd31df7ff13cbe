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
/** What can come first: by when it was done, by the length of the cut or groove, by the time of its arc. */
export const LOG_SORTS = ['at', 'length', 'arc'] as const;
export interface LogOrder {
	by: (typeof LOG_SORTS)[number];
	/** The newest, the longest first. */
	down: boolean;
}
export const NEWEST_FIRST: LogOrder = { by: 'at', down: true };

/** An order as an address says it, "-length"; undefined: there is none such. */
export function orderOf(text: string): LogOrder | undefined {
	const down = text.startsWith('-');
	const by = LOG_SORTS.find((one) => one === text.slice(down ? 1 : 0));
	return by && { by, down };
}
export const orderText = ({ by, down }: LogOrder): string => (down ? `-${by}` : by);

export interface FoundPage {
	found: Found;
	entries: (FoundRow & {
		/** The row that it stands in for, as it was. */
		was: FoundRow | null;
	})[];
	/** `before` of the page after it; null: this was the last. */
	next: string | null;
}

/** When nobody works: breaks and the night, the same every day. Times in s from the start of a list. */

export const DAY_S = 86_400;

/** Within one day from the start of the list, in order and apart; `fromS` from 0 to a day, `toS` after it. */
export type Closed = readonly { fromS: number; toS: number }[];

/** Of a day that begins `startS` after midnight; `toS` may lie past the next midnight. */
export function closedFrom(startS: number, windows: Closed): Closed {
	return windows
		.map(({ fromS, toS }) => {
			const shifted = (((fromS - startS) % DAY_S) + DAY_S) % DAY_S;
			return { fromS: shifted, toS: shifted + toS - fromS };
		})
		.sort((a, b) => a.fromS - b.fromS);
}

/** Windows that touch or follow `atS`, of the day before it and of three days on. */
function* windowsFrom(closed: Closed, atS: number): Generator<{ fromS: number; toS: number }> {
	// One that began the day before may still last.
	const first = Math.floor(atS / DAY_S) - 1;
	for (let day = first; day <= first + 3; day++)
		for (const { fromS, toS } of closed)
			if (toS + day * DAY_S > atS) yield { fromS: fromS + day * DAY_S, toS: toS + day * DAY_S };
}

/** When work of `workS` that begins at `atS` is over, with whatever is closed on the way. */
export function overAt(closed: Closed, atS: number, workS: number): number {
	if (closed.length === 0) return atS + workS;
	let [now, left] = [atS, workS];
	// Days are taken one by one: nothing is open for longer than that at once.
	for (let days = 0; days < 1000; days++) {
		for (const { fromS, toS } of windowsFrom(closed, now)) {
			if (fromS >= now + left) return now + left;
			left -= Math.max(0, fromS - now);
			now = Math.max(now, toS);
		}
	}
	return now + left;
}

/**
 * Seconds that an arc starts later because nobody works: laying is broken off and gone on with, an arc is
 * not begun that would not be over. An arc for which no day has room goes where it falls.
 */
export function closedBefore(
	closed: Closed,
	{ freeS, startS, arcS }: { freeS: number; startS: number; arcS: number }
): number {
	let at = startS;
	let since = freeS;
	for (const { fromS, toS } of windowsFrom(closed, freeS)) {
		if (fromS >= at + arcS) return at - startS;
		at = at > fromS ? at + toS - Math.max(fromS, since) : toS;
		since = toS;
	}
	return 0;
}

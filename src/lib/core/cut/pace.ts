/** Speed that was held over a length, mm/s. */
export function travelMmS({ lengthMm, timeS }: { lengthMm: number; timeS: number }): number {
	return lengthMm / timeS;
}
/** Time for a length at a speed, s. */
export function travelS({ lengthMm, speedMmS }: { lengthMm: number; speedMmS: number }): number {
	return lengthMm / speedMmS;
}

/** A beat to move by: at each one the torch passes the next mark on the line. */
export interface Pace {
	/** From mark to mark. */
	beatMm: number;
	beatS: number;
	/** Whole beats that the line takes; the last one may be cut short by its end. */
	beats: number;
	totalS: number;
}

/** At most so many flashes a second: faster ones are a danger to some eyes (WCAG 2.3.1). */
export const BEATS_MOST_PER_S = 3;

/**
 * The nearest marks that keep the beat at or below three a second. `marksMm` rise; beyond the last one
 * it is doubled until the beat is slow enough.
 */
export function paceOf(
	{ speedMmS, lengthMm }: { speedMmS: number; lengthMm: number },
	marksMm: readonly number[]
): Pace {
	let beatMm = marksMm.find((mm) => speedMmS / mm <= BEATS_MOST_PER_S) ?? marksMm.at(-1)!;
	while (speedMmS / beatMm > BEATS_MOST_PER_S) beatMm *= 2;
	return {
		beatMm,
		beatS: beatMm / speedMmS,
		beats: Math.ceil(lengthMm / beatMm - 1e-9),
		totalS: travelS({ lengthMm, speedMmS })
	};
}

/** Marks a person can see on a rule, mm. */
export const MARKS_MM = { metric: [5, 10, 25, 50], imperial: [6.35, 12.7, 25.4, 50.8] } as const;

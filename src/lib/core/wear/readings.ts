/** Several readings of the same pit or bore. */

/** A gauge by hand reads to about so much, one standard deviation, mm [own]. */
export const GAUGE_MM = 0.05;

export interface MeanReading {
	meanMm: number;
	/** One standard deviation of the mean, mm: of the readings among themselves, never below the gauge's own. */
	spreadMm: number;
	/** They lie further apart than one pit can read: something moved, or one was misread. */
	apart: boolean;
}
/** Three or so readings of one thing; at least one. */
export function meanReading(readingsMm: readonly number[]): MeanReading {
	const n = readingsMm.length;
	const meanMm = readingsMm.reduce((sum, mm) => sum + mm, 0) / n;
	const squares = readingsMm.reduce((sum, mm) => sum + (mm - meanMm) ** 2, 0);
	const own = n > 1 ? Math.sqrt(squares / (n - 1)) : 0;
	const span = Math.max(...readingsMm) - Math.min(...readingsMm);
	return {
		meanMm,
		spreadMm: Math.max(own, GAUGE_MM) / Math.sqrt(n),
		// Of three readings nineteen spans in twenty lie within 3.3 standard deviations (range of normal samples).
		apart: span > 3.3 * GAUGE_MM
	};
}

/** Worn parts do not grow back: a reading so much under the one before wants asking, mm [own]. */
const SHRUNK_MM = 0.05;
export const shrank = (readMm: number, beforeMm: number | null): boolean =>
	beforeMm !== null && readMm < beforeMm - SHRUNK_MM;

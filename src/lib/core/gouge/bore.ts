/** Width that a gouging bore makes when it is pushed straight: 5 to 8 mm of 1.6 mm at 45 A [common practice]. */
export const BORE_WIDTHS = [3, 5] as const;
/** A weave makes a string wider and thinner, up to so many times the straight one's width [own]. */
export const WEAVE_MOST = 1.5;
/** The widest string that a bore makes with a weave. */
export const widestWovenMm = (boreMm: number): number => BORE_WIDTHS[1] * boreMm * WEAVE_MOST;
export const naturalWidthMm = (boreMm: number): [number, number] => [
	BORE_WIDTHS[0] * boreMm,
	BORE_WIDTHS[1] * boreMm
];

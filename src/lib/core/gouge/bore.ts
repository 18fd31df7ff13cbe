/** Width that a gouging bore makes when it is pushed straight: 5 to 8 mm of 1.6 mm at 45 A [common practice]. */
export const BORE_WIDTHS = [3, 5] as const;
export const naturalWidthMm = (boreMm: number): [number, number] => [
	BORE_WIDTHS[0] * boreMm,
	BORE_WIDTHS[1] * boreMm
];

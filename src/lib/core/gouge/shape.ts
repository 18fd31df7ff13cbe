/** Sections of strings, alone and side by side. Widths at the surface and depths in mm, areas in mm². */

/** Strings side by side stand so much of their width apart (common practice). */
export const STEP_SHARE = 0.6;

/** Area of one string, a parabola. */
export const stringAreaMm2 = (widthMm: number, depthMm: number): number =>
	(2 / 3) * widthMm * depthMm;

/** Depth of a string at `xMm` from its middle; nothing beyond its edges. */
export function depthAtMm(widthMm: number, depthMm: number, xMm: number): number {
	return Math.max(0, depthMm * (1 - (2 * xMm) ** 2 / widthMm ** 2));
}

/** At the ridge between two strings, half a step from each, so much of their depth is reached. */
export const RIDGE_SHARE = 1 - STEP_SHARE ** 2;

/** Metal that two neighbours both sweep: twice the parabola beyond half a step, as a share of w·d. */
const SHARED_SHARE = 2 * ((1 - STEP_SHARE) / 2 - (1 - STEP_SHARE ** 3) / 6);

/** Section of `n` equal strings side by side; metal that two of them sweep counts once. */
export function stringsAreaMm2(n: number, widthMm: number, depthMm: number): number {
	return widthMm * depthMm * ((2 / 3) * n - SHARED_SHARE * (n - 1));
}

/** Width that `n` strings cover. */
export const coveredMm = (n: number, widthMm: number): number =>
	widthMm * (1 + STEP_SHARE * (n - 1));

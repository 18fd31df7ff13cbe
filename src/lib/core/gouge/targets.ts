/** What may be taken out, and what of it is worked alike. */

export const TARGETS = [
	'groove',
	'fillet',
	'butt',
	'back',
	'crack',
	'facing',
	'score',
	'mark',
	'tack',
	'dimple'
] as const;
export type Target = (typeof TARGETS)[number];

/** Drawn as lines with travel, or burnt on the spot with the torch upright, by seconds. */
export const isSpot = (target: Target): boolean => target === 'tack' || target === 'dimple';
/** Shallow lines that only mark. */
export const isMark = (target: Target): boolean => target === 'score' || target === 'mark';
/** Light work that ordinary cutting parts do where there is no gouging nozzle (common practice). */
export const isLight = (target: Target): boolean => isSpot(target) || isMark(target);
/** It goes into the plate rather than standing on it. */
export const goesIntoPlate = (target: Target): boolean =>
	target !== 'fillet' && target !== 'butt' && target !== 'facing' && target !== 'tack';

/** Pixels of one millimetre on this screen, matched once to a rule; kept on this device. */
import * as v from 'valibot';
import { recall, remember } from './remembered';

const KEY = 'px-per-mm';
/** CSS says 96 px to the inch; screens differ. */
export const NOMINAL_PX_PER_MM = 96 / 25.4;
export const PX_PER_MM = { min: 2, max: 12 };

export function screenScale(): { pxPerMm: number; matched: boolean } {
	const kept = recall(
		KEY,
		v.pipe(v.number(), v.minValue(PX_PER_MM.min), v.maxValue(PX_PER_MM.max))
	);
	return { pxPerMm: kept ?? NOMINAL_PX_PER_MM, matched: kept !== undefined };
}

export const keepScreenScale = (pxPerMm: number): void => remember(KEY, pxPerMm);

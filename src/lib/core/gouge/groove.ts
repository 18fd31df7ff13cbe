/** The groove as plain data, for drawings and for whoever asks the API. */
import type { GougeString } from './oneString';
import type { GougeWorkings } from './workings';

export interface Groove {
	strings: GougeString[];
	/** Places across, mm; at each of them down from the face, mm: metal before, what was asked for, what stays. */
	xs: number[];
	topMm: number[];
	bottomMm: number[];
	staysMm: number[];
	/** Of the whole section, at its face. */
	widthMm: number;
	depthMm: number;
	/** Of it, from the middle of a fillet's face towards the flat plate; 0 of all others. */
	midMm: number;
	/** Deepest point reached. */
	reachMm: number;
	/** Seconds of each string along the line. */
	stringS: number[];
}

export function grooveOf({ layout, section, lengthMm }: GougeWorkings): Groove | null {
	if (!layout) return null;
	const { xs, top, strings, reachMm } = layout;
	return {
		strings,
		xs,
		topMm: top,
		bottomMm: xs.map((x, i) =>
			Math.abs(x) <= section.widthMm / 2 ? Math.max(section.bottomMm(x), top[i]!) : top[i]!
		),
		staysMm: xs.map((x) => section.staysMm(x)),
		widthMm: section.widthMm,
		depthMm: section.depthMm,
		midMm: section.midMm,
		reachMm,
		stringS: strings.map(({ speedMmS }) => lengthMm / speedMmS)
	};
}

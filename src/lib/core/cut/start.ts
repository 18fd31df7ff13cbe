/**
 * Which start goes through, by thickness (common practice): a straight pierce to half of the clean
 * rating, a rolled one, or one fired from 12 mm up and lowered once through, to half of the sever rating;
 * an edge start for anything that can be severed.
 */

export const STARTS = ['edge', 'pierce', 'hover', 'drilled'] as const;
/** "drilled": in a hole that was drilled first; the edge start of a hole. */
export const START_METHODS = ['edge', 'pierce', 'rolled', 'hover', 'drilled'] as const;
export type StartMethod = (typeof START_METHODS)[number] | 'none';

export interface StartCapacity {
	straightMm: number;
	rolledMm: number;
	severMm: number;
}

export function startCapacity(cleanMm: number, severMm: number): StartCapacity {
	return { straightMm: cleanMm / 2, rolledMm: severMm / 2, severMm };
}

export type Start = (typeof STARTS)[number];

/** A hole inside a plate has no edge to start from. */
export const isHole = (cut: Outline) => cut.guide === 'circle' && cut.circleOf === 'hole';

export interface Outline {
	guide?: string;
	circleOf?: string;
}

/**
 * The start that was asked for, by the way it goes through; "pierce" takes the easiest that does. A hole
 * that was to start on an edge is pierced, or started in a drilled hole where that does not go.
 */
export function startMethod(
	cut: Outline & { start: Start },
	thicknessMm: number,
	capacity: StartCapacity
): StartMethod {
	const { severMm, straightMm, rolledMm } = capacity;
	const cuts = thicknessMm <= severMm;
	if (cut.start === 'drilled') return cuts ? 'drilled' : 'none';
	if (cut.start === 'edge') {
		if (!cuts) return 'none';
		if (!isHole(cut)) return 'edge';
		return thicknessMm <= straightMm ? 'pierce' : thicknessMm <= rolledMm ? 'rolled' : 'drilled';
	}
	if (cut.start === 'pierce' && thicknessMm <= straightMm) return 'pierce';
	if (thicknessMm > rolledMm) return 'none';
	return cut.start === 'hover' ? 'hover' : 'rolled';
}

/** Thickest that a start goes through, mm. */
export function startLimitMm(
	method: Exclude<StartMethod, 'none'>,
	{ straightMm, rolledMm, severMm }: StartCapacity
): number {
	return method === 'edge' || method === 'drilled'
		? severMm
		: method === 'pierce'
			? straightMm
			: rolledMm;
}

/**
 * Time to break through in multiples of the time that the travel takes over one thickness, t/v [own]: the
 * first channel has no open side to blow out of, and a roll or a hover takes the hand's time too.
 */
export const THROUGH_FACTOR = { edge: 1, drilled: 1, pierce: 2, rolled: 4, hover: 3 } as const;
/** The band round it: the eye, not the clock, says when it is through [own]. */
export const THROUGH_BAND = [0.5, 2] as const;

/** Expected time to break through, s; null: it does not go through. */
export function throughS(
	method: StartMethod,
	thicknessMm: number,
	referenceMmS: number | null
): number | null {
	if (method === 'none' || referenceMmS === null) return null;
	return (THROUGH_FACTOR[method] * thicknessMm) / referenceMmS;
}

/** What is to be taken out, as a section: from its face downwards, x across from its middle. */
import type { Target } from './targets';

/** A weld's face stands over the flat: usual convexity of a fillet by hand (common practice, from memory). */
export const FILLET_CONVEXITY = 1.15;
/** Left proud for the grinder, mm [common practice]; less on a fillet, which has two faces to it [own]. */
export const GRIND_MM = { fillet: 0.5, other: 1 } as const;
/** Of any plate at least this stays, mm [own]. */
export const LIGAMENT_LEAST_MM = 2;
/** Of the plate that stays: the greater of that and a quarter of it [own]. */
export const ligamentMm = (plateMm: number): number => Math.max(LIGAMENT_LEAST_MM, plateMm / 4);

/** Legs of a fillet: along the flat plate, and up the other. */
export type Legs = readonly [flatMm: number, upMm: number];
export const legsOf = ({ legMm, upLegMm }: { legMm: number; upLegMm: number | null }): Legs => [
	legMm,
	upLegMm ?? legMm
];
/** From the root of a fillet to its flat face, as drawings of some countries size it. */
export const throatMm = ([flatMm, upMm]: Legs): number =>
	(flatMm * upMm) / Math.hypot(flatMm, upMm);
/** The same shape of fillet with another throat. */
export function legsOfThroat(legs: Legs, throat: number): Legs {
	const times = throat / throatMm(legs);
	return [legs[0] * times, legs[1] * times];
}

/** Sizes as asked for. */
export interface TargetSize {
	target: Target;
	/** Across: groove, cap, pad, line; the diameter of a spot. */
	widthMm: number;
	/** Downwards: groove, crack, line; how high a cap, pad or tack stands. */
	depthMm: number;
	/** Of a fillet: along the flat plate; up the other one, null: the same. */
	legMm: number;
	upLegMm: number | null;
	/** At the bottom of a back-gouge. */
	rootRadiusMm: number;
}

export interface Section {
	/** Of what is gouged, at its face. */
	widthMm: number;
	/** From the face to its deepest point. */
	depthMm: number;
	/** Of the whole weld or groove, what the grinder takes included. */
	wholeMm2: number;
	/** Where metal begins; under 0: it stands over the face. */
	topMm: (xMm: number) => number;
	/** How far down it is to be taken. */
	bottomMm: (xMm: number) => number;
	/** Of what is gouged, from the middle of a fillet's face towards the flat plate; 0 of all others. */
	midMm: number;
	/** How far down nothing may be taken. */
	staysMm: (xMm: number) => number;
	/** What may stand over the bottom afterwards: ridges and corners, for the grinder. */
	mayStandMm: (xMm: number) => number;
}

/** Strings side by side may dig so much deeper than the groove between their ridges [own]. */
const OVER_SHARE = 0.25;

/** A gauge in a groove reads to about this, mm: so much of its depth may be missing. */
const FLOOR_MM = 0.15;
/** Ridges and corners that a grinder takes along, mm [own]. */
const roughMm = (depthMm: number) => Math.max(0.6, 0.2 * depthMm);

/** Paraboloid of a spot: half of what its cylinder holds, mm³. */
export const spotMm3 = (diameterMm: number, depthMm: number): number =>
	(Math.PI / 8) * diameterMm ** 2 * depthMm;

/** A groove that one parabola fills, in a plate that may be entered `mostMm` deep. */
function bowl(widthMm: number, depthMm: number, mostMm: number): Section {
	// Where what must stay lies close below, the last of it is the grinder's: no string hits a hair.
	const roomMm = mostMm - depthMm;
	const shortMm = FLOOR_MM + Math.max(0, OVER_SHARE * depthMm - Math.max(0, roomMm));
	return {
		widthMm,
		depthMm,
		midMm: 0,
		wholeMm2: (2 / 3) * widthMm * depthMm,
		topMm: () => 0,
		bottomMm: (x) => Math.max(0, depthMm * (1 - (2 * x) ** 2 / widthMm ** 2)),
		// What the groove is for lies at its bottom; its edges may be rough.
		mayStandMm: (x) => (Math.abs(x) < widthMm / 5 ? shortMm : roughMm(depthMm)),
		// Ridges stand where strings meet, so between them they dig deeper; at the edges less.
		staysMm: (x) =>
			Math.min(mostMm, (1 + OVER_SHARE) * depthMm * Math.max(0, 1.15 - (2 * x) ** 2 / widthMm ** 2))
	};
}

/**
 * The corner weld across its face, a plate falling away on either side of its root; each keeps what the grinder
 * takes. With unequal legs the root lies off the middle of the face, towards the shorter leg.
 */
function fillet(legs: Legs, grindMm: number): Section {
	const [flatMm, upMm] = legs;
	const faceMm = Math.hypot(flatMm, upMm);
	const rootMm = throatMm(legs);
	// Down along the plate that stands to the left, and up along the flat one to the right.
	const [fall, rise] = [flatMm / upMm, upMm / flatMm];
	const rootXMm = upMm ** 2 / faceMm - faceMm / 2;
	// A point that is as far from either plate as the grinder takes.
	const depthMm = Math.max(0, rootMm - (grindMm * (flatMm + upMm)) / faceMm);
	const deepestXMm = rootXMm + (grindMm * (flatMm - upMm)) / faceMm;
	const widthMm = depthMm * (1 / fall + 1 / rise);
	const midMm = deepestXMm + (depthMm * (1 / rise - 1 / fall)) / 2;
	const down = (deepMm: number, atMm: number) => (x: number) =>
		deepMm - Math.max(fall * (atMm - midMm - x), rise * (x + midMm - atMm));
	const bottom = down(depthMm, deepestXMm);
	// A parabola over the face that adds the convexity's share to the triangle.
	const bulgeMm = ((FILLET_CONVEXITY - 1) * flatMm * upMm * 0.75) / faceMm;
	return {
		widthMm,
		depthMm,
		midMm,
		wholeMm2: (FILLET_CONVEXITY * flatMm * upMm) / 2,
		topMm: (x) => -bulgeMm * Math.max(0, 1 - (2 * (x + midMm)) ** 2 / faceMm ** 2),
		bottomMm: (x) => Math.max(0, bottom(x)),
		mayStandMm: () => roughMm(depthMm),
		staysMm: down(rootMm, rootXMm)
	};
}

/** A cap or a pad that stands on the plate, to be taken down to what the grinder takes. */
function standing(widthMm: number, heightMm: number, grindMm: number, round: boolean): Section {
	const depthMm = Math.max(0, heightMm - grindMm);
	const topMm = (x: number) => (round ? heightMm * Math.min(1, (2 * x) ** 2 / widthMm ** 2) : 0);
	const wide = round && heightMm > 0 ? widthMm * Math.sqrt(depthMm / heightMm) : widthMm;
	return {
		widthMm: wide,
		depthMm,
		midMm: 0,
		wholeMm2: (round ? 2 / 3 : 1) * widthMm * heightMm,
		topMm,
		bottomMm: (x) => (Math.abs(x) <= wide / 2 ? depthMm : 0),
		mayStandMm: () => roughMm(depthMm),
		// Down to the plate, which stands beside it too.
		staysMm: () => heightMm
	};
}

/**
 * Section of what is asked for; `grindMm` is left for the grinder, `mostMm`: how deep the plate may be entered. A back-gouge's parabola has the root radius asked for: R = w²/(8·d).
 */
export function sectionOf(size: TargetSize, grindMm: number, mostMm: number): Section {
	const { target, widthMm, depthMm, rootRadiusMm } = size;
	if (target === 'fillet') return fillet(legsOf(size), grindMm);
	if (target === 'butt') return standing(widthMm, depthMm, grindMm, true);
	if (target === 'facing') return standing(widthMm, depthMm, grindMm, false);
	if (target === 'back') return bowl(Math.sqrt(8 * depthMm * rootRadiusMm), depthMm, mostMm);
	return bowl(widthMm, depthMm, mostMm);
}

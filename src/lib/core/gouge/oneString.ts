/** One string on the ground that the ones before it have left. */
import { WEAVE_MOST } from './bore';
import { bisect } from '../solve/bisect';
import type { Section } from './targets';

/** One string, in the order in which it is pushed. Across from the middle and down from the face, mm. */
export interface GougeString {
	xMm: number;
	/** Its floor. */
	bottomMm: number;
	/** Where it meets what was there before. */
	fromMm: number;
	toMm: number;
	/** Deepest below what was there before. */
	depthMm: number;
	/** Metal that it takes, mm². */
	areaMm2: number;
	speedMmS: number;
	/** Of the torch from side to side; 0: pushed straight. */
	weaveMm: number;
	/** The floor that it leaves, at the places of its layout. */
	floor: number[];
}
export interface Hand {
	/** Volume that the arc throws out, mm³/s. */
	removalMm3S: number;
	/** Depth over width of a string pushed straight. */
	depthOverWidth: number;
	/** Travel that a hand holds, mm/s. */
	speedMmS: readonly [number, number];
	/** No string is to be deeper, mm. */
	deepestMm: number;
	/** No weave makes a string wider, mm: the bore's arc does not reach from shoulder to shoulder of more. */
	wovenMostMm: number;
}

/** Pushed straight, or woven as far as that goes. */
const WEAVES = [1, WEAVE_MOST];
export const POINTS = 97;
const PLACES = 11;

/** A section as numbers. */
export interface Ground {
	section: Section;
	xs: number[];
	stepMm: number;
	top: number[];
	/** The highest metal. */
	highestMm: number;
	bottom: number[];
	/** No string may reach further down. */
	stays: number[];
}

export function groundOf(section: Section): Ground {
	// A string may reach past the edge where nothing is asked for but nothing has to stay either.
	const halfMm = 0.75 * section.widthMm + 1;
	const stepMm = (2 * halfMm) / (POINTS - 1);
	const xs = Array.from({ length: POINTS }, (_, i) => -halfMm + i * stepMm);
	const top = xs.map(section.topMm);
	const bottom = xs.map((x, i) =>
		Math.abs(x) <= section.widthMm / 2 ? Math.max(section.bottomMm(x), top[i]!) : top[i]!
	);
	return {
		section,
		xs,
		stepMm,
		top,
		highestMm: Math.min(...top),
		bottom,
		stays: xs.map((x, i) => Math.max(top[i]!, section.staysMm(x)))
	};
}

/** y = bottom − κ·(x − x₀)² against the floor: metal taken, and of it what was asked for, mm². */
function takes(g: Ground, floor: number[], xMm: number, curve: number, bottomMm: number) {
	let [area, asked, deepest, wide, first, last] = [0, 0, 0, 0, POINTS, 0];
	// No further out than it stands over the highest metal.
	const reach = Math.sqrt(Math.max(0, bottomMm - g.highestMm) / curve);
	const from = Math.max(0, Math.floor((xMm - reach - g.xs[0]!) / g.stepMm));
	const to = Math.min(POINTS - 1, Math.ceil((xMm + reach - g.xs[0]!) / g.stepMm));
	for (let i = from; i <= to; i++) {
		const y = bottomMm - curve * (g.xs[i]! - xMm) ** 2;
		const depth = y - floor[i]!;
		if (depth <= 0) continue;
		area += depth;
		asked += Math.max(0, Math.min(y, g.bottom[i]!) - floor[i]!);
		deepest = Math.max(deepest, depth);
		wide++;
		first = Math.min(first, i);
		last = i;
	}
	return {
		areaMm2: area * g.stepMm,
		askedMm2: asked * g.stepMm,
		depthMm: deepest,
		wideMm: wide * g.stepMm,
		/** From shoulder to shoulder, what is gone between them included. */
		acrossMm: Math.max(0, last - first) * g.stepMm
	};
}

/** Section that was asked for and stands within so far of a place, mm². */
function standsNear(g: Ground, floor: number[], xMm: number, farMm: number): number {
	const from = Math.max(0, Math.ceil((xMm - farMm - g.xs[0]!) / g.stepMm));
	const to = Math.min(POINTS - 1, Math.floor((xMm + farMm - g.xs[0]!) / g.stepMm));
	let sum = 0;
	for (let i = from; i <= to; i++) sum += Math.max(0, g.bottom[i]! - floor[i]!);
	return sum * g.stepMm;
}

/** The string at one place, travel and weave that takes as much as that travel gives; undefined: it cannot. */
function stringAt(
	g: Ground,
	floor: number[],
	hand: Hand,
	{
		xMm,
		speedMmS,
		weave,
		worth
	}: {
		xMm: number;
		speedMmS: number;
		weave: number;
		/** The least share of it that was asked for. */ worth: number;
	}
) {
	const areaMm2 = hand.removalMm3S / speedMmS;
	// On a flat plate area 2/3·w·d and d = r·w; a weave makes it wider and thinner by as much.
	const straightMm = Math.sqrt((1.5 * areaMm2) / hand.depthOverWidth);
	const widthMm = weave * straightMm;
	// Pushed straight it may be wider than that, where a test groove said so.
	const reachMm = Math.max(hand.wovenMostMm, straightMm);
	if (widthMm > reachMm) return undefined;
	// Where too little of what was asked for stands within its reach, it is not worth the search.
	if (standsNear(g, floor, xMm, widthMm) < worth * areaMm2) return undefined;
	const curve = (4 * hand.depthOverWidth * straightMm) / weave / widthMm ** 2;
	let deepest = Infinity;
	for (let i = 0; i < POINTS; i++)
		deepest = Math.min(deepest, g.stays[i]! + curve * (g.xs[i]! - xMm) ** 2);
	const most = takes(g, floor, xMm, curve, deepest);
	// Even against what must stay it takes less than the arc throws out: the travel is too slow for the place.
	if (most.areaMm2 < areaMm2) return undefined;
	const least = Math.min(...floor);
	const bottomMm = bisect(
		least,
		deepest,
		(y) => takes(g, floor, xMm, curve, y).areaMm2 < areaMm2,
		(yes, no) => no - yes < 0.02
	);
	const taken = takes(g, floor, xMm, curve, bottomMm);
	if (taken.acrossMm > reachMm) return undefined;
	// Never deeper than wide in one string: nobody sees its bottom.
	if (taken.depthMm > Math.min(hand.deepestMm, taken.wideMm) + 0.02) return undefined;
	return {
		xMm,
		bottomMm,
		curve,
		// Of what it really takes, to the last hair of the search.
		speedMmS: hand.removalMm3S / taken.areaMm2,
		weaveMm: widthMm - straightMm,
		...taken
	};
}
type Tried = NonNullable<ReturnType<typeof stringAt>>;

/** Asked-for metal counts, metal beside it counts against a string, and so does a weave, a little. */
const worthOf = (s: Tried) => s.askedMm2 - 0.5 * (s.areaMm2 - s.askedMm2) - 0.02 * s.weaveMm;

/** The string that is worth most here; `worth`: the least share of it that was asked for. */
export function bestOf(
	g: Ground,
	floor: number[],
	hand: Hand,
	paces: readonly number[],
	worth: number
) {
	let best: Tried | undefined;
	for (let i = 0; i < PLACES; i++) {
		const xMm = (g.section.widthMm / 2) * ((2 * i) / (PLACES - 1) - 1);
		for (const speedMmS of paces) {
			for (const weave of WEAVES) {
				const tried = stringAt(g, floor, hand, { xMm, speedMmS, weave, worth });
				if (!tried || tried.askedMm2 < worth * tried.areaMm2) continue;
				if (!best || worthOf(tried) > worthOf(best) + 1e-9) best = tried;
			}
		}
	}
	return best;
}

/** One string on the ground that the ones before it have left. */
import { WEAVE_MOST } from './bore';
import { bisect } from '../solve/bisect';
import type { Section } from './section';

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
	bottom: number[];
	/** No string may reach further down. */
	stays: number[];
	/** The highest of that. */
	staysMm: number;
}
/** What the strings before have left: how far down it is at each place, and where it stands highest. */
interface Left {
	floor: number[];
	highestMm: number;
	/** Section that was asked for and stands before each place, mm². */
	standsMm2: number[];
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
	const stays = xs.map((x, i) => Math.max(top[i]!, section.staysMm(x)));
	return { section, xs, stepMm, top, bottom, stays, staysMm: Math.min(...stays) };
}

function leftOf(g: Ground, floor: number[]): Left {
	const standsMm2 = [0];
	for (let i = 0; i < POINTS; i++)
		standsMm2.push(standsMm2[i]! + g.stepMm * Math.max(0, g.bottom[i]! - floor[i]!));
	return { floor, highestMm: Math.min(...floor), standsMm2 };
}

/** The last place before so far across, and the first one behind it. */
const before = (g: Ground, mm: number) => Math.max(0, Math.floor((mm - g.xs[0]!) / g.stepMm));
const behind = (g: Ground, mm: number) =>
	Math.min(POINTS - 1, Math.ceil((mm - g.xs[0]!) / g.stepMm));

/** A string with the floor y = bottom − κ·(x − x₀)². */
interface Groove {
	xMm: number;
	curve: number;
}
/** Half as wide as it is where it is so deep. */
const halfWideMm = (deepMm: number, curve: number) => Math.sqrt(Math.max(0, deepMm) / curve);

/** Metal that it takes, mm². */
function areaOf(g: Ground, { floor, highestMm }: Left, at: Groove, bottomMm: number): number {
	const { xMm, curve } = at;
	const far = halfWideMm(bottomMm - highestMm, curve);
	const to = behind(g, xMm + far);
	let area = 0;
	for (let i = before(g, xMm - far); i <= to; i++) {
		const depth = bottomMm - curve * (g.xs[i]! - xMm) ** 2 - floor[i]!;
		if (depth > 0) area += depth;
	}
	return area * g.stepMm;
}

/** The same with all that is told of it, and what of it was asked for. */
function takes(g: Ground, { floor, highestMm }: Left, at: Groove, bottomMm: number) {
	const { xMm, curve } = at;
	let [area, asked, deepest, wide, first, last] = [0, 0, 0, 0, POINTS, 0];
	const far = halfWideMm(bottomMm - highestMm, curve);
	const to = behind(g, xMm + far);
	for (let i = before(g, xMm - far); i <= to; i++) {
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

/** How far down it may be, at most. */
function deepestMm(g: Ground, { xMm, curve }: Groove): number {
	const middle = before(g, xMm);
	let deepest = g.stays[middle]! + curve * (g.xs[middle]! - xMm) ** 2;
	// Further out not even the highest of what must stay is in its way.
	const far = halfWideMm(deepest - g.staysMm, curve);
	const to = behind(g, xMm + far);
	for (let i = before(g, xMm - far); i <= to; i++) {
		const here = g.stays[i]! + curve * (g.xs[i]! - xMm) ** 2;
		if (here < deepest) deepest = here;
	}
	return deepest;
}

/** Section that was asked for and stands within so far of a place, mm². */
function standsNear(g: Ground, { standsMm2 }: Left, xMm: number, farMm: number): number {
	const from = Math.max(0, Math.ceil((xMm - farMm - g.xs[0]!) / g.stepMm));
	const to = Math.min(POINTS - 1, Math.floor((xMm + farMm - g.xs[0]!) / g.stepMm));
	return from > to ? 0 : standsMm2[to + 1]! - standsMm2[from]!;
}

/** A string that can be tried: one place, travel and weave, and what no floor changes of it. */
export interface Try extends Groove {
	/** Metal that its travel gives, mm². */
	areaMm2: number;
	/** On a flat plate, mm. */
	widthMm: number;
	weaveMm: number;
	/** From shoulder to shoulder at most, mm. */
	reachMm: number;
	/** As far down as what must stay allows, mm. */
	deepestMm: number;
	/** The least share of it that was asked for. */
	worth: number;
	/** Too little stood within its reach, and strings only leave less. */
	hopeless: boolean;
}

function tryAt(
	g: Ground,
	hand: Hand,
	{ xMm, speedMmS, weave, worth }: { xMm: number; speedMmS: number; weave: number; worth: number }
): Try | undefined {
	const areaMm2 = hand.removalMm3S / speedMmS;
	// On a flat plate area 2/3·w·d and d = r·w; a weave makes it wider and thinner by as much.
	const straightMm = Math.sqrt((1.5 * areaMm2) / hand.depthOverWidth);
	const widthMm = weave * straightMm;
	// Pushed straight it may be wider than that, where a test groove said so.
	const reachMm = Math.max(hand.wovenMostMm, straightMm);
	if (widthMm > reachMm) return undefined;
	const curve = (4 * hand.depthOverWidth * straightMm) / weave / widthMm ** 2;
	return {
		xMm,
		curve,
		areaMm2,
		widthMm,
		weaveMm: widthMm - straightMm,
		reachMm,
		deepestMm: deepestMm(g, { xMm, curve }),
		worth,
		hopeless: false
	};
}

/** All there is to try at these travels; `worth`: the least share of a string that was asked for. */
export function triesOf(
	g: Ground,
	hand: Hand,
	paces: readonly number[],
	worth: number
): readonly Try[] {
	const tries: Try[] = [];
	for (let i = 0; i < PLACES; i++) {
		const xMm = (g.section.widthMm / 2) * ((2 * i) / (PLACES - 1) - 1);
		for (const speedMmS of paces)
			for (const weave of WEAVES) {
				const some = tryAt(g, hand, { xMm, speedMmS, weave, worth });
				if (some) tries.push(some);
			}
	}
	return tries;
}

/** Nowhere as much of what was asked for as makes it worth the search, or of all metal as the arc throws out. */
const lacks = (g: Ground, left: Left, t: Try): boolean =>
	standsNear(g, left, t.xMm, t.widthMm) < t.worth * t.areaMm2 ||
	areaOf(g, left, t, t.deepestMm) < t.areaMm2;

/** The string that takes as much as its travel gives; undefined: it cannot. */
function stringAt(g: Ground, left: Left, hand: Hand, t: Try) {
	const { xMm, curve, areaMm2, weaveMm } = t;
	const bottomMm = bisect(
		left.highestMm,
		t.deepestMm,
		(y) => areaOf(g, left, t, y) < areaMm2,
		(yes, no) => no - yes < 0.02
	);
	const taken = takes(g, left, t, bottomMm);
	if (taken.acrossMm > t.reachMm || taken.askedMm2 < t.worth * taken.areaMm2) return undefined;
	// Never deeper than wide in one string: nobody sees its bottom.
	if (taken.depthMm > Math.min(hand.deepestMm, taken.wideMm) + 0.02) return undefined;
	return {
		xMm,
		bottomMm,
		curve,
		// Of what it really takes, to the last hair of the search.
		speedMmS: hand.removalMm3S / taken.areaMm2,
		weaveMm,
		...taken
	};
}
type Tried = NonNullable<ReturnType<typeof stringAt>>;

/** Asked-for metal counts, metal beside it counts against a string, and so does a weave, a little. */
const worthOf = (s: Tried) => s.askedMm2 - 0.5 * (s.areaMm2 - s.askedMm2) - wovenMm2(s.weaveMm);
const wovenMm2 = (weaveMm: number) => 0.02 * weaveMm;

/** The string that is worth most here. Marks what no string after it can be either. */
export function bestOf(g: Ground, floor: number[], hand: Hand, tries: readonly Try[]) {
	let best: Tried | undefined;
	let moreThanMm2 = -Infinity;
	const left = leftOf(g, floor);
	for (const t of tries) {
		// All of it asked for, it would be worth no more than that.
		if (t.hopeless || t.areaMm2 - wovenMm2(t.weaveMm) <= moreThanMm2) continue;
		t.hopeless = lacks(g, left, t);
		const tried = t.hopeless ? undefined : stringAt(g, left, hand, t);
		if (!tried || worthOf(tried) <= moreThanMm2) continue;
		best = tried;
		moreThanMm2 = worthOf(best) + 1e-9;
	}
	return best;
}

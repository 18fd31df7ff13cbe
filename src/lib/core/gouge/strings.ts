/**
 * Strings that take a section out, one after the other: each where most of it stands, as much as a hand's
 * travel gives and what must stay allows. Metal counts once, because each string is pushed through what the
 * ones before it have left.
 */
import type { Section } from './section';
import {
	bestOf,
	groundOf,
	POINTS,
	triesOf,
	type GougeString,
	type Ground,
	type Hand,
	type Try
} from './oneString';

export interface Layout {
	strings: GougeString[];
	/** Places across at which floors are told, mm. */
	xs: number[];
	/** Metal before the first string, at the same places. */
	top: number[];
	/** Section that is taken, mm². */
	areaMm2: number;
	/** Deepest point reached, from the face, mm. */
	reachMm: number;
	/** What stands at most over what was asked for, mm: ridges and corners. */
	leftMm: number;
	/** Section that stands there, mm². */
	leftMm2: number;
}
/** More than so many is no work for a gouge: it is cut out or ground [own]. */
export const STRINGS_MOST = 30;
/** Up to so many strings other travels are tried, to leave them alike. */
const ALIKE_MOST = 12;
const PACES = 4;
/** Slowest travels that are tried, to leave strings alike without one more. */
const SLOWEST = 3;
/** A string that would take less than this share of what its travel gives is not worth its start [own]. */
const WORTH = 0.15;
/** Where nothing else goes, a last light string may be pushed so much faster than the band [own]. */
const HURRY_MOST = 1.5;
const HURRIES = [1.25, HURRY_MOST];
const LAST_WORTH = 0.03;
/** Where no more strings go, so many times what may stand is left all the same [own]. */
const LEFT_MOST = 1.7;

/** What still stands over what was asked for; `over`: so many times what may stand there, at the worst place. */
function standing(g: Ground, floor: number[]) {
	let [leftMm, leftMm2, over] = [0, 0, 0];
	for (let i = 0; i < POINTS; i++) {
		const left = g.bottom[i]! - floor[i]!;
		if (left <= 0) continue;
		leftMm = Math.max(leftMm, left);
		leftMm2 += left * g.stepMm;
		over = Math.max(over, left / g.section.mayStandMm(g.xs[i]!));
	}
	return { leftMm, leftMm2, over };
}

function pushedAt(
	section: Section,
	g: Ground,
	hand: Hand,
	slowest: number
): Layout | 'many' | undefined {
	const fast = hand.speedMmS[1];
	const paces = Array.from(
		{ length: PACES },
		(_, i) => slowest * (fast / slowest) ** (i / (PACES - 1))
	);
	const tries = triesOf(g, hand, paces, WORTH);
	let light: readonly Try[] | undefined;
	const lastTries = () =>
		triesOf(g, hand, [...paces, ...HURRIES.map((more) => more * fast)], LAST_WORTH);
	const strings: GougeString[] = [];
	let floor = g.top;
	while (standing(g, floor).over > 1) {
		if (strings.length === STRINGS_MOST) return 'many';
		const best = bestOf(g, floor, hand, tries) ?? bestOf(g, floor, hand, (light ??= lastTries()));
		// No string goes any more: a little over what may stand is told, and left to the grinder.
		if (!best) {
			if (standing(g, floor).over > LEFT_MOST || strings.length === 0) return undefined;
			break;
		}
		const { xMm, bottomMm, curve, speedMmS, weaveMm, areaMm2, depthMm } = best;
		const before = floor;
		floor = floor.map((y, i) => Math.max(y, bottomMm - curve * (g.xs[i]! - xMm) ** 2));
		const cut = g.xs.filter((_, i) => floor[i]! > before[i]!);
		strings.push({
			xMm,
			bottomMm,
			speedMmS,
			weaveMm,
			areaMm2,
			depthMm,
			fromMm: cut[0]!,
			toMm: cut.at(-1)!,
			floor
		});
	}
	const { leftMm, leftMm2 } = standing(g, floor);
	return {
		strings,
		xs: g.xs,
		top: g.top,
		areaMm2: strings.reduce((sum, s) => sum + s.areaMm2, 0),
		reachMm: Math.max(...floor),
		leftMm,
		leftMm2
	};
}

/** Fewer it cannot be: all of the section, but for what may stand, at a hand's slowest. */
function leastStrings(section: Section, { removalMm3S, speedMmS }: Hand): number {
	const g = groundOf(section);
	const asked = g.xs.reduce(
		(sum, x, i) => sum + Math.max(0, g.bottom[i]! - g.top[i]! - section.mayStandMm(x)),
		0
	);
	return (asked * g.stepMm * speedMmS[0]) / removalMm3S;
}

/**
 * The strings for a section; `many`: more than {@link STRINGS_MOST}; undefined: these amps and this angle do not
 * make it at a hand's travel. Pushed as
 * slowly as a hand goes they are fewest; of all travels that need no more, the fastest leaves them alike.
 */
export function layoutOf(section: Section, hand: Hand): Layout | 'many' | undefined {
	if (section.depthMm <= 0) return undefined;
	const g = groundOf(section);
	const [slow, fast] = hand.speedMmS;
	if (leastStrings(section, hand) > STRINGS_MOST) return 'many';
	let layout: Layout | undefined;
	for (let i = 0; i < SLOWEST; i++) {
		if (layout && layout.strings.length > ALIKE_MOST) break;
		const tried = pushedAt(section, g, hand, slow * (fast / slow) ** (i / SLOWEST));
		// Faster they are only more.
		if (tried === 'many') return layout ?? tried;
		if (tried && (!layout || tried.strings.length <= layout.strings.length)) layout = tried;
	}
	return layout;
}

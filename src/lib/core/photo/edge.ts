/**
 * Lag lines and dross of a cut edge from a photo of its face [own model]. The thickness of the plate is the
 * scale. The lines are found by trying how they may trail: rows of the face are shifted against each other
 * until they agree, which a bend takes part in and single scratches hardly disturb.
 */
import { drossBelow, type Dross } from './dross';
import { AGREE_LEAST, CONTRAST_LEAST, findLines, RAD, SOFT_PX, whereLinesEnd } from './edgeLines';
import type { Point } from './ellipse';
import { FULL, isSoft, smaller, type Light } from './light';
import type { Told } from './told';
import { bestTrail, leanDeg, shiftOf, trailsOfParts } from './trail';
import { straightened } from './straightened';
import { stripOf, yOn, type Line, type Lines } from './strip';

export const EDGE_REFUSALS = [
	'no-edge',
	'cut-off',
	'blurred',
	'glare',
	'small',
	'no-lines'
] as const;
export type EdgeRefusal = (typeof EDGE_REFUSALS)[number];
export interface EdgeReading extends Dross {
	/** Of the tangent half way down, from straight down. */
	lagDeg: Told;
	/** At three quarters of the depth less at one quarter. */
	bendDeg: Told;
	/** The lines trail to the left: the torch went to the right. */
	wentTo: 'right' | 'left';
	pxPerMm: number;
	lines: Lines;
	/** How the lines run, from the top edge to the bottom, for drawing. */
	trail: Point[];
}
export type EdgeAnswer = { read: EdgeReading } | { refused: EdgeRefusal; lines?: Lines };
/** Fewest pixels over the thickness. */
export const EDGE_PX_LEAST = 36;

/** `lines`: top and bottom drawn by hand, which stand for those found. */
export function readEdge(light: Light, thicknessMm: number, byHand?: Lines): EdgeAnswer {
	const by = Math.max(1, Math.floor(Math.max(light.width, light.height) / 900));
	const small = smaller(light, by);
	const down = ({ at, slope }: Line): Line => ({ at: at / by, slope });
	const up = ({ at, slope }: Line): Line => ({ at: at * by, slope });
	let found = byHand ? { top: down(byHand.top), bottom: down(byHand.bottom) } : findLines(small);
	if (typeof found === 'string') return { refused: burntShare(small) > 0.1 ? 'glare' : found };
	// Dross may end as straight as the plate does; but the lines of the cut end with the plate.
	if (!byHand) found = whereLinesEnd(small, found, thicknessMm) ?? found;
	const lines = { top: up(found.top), bottom: up(found.bottom) };
	const refused = (why: EdgeRefusal): EdgeAnswer => ({ refused: why, lines });
	const mid = (small.width - 1) / 2;
	const tallPx = yOn(found.bottom, mid) - yOn(found.top, mid);
	if (tallPx * by < EDGE_PX_LEAST) return refused('small');
	if (burntBetween(small, found) > 0.15) return refused('glare');
	const strip = stripOf(small, found, tallPx, thicknessMm);
	if (isSoft(small, SOFT_PX)) return refused('blurred');
	const rough = strip.contrast < CONTRAST_LEAST ? undefined : bestTrail(strip);
	if (!rough) return refused('no-lines');
	const parts = trailsOfParts(strip, rough);
	if (parts.agree < AGREE_LEAST) return refused('no-lines');
	const best = straightened(strip, rough);
	const leanOf = (v: number) => leanDeg(best, v, (found.top.slope + found.bottom.slope) / 2);
	const lag = leanOf(0);
	// A camera that looks down or up makes the thickness short: unseen, a few degrees of it.
	const pitch = 0.4 * Math.abs(Math.sin(2 * lag * RAD));
	const pxPerMm = (tallPx * by) / thicknessMm;
	const hanging = drossBelow(small, found, tallPx / thicknessMm);
	const flip = lag < 0 ? -1 : 1;
	return {
		read: {
			lagDeg: { value: Math.abs(lag), spread: Math.hypot(parts.spreadDeg, 0.75, pitch) },
			bendDeg: {
				value: flip * (leanOf(0.25) - leanOf(-0.25)),
				spread: Math.hypot(3 * parts.spreadDeg, 2)
			},
			wentTo: lag < 0 ? 'left' : 'right',
			...hanging,
			pxPerMm,
			lines,
			trail: Array.from({ length: 9 }, (_, i) => {
				const v = i / 8 - 0.5;
				const x = mid - tallPx * shiftOf(best, v);
				const y = yOn(found.top, x) + (i / 8) * (yOn(found.bottom, x) - yOn(found.top, x));
				return { x: x * by, y: y * by };
			})
		}
	};
}

const burntShare = ({ values }: Light): number => {
	let burnt = 0;
	for (const value of values) if (value >= FULL) burnt++;
	return burnt / values.length;
};
function burntBetween(light: Light, { top, bottom }: Lines): number {
	let burnt = 0;
	let all = 0;
	for (let x = 0; x < light.width; x += 2)
		for (
			let y = Math.max(0, Math.ceil(yOn(top, x)));
			y < yOn(bottom, x) && y < light.height;
			y += 2
		) {
			all++;
			if (light.values[y * light.width + x]! >= FULL) burnt++;
		}
	return all ? burnt / all : 0;
}

/**
 * The bore of a nozzle from a photo of its face [own model]. Scale is the face itself, which lies in the plane
 * of the bore: its diameter is a datum of the part. What cannot be told is refused, with the reason.
 */
import {
	type Ellipse,
	inPlaneOf,
	onEllipse,
	type Point,
	robustEllipse,
	tiltDeg,
	steadyRandom
} from './ellipse';
import { find, SMALL_FACE_PX } from './facePair';
import { FULL, isSoft, type Light, lightAt, smaller } from './light';
import { nickOf } from './nick';
import { DIRECTIONS, type Rim, rimNear, rimOf, unblurred, wholeBore } from './rim';
import { middles } from './middles';
import { raySteps } from './raySteps';
import { rings } from './rings';
import type { Told } from './told';

export const NOZZLE_REFUSALS = [
	'none',
	'cut-off',
	'small',
	'blurred',
	'oblique',
	'glare',
	'unclear'
] as const;
export type NozzleRefusal = (typeof NOZZLE_REFUSALS)[number];

/** Turned further from the eye than this is not read, degrees. */
export const OBLIQUE_DEG = 20;
/** Fewest pixels across a bore. */
export const BORE_PX_LEAST = 8;
/** A limit of a tenth of a millimetre wants so many pixels to the millimetre. */
export const LIMIT_PX_PER_MM = 20;
/** Share of a rim that may be burnt out. */
const BURNT_MOST = 0.12;
/** Blur that is still read, as a share of the bore's radius. */
const BLUR_MOST = 0.34;
/** Blur of the small look, pixels, beyond which nothing is fitted. */
const SOFT_PX = 3.3;
/** A diameter told by a caliper or a drawing, share [own]. */
const FACE_SHARE = 0.003;
export interface NozzleReading {
	/** Mean of the long and the short diameter. */
	boreMm: Told;
	longMm: number;
	shortMm: number;
	outOfRoundMm: Told;
	/** Middle of the bore from the middle of the face. */
	offsetMm: Told;
	/** How far the worst nick stands out of the bore; null: none. */
	nickMm: Told | null;
	pxPerMm: number;
	tiltDeg: number;
	/** Standard deviation of the blur. */
	blurPx: number;
	/** What was measured, in pixels of the picture. */
	face: Ellipse;
	bore: Ellipse;
	rim: Point[];
}
export type NozzleAnswer =
	{ read: NozzleReading } | { refused: NozzleRefusal; face?: Ellipse; bore?: Ellipse };

/** Face and bore in a picture; `faceMm`: diameter of the face, from the part's drawing or a caliper. */
export function readNozzle(light: Light, faceMm: number, hint?: Point): NozzleAnswer {
	const found = find(light, hint);
	if (!found) return { refused: whyNone(light) };
	const { pair, by } = found;
	const soft = isSoft(found.small, SOFT_PX);
	const grown = (e: Ellipse): Ellipse => ({
		...e,
		x: by * (e.x + 0.5) - 0.5,
		y: by * (e.y + 0.5) - 0.5,
		a: by * e.a,
		b: by * e.b
	});
	const faceAt = rimNear(light, grown(pair.face.ellipse), true);
	const boreAt = rimNear(light, grown(pair.bore.ellipse), false);
	const face = rimOf(light, faceAt, true, 0.25);
	const bore = wholeBore(light, rimOf(light, boreAt, false, 0.6));
	const drawn = {
		face: face?.ellipse ?? faceAt,
		bore: bore?.ellipse ?? boreAt
	};
	const refused = (why: NozzleRefusal): NozzleAnswer => ({ refused: why, ...drawn });
	if (cutOff(light, drawn.face)) return refused('cut-off');
	if (2 * drawn.bore.a < BORE_PX_LEAST) return refused('small');
	if (tiltDeg(drawn.face) > OBLIQUE_DEG) return refused('oblique');
	if (burntShare(light, drawn.bore) > BURNT_MOST || burntShare(light, drawn.face) > 2 * BURNT_MOST)
		return refused('glare');
	// One blur lies over all of a picture: two rims that disagree about it were not understood.
	if (soft && !(face && bore && alike(face.blurPx, bore.blurPx))) return refused('blurred');
	if (!face || !bore) return refused('unclear');
	if (bore.blurPx > BLUR_MOST * bore.ellipse.b || face.blurPx > 1.3 * BLUR_MOST * bore.ellipse.b)
		// A bore of a few pixels is as soft as it is wide: nearer helps, not a steadier hand.
		return refused(2 * bore.ellipse.a < 1.5 * BORE_PX_LEAST ? 'small' : 'blurred');
	if (face.share < 0.5 || bore.share < 0.4) return refused('unclear');
	return measured(light, face, bore, faceMm) ?? refused('unclear');
}

const alike = (one: number, other: number): boolean =>
	Math.max(one, other) < 1.4 * Math.min(one, other);

/** Why nothing was found, where the face alone tells. */
function whyNone(light: Light): NozzleRefusal {
	const by = Math.max(1, Math.floor(Math.max(light.width, light.height) / 360));
	const small = smaller(light, by);
	let burnt = 0;
	for (const value of small.values) if (value >= FULL) burnt++;
	const random = steadyRandom();
	for (const mid of middles(small, 3))
		for (const sigma of [1.2, 4]) {
			const steps = raySteps(small, mid, sigma);
			const [half] = rings(steps, true, 1, random, { least: 0.16, arc: 0.4 });
			if (half && half.size > 0.06 && cutOff(small, half.ellipse)) return 'cut-off';
			const [face] = rings(steps, true, 1, random);
			if (!face) continue;
			if (face.share < 0.6) continue;
			if (burnt > 0.003 * small.values.length) return 'glare';
			if (2 * face.ellipse.a * by < SMALL_FACE_PX) return 'small';
			const rim = rimOf(small, face.ellipse, true, 0.9);
			if (!rim || rim.blurPx > 0.06 * face.ellipse.a) return 'blurred';
		}
	if (burnt > 0.02 * small.values.length) return 'glare';
	return isSoft(small, SOFT_PX) ? 'blurred' : 'none';
}

const cutOff = ({ width, height }: Light, e: Ellipse): boolean => {
	const wide = Math.hypot(e.a * Math.cos(e.angle), e.b * Math.sin(e.angle));
	const tall = Math.hypot(e.a * Math.sin(e.angle), e.b * Math.cos(e.angle));
	return e.x - wide < 1 || e.y - tall < 1 || e.x + wide > width - 2 || e.y + tall > height - 2;
};

function burntShare(light: Light, e: Ellipse): number {
	let burnt = 0;
	for (let k = 0; k < DIRECTIONS; k++) {
		const at = onEllipse(e, (2 * Math.PI * k) / DIRECTIONS);
		const out = { x: e.x + 1.06 * (at.x - e.x), y: e.y + 1.06 * (at.y - e.y) };
		if (lightAt(light, at.x, at.y) >= FULL || lightAt(light, out.x, out.y) >= FULL) burnt++;
	}
	return burnt / DIRECTIONS;
}

function measured(light: Light, face: Rim, bore: Rim, faceMm: number): NozzleAnswer | undefined {
	const seen = unblurred(face);
	const toMm = (point: Point): Point => {
		const { x, y } = inPlaneOf(seen, point);
		return { x: (x * faceMm) / 2, y: (y * faceMm) / 2 };
	};
	const pxPerMm = (seen.a + seen.b) / faceMm;
	const inMm = robustEllipse(bore.points.map(toMm));
	if (!inMm) return undefined;
	const rim = inMm.ellipse;
	const blurMm = bore.blurPx / pxPerMm;
	const grow = blurMm ** 2 / (rim.a + rim.b);
	const longMm = 2 * (rim.a + grow);
	const shortMm = 2 * (rim.b + grow);
	const boreMm = (longMm + shortMm) / 2;
	// Neighbours are not independent: about one point in four tells something new.
	const own = (of: Rim) => of.spread / Math.sqrt((of.points.length * of.share) / 4);
	const px = Math.hypot(2 * own(bore), 0.25, 0.35 * (bore.blurPx ** 2 / bore.ellipse.a));
	const facePx = Math.hypot(2 * own(face), 0.12) * (boreMm / faceMm);
	const gaps = 1 + 2 * Math.max(0, 0.85 - bore.share);
	const boreSpread = Math.hypot((px * gaps) / pxPerMm, facePx / pxPerMm, FACE_SHARE * boreMm * 0.5);
	const apart = longMm - shortMm;
	const ovalSpread = Math.hypot(
		((2.2 * own(bore) * 2 + 0.25) * gaps) / pxPerMm,
		boreMm * ((2 * own(face)) / face.ellipse.a)
	);
	const tilt = tiltDeg(face.ellipse);
	const slant = ((faceMm / 2) ** 2 * Math.sin((tilt * Math.PI) / 180)) / 120;
	return {
		read: {
			boreMm: { value: boreMm, spread: boreSpread },
			longMm,
			shortMm,
			// Noise makes every circle a little oval: that much is taken off.
			outOfRoundMm: {
				value: Math.sqrt(Math.max(0, apart ** 2 - (0.6 * ovalSpread) ** 2)),
				spread: ovalSpread
			},
			offsetMm: {
				value: Math.hypot(rim.x, rim.y),
				spread: Math.hypot((own(bore) + own(face) + 0.1) / pxPerMm, slant)
			},
			nickMm: nickOf(light, bore, pxPerMm),
			pxPerMm,
			tiltDeg: tilt,
			blurPx: bore.blurPx,
			face: face.ellipse,
			bore: bore.ellipse,
			rim: bore.points
		}
	};
}

/** Face and bore as a person laid them on the picture: a hand places an edge to about a pixel and a half [own]. */
export function nozzleByHand(face: Ellipse, bore: Ellipse, faceMm: number) {
	const pxPerMm = (face.a + face.b) / faceMm;
	const longMm = (2 * bore.a * faceMm) / (2 * face.a);
	const shortMm = (2 * bore.b * faceMm) / (2 * face.b);
	const boreMm = (longMm + shortMm) / 2;
	return {
		boreMm: {
			value: boreMm,
			spread: Math.hypot(HAND_PX / pxPerMm, (HAND_PX / (2 * face.a)) * boreMm)
		},
		longMm: Math.max(longMm, shortMm),
		shortMm: Math.min(longMm, shortMm),
		pxPerMm
	};
}
const HAND_PX = 1.5;

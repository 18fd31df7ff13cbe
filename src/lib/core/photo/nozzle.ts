/**
 * The bore of a nozzle from a photo of its face [own model]. Scale is the face itself, which lies in the plane
 * of the bore: its diameter is a datum of the part. What cannot be told is refused, with the reason.
 */
import {
	inPlaneOf,
	median,
	onEllipse,
	robustEllipse,
	robustSpread,
	tiltDeg,
	type Ellipse,
	type Point
} from './ellipse';
import { FULL, inside, isSoft, lightAt, smaller, type Light } from './light';
import { middles, raySteps, rings, type Ring } from './rings';
import { blurredStep } from './step';

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
/** A burr that stands out less is not told, mm; the nick is 0.15 mm. */
const NICK_LEAST_MM = 0.065;

export interface Told {
	value: number;
	/** One standard deviation. */
	spread: number;
}
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

/** Numbers for picking at random that are the same every time: a picture always reads the same. */
function steadyRandom(): () => number {
	let state = 0x2545f491;
	return () => {
		state ^= state << 13;
		state ^= state >>> 17;
		state ^= state << 5;
		return (state >>> 0) / 4294967296;
	};
}

interface Pair {
	face: Ring;
	bore: Ring;
}

/** Where face and bore are, roughly, in the pixels of `light`. */
function findPair(
	light: Light,
	mid: Point,
	sigma: number
): (Pair & { weight: number }) | undefined {
	const random = steadyRandom();
	// Twice, for the rays of the first look do not start in the middle.
	let from = mid;
	let best: (Pair & { weight: number }) | undefined;
	for (let look = 0; look < 2; look++) {
		const steps = raySteps(light, from, sigma);
		const falling = rings(steps, true, 4, random);
		const rising = rings(steps, false, 4, random);
		best = undefined;
		for (const face of falling)
			for (const bore of rising) {
				const pair = pairOf(face, bore, falling);
				if (pair && pair.weight > (best?.weight ?? 0)) best = pair;
			}
		if (!best) return undefined;
		from = best.bore.ellipse;
	}
	return best;
}
function pairOf(
	face: Ring,
	bore: Ring,
	falling: readonly Ring[]
): (Pair & { weight: number }) | undefined {
	const ratio = face.ellipse.a / bore.ellipse.a;
	if (ratio < 1.9 || ratio > 30 || face.share < 0.5 || bore.share < 0.4) return undefined;
	const apart = Math.hypot(face.ellipse.x - bore.ellipse.x, face.ellipse.y - bore.ellipse.y);
	if (apart > 0.22 * face.ellipse.a) return undefined;
	// A dark chamfer ends in a step of its own: the face ends at the inner one, unless that is only a turning mark.
	const further = falling.some(
		(other) =>
			other !== face &&
			other.ellipse.a < 0.97 * face.ellipse.a &&
			other.ellipse.a > 1.9 * bore.ellipse.a &&
			other.share > 0.6 &&
			other.size > 0.55 * face.size
	);
	return { face, bore, weight: face.weight * bore.weight * (further ? 0.3 : 1) };
}

interface Rim {
	ellipse: Ellipse;
	points: Point[];
	/** Of the points from the ellipse, pixels. */
	spread: number;
	/** Share of the directions that could be read. */
	share: number;
	blurPx: number;
	/** Light half way up the step. */
	half: number;
	burnt: number;
}
const DIRECTIONS = 240;

/** How a rim is looked for: so far to both sides of an ellipse, by samples so far apart, pixels. */
interface Look {
	ellipse: Ellipse;
	/** Light falls from the face outward, or rises from the bore. */
	falls: boolean;
	/** Blur that is reckoned with. */
	sigma: number;
	half: number;
	spacing: number;
	/** Along the rim, to both sides of a sample. */
	tangent: number;
}
interface RimPoint extends Point {
	sigma: number;
	step: number;
	half: number;
}

/** The rim in one direction; undefined: nothing there can be read. */
function rimAt(
	light: Light,
	{ ellipse, falls, sigma, half, spacing, tangent }: Look,
	to: number
): RimPoint | 'outside' | 'burnt' | undefined {
	const at = onEllipse(ellipse, to);
	const ahead = onEllipse(ellipse, to + 1e-3);
	const long = Math.hypot(ahead.x - at.x, ahead.y - at.y);
	const tx = (ahead.x - at.x) / long;
	const ty = (ahead.y - at.y) / long;
	const [nx, ny] = [ty, -tx];
	if (!inside(light, at.x + half * nx, at.y + half * ny)) return 'outside';
	if (!inside(light, at.x - half * nx, at.y - half * ny)) return 'outside';
	const n = Math.floor((2 * half) / spacing) + 1;
	const profile = new Float64Array(n);
	let full = 0;
	for (let i = 0; i < n; i++) {
		const way = -half + i * spacing;
		let sum = 0;
		for (const side of [-1, 0, 1])
			sum += lightAt(
				light,
				at.x + way * nx + side * tangent * tx,
				at.y + way * ny + side * tangent * ty
			);
		profile[i] = sum / 3;
		if (profile[i]! >= FULL && Math.abs(way) < Math.max(3, 1.5 * sigma)) full++;
	}
	if (full > 1) return 'burnt';
	const alone = firstStep(profile, falls, sigma / spacing);
	if (!alone) return undefined;
	const step = blurredStep(
		profile.subarray(alone.from, alone.to),
		spacing,
		(alone.at - alone.from) * spacing,
		sigma,
		((alone.to - alone.from) * spacing) / 2,
		falls
	);
	if (!step || step.to < step.from !== falls) return undefined;
	const way = alone.from * spacing + step.at - half;
	if (Math.abs(way) > half - spacing) return undefined;
	return {
		x: at.x + way * nx,
		y: at.y + way * ny,
		sigma: step.sigma,
		step: Math.abs(step.to - step.from),
		half: (step.to + step.from) / 2
	};
}

/** The rim again at full size: a blurred step fitted in every direction, an ellipse through those that agree. */
function rimOf(light: Light, start: Ellipse, falls: boolean, within: number): Rim | undefined {
	let ellipse = start;
	let sigma = Math.max(0.8, (falls ? 0.008 : 0.06) * start.a);
	let rim: Rim | undefined;
	for (let look = 0; look < 3; look++) {
		// The wall of the bore may be lit nearly as the face is: the first look goes far out for the rim.
		const wide = look > 0 ? 0.05 : falls ? 0.1 : 0.5;
		const half = Math.min(Math.max(4, 3.2 * sigma, wide * ellipse.a), within * ellipse.a);
		const spacing = Math.max(0.35, half / 40);
		const tangent = Math.min((Math.PI * ellipse.a) / DIRECTIONS, 3);
		const read: RimPoint[] = [];
		let burnt = 0;
		let seen = 0;
		for (let k = 0; k < DIRECTIONS; k++) {
			const to = (2 * Math.PI * k) / DIRECTIONS;
			const point = rimAt(light, { ellipse, falls, sigma, half, spacing, tangent }, to);
			if (point === 'outside') continue;
			seen++;
			if (point === 'burnt') burnt++;
			else if (point) read.push(point);
		}
		if (read.length < 0.35 * DIRECTIONS) return undefined;
		const usual = median(read.map(({ step }) => step));
		const clear = read.filter(({ step }) => step > 0.3 * usual);
		const fitted = robustEllipse(clear);
		if (!fitted) return undefined;
		ellipse = fitted.ellipse;
		sigma = Math.max(0.4, median(clear.map((p) => p.sigma)));
		rim = {
			ellipse,
			points: clear.map(({ x, y }) => ({ x, y })),
			spread: fitted.spread,
			share: (clear.length / DIRECTIONS) * fitted.share,
			blurPx: sigma,
			half: median(clear.map((p) => p.half)),
			burnt: seen ? burnt / seen : 0
		};
		if (seen < 0.9 * DIRECTIONS) rim.share = Math.min(rim.share, seen / DIRECTIONS);
	}
	return rim;
}

/** Seen from the face, the first clear step, and the samples that belong to it alone. */
function firstStep(
	profile: Float64Array,
	falls: boolean,
	sigma: number
): { at: number; from: number; to: number } | undefined {
	const n = profile.length;
	const reach = Math.max(1, Math.round(sigma));
	const slope = new Float64Array(n);
	let steepest = 0;
	for (let i = reach; i < n - reach; i++) {
		let sum = 0;
		for (let k = 1; k <= reach; k++) sum += profile[i + k]! - profile[i - k]!;
		slope[i] = (falls ? -sum : sum) / reach;
		steepest = Math.max(steepest, slope[i]!);
	}
	if (!(steepest > 0.004)) return undefined;
	const clear = (i: number) =>
		slope[i]! > CLEAR * steepest && slope[i]! >= slope[i - 1]! && slope[i]! >= slope[i + 1]!;
	// The bore's rim comes first from outside, the face's from inside.
	let at = falls ? reach : n - reach - 1;
	const way = falls ? 1 : -1;
	while (at >= reach && at < n - reach && !clear(at)) at += way;
	if (at < reach || at >= n - reach) return undefined;
	const peak = slope[at]!;
	const end = (step: number) => {
		let i = at;
		while (
			i > 0 &&
			i < n - 1 &&
			slope[i]! > 0.1 * peak &&
			(slope[i]! > 0.5 * peak || slope[i + step]! < slope[i]!)
		)
			i += step;
		// A little of the level beside it, so that the fit knows it.
		return Math.min(Math.max(i + step * reach, 0), n - 1);
	};
	return { at, from: end(-1), to: end(1) + 1 };
}
/** Share of the steepest slope that is a step of its own. */
const CLEAR = 0.35;

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

/** A deep bore seen aslant shows its lit wall beside the dark: then the rim lies further out on that side. */
function wholeBore(light: Light, rim: Rim | undefined): Rim | undefined {
	if (!rim) return undefined;
	const dark = darkBeside(light, rim);
	if (dark === undefined) return rim;
	const { ellipse } = rim;
	for (const [shift, size] of [
		[0.35, 1.3],
		[0.2, 1.15],
		[0.55, 1.5]
	] as const) {
		const r = size * ellipse.a;
		const start: Ellipse = {
			x: ellipse.x + shift * ellipse.a * Math.cos(dark),
			y: ellipse.y + shift * ellipse.a * Math.sin(dark),
			a: r,
			b: r,
			angle: 0
		};
		const wider = rimOf(light, start, false, 0.6);
		if (
			wider &&
			wider.share > 0.5 &&
			wider.ellipse.a > ellipse.b &&
			darkBeside(light, wider) === undefined
		)
			return wider;
	}
	return undefined;
}

/** Where a good part of the surroundings is much darker than the rest of them: its direction. */
function darkBeside(light: Light, { ellipse, blurPx }: Rim): number | undefined {
	const lightOf: number[] = [];
	for (let k = 0; k < DIRECTIONS; k++) {
		const to = (2 * Math.PI * k) / DIRECTIONS;
		const at = onEllipse(ellipse, to);
		const long = Math.hypot(at.x - ellipse.x, at.y - ellipse.y);
		const out = [0.12, 0.25, 0.4].map((share) => {
			const way = 2.2 * blurPx + share * ellipse.a;
			return lightAt(
				light,
				at.x + (way * (at.x - ellipse.x)) / long,
				at.y + (way * (at.y - ellipse.y)) / long
			);
		});
		lightOf.push(median(out));
	}
	const usual = median(lightOf);
	let x = 0;
	let y = 0;
	let dark = 0;
	for (let k = 0; k < DIRECTIONS; k++) {
		if (lightOf[k]! > DARK_BESIDE * usual) continue;
		const at = onEllipse(ellipse, (2 * Math.PI * k) / DIRECTIONS);
		x += (at.x - ellipse.x) / ellipse.a;
		y += (at.y - ellipse.y) / ellipse.a;
		dark++;
	}
	// Spots lie all around; a wall on one side.
	return dark > 0.13 * DIRECTIONS && Math.hypot(x, y) > 0.5 * dark ? Math.atan2(y, x) : undefined;
}
const DARK_BESIDE = 0.78;

function find(light: Light, hint?: Point): { pair: Pair; by: number; small: Light } | undefined {
	const longest = Math.max(light.width, light.height);
	for (const size of [360, 900]) {
		const by = Math.max(1, Math.floor(longest / size));
		const small = smaller(light, by);
		const from = hint
			? [{ x: (hint.x + 0.5) / by - 0.5, y: (hint.y + 0.5) / by - 0.5 }]
			: middles(small, 3);
		let best: (Pair & { weight: number }) | undefined;
		// What is blurred shows at a coarser look only.
		for (const sigma of [1.2, 4])
			for (const mid of from) {
				if (best && (sigma > 2 || sure(best))) break;
				const pair = findPair(small, mid, sigma);
				if (pair && pair.weight > (best?.weight ?? 0)) best = pair;
			}
		if (best) return { pair: best, by, small };
		if (by === 1) break;
	}
	return undefined;
}

/** No other middle will be better. */
const sure = ({ face, bore }: Pair): boolean => face.share > 0.75 && bore.share > 0.75;

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
/** A face that shows no bore at fewer pixels across is too far away. */
const SMALL_FACE_PX = 90;

/** The face ends at the innermost clear ring, a chamfer has one of its own; the bore's rim is the outermost. */
function rimNear(light: Light, coarse: Ellipse, face: boolean): Ellipse {
	const range = face ? ([0.7, 1.2] as const) : ([0.5, 1.7] as const);
	const sigma = Math.max(0.8, (face ? 0.006 : 0.035) * coarse.a);
	const steps = raySteps(light, coarse, sigma, [range[0] * coarse.b, range[1] * coarse.a]);
	const found = rings(steps, face, 4, steadyRandom());
	const most = Math.max(...found.map((ring) => ring.share * ring.size));
	const clear = found.filter(
		(ring) => ring.share > 0.5 && ring.share * ring.size > (face ? 0.3 : 0.35) * most
	);
	clear.sort((one, other) => one.ellipse.a - other.ellipse.a);
	return (face ? clear[0] : clear.at(-1))?.ellipse ?? coarse;
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

/** A blurred disc reads small: the step lies inside its rim by σ²/2r. */
const unblurred = ({ ellipse, blurPx }: Rim): Ellipse => ({
	...ellipse,
	a: ellipse.a + blurPx ** 2 / (2 * ellipse.a),
	b: ellipse.b + blurPx ** 2 / (2 * ellipse.b)
});

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

/** How far the dark reaches outside the rim without a break, over about a fifth of a millimetre. */
function nickOf(light: Light, bore: Rim, pxPerMm: number): Told | null {
	const { ellipse } = bore;
	const ways: number[] = [];
	for (let k = 0; k < DIRECTIONS; k++) {
		const to = (2 * Math.PI * k) / DIRECTIONS;
		const at = onEllipse(ellipse, to);
		const long = Math.hypot(at.x - ellipse.x, at.y - ellipse.y);
		const nx = (at.x - ellipse.x) / long;
		const ny = (at.y - ellipse.y) / long;
		const walk = 0.25;
		let way = -2 * walk;
		while (
			way < NICK_MOST_MM * pxPerMm &&
			lightAt(light, at.x + way * nx, at.y + way * ny) < bore.half
		)
			way += walk;
		ways.push(way);
	}
	const middle = median(ways);
	const noise = Math.max(robustSpread(ways), 0.08);
	const half = Math.max(1, Math.round((0.07 * pxPerMm * DIRECTIONS) / (2 * Math.PI * ellipse.a)));
	let worst = 0;
	for (let k = 0; k < DIRECTIONS; k++) {
		const near = Array.from(
			{ length: 2 * half + 1 },
			(_, i) => ways[(k + i - half + DIRECTIONS) % DIRECTIONS]! - middle
		);
		worst = Math.max(worst, median(near));
	}
	if (worst < Math.max(NICK_LEAST_MM * pxPerMm, NICK_NOISE * noise)) return null;
	return { value: worst / pxPerMm, spread: Math.hypot(noise, 0.4) / pxPerMm };
}
/** It stands out of the rim's own noise by so many of its spreads [own]. */
const NICK_NOISE = 3.2;
/** A nick that reaches further is a torn nozzle, and is told as this much. */
const NICK_MOST_MM = 0.6;

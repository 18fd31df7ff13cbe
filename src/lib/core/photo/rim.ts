/** A round rim in a picture, direction by direction: where light falls or rises, and how softly. */
import {
	type Ellipse,
	median,
	onEllipse,
	type Point,
	robustEllipse,
	steadyRandom
} from './ellipse';
import { FULL, inside, type Light, lightAt } from './light';
import { raySteps } from './raySteps';
import { rings } from './rings';
import { blurredStep } from './step';

export interface Rim {
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
export const DIRECTIONS = 240;

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
		for (let side = -1; side <= 1; side++)
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
export function rimOf(
	light: Light,
	start: Ellipse,
	falls: boolean,
	within: number
): Rim | undefined {
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

/** A deep bore seen aslant shows its lit wall beside the dark: then the rim lies further out on that side. */
export function wholeBore(light: Light, rim: Rim | undefined): Rim | undefined {
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

/** The face ends at the innermost clear ring, a chamfer has one of its own; the bore's rim is the outermost. */
export function rimNear(light: Light, coarse: Ellipse, face: boolean): Ellipse {
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

/** A blurred disc reads small: the step lies inside its rim by σ²/2r. */
export const unblurred = ({ ellipse, blurPx }: Rim): Ellipse => ({
	...ellipse,
	a: ellipse.a + blurPx ** 2 / (2 * ellipse.a),
	b: ellipse.b + blurPx ** 2 / (2 * ellipse.b)
});

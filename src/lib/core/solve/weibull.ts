import { bisect } from './bisect';

/** R(t) = exp(−(t/η)^β): shape β, scale η in the unit of the lives. */
export interface Weibull {
	shape: number;
	scale: number;
}
/** With the lives that it rests on and what they leave open of the shape. */
export interface FittedWeibull extends Weibull {
	ended: readonly number[];
	running: readonly number[];
	/** One standard deviation of ln β, by the curvature of the likelihood. */
	lnShapeSpread: number;
}
/** A belief about the shape, before any life has ended: normal in its logarithm. */
export interface ShapeBelief {
	shape: number;
	/** One standard deviation of ln β. */
	spread: number;
}

const SHAPES = [0.05, 200] as const;

/** η for a known shape: (Σ t^β / r)^(1/β), r lives that ended, with those still running. */
export function weibullScale(
	shape: number,
	ended: readonly number[],
	running: readonly number[]
): number {
	// Over the longest life, so that no power runs over.
	const longest = Math.max(...ended, ...running);
	const sum = [...ended, ...running].reduce((s, t) => s + (t / longest) ** shape, 0);
	return longest * (sum / ended.length) ** (1 / shape);
}

/**
 * Shape and scale by maximum likelihood from lives that ended and lives still running (right-censored),
 * without bias correction; with a belief about the shape the likeliest of both together. Lives above zero.
 * `undefined`: none has ended, or, without a belief, all that ended are equal and none ran longer, for
 * which the shape grows without bound.
 */
export function weibullFit(
	ended: readonly number[],
	running: readonly number[],
	belief?: ShapeBelief
): FittedWeibull | undefined {
	if (ended.length === 0) return undefined;
	const longest = Math.max(...ended, ...running);
	const all = [...ended, ...running].map((t) => Math.log(t / longest));
	const meanLog = ended.reduce((s, t) => s + Math.log(t / longest), 0) / ended.length;
	// Slope of the profile likelihood over ln β; it falls.
	const slope = (lnShape: number) => {
		const shape = Math.exp(lnShape);
		let [sum, withLog] = [0, 0];
		for (const ln of all) {
			const power = Math.exp(shape * ln);
			sum += power;
			withLog += power * ln;
		}
		const data = ended.length * (1 + shape * (meanLog - withLog / sum));
		return belief ? data - (lnShape - Math.log(belief.shape)) / belief.spread ** 2 : data;
	};
	const [low, high] = [Math.log(SHAPES[0]), Math.log(SHAPES[1])];
	if (slope(high) > 0) return undefined;
	const lnShape = bisect(
		low,
		high,
		(x) => slope(x) > 0,
		(yes, no) => no - yes < 1e-13
	);
	const shape = Math.exp(lnShape);
	const scale = weibullScale(shape, ended, running);
	const fit = { shape, scale };
	return { ...fit, ended, running, lnShapeSpread: lnShapeSpread(fit, ended, running, belief) };
}

/** From the observed information of ln β and ln η, where the likelihood is Σ(ln β + z) − Σ exp(z), z = β·ln(t/η). */
function lnShapeSpread(
	{ shape, scale }: Weibull,
	ended: readonly number[],
	running: readonly number[],
	belief?: ShapeBelief
): number {
	const zOf = (t: number) => shape * Math.log(t / scale);
	let shapes = belief ? 1 / belief.spread ** 2 : 0;
	for (const t of ended) shapes -= zOf(t);
	let both = 0;
	for (const z of [...ended, ...running].map(zOf)) {
		shapes += (z + z * z) * Math.exp(z);
		both -= shape * z * Math.exp(z);
	}
	const scales = shape ** 2 * ended.length;
	return Math.sqrt(scales / (shapes * scales - both ** 2));
}

/** What is left of a life that has come to `age`, when a share `surviving` of such lives gets so far. */
export function remainingLife({ shape, scale }: Weibull, age: number, surviving: number): number {
	const ran = (age / scale) ** shape;
	return scale * (ran - Math.log(surviving)) ** (1 / shape) - age;
}
/** The share of lives that have come to `age` and last `more`. */
export const survives = ({ shape, scale }: Weibull, age: number, more: number): number =>
	Math.exp((age / scale) ** shape - ((age + more) / scale) ** shape);

/** Five points of the normal distribution and their weights (Gauss–Hermite, Abramowitz & Stegun 25.10). */
const NORMAL_POINTS = [
	[-2.8569700138728, 0.0112574113277],
	[-1.3556261799743, 0.2220759220056],
	[0, 0.5333333333333],
	[1.3556261799743, 0.2220759220056],
	[2.8569700138728, 0.0112574113277]
] as const;

/**
 * As {@link remainingLife}, by all shapes and scales that the lives leave open, each as likely as they make it:
 * from few lives the band is wider than that of the likeliest alone. For one shape, with no belief about the scale,
 * a share (Σtᵢ^β/(Σtᵢ^β + t^β))^r of lives comes to t, where r of them have ended (exact).
 */
export function remainingLifeUnsure(fit: FittedWeibull, age: number, surviving: number): number {
	const all = [...fit.ended, ...fit.running];
	const r = fit.ended.length;
	// Over the scale, so that no power runs over.
	const likely = NORMAL_POINTS.map(([x, weight]) => {
		const shape = fit.shape * Math.exp(fit.lnShapeSpread * x);
		return { shape, weight, sum: all.reduce((s, t) => s + (t / fit.scale) ** shape, 0) };
	});
	// A part that has come so far tells for itself against short lives: they weigh less.
	const alive = (t: number) =>
		likely.reduce(
			(total, { shape, weight, sum }) =>
				total + weight * (sum / (sum + (t / fit.scale) ** shape)) ** r,
			0
		);
	const now = alive(age);
	let most = fit.scale;
	while (alive(age + most) > surviving * now) most *= 2;
	return bisect(
		0,
		most,
		(more) => alive(age + more) > surviving * now,
		(yes, no) => no - yes < 1e-9 * (age + fit.scale)
	);
}

import { bisect } from './bisect';

/** R(t) = exp(−(t/η)^β): shape β, scale η in the unit of the lives. */
export interface Weibull {
	shape: number;
	scale: number;
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
): Weibull | undefined {
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
	return { shape, scale: weibullScale(shape, ended, running) };
}

/** What is left of a life that has come to `age`, when a share `surviving` of such lives gets so far. */
export function remainingLife({ shape, scale }: Weibull, age: number, surviving: number): number {
	const ran = (age / scale) ** shape;
	return scale * (ran - Math.log(surviving)) ** (1 / shape) - age;
}
/** The share of lives that have come to `age` and last `more`. */
export const survives = ({ shape, scale }: Weibull, age: number, more: number): number =>
	Math.exp((age / scale) ** shape - ((age + more) / scale) ** shape);

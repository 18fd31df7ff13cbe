/** Where light steps along a line, finer than a pixel. */
import { backward, cholesky, forward, type Matrix } from '../solve/cholesky';
import { normalCdf } from '../solve/normal';

export interface Step {
	/** Place of the step, and the standard deviation of the blur about it, both as the samples are spaced. */
	at: number;
	sigma: number;
	/** Light before and after it. */
	from: number;
	to: number;
	/** Root mean square of what the model leaves. */
	left: number;
}

/** What place and blur leave, and what was worked out for it at each sample. */
interface Solved extends Step {
	slope: number;
	phi: Float64Array;
	/** Way along the slope on the bright side. */
	ramp: Float64Array;
}

/**
 * The blurred step nearest to `guess`: light before, step, and a slope on its bright side (soot fades away from
 * a bore, a turned face shimmers), by damped least squares (Levenberg) for place and blur, linear for the rest.
 */
export function blurredStep(
	profile: Float64Array,
	spacing: number,
	guess: number,
	sigmaGuess: number,
	sigmaMost: number,
	falls: boolean
): Step | undefined {
	const n = profile.length;
	if (n < 6) return undefined;
	// For place and blur that are held, the rest follows by linear least squares; the slope is held back a little.
	const solve = (where: number, blur: number): Solved => {
		const phi = new Float64Array(n);
		const ramp = new Float64Array(n);
		const m = [
			[n, 0, 0],
			[0, 0, 0],
			[0, 0, 0]
		] as Matrix;
		const c = [0, 0, 0];
		for (let i = 0; i < n; i++) {
			const way = i * spacing - where;
			const p = (phi[i] = normalCdf(way / blur));
			const r = (ramp[i] = way * (falls ? 1 - p : p));
			const y = profile[i]!;
			m[1]![0]! += p;
			m[2]![0]! += r;
			m[1]![1]! += p * p;
			m[2]![1]! += p * r;
			m[2]![2]! += r * r;
			c[0]! += y;
			c[1]! += p * y;
			c[2]! += r * y;
		}
		m[1]![1]! += 1e-9;
		m[2]![2]! *= 1 + SLOPE_HELD;
		m[2]![2]! += 1e-9;
		const l = cholesky(m);
		const [from, rise, slope] = l ? backward(l, forward(l, c)) : [0, 0, 0];
		let square = 0;
		for (let i = 0; i < n; i++)
			square += (profile[i]! - from! - rise! * phi[i]! - slope! * ramp[i]!) ** 2;
		return {
			at: where,
			sigma: blur,
			from: from!,
			to: from! + rise!,
			slope: slope!,
			left: Math.sqrt(square / n),
			phi,
			ramp
		};
	};
	let best = solve(guess, sigmaGuess);
	let damp = 1e-3;
	for (let round = 0; round < 10; round++) {
		const { at, sigma, from, slope, phi, ramp } = best;
		const rise = best.to - from;
		let haa = 0;
		let hab = 0;
		let hbb = 0;
		let ga = 0;
		let gb = 0;
		for (let i = 0; i < n; i++) {
			const z = (i * spacing - at) / sigma;
			const density = Math.exp(-0.5 * z * z) * 0.3989422804014327;
			const off = profile[i]! - from - rise * phi[i]! - slope * ramp[i]!;
			const da = (-rise * density) / sigma - slope * (falls ? 1 - phi[i]! : phi[i]!);
			const db = (-rise * density * z) / sigma;
			haa += da * da;
			hab += da * db;
			hbb += db * db;
			ga += da * off;
			gb += db * off;
		}
		const a = haa * (1 + damp) + 1e-15;
		const b = hbb * (1 + damp) + 1e-15;
		const det = a * b - hab * hab;
		if (!(det > 0)) break;
		const nextAt = at + (b * ga - hab * gb) / det;
		const nextSigma = Math.min(
			Math.max(sigma + (a * gb - hab * ga) / det, 0.25 * spacing),
			sigmaMost
		);
		const tried = nextAt > 0 && nextAt < (n - 1) * spacing ? solve(nextAt, nextSigma) : undefined;
		if (tried && tried.left <= best.left) {
			best = tried;
			damp /= 5;
			if (Math.abs(nextAt - at) + Math.abs(nextSigma - sigma) < 1e-3 * spacing) break;
		} else {
			damp *= 10;
			if (damp > 1e3) break;
		}
	}
	return best;
}
/** Slope and blur can stand for each other: the slope has to earn its keep [own]. */
const SLOPE_HELD = 0.02;

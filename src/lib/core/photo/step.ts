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
	const basis = (i: number, where: number, blur: number): [number, number] => {
		const way = i * spacing - where;
		const phi = normalCdf(way / blur);
		return [phi, way * (falls ? 1 - phi : phi)];
	};
	// For place and blur that are held, the rest follows by linear least squares; the slope is held back a little.
	const solve = (where: number, blur: number): Step & { slope: number } => {
		const m = [
			[n, 0, 0],
			[0, 0, 0],
			[0, 0, 0]
		] as Matrix;
		const c = [0, 0, 0];
		for (let i = 0; i < n; i++) {
			const [phi, ramp] = basis(i, where, blur);
			const y = profile[i]!;
			m[1]![0]! += phi;
			m[2]![0]! += ramp;
			m[1]![1]! += phi * phi;
			m[2]![1]! += phi * ramp;
			m[2]![2]! += ramp * ramp;
			c[0]! += y;
			c[1]! += phi * y;
			c[2]! += ramp * y;
		}
		m[1]![1]! += 1e-9;
		m[2]![2]! *= 1 + SLOPE_HELD;
		m[2]![2]! += 1e-9;
		const l = cholesky(m);
		const [from, rise, slope] = l ? backward(l, forward(l, c)) : [0, 0, 0];
		let square = 0;
		for (let i = 0; i < n; i++) {
			const [phi, ramp] = basis(i, where, blur);
			square += (profile[i]! - from! - rise! * phi - slope! * ramp) ** 2;
		}
		return {
			at: where,
			sigma: blur,
			from: from!,
			to: from! + rise!,
			slope: slope!,
			left: Math.sqrt(square / n)
		};
	};
	let best = solve(guess, sigmaGuess);
	let damp = 1e-3;
	for (let round = 0; round < 10; round++) {
		const { at, sigma, from, slope } = best;
		const rise = best.to - from;
		let haa = 0;
		let hab = 0;
		let hbb = 0;
		let ga = 0;
		let gb = 0;
		for (let i = 0; i < n; i++) {
			const z = (i * spacing - at) / sigma;
			const density = Math.exp(-0.5 * z * z) * 0.3989422804014327;
			const [phi, ramp] = basis(i, at, sigma);
			const off = profile[i]! - from - rise * phi - slope * ramp;
			const da = (-rise * density) / sigma - slope * (falls ? 1 - phi : phi);
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

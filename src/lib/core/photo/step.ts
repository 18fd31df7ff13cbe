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

/** Light along a line, sampled every `spacing`; the side that is dark comes last when it falls. */
interface Profile {
	light: Float64Array;
	spacing: number;
	falls: boolean;
}
/** What place and blur leave, and what was worked out for it at each sample. */
interface Solved extends Step {
	slope: number;
	phi: Float64Array;
	/** Way along the slope on the bright side. */
	ramp: Float64Array;
}

/** For place and blur that are held, the rest follows by linear least squares; the slope is held back a little. */
function withHeld({ light, spacing, falls }: Profile, where: number, blur: number): Solved {
	const n = light.length;
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
		const y = light[i]!;
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
		square += (light[i]! - from! - rise! * phi[i]! - slope! * ramp[i]!) ** 2;
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
}
/** Slope and blur can stand for each other: the slope has to earn its keep [own]. */
const SLOPE_HELD = 0.02;

/** How far place and blur would move by damped least squares; undefined: they cannot be told apart. */
function moveOf(
	{ light, spacing, falls }: Profile,
	{ at, sigma, from, to, slope, phi, ramp }: Solved,
	damp: number
): { at: number; sigma: number } | undefined {
	const rise = to - from;
	let haa = 0;
	let hab = 0;
	let hbb = 0;
	let ga = 0;
	let gb = 0;
	for (let i = 0; i < light.length; i++) {
		const z = (i * spacing - at) / sigma;
		const density = Math.exp(-0.5 * z * z) * 0.3989422804014327;
		const off = light[i]! - from - rise * phi[i]! - slope * ramp[i]!;
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
	if (!(det > 0)) return undefined;
	return { at: (b * ga - hab * gb) / det, sigma: (a * gb - hab * ga) / det };
}

/**
 * The blurred step nearest to `guess`: light before, step, and a slope on its bright side (soot fades away from
 * a bore, a turned face shimmers), by damped least squares (Levenberg) for place and blur, linear for the rest.
 */
export function blurredStep(
	light: Float64Array,
	spacing: number,
	guess: number,
	sigmaGuess: number,
	sigmaMost: number,
	falls: boolean
): Step | undefined {
	const n = light.length;
	if (n < 6) return undefined;
	const profile = { light, spacing, falls };
	let best = withHeld(profile, guess, sigmaGuess);
	let damp = 1e-3;
	for (let round = 0; round < 10; round++) {
		const { at, sigma } = best;
		const move = moveOf(profile, best, damp);
		if (!move) break;
		const nextAt = at + move.at;
		const nextSigma = Math.min(Math.max(sigma + move.sigma, 0.25 * spacing), sigmaMost);
		const inside = nextAt > 0 && nextAt < (n - 1) * spacing;
		const tried = inside ? withHeld(profile, nextAt, nextSigma) : undefined;
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

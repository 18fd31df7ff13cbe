/**
 * Readings of one smooth law, and what they say of another place: a normal belief with a spread that the
 * places share, in ln(mm/min) less the law's mean [own; spreads from simulation, see the decision on the
 * speed law]. Readings that only tell a bound come in as normal ones with the same first two moments.
 */
import { backward, cholesky, dot, forward, type Matrix } from '../solve/cholesky';
import { censored } from '../solve/normal';

/** Spread that two points share: machine, nozzle, neighbourhood, and the stretch from clean to sever. */
const MACHINE = 0.08 ** 2;
const NOZZLE = 0.13 ** 2;
const NEAR = 0.16 ** 2;
const NEAR_AMPS = 0.7;
const THICK = 0.35 ** 2;
const THICK_ACROSS = 0.5;
/** This hand and plate against label and chart; and the reading of test cuts by one person. */
const HAND = 0.11 ** 2;
const READER = 0.06 ** 2;
/** Spread of ln(v_max/v_ref). */
const FASTEST_SPREAD = 0.1 ** 2;

export type Place = { nozzleA: number; outputA: number; thicknessMm: number };

/** A place with its shares of steel's limits; `thick` is the share of the window that is closed. */
export interface Point extends Place {
	lnSteelMm: number;
	lnA: number;
	mean: number;
	thick: number;
}

export interface Observation {
	point: Point;
	/** ln(mm/min) less the mean. */
	residual: number;
	variance: number;
	/** The hand is in it. */
	tested: boolean;
	/** It speaks of the fastest speed rather than the recommended one. */
	fastest: boolean;
	side: 0 | 1 | -1;
}

function shared(x: Point, y: Point): number {
	const same = x.nozzleA === y.nozzleA;
	const thick = THICK * x.thick * y.thick * (same ? 1 : THICK_ACROSS);
	if (!same) return MACHINE + thick;
	const far = Math.abs(x.lnA - y.lnA) / NEAR_AMPS + Math.abs(x.lnSteelMm - y.lnSteelMm);
	return MACHINE + NOZZLE + NEAR * Math.exp(-far) + thick;
}

function between(x: Observation, y: Observation): number {
	let sum = shared(x.point, y.point);
	if (x.tested && y.tested) sum += HAND + READER;
	if (x.fastest && y.fastest) {
		sum += FASTEST_SPREAD * (1 - x.point.thick) * (1 - y.point.thick);
	}
	return sum;
}

const ADVANCE = 4;

/** Censored readings as normal ones: expectation propagation, a few sweeps over a small joint normal. */
function asNormal(
	prior: { mean: number[]; cov: Matrix },
	bounds: readonly { bound: number; side: 1 | -1; variance: number }[]
): { mean: number; variance: number }[] {
	const n = bounds.length;
	const precision = new Array<number>(n).fill(0);
	const shift = new Array<number>(n).fill(0);
	let mean = [...prior.mean];
	let cov = prior.cov.map((row) => [...row]);
	const update = (i: number, tau: number, nu: number) => {
		const [dTau, dNu] = [tau - precision[i]!, nu - shift[i]!];
		[precision[i], shift[i]] = [tau, nu];
		const column = cov.map((row) => row[i]!);
		const scale = 1 / (1 + dTau * column[i]!);
		const pull = scale * (dNu - dTau * mean[i]!);
		mean = mean.map((m, j) => m + column[j]! * pull);
		cov = cov.map((row, j) => row.map((c, k) => c - scale * dTau * column[j]! * column[k]!));
	};
	for (let sweep = 0; sweep < ADVANCE; sweep++) {
		for (let i = 0; i < n; i++) {
			const left = 1 / cov[i]![i]! - precision[i]!;
			if (!(left > 1e-9)) continue;
			const cavity = {
				mean: (mean[i]! / cov[i]![i]! - shift[i]!) / left,
				variance: 1 / left
			};
			const { bound, side, variance } = bounds[i]!;
			const after = censored(cavity, bound, side, variance);
			const tau = Math.max(1e-9, 1 / after.variance - left);
			update(i, tau, after.mean / after.variance - cavity.mean * left);
		}
	}
	return precision.map((tau, i) => ({
		mean: shift[i]! / Math.max(1e-9, tau),
		variance: 1 / Math.max(1e-9, tau)
	}));
}

export interface Posterior {
	observed: Observation[];
	l: Matrix;
	/** W·residual. */
	alpha: number[];
}

export function posteriorOf(observed: Observation[]): Posterior {
	const cov = observed.map((x, i) =>
		observed.map((y, j) => between(x, y) + (i === j ? x.variance : 0))
	);
	const l = cholesky(cov);
	// Every observation has a spread of its own, so the matrix is positive definite.
	if (!l) throw new Error('speed law: covariance is not positive definite');
	return {
		observed,
		l,
		alpha: backward(
			l,
			forward(
				l,
				observed.map((o) => o.residual)
			)
		)
	};
}

/** Readings that tell a bound are made normal first, given all the others. */
export function settled(all: readonly Observation[]): Posterior {
	const plain = all.filter((o) => o.side === 0);
	const bounds = all.filter((o) => o.side !== 0);
	if (bounds.length === 0) return posteriorOf(plain);
	const { l, alpha } = posteriorOf(plain);
	const to = bounds.map((b) => plain.map((p) => between(b, p)));
	const whitened = to.map((row) => forward(l, row));
	const normal = asNormal(
		{
			mean: to.map((row) => dot(row, alpha)),
			cov: bounds.map((x, i) =>
				bounds.map((y, j) => between(x, y) - dot(whitened[i]!, whitened[j]!))
			)
		},
		bounds.map((b) => ({ bound: b.residual, side: b.side as 1 | -1, variance: b.variance }))
	);
	return posteriorOf([
		...plain,
		...bounds.map((b, i) => ({
			...b,
			side: 0 as const,
			residual: normal[i]!.mean,
			variance: normal[i]!.variance
		}))
	]);
}

export function ask(posterior: Posterior, asked: Observation): { mean: number; variance: number } {
	const row = posterior.observed.map((o) => {
		let sum = shared(asked.point, o.point);
		if (o.tested) sum += HAND;
		if (o.fastest && asked.fastest) {
			sum += FASTEST_SPREAD * (1 - o.point.thick) * (1 - asked.point.thick);
		}
		return sum;
	});
	const white = forward(posterior.l, row);
	const open = asked.fastest ? FASTEST_SPREAD * (1 - asked.point.thick) ** 2 : 0;
	const before = shared(asked.point, asked.point) + HAND + open;
	return { mean: dot(row, posterior.alpha), variance: Math.max(1e-9, before - dot(white, white)) };
}

/**
 * One law of travel for all evidence [own; tried in simulation, see the decision on the speed law]: the
 * pooled law is the starting belief, and label, chart rows, test cuts and cuts that did not part pull it,
 * each with its own weight and harder the nearer they are. Everything in ln(mm/min), normal; cuts that
 * only tell a bound by censored readings, as normal ones with the same first two moments.
 */
import type { ChartRow } from './chartSchema';
import { bothMm, ratingFor, steelLimitsMm, type Rating } from './limits';
import {
	CLEAN_MM_MIN,
	lnPooled,
	SEVER_MM_MIN,
	stretchAt,
	thickShare,
	type MetalFactors,
	type Stretch
} from './pooled';
import type { SpeedReading } from './reading';
import { ask, posteriorOf, settled, type Observation, type Place, type Point } from './posterior';
import { censored } from '../solve/normal';

/** ln(v_max/v_ref): 1.4 to start with, and its spread. */
export const FASTEST_LN = Math.log(1.4);

const LABEL_CLEAN = 0.22 ** 2;
const LABEL_SEVER = 0.1 ** 2;
const CHART_ROW = 0.01 ** 2;
/** How far a lag by eye may lead the speed astray, ln. */
export const LAG_SPREAD = 0.23;
const LAG = LAG_SPREAD ** 2;
const FINE = 0.25 ** 2;
const DROSS = 0.2 ** 2;
const PARTED = 0.15 ** 2;
/** Dross tells slow when the recommended speed lies above v/0.75, fast when below v/1.3. */
const SLOW_FROM = Math.log(1 / 0.75);
const FAST_FROM = Math.log(1 / 1.3);

/** Spread of ln(sever limit): on the rated nozzle, on another, and with distance in amps. */
const SEVER_SPREAD = 0.08;
const SEVER_OTHER = 0.15;
const SEVER_AMPS = 0.2;
/** A cut this slow speaks of the sever limit, mm/min, with this error. */
const SLOW_MM_MIN = 150;
const SEVER_READING = 0.05 ** 2;

export interface LawInputs {
	metal: MetalFactors;
	nozzleA: number;
	/** The machine's first. */
	ratings: readonly Rating[];
	/** Of this metal and this nozzle. */
	chart: readonly Pick<ChartRow, 'outputA' | 'thicknessMm' | 'speedMmS'>[];
	/** Of this metal. */
	readings: readonly SpeedReading[];
}

/** What the law says at one place. Speeds in mm/min. */
export interface LawAt {
	/** Limits of this metal here, mm; the sever limit with what slow cuts told. */
	cleanMm: number;
	severMm: number;
	/** Spread of ln(sever limit). */
	severSpread: number;
	/** Share of the way from clean (0) to sever (1). */
	thick: number;
	stretch: Stretch;
	pooledMmMin: number;
	/** With label and chart. */
	baseMmMin: number;
	/** With the test cuts too. */
	referenceMmMin: number;
	/** One standard deviation of its logarithm. */
	spread: number;
	/** Fastest that parts; never below the reference. */
	fastestMmMin: number;
	/** It parts here; else no number is an answer. */
	parts: boolean;
}

export interface SpeedLaw {
	at: (place: { outputA: number; thicknessMm: number }) => LawAt;
	/** Limits of the metal at amps, mm. */
	limits: (outputA: number) => { cleanMm: number; severMm: number; spread: number };
	/** Share that test cuts of this nozzle have in it. */
	tests: number;
}

/** What slow cuts and chart rows tell of the sever limit: its shift in ln, and its spread. */
function learntSever(inputs: LawInputs, outputA: number) {
	const { ratings, nozzleA, readings, metal } = inputs;
	const rating = ratingFor(ratings, nozzleA);
	const own = rating.nozzleA === nozzleA ? SEVER_SPREAD : SEVER_OTHER;
	const spread = Math.hypot(own, SEVER_AMPS * Math.log(outputA / rating.outputA));
	let belief = { mean: 0, variance: spread ** 2 };
	for (const r of readings) {
		if (r.nozzleA !== nozzleA || r.lnMmMin > Math.log(SLOW_MM_MIN)) continue;
		const steel = steelLimitsMm(ratings, { nozzleA, outputA: r.outputA });
		const bound = Math.log(r.thicknessMm / (metal.capacity * steel.severMm));
		belief = censored(belief, bound, r.kind === 'missed' ? -1 : 1, SEVER_READING / r.weight);
	}
	return { shift: belief.mean, spread: Math.sqrt(belief.variance) };
}

/** Limits of steel in a nozzle at amps, mm: of the nozzle asked about with what its cuts and chart told. */
function steelLimits(inputs: LawInputs) {
	const { metal, nozzleA, ratings, chart } = inputs;
	const known = new Map<number, ReturnType<typeof learntSever>>();
	const learnt = (outputA: number) => {
		let sever = known.get(outputA);
		if (!sever) known.set(outputA, (sever = learntSever(inputs, outputA)));
		return sever;
	};
	/** Chart rows beyond the label's limit part: somebody has cut them. */
	const charted = (outputA: number) =>
		chart.reduce(
			(most, r) => (r.outputA <= outputA * 1.001 ? Math.max(most, r.thicknessMm) : most),
			0
		);
	const at = (place: { nozzleA: number; outputA: number }) => {
		const steel = steelLimitsMm(ratings, place);
		if (place.nozzleA !== nozzleA) return steel;
		const severMm = Math.max(
			steel.severMm * Math.exp(learnt(place.outputA).shift),
			charted(place.outputA) / metal.capacity
		);
		return { severMm, cleanMm: Math.min(steel.cleanMm, severMm / 1.15) };
	};
	return { at, spreadAt: (outputA: number) => learnt(outputA).spread };
}
type SteelLimits = ReturnType<typeof steelLimits>['at'];

function pointOf(steelAt: SteelLimits, place: Place, of: MetalFactors): Point {
	const steel = steelAt(place);
	const { nozzleA, outputA, thicknessMm } = place;
	return {
		nozzleA,
		outputA,
		thicknessMm,
		lnSteelMm: Math.log(thicknessMm / of.capacity),
		lnA: Math.log(outputA),
		mean: lnPooled(steel, of, place),
		thick: thickShare(steel, of, thicknessMm)
	};
}

const plainly = (point: Point, ln: number, variance: number): Observation => ({
	point,
	residual: ln - point.mean,
	variance,
	tested: false,
	fastest: false,
	side: 0
});

const STEEL = { capacity: 1, thinSpeed: 1 };
/** What the labels promise: clean and sever, of steel. */
const labelled = (ratings: readonly Rating[], steelAt: SteelLimits): Observation[] =>
	ratings.flatMap((rating) => {
		const { cleanMm, severMm } = bothMm(rating);
		const at = (thicknessMm: number) =>
			pointOf(steelAt, { nozzleA: rating.nozzleA, outputA: rating.outputA, thicknessMm }, STEEL);
		return [
			plainly(at(cleanMm), Math.log(CLEAN_MM_MIN), LABEL_CLEAN),
			plainly(at(severMm), Math.log(SEVER_MM_MIN), LABEL_SEVER)
		];
	});

/** What a cut at a point told. */
function tested({ kind, lnMmMin, weight }: SpeedReading, point: Point): Observation {
	const of = (shift: number, variance: number, side: 0 | 1 | -1 = 0, fastest = false) => ({
		point,
		residual: lnMmMin + shift - point.mean - (fastest ? FASTEST_LN * (1 - point.thick) : 0),
		variance: variance / Math.max(1e-3, weight),
		tested: true,
		fastest,
		side
	});
	switch (kind) {
		case 'lag':
			return of(0, LAG);
		case 'fine':
			return of(0, FINE);
		case 'slow':
			return of(SLOW_FROM, DROSS, 1);
		case 'fast':
			return of(FAST_FROM, DROSS, -1);
		case 'missed':
			return of(0, PARTED, -1, true);
		case 'parted':
			return of(0, PARTED, 1, true);
	}
}

/** The law of one nozzle in one metal. */
export function speedLaw(inputs: LawInputs): SpeedLaw {
	const { metal, nozzleA, ratings, chart, readings } = inputs;
	const { at: steelAt, spreadAt } = steelLimits(inputs);
	const pointAt = (place: Place) => pointOf(steelAt, place, metal);
	const believed = [
		...labelled(ratings, steelAt),
		...chart.map(({ outputA, thicknessMm, speedMmS }) =>
			plainly(pointAt({ nozzleA, outputA, thicknessMm }), Math.log(60 * speedMmS), CHART_ROW)
		)
	];
	const tests = readings.map((r) => tested(r, pointAt(r)));
	const base = posteriorOf(believed);
	const whole = tests.length ? settled([...believed, ...tests]) : base;
	const limits = (outputA: number) => {
		const steel = steelAt({ nozzleA, outputA });
		return {
			cleanMm: metal.capacity * steel.cleanMm,
			severMm: metal.capacity * steel.severMm,
			spread: spreadAt(outputA)
		};
	};
	return {
		limits,
		tests: readings.filter((r) => r.nozzleA === nozzleA).length,
		at({ outputA, thicknessMm }) {
			const { cleanMm, severMm, spread: severSpread } = limits(outputA);
			const point = pointAt({ nozzleA, outputA, thicknessMm });
			const plain = plainly(point, point.mean, 0);
			const before = ask(base, plain);
			const after = tests.length ? ask(whole, plain) : before;
			const referenceMmMin = Math.exp(point.mean + after.mean);
			const open = FASTEST_LN * (1 - point.thick);
			const most = tests.length ? ask(whole, { ...plain, fastest: true }) : before;
			return {
				cleanMm,
				severMm,
				severSpread,
				thick: point.thick,
				stretch: stretchAt(steelAt({ nozzleA, outputA }), metal, { outputA, thicknessMm }),
				pooledMmMin: Math.exp(point.mean),
				baseMmMin: Math.exp(point.mean + before.mean),
				referenceMmMin,
				spread: Math.sqrt(after.variance),
				fastestMmMin: Math.max(referenceMmMin, Math.exp(point.mean + open + most.mean)),
				parts: thicknessMm <= severMm * (1 + 1e-9)
			};
		}
	};
}

import { bisect } from '../../solve/bisect';
import {
	ampacityA,
	conductorLabel,
	conductorsFor,
	type ConductorSize
} from '../../circuit/conductors';
import { cordsBehind } from '../../circuit/protection';
import { CORD_MOST_M } from '../../circuit/wiring';
import { necDutyMultiplier } from '../../circuit/draw';
import { effectiveMostA } from '../../cutter/power';
import type { Quantity } from '../../quantity/units';
import type { PlanInputs } from '../../inputs/planInputs';
import type { Bench } from '../../inputs/bench';
import type { Check } from '../../figure/types';
import { changedBench, applied, type Change } from './change';
import { standardRatings } from './electric';
import { firstThat, outcomeOf } from './judgeOf';
import { plateInput } from '../../cutter/plate';

/** An answer that had to be searched for. `null`: nothing does. */
export interface Solved {
	id: string;
	label: string;
	value: number | null;
	quantity: Quantity;
	/** In place of a number: "4 mm²", "20 A on 2.5 mm²". */
	text?: string;
	/** How it was found. */
	source: string;
}

const TRIED = 'Solved: planned again and again until this check just holds';
/** Relative closeness of a solved length or size. */
const CLOSE = 0.01;

/** Largest or smallest value for which it holds, between two bounds, to one hundredth. */
function edge(
	low: number,
	high: number,
	holds: (value: number) => boolean,
	seek: 'largest' | 'smallest'
): number | null {
	const [good, bad] = seek === 'largest' ? [low, high] : [high, low];
	if (!holds(good)) return null;
	if (holds(bad)) return bad;
	return bisect(good, bad, holds, (yes, no) => Math.abs(yes - no) <= CLOSE * Math.abs(yes));
}

/** What is asked of a change of the bench: whether checks hold with it, or at least let it run. */
interface Tried {
	allHold: (change: Change, ids: readonly Check['id'][]) => boolean;
	runs: (change: Change, id: Check['id']) => boolean;
	edited: (change: (bench: Bench) => void) => Change;
}

/**
 * Thinnest cord for its length, longest cord for its size, smallest breaker with its conductors,
 * smallest compressor and tank, longest hose: for this work, every other thing left as it is.
 */
export function solvedFor(inputs: PlanInputs): Solved[] {
	const checks = (change: Change) => outcomeOf(applied(inputs, change)).checks;
	const tried: Tried = {
		allHold: (change, ids) =>
			checks(change).every((check) => !ids.includes(check.id) || check.verdict === 'holds'),
		runs: (change, id) =>
			checks(change).every((check) => check.id !== id || check.verdict !== 'stops'),
		edited: (change) => ({ bench: changedBench(inputs.bench, change) })
	};
	return [
		...cordsFor(inputs.bench, tried),
		smallestBreaker(inputs, tried.allHold),
		...airFor(inputs.bench.air, tried)
	];
}

function cordsFor({ supply }: Bench, { allHold, edited }: Tried): Solved[] {
	const lengthM = supply.cord?.lengthM ?? CORD_MOST_M;
	const cordIds = ['supply.voltageV', 'supply.cordCarriesA'] as const;
	const nearestA = Math.min(supply.breaker.ratingA, supply.plugFuseA ?? Infinity);
	const cordOf = (s: ConductorSize, m: number) =>
		edited((b) => (b.supply.cord = { size: s, lengthM: m, kind: 'made-up', labelA: null }));
	// Protected first: no cut is so short that a thinner cord would do.
	const size = firstThat(cordsBehind(supply.system, nearestA), (s) =>
		allHold(cordOf(s, lengthM), cordIds)
	);
	const cordSize = supply.cord?.size ?? size;
	return [
		{
			id: 'thinnest-cord',
			label: supply.cord ? 'Thinnest cord of this length' : 'Thinnest cord of 7.6 m (25 ft)',
			value: null,
			quantity: 'wire',
			text: size && conductorLabel(size),
			source: `${TRIED}, and what is in front of it protects it`
		},
		{
			id: 'longest-cord',
			label: cordSize ? `Longest cord of ${conductorLabel(cordSize)}` : 'Longest cord',
			value: cordSize
				? edge(0.1, 100, (m) => allHold(cordOf(cordSize, m), cordIds), 'largest')
				: null,
			quantity: 'run',
			source: TRIED
		}
	];
}

function airFor(air: Bench['air'], { runs, edited }: Tried): Solved[] {
	const inletRuns = (change: (bench: Bench) => void) => runs(edited(change), 'air.inletLowBar');
	const solved: Solved[] = [];
	if (air.source === 'compressor') {
		const last = air.compressor.points.at(-1)!;
		const more = (times: number) =>
			inletRuns((b) => b.air.compressor.points.forEach((p) => (p.flowLpm *= times)));
		const times = edge(0.05, 8, more, 'smallest');
		solved.push({
			id: 'least-compressor',
			label: 'Smallest compressor with this tank',
			value: times === null ? null : times * last.flowLpm,
			quantity: 'flow',
			source: `${TRIED}; delivery at the highest pressure on its plate`
		});
		solved.push({
			id: 'least-tank',
			label: 'Smallest tank with this compressor',
			value: edge(1, 5000, (l) => inletRuns((b) => (b.air.tankL = l)), 'smallest'),
			quantity: 'volume',
			source: TRIED
		});
	}
	if (air.source !== 'built-in') {
		solved.push({
			id: 'longest-hose',
			label: 'Longest hose of this bore',
			value: edge(0.1, 200, (m) => inletRuns((b) => (b.air.hose.lengthM = m)), 'largest'),
			quantity: 'run',
			source: TRIED
		});
	}
	return solved;
}

/**
 * The smallest breaker that holds the work, on conductors that suit it: In ≤ Iz by IEC 60364-4-43; by
 * NEC the wire that 630.11(A) asks for. Told as something to ask an electrician for.
 */
function smallestBreaker(inputs: PlanInputs, allHold: Tried['allHold']): Solved {
	const { bench } = inputs;
	const { supply } = bench;
	const plate = plateInput(bench)!;
	const duty = Math.max(...plate.duty.map((pair) => pair.dutyShare));
	const neededA = (plate.inputMaxA ?? 0) * necDutyMultiplier(duty);
	const wireFor = (ratingA: number) =>
		conductorsFor(supply.system).find(
			(s) => ampacityA(s, 'wire', supply.wire.method) >= Math.max(ratingA, neededA)
		);
	const leastA = Math.max(effectiveMostA(bench, plate), plate.fuseA ?? 0);
	const ratings = standardRatings(bench).filter((rating) => rating >= leastA - 0.5);
	const ratingA = firstThat(ratings, (rating) => {
		const wire = wireFor(rating);
		return (
			wire !== undefined &&
			allHold(
				{
					bench: changedBench(bench, (b) => {
						b.supply.breaker.ratingA = rating;
						b.supply.wire.size = wire;
						b.supply.receptacleA = Math.max(rating, b.supply.receptacleA);
						b.supply.plugFuseA = null;
					})
				},
				['supply.breakerPeak', 'supply.wireCarriesA', 'supply.startA']
			)
		);
	});
	const wire = ratingA === undefined ? undefined : wireFor(ratingA);
	return {
		id: 'smallest-breaker',
		label: 'Smallest breaker, with its wire',
		value: null,
		quantity: 'current',
		text: wire && `${ratingA} A on ${conductorLabel(wire)}`,
		source: `${TRIED}; a question for a licensed electrician and the local code`
	};
}

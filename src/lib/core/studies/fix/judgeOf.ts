import { firstTrue } from '../../solve/bisect';
import { startsPerH } from '../../session/run';
import { checksOf, type Check } from '../../plan/rooms';
import type { PlanInputs } from '../../inputs/planInputs';
import type { Station, Verdict } from '../../figure/types';
import { STATIONS } from '../../figure/types';
import { judge, rankOf, worst, type Judgement } from '../../figure/verdict';
import { workings } from '../../plan/workings';

/** What a plan decides, without its figures: what a search asks for. */
export interface Outcome extends Judgement<Check> {
	checks: Check[];
	/** The worst of circuit, air and cutter. */
	supply: Check;
	/** Starts of the compressor an hour. */
	startsPerH: number;
	/** Amps that are planned. */
	outputA: number;
}

export function outcomeOf(inputs: PlanInputs): Outcome {
	const w = workings(inputs, { solveAmps: false });
	const checks = checksOf(w);
	return {
		startsPerH: startsPerH(w.air.run),
		outputA: w.cutting.outputA,
		...judge(checks),
		checks,
		supply: worst(checks.filter((check) => check.station === 'supply'))!
	};
}

/** Whether another station got worse than it was: such a change only moves the trouble. */
export function worseElsewhere(before: Outcome, after: Outcome): boolean {
	const others: Station[] = STATIONS.filter((station) => station !== 'supply');
	const [was, is] = [before, after].map(({ checks }) =>
		checks.find((check) => check.part === 'Thickness')!
	) as [Check, Check];
	// An edge that was to be clean is not given away for amps; tight it may have been already.
	const givenAway = was.spare.value >= 0 && is.spare.value < 0;
	if (givenAway || rankOf(is.verdict) > rankOf(was.verdict)) return true;
	return others.some(
		(station) =>
			rankOf(after.stations[station].verdict) > rankOf(before.stations[station].verdict) &&
			after.stations[station].verdict === 'stops'
	);
}

/** Smallest of rising values for which it holds; undefined: none. */
export function firstThat<T>(values: readonly T[], holds: (value: T) => boolean): T | undefined {
	return values[firstTrue(values.length, (i) => holds(values[i]!))];
}

/**
 * The first of rising values that makes it hold, else the first that lets run what stopped. What was
 * only tight is not helped by what leaves it so.
 */
export function firstThatHelps<T>(
	values: readonly T[],
	try_: (value: T) => Verdict,
	before: Verdict
): T | undefined {
	return (
		firstThat(values, (value) => try_(value) === 'holds') ??
		(before === 'stops' ? firstThat(values, (value) => try_(value) !== 'stops') : undefined)
	);
}

import type { Check, Station, StationVerdict, Verdict } from './types';
import { STATIONS } from './types';

/** Relative margin below which a check is tight (0 to 10 %). */
export const TIGHT_BELOW = 0.1;

/** The table of what outranks what: stops > tight > holds > not set. */
const RANK: Record<Verdict, number> = { stops: 3, tight: 2, holds: 1, 'not set': 0 };
export const rankOf = (verdict: Verdict): number => RANK[verdict];

/** Verdict of a plain margin; a margin that is not a number is not set. */
export function verdictOf(margin: number): Verdict {
	if (!(margin >= 0)) return Number.isNaN(margin) ? 'not set' : 'stops';
	return margin < TIGHT_BELOW ? 'tight' : 'holds';
}

/**
 * The worse of two checks: by rank; among stops the earlier, among tights (and holds) the smaller
 * margin. The first named wins a tie, so there is exactly one worst.
 */
function worse<C extends Check>(x: C, y: C): C {
	if (rankOf(x.verdict) !== rankOf(y.verdict)) return rankOf(x.verdict) > rankOf(y.verdict) ? x : y;
	if (x.verdict === 'stops') return (y.stopsAtS ?? 0) < (x.stopsAtS ?? 0) ? y : x;
	return y.margin < x.margin ? y : x;
}

export function worst<C extends Check>(checks: readonly C[]): C | undefined {
	return checks.length ? checks.reduce((x, y) => worse(x, y)) : undefined;
}

export interface Judgement<C extends Check> {
	verdict: Verdict;
	firstLimit: C | null;
	weakestLink: C | null;
	stations: Record<Station, StationVerdict>;
}

/** The one function that decides; every station, card, print and API shows its result. */
export function judge<C extends Check>(checks: readonly C[]): Judgement<C> {
	const overall = worst(checks);
	const stations = {} as Record<Station, StationVerdict>;
	for (const station of STATIONS) {
		const check = worst(checks.filter((c) => c.station === station));
		stations[station] = check
			? { verdict: check.verdict, word: check.word, stopsAtS: check.stopsAtS, part: check.part }
			: { verdict: 'not set', word: 'set this' };
	}
	return {
		verdict: overall?.verdict ?? 'not set',
		firstLimit: overall?.verdict === 'stops' ? overall : null,
		weakestLink: overall?.verdict === 'tight' ? overall : null,
		stations
	};
}

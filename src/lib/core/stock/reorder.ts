/** When to order parts, and when they run out. */

/** One-sided 95 % of a normal spread. */
const NINETY_FIVE = 1.65;
const SHARE = 0.95;
/** From so many a week on the use of a lead time is near enough normal; below it is counted [common rule]. */
const NORMAL_FROM = 1;

export interface UseOfParts {
	perWeek: number;
	/** Standard deviation of a week's use. */
	spreadPerWeek: number;
}
export interface Lead {
	weeks: number;
	/** Standard deviation of the lead itself, weeks; 0: it always takes as long. */
	spreadWeeks: number;
}

/** use·lead + 1.65·√(lead·σ² + use²·σ_L²): stock at which to order, so that nineteen of twenty leads hold. */
export function normalReorderPoint(use: UseOfParts, lead: Lead): number {
	const variance = lead.weeks * use.spreadPerWeek ** 2 + (use.perWeek * lead.spreadWeeks) ** 2;
	return use.perWeek * lead.weeks + NINETY_FIVE * Math.sqrt(variance);
}

/** The least whole number that is not passed in 95 of a hundred, when so many are expected (Poisson). */
export function poissonReorderPoint(expected: number): number {
	let term = Math.exp(-expected);
	let sum = term;
	let k = 0;
	while (sum < SHARE) {
		k++;
		term *= expected / k;
		sum += term;
	}
	return k;
}

/** Whole parts in the drawer at which to order. */
export function reorderAt(use: UseOfParts, lead: Lead): number {
	if (use.perWeek * lead.weeks === 0) return 0;
	return use.perWeek < NORMAL_FROM
		? poissonReorderPoint(use.perWeek * lead.weeks)
		: Math.ceil(normalReorderPoint(use, lead) - 1e-9);
}

/** So many come in packs: how many to order, at least `need`. */
export const inPacks = (need: number, pack: number): number =>
	need <= 0 ? 0 : Math.ceil(need / pack) * pack;

/** Calendar days that a stock lasts; null: nothing is used, it never runs out. */
export function daysLeft(stock: number, perWeek: number): number | null {
	if (perWeek <= 0) return null;
	return Math.max(0, Math.floor((stock / perWeek) * 7));
}

/** A day so many after another; ISO dates, in UTC. */
export function dayAfter(isoDay: string, days: number): string {
	const date = new Date(`${isoDay}T00:00:00Z`);
	date.setUTCDate(date.getUTCDate() + days);
	return date.toISOString().slice(0, 10);
}

/** Use a week from when parts went in: whole weeks back from `nowMs`; under four weeks of record it is spread over four. */
export function useFrom(timesMs: readonly number[], nowMs: number, sinceMs: number): UseOfParts {
	const weekMs = 7 * 24 * 3600 * 1000;
	const weeks = Math.max(4, Math.ceil((nowMs - sinceMs) / weekMs));
	const counts = new Array<number>(weeks).fill(0);
	for (const at of timesMs) {
		const week = Math.floor((nowMs - at) / weekMs);
		if (week >= 0 && week < weeks) counts[week]!++;
	}
	const perWeek = counts.reduce((sum, n) => sum + n, 0) / weeks;
	const variance = counts.reduce((sum, n) => sum + (n - perWeek) ** 2, 0) / (weeks - 1);
	return { perWeek, spreadPerWeek: Math.sqrt(variance) };
}

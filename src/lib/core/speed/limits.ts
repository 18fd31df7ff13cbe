/**
 * How thick a nozzle cuts clean, and how thick it severs, at some amps [own]: the pooled limits, pulled to
 * the label. A label pulls its own nozzle wholly and another nozzle by a third of its surprise.
 */

/** Clean and sever rating of an ordinary 45 A machine, mm, and how both rise with amps [own fit]. */
const POOLED_A = 45;
const POOLED_CLEAN_MM = 12.48;
const POOLED_SEVER_MM = 22;
const AMPS_POWER = 16 / 15;
const OTHER_NOZZLE_SHARE = 1 / 3;
/** The two limits never come closer than this. */
const SEVER_OVER_CLEAN_LEAST = 1.15;

const pooledMm = (atPooled: number, outputA: number) =>
	atPooled * (outputA / POOLED_A) ** AMPS_POWER;

/** What an ordinary machine of these amps is rated for, mm of mild steel. */
export const pooledLimitsMm = (outputA: number): { cleanMm: number; severMm: number } => ({
	cleanMm: pooledMm(POOLED_CLEAN_MM, outputA),
	severMm: pooledMm(POOLED_SEVER_MM, outputA)
});

/** Mild steel ratings, and the nozzle and amps that they were given for. */
export interface Rating {
	nozzleA: number;
	outputA: number;
	/** One of the two may be missing. */
	cleanMm: number | null;
	severMm: number | null;
}

/** Both ratings of a label; a missing one from the other. */
export function bothMm(rating: Rating): { cleanMm: number; severMm: number } {
	const over = POOLED_SEVER_MM / POOLED_CLEAN_MM;
	const cleanMm = rating.cleanMm ?? (rating.severMm ?? 0) / over;
	return { cleanMm, severMm: rating.severMm ?? cleanMm * over };
}

/** The rating that speaks for a nozzle: its own, else the machine's. */
export function ratingFor(ratings: readonly Rating[], nozzleA: number): Rating {
	return ratings.findLast((r) => r.nozzleA === nozzleA) ?? ratings[0]!;
}

/** Mild steel limits of a nozzle at some amps, mm. */
export function steelLimitsMm(
	ratings: readonly Rating[],
	{ nozzleA, outputA }: { nozzleA: number; outputA: number }
): { cleanMm: number; severMm: number } {
	const rating = ratingFor(ratings, nozzleA);
	const weight = rating.nozzleA === nozzleA ? 1 : OTHER_NOZZLE_SHARE;
	const label = bothMm(rating);
	const pulled = (atPooled: number, labelMm: number) =>
		pooledMm(atPooled, outputA) * (labelMm / pooledMm(atPooled, rating.outputA)) ** weight;
	const severMm = pulled(POOLED_SEVER_MM, label.severMm);
	const cleanMm = pulled(POOLED_CLEAN_MM, label.cleanMm);
	return { severMm, cleanMm: Math.min(cleanMm, severMm / SEVER_OVER_CLEAN_LEAST) };
}

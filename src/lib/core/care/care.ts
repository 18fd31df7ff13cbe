/** What has to be looked after, how often, and when it is next. */

export const CARE_KINDS = ['drain', 'gel', 'filter', 'rings', 'clamp', 'leak'] as const;
export type CareKind = (typeof CARE_KINDS)[number];

/** How often, where nobody says otherwise: days, and hours of arc where work wears it rather than time. */
interface Usual {
	days: number;
	arcH?: number;
}
/**
 * The tank is drained every working day and the gel looked at every week (common practice); filter, o-rings,
 * clamp and leak test by months, sooner where the arc burns long [own].
 */
export const USUAL_CARE: Record<CareKind, Usual> = {
	drain: { days: 1 },
	gel: { days: 7 },
	filter: { days: 180, arcH: 100 },
	rings: { days: 30, arcH: 20 },
	clamp: { days: 30 },
	leak: { days: 90 }
};
/** A shop may say another number of days when it has done it. */
export const CARE_DAYS = [1, 730] as const;

/** The last time that something was done. */
export interface CareDone {
	/** ms since 1970. */
	atMs: number;
	/** Days until the next, as the shop said; null: nobody did. */
	everyDays: number | null;
	/** Arc on this bench since then, h. */
	arcSinceH: number;
}
export interface CareDue {
	kind: CareKind;
	everyDays: number;
	/** ms since 1970; null: nobody noted that it was done, so it is due now. */
	lastMs: number | null;
	/** The day on which it is due, as its midnight in UTC, ms since 1970. */
	dueMs: number;
	/** Whole days until then; under 0: late. */
	inDays: number;
	/** The arc makes it due before the days do. */
	byArc: boolean;
}

const DAY_MS = 24 * 3600 * 1000;

/**
 * When one thing is next. By days, and where work wears it by hours of arc, whichever is sooner: the hours
 * left are shared out at the bench's own pace, so many a day. `dayOf`: the day of a moment by the clock on the
 * wall, as its midnight in UTC.
 */
export function careDue(
	kind: CareKind,
	done: CareDone | null,
	{ nowMs, arcHPerDay, dayOf }: { nowMs: number; arcHPerDay: number; dayOf: (ms: number) => number }
): CareDue {
	const today = dayOf(nowMs);
	const usual = USUAL_CARE[kind];
	const everyDays = done?.everyDays ?? usual.days;
	if (!done) return { kind, everyDays, lastMs: null, dueMs: today, inDays: 0, byArc: false };
	const byDaysMs = dayOf(done.atMs) + everyDays * DAY_MS;
	// A shop that says its own days has its own reasons: its hours are not ours to count.
	const hours = done.everyDays === null ? usual.arcH : undefined;
	const leftH = hours === undefined ? Infinity : hours - done.arcSinceH;
	const byArcMs =
		leftH <= 0 ? today : arcHPerDay > 0 ? today + Math.ceil(leftH / arcHPerDay) * DAY_MS : Infinity;
	const dueMs = Math.min(byDaysMs, byArcMs);
	return {
		kind,
		everyDays,
		lastMs: done.atMs,
		dueMs,
		inDays: Math.round((dueMs - today) / DAY_MS),
		byArc: byArcMs < byDaysMs
	};
}

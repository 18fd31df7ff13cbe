/** What the log is offered from what was seen; taken by a thumb, or not. */
import type { Entry } from '../evidence/entries';
import type { ArcSeen, FailedSeen, LampSeen, Seen } from './events';

/** What was planned while the arcs burnt, so that the log can tell what was cut. */
export interface Planned {
	metal: Extract<Entry, { kind: 'cut' }>['metal'];
	thicknessMm: number;
	mesh?: boolean | undefined;
	start: Extract<Entry, { kind: 'cut' }>['start'];
	/** Knob; counts where the clamp told nothing. */
	outputA: number;
	/** mm/s; null: nobody knows, then one such cut's length stands for each arc. */
	speedMmS: number | null;
	lengthMm: number;
	nozzleA: number;
}

/** Limits of one entry of the log. */
const CUT_A = [5, 500] as const;
const LENGTH_MOST_MM = 100_000;
const STARTS_MOST = 1000;
const ARC_MOST_S = 36_000;
/** Failed starts that it takes in one go. */
export const FAILED_MOST = 50;
const clamp = (x: number, [low, high]: readonly [number, number]) =>
	Math.min(high, Math.max(low, x));

/** Mean over the seconds, which is what the parts felt; undefined: the clamp told nothing. */
function meanAmps(arcs: readonly ArcSeen[]): number | undefined {
	const told = arcs.filter(({ meanA }) => meanA !== null);
	const seconds = told.reduce((sum, { arcS }) => sum + arcS, 0);
	return seconds > 0
		? told.reduce((sum, { meanA, arcS }) => sum + meanA! * arcS, 0) / seconds
		: undefined;
}

/** An entry of a planned piece with the starts, seconds and amps that were seen. */
export function asSeen(entry: Entry, arcs: readonly ArcSeen[]): Entry {
	if (arcs.length === 0 || (entry.kind !== 'cut' && entry.kind !== 'groove')) return entry;
	const amps = meanAmps(arcs);
	return {
		...entry,
		arcS: Math.round(10 * arcs.reduce((sum, { arcS }) => sum + arcS, 0)) / 10,
		starts: arcs.length,
		...(amps === undefined ? {} : { outputA: clamp(Math.round(amps * 10) / 10, CUT_A) })
	};
}

/** Length that arcs made: by the planned speed, or each one such cut, mm. */
const madeMm = (arcS: number, arcs: number, { speedMmS, lengthMm }: Planned): number =>
	speedMmS === null ? arcs * lengthMm : arcS * speedMmS;

/** The first of the arcs, as many as one entry of the log takes; the rest is offered after them. */
export function forOneEntry<T extends ArcSeen>(arcs: readonly T[], planned: Planned): T[] {
	let arcS = 0;
	const most = arcs.findIndex((arc, k) => {
		arcS += arc.arcS;
		return k >= STARTS_MOST || arcS > ARC_MOST_S || madeMm(arcS, k + 1, planned) > LENGTH_MOST_MM;
	});
	return most < 0 ? [...arcs] : arcs.slice(0, most);
}

/**
 * The arcs as one entry of cuts: starts, seconds and amps as they were measured; the length from seconds and
 * the planned speed. Arcs of which readings are missing count as starts and with the seconds that were seen.
 * undefined: none, or more than one entry takes.
 */
export function cutsOf(arcs: readonly ArcSeen[], planned: Planned): Entry | undefined {
	if (arcs.length === 0 || forOneEntry(arcs, planned).length < arcs.length) return undefined;
	const arcS = arcs.reduce((sum, arc) => sum + arc.arcS, 0);
	const meanA = meanAmps(arcs) ?? planned.outputA;
	const { metal, thicknessMm, mesh, start, nozzleA } = planned;
	return {
		kind: 'cut',
		metal,
		thicknessMm,
		outputA: clamp(Math.round(meanA * 10) / 10, CUT_A),
		lengthMm: Math.max(1, Math.round(madeMm(arcS, arcs.length, planned))),
		arcS: Math.round(arcS * 10) / 10,
		starts: arcs.length,
		start,
		nozzleA,
		...(mesh ? { mesh } : {})
	};
}

/** The arcs as strings of a groove, likewise. */
export function stringsOf(arcs: readonly ArcSeen[], planned: Planned): Entry | undefined {
	const cuts = cutsOf(arcs, planned);
	if (cuts?.kind !== 'cut') return undefined;
	const { metal, outputA, lengthMm, arcS, starts, nozzleA } = cuts;
	return {
		kind: 'groove',
		metal,
		outputA,
		lengthMm,
		arcS,
		starts,
		...(nozzleA === undefined ? {} : { nozzleA })
	};
}

/** Failed starts, so many alike. */
export function failedOf(
	failed: readonly FailedSeen[],
	start: Planned['start']
): Entry | undefined {
	if (failed.length === 0 || failed.length > FAILED_MOST) return undefined;
	const s = failed.reduce((sum, { fromMs, toMs }) => sum + (toMs - fromMs) / 1000, 0);
	return {
		kind: 'start',
		arcS: Math.min(60, Math.round((10 * s) / failed.length) / 10),
		start,
		...(failed.length > 1 ? { times: failed.length } : {})
	};
}

/** Flow must last for the gauge to stand, s. */
const GAUGE_LEAST_S = 3;
/** Gauge while air flows: mean over whole arcs that were long enough; undefined: no two gauges, or none such. */
export function gaugeOf(arcs: readonly ArcSeen[]): Entry | undefined {
	const told = arcs.filter(
		({ whole, arcS, inletBar, tankBar }) =>
			whole && arcS >= GAUGE_LEAST_S && inletBar !== null && tankBar !== null
	);
	if (told.length === 0) return undefined;
	const mean = (of: (arc: ArcSeen) => number) =>
		Math.round((100 * told.reduce((sum, arc) => sum + of(arc), 0)) / told.length) / 100;
	const [tankBar, inletBar] = [mean(({ tankBar: bar }) => bar!), mean(({ inletBar: bar }) => bar!)];
	return tankBar >= 0.5 && inletBar >= 0 && inletBar < tankBar
		? { kind: 'gauge', tankBar, inletBar }
		: undefined;
}

/** No arc for so long before: the cutter is cold [own]. */
const REST_LEAST_MS = 1_800_000;
/**
 * The lamp after one arc from rest, with how long it stayed on; undefined: it came on otherwise, or nobody
 * watched the half hour before. `before`: whatever was seen until then; `watchedSinceMs`: of the same clock.
 */
export function lampOf(
	lamp: LampSeen,
	before: readonly Seen[],
	{ watchedSinceMs, shopC, outputA }: { watchedSinceMs: number; shopC: number; outputA: number }
): Entry | undefined {
	const { arcFromMs } = lamp;
	if (arcFromMs === null) return undefined;
	const restFromMs = arcFromMs - REST_LEAST_MS;
	const disturbed = before.some(
		({ kind, fromMs, toMs }) =>
			(kind === 'arc' || kind === 'gap') && fromMs < arcFromMs && toMs > restFromMs
	);
	const lampS = Math.round((lamp.fromMs - arcFromMs) / 1000);
	if (disturbed || watchedSinceMs > restFromMs || lampS < 5 || lampS > 7200) return undefined;
	const onS = (lamp.toMs - lamp.fromMs) / 1000;
	return {
		kind: 'lamp',
		outputA: clamp(Math.round((lamp.meanA ?? outputA) * 10) / 10, CUT_A),
		shopC: clamp(shopC, [-20, 50]),
		lampS,
		recoveryS: onS >= 5 && onS <= 7200 ? Math.round(onS) : null
	};
}

/** A piece's arcs are its plan's where each is within these shares of its time [own]. */
const PIECE_SHARE = [0.5, 1.8] as const;
/** Whole pieces of the item that comes now among the newest arcs that nobody took; the ids of each. */
export function piecesIn<T extends ArcSeen>(
	arcs: readonly T[],
	plannedS: readonly number[]
): { pieces: T[][]; others: T[] } {
	const pieces: T[][] = [];
	const others: T[] = [];
	let open: T[] = [];
	for (const arc of arcs) {
		const share = arc.arcS / plannedS[open.length]!;
		if (share >= PIECE_SHARE[0] && share <= PIECE_SHARE[1]) open.push(arc);
		else others.push(arc);
		if (open.length === plannedS.length) {
			pieces.push(open);
			open = [];
		}
	}
	return { pieces, others: [...others, ...open] };
}

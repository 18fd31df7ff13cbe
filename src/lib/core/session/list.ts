/**
 * The session of a list: arcs that differ, one after the other, through one tank, one breaker and one
 * cutter. Handling and post-flow run side by side; pauses stand only before an arc.
 */
import { closedBefore, type Closed } from './closed';
import { NODES, type WarmNode } from './node';
import { runSession, shortAtS } from './run';
import type { Phase } from './schedule';
import type { Tank } from './tank';

/** What stops an arc: the store of air, or a node by its place. */
export type StopReason = 'air' | number;

/** The same by what it is: the breaker by either of its curves, the heat of the cutter. */
export type HeldBy = 'air' | 'breaker' | 'heat';
export const heldBy = (because: StopReason): HeldBy =>
	because === 'air' ? 'air' : because === NODES.cutter ? 'heat' : 'breaker';

/** One arc of the list, with what it takes. */
export interface ListArc {
	/** Fetch, lay, clamp before it, s; other waits that the list itself asks for included. */
	handlingS: number;
	arcS: number;
	/** Air after it, s. */
	postS: number;
	useLpm: number;
	/** The tank must not fall below this while its air flows, bar. */
	neededBar: number;
	/** Of each warm node: [neither, compressor, arc, both]. */
	targets: readonly WarmNode['targets'][];
	/** Node whose limit this arc passes even from rest, and goes on: whether it stops, nobody knows. */
	mayPass?: number;
}

export interface ListShop {
	/** undefined: the air does not come from a store. */
	tank: Tank | undefined;
	nodes: readonly Omit<WarmNode, 'targets'>[];
	/** Breaks and nights; left out: somebody works all the time. */
	closed?: Closed;
}

/** How everything stands between two arcs: after the post-flow of the one before. */
export interface Standing {
	timeS: number;
	bar: number;
	compressorOn: boolean;
	levels: readonly number[];
	/** Post-flow of the arc before, that has passed already, s. */
	postS: number;
}

export interface ArcRun {
	/** Seconds that somebody waits besides handling. */
	pauseS: number;
	/** Seconds before it in which nobody works. */
	breakS: number;
	startS: number;
	endS: number;
	/** Lowest pressure while its air flows; undefined: no store. */
	lowestBar: number | undefined;
	/** Highest level of each node up to the end of its post-flow. */
	peaks: readonly number[];
	/** First thing that stops in it, as if nothing before had; undefined: nothing. */
	stops: { because: StopReason; atS: number } | undefined;
	after: Standing;
}

const BAR_SLACK = 1e-9;

/** Before the first arc: the tank full, everything cold. */
export const atStart = ({ tank, nodes }: ListShop): Standing => ({
	timeS: 0,
	bar: tank?.startBar ?? 0,
	compressorOn: false,
	levels: nodes.map(({ start }) => start),
	postS: 0
});

/** One arc from how everything stands, after `pauseS` of waiting. What is past a limit goes on unchanged. */
export function runArc(shop: ListShop, from: Standing, arc: ListArc, pauseS: number): ArcRun {
	const readyS = Math.max(from.postS, arc.handlingS) + pauseS - from.postS;
	const { arcS } = arc;
	const breakS = shop.closed?.length
		? closedBefore(shop.closed, { freeS: from.timeS, startS: from.timeS + readyS, arcS })
		: 0;
	const waitS = readyS + breakS;
	const run = (
		at: Pick<Standing, 'bar' | 'compressorOn' | 'levels'>,
		phases: Phase[],
		neededBar: number
	) =>
		runSession({
			pattern: { arcS: arc.arcS, postS: arc.postS, restS: arc.postS, shift: null },
			air: shop.tank && {
				tank: { ...shop.tank, startBar: at.bar },
				useLpm: arc.useLpm,
				neededBar
			},
			nodes: shop.nodes.map((node, k) => ({
				...node,
				targets: arc.targets[k]!,
				start: at.levels[k]!
			})),
			compressorOn: at.compressorOn,
			phases
		});
	const wait: Phase = { arc: false, air: false, durationS: waitS };
	const burn: Phase[] = [
		{ arc: true, air: true, durationS: arc.arcS },
		{ arc: false, air: true, durationS: arc.postS }
	];
	// What an arc before it has left over its limit is not stopped by waiting: it is asked when the arc begins.
	const over = waitS > 0 && shop.nodes.some(({ limit }, k) => from.levels[k]! >= limit);
	const at = over ? run(from, [wait], -Infinity).end : from;
	const [phases, atS0] = over ? [burn, from.timeS + waitS] : [[wait, ...burn], from.timeS];
	const whole = run(at, phases, -Infinity);
	const lowestBar = shop.tank && Math.min(whole.lowestBar, from.bar);
	const stops: { because: StopReason; atS: number }[] = whole.nodes.flatMap(({ crossing }, k) =>
		crossing && k !== arc.mayPass ? [{ because: k, atS: atS0 + crossing.atS }] : []
	);
	if (shop.tank && whole.lowestBar < arc.neededBar - BAR_SLACK) {
		const atS = shortAtS(run(at, phases, arc.neededBar));
		if (atS !== undefined) stops.push({ because: 'air', atS: atS0 + atS });
	}
	const startS = from.timeS + waitS;
	return {
		pauseS,
		breakS,
		startS,
		endS: startS + arc.arcS,
		lowestBar,
		peaks: whole.nodes.map(({ peak }) => peak),
		stops: stops.sort((a, b) => a.atS - b.atS)[0],
		after: {
			timeS: startS + arc.arcS + arc.postS,
			bar: whole.end.bar,
			compressorOn: whole.end.compressorOn,
			levels: whole.end.levels,
			postS: arc.postS
		}
	};
}

/** The same arcs, those that pass the limit of a node even from rest let past it. */
export const lettingPass = (shop: ListShop, arcs: readonly ListArc[], node: number): ListArc[] =>
	arcs.map((arc) =>
		runArc(shop, atStart(shop), arc, 0).stops?.because === node ? { ...arc, mayPass: node } : arc
	);

/** The whole list with given pauses (none where the array ends). */
export function runList(
	shop: ListShop,
	arcs: readonly ListArc[],
	pausesS: readonly number[] = [],
	from: Standing = atStart(shop)
): ArcRun[] {
	let standing = from;
	return arcs.map((arc, i) => {
		const ran = runArc(shop, standing, arc, pausesS[i] ?? 0);
		standing = ran.after;
		return ran;
	});
}

export type ListPlan =
	| { ok: true; runs: ArcRun[]; pausedS: number }
	/** No wait before this arc lets it through; `runs` are those before it. */
	| { ok: false; runs: ArcRun[]; because: StopReason; arc: number };

/** Nobody waits longer than this for one arc, s. */
const WAIT_MOST_S = 2 * 3600;

/**
 * The first whole second of waiting, found by growing steps and then backwards, after which the arc goes
 * through. What a wait does is not monotone (the compressor may cut out just before a long arc), so what is
 * found is checked and need not be the least there is.
 */
function waited(shop: ListShop, from: Standing, arc: ListArc): ArcRun | undefined {
	let lastNo = 0;
	for (let s = 1; s <= WAIT_MOST_S; s = Math.ceil(s * 1.5)) {
		let found = runArc(shop, from, arc, s);
		if (found.stops) {
			lastNo = s;
			continue;
		}
		let [no, yes] = [lastNo, s];
		while (yes - no > 1) {
			const middle = Math.floor((no + yes) / 2);
			const tried = runArc(shop, from, arc, middle);
			if (tried.stops) no = middle;
			else [yes, found] = [middle, tried];
		}
		return found;
	}
	return undefined;
}

/** Each arc waits for what it needs itself; `asked` pauses stand before that. `begun`: the first arcs, run so already. */
export function waitAsNeeded(
	shop: ListShop,
	arcs: readonly ListArc[],
	from: Standing = atStart(shop),
	asked: readonly number[] = [],
	begun: readonly ArcRun[] = []
): ListPlan {
	const runs: ArcRun[] = [...begun];
	let standing = begun.at(-1)?.after ?? from;
	for (let i = begun.length; i < arcs.length; i++) {
		const arc = arcs[i]!;
		const tried = runArc(shop, standing, arc, asked[i] ?? 0);
		const found = tried.stops ? waited(shop, standing, arc) : tried;
		if (!found) return { ok: false, runs, because: tried.stops!.because, arc: i };
		runs.push(found);
		standing = found.after;
	}
	return { ok: true, runs, pausedS: runs.reduce((sum, { pauseS }) => sum + pauseS, 0) };
}

/** Seconds that a search tries before an arc. */
const STEPS_S = [1, 2, 3, 5, 8, 12, 18, 27, 40, 60, 90];
/** Arcs that are run at most while better places for pauses are sought. */
const RUNS_MOST = 2500;

/**
 * Pauses where they cost least, as far as the search goes: what each arc needs itself, then pauses put
 * earlier or made shorter wherever the whole gets shorter, or possible at all.
 */
export function placePauses(
	shop: ListShop,
	arcs: readonly ListArc[],
	from: Standing = atStart(shop)
): ListPlan {
	let best = waitAsNeeded(shop, arcs, from);
	if (best.ok && best.pausedS === 0) return best;
	let spent = arcs.length;
	let asked = arcs.map(() => 0);
	for (let better = true; better && spent < RUNS_MOST;) {
		better = false;
		// Before an arc that cannot be, something must change in the gaps before it; the nearest first.
		const last = best.ok ? arcs.length - 1 : best.arc;
		for (let i = last; i >= (from.timeS > 0 ? 0 : 1) && spent < RUNS_MOST; i--) {
			for (const step of STEPS_S.flatMap((s) => [s, -s])) {
				const changed = asked.with(i, Math.max(0, asked[i]! + step));
				if (changed[i] === asked[i]) continue;
				// Up to there nothing changes.
				const tried = waitAsNeeded(shop, arcs, from, changed, best.runs.slice(0, i));
				spent += tried.runs.length;
				const more = tried.ok
					? !best.ok || tried.pausedS < best.pausedS
					: !best.ok && tried.arc > best.arc;
				if (more) [best, asked, better] = [tried, changed, true];
				if (spent >= RUNS_MOST) break;
			}
		}
	}
	return best;
}
